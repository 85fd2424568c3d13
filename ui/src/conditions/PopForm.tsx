import { useEffect, useRef, type ReactNode } from 'react';

/** A small form in a popover: Enter in a field keeps it, Escape closes it. */
export function PopForm(props: { onEnter?: () => void; onEscape: () => void; children: ReactNode }) {
  const { onEnter, onEscape, children } = props;
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const el = box.current!;
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'Enter' && (e.target as HTMLElement).tagName === 'INPUT') onEnter?.();
      if (e.key === 'Escape') onEscape();
    };
    el.addEventListener('keydown', onKey);
    return () => el.removeEventListener('keydown', onKey);
  }, [onEnter, onEscape]);
  return (
    <div className="overrule" ref={box}>
      {children}
    </div>
  );
}
