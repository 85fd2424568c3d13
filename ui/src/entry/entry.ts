import { createContext, useContext } from 'react';
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

export const EntryContext = createContext<{ open: (e: Entry) => void }>({ open: () => undefined });
export const useEntry = () => useContext(EntryContext);

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
