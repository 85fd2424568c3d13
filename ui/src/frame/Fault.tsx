/** What went wrong with an act, said above the button it belongs to. */
export function Fault({ of }: { of: { error: Error | null }[] }) {
  const error = of.find((act) => act.error)?.error;
  return error ? (
    <p role="alert" className="caution">
      {error.message}
    </p>
  ) : null;
}
