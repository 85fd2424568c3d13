import type { SpellIn, Schemas } from '../api/client';
import { db, tell } from './device';

export type SightingIn = Schemas['SightingInputBody'];

/** What was written for the log, or of a trial, with no signal: kept here until the server has it. */
export type Waiting = {
  /** The client's, as the server is to know it: sent twice it is there once. */
  id: string;
  owner: string;
  /** When it was written down. */
  at: string;
  /** The spot's name and zone, to be shown by. */
  spot: string;
  zone: string;
  /** What the server had against it; it is not sent again until somebody says so. */
  refused?: string;
} & (
  | {
      kind: 'spell';
      body: SpellIn;
      /** As it is to be sent to be written over what was changed elsewhere meanwhile. */
      over?: SpellIn;
    }
  | { kind: 'sighting'; body: SightingIn }
  /** Of a trial, by its id. */
  | { kind: 'block'; trial: string; body: Schemas['BlockInputBody'] }
);

/** Keeps one, in place of what was kept by its id; done when it is written. */
export async function keepEntry(e: Waiting): Promise<void> {
  const tx = (await db()).transaction('entries', 'readwrite', { durability: 'strict' });
  await tx.store.put(e);
  await tx.done;
  tell('written');
}

/** Those of somebody, in the order they were written. */
export async function entriesOf(whose: string): Promise<Waiting[]> {
  const list = await (await db()).getAllFromIndex('entries', 'owner', whose);
  return list.sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id));
}

/** The server has it, or nobody wants it any more. */
export async function dropEntry(id: string): Promise<void> {
  await (await db()).delete('entries', id);
  tell('sent');
}

/** Says what the server had against one, and what may go over it, unless it was changed since it was sent. */
export async function refuseEntry(e: Waiting, why: string, over?: SpellIn): Promise<void> {
  const tx = (await db()).transaction('entries', 'readwrite');
  const now = await tx.store.get(e.id);
  if (now && JSON.stringify(now.body) === JSON.stringify(e.body))
    await tx.store.put({ ...now, refused: why, ...(over && now.kind === 'spell' ? { over } : {}) });
  await tx.done;
  tell('sent');
}

/** Fish kept of what waits here: a bag counts them. */
export const keptOf = (list: Waiting[]): Schemas['KeptBody'][] =>
  list.flatMap((e) =>
    (e.kind === 'spell' ? (e.body.catches ?? []) : []).flatMap((c) =>
      c.kept && e.kind === 'spell'
        ? [
            {
              id: c.id,
              species: c.target ?? e.body.target,
              time: c.caught_at ?? e.body.ended_at,
              ...(c.length_m ? { length_m: c.length_m } : {}),
            },
          ]
        : [],
    ),
  );
