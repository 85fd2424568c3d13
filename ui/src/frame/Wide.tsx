import type { ReactNode } from 'react';

/** What may be wider than the screen scrolls by itself, by the keyboard too. */
export function Wide({ label, children }: { label: string; children: ReactNode }) {
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="wide-table" role="region" aria-label={label} tabIndex={0}>
      {children}
    </div>
  );
}
