import type { ReactNode } from 'react';

/** Something that holds or does not. */
export function Toggle({
  on,
  onChange,
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <button className="toggle" aria-pressed={on} onClick={() => onChange(!on)}>
      {children}
    </button>
  );
}
