import { useCallback, useState, useSyncExternalStore } from 'react';

/** Pages on which the chosen moment matters: the ribbon lies along their foot. */
export function momentMatters(path: string): boolean {
  return (
    path === '/ahead' ||
    (path.startsWith('/water') && !path.startsWith('/water/edit')) ||
    (path.startsWith('/tie-on') && !path.startsWith('/tie-on/cards')) ||
    // High and low waters are noted for the moment of the ribbon.
    path === '/set-up/waters/spot-tide'
  );
}

/** Whether a question about the screen holds. */
export function useMedia(query: string): boolean {
  const subscribe = useCallback(
    (changed: () => void) => {
      const q = window.matchMedia(query);
      q.addEventListener('change', changed);
      return () => q.removeEventListener('change', changed);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia(query).matches);
}

const key = 'greypebble.ribbon';

/** The ribbon folds to one line where there is little room: on a phone, on its side, much enlarged. */
export function useFold() {
  const narrow = useMedia('(max-width: 700px)');
  const short = useMedia('(max-height: 520px)');
  const can = narrow || short;
  const [open, setOpen] = useState(() => localStorage.getItem(key) === 'open');
  const toggle = () => {
    // A short screen unfolds for the moment only.
    if (!short) localStorage.setItem(key, open ? 'folded' : 'open');
    setOpen(!open);
  };
  return { short, can, folded: can && !open, toggle };
}
