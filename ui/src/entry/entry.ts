import { createContext, useContext, useEffect } from 'react';
import type { Spell } from '../api/client';

/** What quick entry is opened with. */
export interface Entry {
  kind: 'catch' | 'blank';
  target?: string;
  approach?: string;
  offering?: string;
  mark?: string;
  note?: string;
  /** A stored spell to change. */
  spell?: Spell;
}

/** What a page shows being fished with: an entry begun meanwhile starts from it. */
export type OnScreen = Pick<Entry, 'target' | 'approach' | 'offering' | 'mark'>;

export const EntryContext = createContext<{
  open: (e: Entry) => void;
  show: (now: OnScreen | undefined) => void;
}>({ open: () => undefined, show: () => undefined });
export const useEntry = () => useContext(EntryContext);

/** Says what this page shows being fished with, for as long as it does. */
export function useOnScreen({ target, approach, offering, mark }: OnScreen) {
  const { show } = useEntry();
  useEffect(() => {
    show({ target, approach, offering, mark });
    return () => show(undefined);
  }, [show, target, approach, offering, mark]);
}

const key = 'greypebble.last';
export type Last = { target?: string; approach?: string; offering?: string; mark?: string };

/** What was last tied on, so that the next entry starts from it. */
export function last(): Last {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as Last;
  } catch {
    return {};
  }
}
export const remember = (l: Last) => localStorage.setItem(key, JSON.stringify(l));
