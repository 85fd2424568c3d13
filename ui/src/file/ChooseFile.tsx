import { useState } from 'react';
import './file.css';
import { file as say } from '../words/file';

/** What the server takes at most. */
const largest = 32 * 1024 * 1024;

/** A button that asks for a file; the same one may be chosen again. One too large is refused before it is sent. */
export function ChooseFile({
  says,
  accept,
  onFile,
  fault,
}: {
  says: string;
  accept: string;
  onFile: (f: File) => void;
  /** What was wrong with the file given last. */
  fault?: string;
}) {
  const [refused, setRefused] = useState('');
  const wrong = refused || fault;
  return (
    <>
      {wrong && (
        <p role="alert" className="caution file-fault">
          {wrong}
        </p>
      )}
      <label className="file">
        <input
          type="file"
          accept={accept}
          onChange={(e) => {
            const f = e.target.files?.[0];
            setRefused('');
            if (f && f.size > largest) setRefused(say.hasMbAtMost32(f.name, Math.round(f.size / 1048576)));
            else if (f) onFile(f);
            e.target.value = '';
          }}
        />
        <span>{says}</span>
      </label>
    </>
  );
}
