import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { v7 } from 'uuid';
import type { Schemas } from '../api/client';
import type { Said, Touch } from '../fish/touch';
import type { Waiting } from './entries';

/** An outing as this device keeps it, beside its touches. */
export interface Kept {
  id: string;
  /** Who is signed in: another user of the browser sees nothing of it. */
  owner: string;
  began: string;
  /** Told the end. */
  over: boolean;
  /** So many touches there are, and so many the server has. */
  count: number;
  sent: number;
  /** The spot's name, for the line that says what is kept. */
  spot: string;
  plan_id?: string;
  /** When somebody who was told is to call. */
  call_at?: string;
}

interface Schema extends DBSchema {
  outings: { key: string; value: Kept; indexes: { owner: string } };
  touches: { key: [string, number]; value: Touch & { outing: string } };
  /** What was last known of a thing, to be read with no signal. */
  known: { key: [string, string]; value: { owner: string; name: string; at: string; value: unknown } };
  /** What the core in the browser needs, as last sent. */
  packs: { key: string; value: Pack };
  /** Entries for the log that the server has not got yet. */
  entries: { key: string; value: Waiting; indexes: { owner: string } };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;

export function db() {
  opened ??= openDB<Schema>('greypebble', 3, {
    upgrade(d, before) {
      if (before < 1) {
        d.createObjectStore('outings', { keyPath: 'id' }).createIndex('owner', 'owner');
        d.createObjectStore('touches', { keyPath: ['outing', 'n'] });
        d.createObjectStore('known', { keyPath: ['owner', 'name'] });
      }
      if (before < 2) d.createObjectStore('packs', { keyPath: 'owner' });
      if (before < 3) d.createObjectStore('entries', { keyPath: 'id' }).createIndex('owner', 'owner');
    },
    // A newer program in another tab wants to change what is kept here: this one opens it anew.
    blocking(_, __, e) {
      (e.target as IDBDatabase).close();
      opened = undefined;
    },
    terminated() {
      opened = undefined;
    },
  });
  return opened;
}

/** Other pages of the program in this browser hear of what was written. */
const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('greypebble');
export function heard(f: () => void): () => void {
  others?.addEventListener('message', f);
  return () => others?.removeEventListener('message', f);
}
const here = new Set<(what?: string) => void>();
export function tell(what: string) {
  others?.postMessage(what);
  for (const f of here) f(what);
}
/** What is kept was changed: by this page, which says how, or by another. */
export function changed(f: (what?: string) => void): () => void {
  here.add(f);
  const not = heard(() => f());
  return () => {
    here.delete(f);
    not();
  };
}

const strictly = { durability: 'strict' } as const;

/**
 * Writes a touch, and the outing it begins, before anybody is told that it is done. Where the outing was cleared
 * away meanwhile, what the page knows of it is written with it.
 */
export async function write(o: Kept, said: Said, time: Date, known: Touch[] = []): Promise<Touch> {
  const tx = (await db()).transaction(['outings', 'touches'], 'readwrite', strictly);
  const outings = tx.objectStore('outings');
  // What another tab wrote meanwhile counts.
  const found = await outings.get(o.id);
  const kept = found ?? o;
  if (!found) for (const t of known) await tx.objectStore('touches').put({ ...t, outing: o.id });
  const touch: Touch = { id: v7(), n: kept.count + 1, time: time.toISOString(), ...said };
  await tx.objectStore('touches').add({ ...touch, outing: o.id });
  await outings.put({
    ...kept,
    count: touch.n,
    over: said.kind === 'end' || (kept.over && said.kind !== 'fish'),
  });
  await tx.done;
  tell('written');
  return touch;
}

const birth = 'born';

/** Names what is kept here: another name says that the browser cleared all of it away since (it wanted the room). */
export async function born(): Promise<string> {
  const tx = (await db()).transaction('known', 'readwrite');
  const there = await tx.store.get(['', birth]);
  const name = (there?.value as string | undefined) ?? v7();
  if (!there) await tx.store.put({ owner: '', name: birth, at: new Date().toISOString(), value: name });
  await tx.done;
  return name;
}

/** Writes an outing again that was cleared away. */
export async function restore(o: Kept, touches: Touch[]): Promise<void> {
  const tx = (await db()).transaction(['outings', 'touches'], 'readwrite', strictly);
  for (const t of touches) await tx.objectStore('touches').put({ ...t, outing: o.id });
  if (!(await tx.objectStore('outings').get(o.id))) await tx.objectStore('outings').put(o);
  await tx.done;
  tell('written');
}

const range = (id: string) => IDBKeyRange.bound([id, 0], [id, Infinity]);

export async function touchesOf(id: string): Promise<Touch[]> {
  const list = await (await db()).getAll('touches', range(id));
  return list.map(({ outing: _, ...t }) => t);
}

export async function outingsOf(owner: string): Promise<Kept[]> {
  const list = await (await db()).getAllFromIndex('outings', 'owner', owner);
  return list.sort((a, b) => a.began.localeCompare(b.began));
}

/**
 * Takes over an outing that another device began, with what the server knows of it. Two devices may have
 * numbered alike: here each touch has a number of its own, in the order they are read in.
 */
export async function adopt(o: Omit<Kept, 'count' | 'sent' | 'over'>, touches: Touch[]): Promise<void> {
  const list = touches
    .toSorted((a, b) => a.n - b.n || a.time.localeCompare(b.time) || a.id.localeCompare(b.id))
    .map((t, i) => ({ ...t, n: i + 1, outing: o.id }));
  const tx = (await db()).transaction(['outings', 'touches'], 'readwrite', strictly);
  for (const t of list) await tx.objectStore('touches').put(t);
  await tx.objectStore('outings').put({ ...o, over: false, count: list.length, sent: list.length });
  await tx.done;
  tell('written');
}

/** How many touches and entries of somebody's the server has not got yet. */
export async function unsent(owner: string): Promise<number> {
  const entries = await (await db()).countFromIndex('entries', 'owner', owner);
  return (await outingsOf(owner)).reduce((n, o) => n + o.count - o.sent, entries);
}

/** The server has so many touches of an outing. One that is over and sent is not needed here any more. */
export async function sent(id: string, n: number): Promise<void> {
  const tx = (await db()).transaction(['outings', 'touches'], 'readwrite', strictly);
  const kept = await tx.objectStore('outings').get(id);
  if (kept) {
    if (kept.over && kept.count <= n) {
      await tx.objectStore('outings').delete(id);
      await tx.objectStore('touches').delete(range(id));
    } else {
      await tx.objectStore('outings').put({ ...kept, sent: Math.max(kept.sent, n) });
    }
  }
  await tx.done;
  tell('sent');
}

export async function remember(owner: string, name: string, value: unknown, at: Date): Promise<void> {
  await (await db()).put('known', { owner, name, at: at.toISOString(), value });
}

export async function recall<T>(owner: string, name: string): Promise<{ at: string; value: T } | undefined> {
  return (await (await db()).get('known', [owner, name])) as { at: string; value: T } | undefined;
}

export async function forget(owner: string, name: string): Promise<void> {
  await (await db()).delete('known', [owner, name]);
}

/** Everything that was last known of these owners' things. */
export async function knownTo(owners: string[]): Promise<Schema['known']['value'][]> {
  return (await (await db()).getAll('known')).filter((k) => owners.includes(k.owner));
}

/** A spell of an outing that a hand changed in the log, and that was told otherwise here. */
export interface Clash {
  outing: string;
  spell: Schemas['ClashOut'];
}
const clashing = 'clash ';

/** Keeps what is to be asked about, until it is. */
export async function clash(owner: string, outing: string, spells: Schemas['ClashOut'][]): Promise<void> {
  for (const spell of spells)
    await remember(owner, clashing + spell.spell_id, { outing, spell } satisfies Clash, new Date());
  if (spells.length > 0) tell('clashes');
}

export async function clashesOf(owner: string): Promise<Clash[]> {
  const list = await (
    await db()
  ).getAll('known', IDBKeyRange.bound([owner, clashing], [owner, `${clashing}\uffff`]));
  return list.map((k) => k.value as Clash);
}

export async function settled(owner: string, spell: string): Promise<void> {
  await forget(owner, clashing + spell);
  tell('clashes');
}

/** Who is signed in, as the page learns it: what is kept is kept for them. */
let whose = '';
let ahead = 0;
export const keepFor = (owner: string, clockAheadMs: number) => {
  whose = owner;
  ahead = clockAheadMs;
};
export const owner = () => whose;
/** How far the server's clock is ahead of the device's, ms. */
export const clockAhead = () => ahead;

/** A part of what the device needs to answer by itself. */
export interface Part {
  name: string;
  mark: string;
  data: string;
}
interface Pack {
  owner: string;
  /** When the server made it. */
  at: string;
  parts: Part[];
}

export async function putParts(owner: string, at: string, parts: Part[]): Promise<void> {
  await (await db()).put('packs', { owner, at, parts });
}

export async function partsOf(owner: string): Promise<{ at?: string; parts: Part[] }> {
  return (await (await db()).get('packs', owner)) ?? { parts: [] };
}

/** Forgets everything: whoever signs out takes it along. What was not sent yet stays, for its owner only. */
export async function wipe(owner: string): Promise<void> {
  const d = await db();
  for (const k of await d.getAllFromIndex('outings', 'owner', owner))
    if (k.count <= k.sent) {
      await d.delete('outings', k.id);
      await d.delete('touches', range(k.id));
    }
  for (const k of await d.getAllKeys('known'))
    if ((k[0] === owner && !k[1].startsWith(clashing)) || (k[0] === '' && k[1] !== birth))
      await d.delete('known', k);
  await d.delete('packs', owner);
  await forgetQueue().catch(() => undefined);
}

/**
 * What the service worker was to send by itself goes with the one who signs out: it is in the outbox too, and
 * sent when they are back.
 */
async function forgetQueue(): Promise<void> {
  const name = 'workbox-background-sync';
  if (!(await indexedDB.databases()).some((d) => d.name === name)) return;
  const queue = await openDB(name);
  if (queue.objectStoreNames.contains('requests')) await queue.clear('requests');
  queue.close();
}
