import { useCallback, useState } from 'react';

/** What one asks for and how: it stays from one opening of the page to the next. */
export interface Asking {
  targets: string[];
  several: boolean;
  kitOnly: boolean;
  /** What is gone by: one's log, the book, or both side by side. */
  belief: 'log' | 'book' | 'both';
  /** Positions taken for this outing only, by question. */
  schools: Record<string, string>;
}

const key = 'greypebble.asking';
const first: Asking = { targets: [], several: false, kitOnly: false, belief: 'log', schools: {} };

function stored(): Asking {
  try {
    const s = { ...first, ...(JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Asking>) };
    return s;
  } catch {
    return first;
  }
}

/** What was sought last on this device; nothing where nothing was. */
export const soughtLast = (): string | undefined => stored().targets[0];

export function useAsking() {
  const [asking, set] = useState(stored);
  const change = useCallback((part: Partial<Asking>) => {
    set((was) => {
      const now = { ...was, ...part };
      localStorage.setItem(key, JSON.stringify(now));
      return now;
    });
  }, []);
  return [asking, change] as const;
}
