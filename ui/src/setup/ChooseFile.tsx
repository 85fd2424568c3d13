/** A button that asks for a file; the same one may be chosen again. */
export function ChooseFile({
  says,
  accept,
  onFile,
}: {
  says: string;
  accept: string;
  onFile: (f: File) => void;
}) {
  return (
    <label className="file">
      <input
        type="file"
        accept={accept}
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) onFile(f);
          e.target.value = '';
        }}
      />
      <span>{says}</span>
    </label>
  );
}
