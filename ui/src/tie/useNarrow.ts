import { useSyncExternalStore } from 'react';

const query = window.matchMedia('(max-width: 1000px)');

/** Whether the screen is too narrow for two columns. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => query.matches,
  );
}
