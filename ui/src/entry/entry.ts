import { createContext, useContext, useEffect } from 'react';
import type { Spell, SpellIn } from '../api/client';
import type { Waiting } from '../device/entries';

/** A presentation the book knows, by its ids: with it the log learns of what is taken too. */
export interface Way {
  offering: string;
  offering_id: string;
  rig_id: string;
  style?: string;
}

export type WaitingSpell = Extract<Waiting, { kind: 'spell' }>;

/** Whether the body of a spell says that nothing was caught. */
export const isBlank = (b: SpellIn) => !b.catches?.length;

/** What quick entry is opened with. */
export interface Entry {
  kind: 'catch' | 'blank';
  target?: string;
  approach?: string;
  offering?: string;
  mark?: string;
  /** How it was presented, as far as it is known with the offering of that name. */
  way?: Way;
  note?: string;
  /** A stored spell to change. */
  spell?: Spell;
  /** One that waits on this device to be sent, to change. */
  waiting?: WaitingSpell;
}

/** What a page shows being fished with: an entry begun meanwhile starts from it. */
export type OnScreen = Pick<Entry, 'target' | 'approach' | 'offering' | 'mark' | 'way'>;

export const EntryContext = createContext<{
  open: (e: Entry) => void;
  show: (now: OnScreen | undefined) => void;
}>({ open: () => undefined, show: () => undefined });
export const useEntry = () => useContext(EntryContext);

/** Says what this page shows being fished with, for as long as it does. */
export function useOnScreen({ target, approach, offering, mark, way }: OnScreen) {
  const { show } = useEntry();
  // By what it says: the page makes it anew each time it is drawn.
  const known = way && JSON.stringify(way);
  useEffect(() => {
    show({ target, approach, offering, mark, ...(known ? { way: JSON.parse(known) as Way } : {}) });
    return () => show(undefined);
  }, [show, target, approach, offering, mark, known]);
}

const key = 'greypebble.last';
export type Last = { target?: string; approach?: string; offering?: string; mark?: string; way?: Way };

/** What was last tied on, so that the next entry starts from it. */
export function last(): Last {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as Last;
  } catch {
    return {};
  }
}
export const remember = (l: Last) => localStorage.setItem(key, JSON.stringify(l));
