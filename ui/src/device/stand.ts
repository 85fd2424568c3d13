import { askAgain, standIn, type Asked } from '../api/client';
import { answerOf, loadPack } from './pack';
import { forget, knownTo, owner, recall, remember } from './device';

/** Questions whose last answer is kept for when there is no signal to ask again. */
const keptOnes = [
  /^\/v1\/(me|readings\/kinds|ground\/words|spots|targets|playbook|kit|limits|waters|plans|ahead|outlook|seasons|knots|chart|bylaws)$/,
  /^\/v1\/ahead\/windows$/,
  /^\/v1\/(spots|waters|plans|trials)\/[^/]+$/,
  /^\/v1\/spots\/[^/]+\/(month|tide|pier)$/,
  /^\/v1\/plans\/[^/]+\/sheet$/,
  /^\/v1\/rigs\/[^/]+\/card$/,
  /^\/v1\/waters\/[^/]+\/grid\.bin$/,
  /^\/v1\/(spells|sightings|trials)$/,
];
/** Nobody's: they are asked before it is known who is there. */
const nobodys = /^\/v1\/(me|readings\/kinds|ground\/words)$/;
/** Questions the core in the browser answers by itself. */
const workedOut =
  /^\/v1\/(advise(\/compare)?|edge|keep|day-card|care(\/ice|\/live-bait)?|conditions|ahead(\/windows)?|spots\/[^/]+\/(state|ribbon|elsewhere|visits))$/;

/** What questions and answers look like in this program: a mark of its API document. */
declare const __API__: string;

interface KeptAnswer {
  type: string;
  body: ArrayBuffer;
  /** As it was asked, and of which API; one of before these were kept has neither. */
  query?: string;
  api?: string;
}

const ownerOf = (path: string) => (nobodys.test(path) ? '' : owner());
/** A question goes by its address; when it was asked about matters to nobody who has no signal. */
function nameOf(asked: Asked): string {
  const query = new URLSearchParams(asked.query);
  for (const moving of ['time', 'from', 'to']) query.delete(moving);
  return `${asked.path}?${query}`;
}

/** Whether the server was heard at the last question. */
let heard = true;
const listeners = new Set<() => void>();
function hear(now: boolean) {
  if (heard === now) return;
  heard = now;
  for (const l of listeners) l();
}
export const signal = {
  subscribe: (f: () => void) => {
    listeners.add(f);
    return () => void listeners.delete(f);
  },
  /** There is no signal, as far as the last question tells. */
  lost: () => !heard,
};

/** The page asks through this from now on: what is answered is kept, and with no signal the device answers. */
export function standReady() {
  standIn({
    came(asked, response) {
      hear(true);
      if (asked.method !== 'GET' || response.status !== 200 || !keptOnes.some((k) => k.test(asked.path)))
        return;
      const whose = ownerOf(asked.path);
      const type = response.headers.get('Content-Type') ?? '';
      // That it cannot be kept (no room, a private window) is no reason not to show it.
      void response
        .arrayBuffer()
        .then((body) => {
          const { query } = asked;
          return remember(
            whose,
            nameOf(asked),
            { type, body, query, api: __API__ } satisfies KeptAnswer,
            new Date(),
          );
        })
        .catch(() => undefined);
    },
    async answer(asked) {
      hear(false);
      if (workedOut.test(asked.path)) {
        // What cannot be worked out for want of a pack, or by one of another program, may have been answered before.
        if (await loadPack(owner()).catch(() => false)) return answerOf(asked);
      }
      if (asked.method !== 'GET') return undefined;
      const known = await recall<KeptAnswer>(ownerOf(asked.path), nameOf(asked)).catch(() => undefined);
      if (!known) return undefined;
      const { type, body } = known.value;
      return new Response(asked.path === '/v1/me' ? wentOn(body, known.at) : body, {
        headers: { 'Content-Type': type },
      });
    },
  });
}

/**
 * Asks for anew what an older program kept: a page of this one may look for what was not in it yet. What the
 * server has no answer to any more is forgotten.
 */
export async function renewKept(): Promise<void> {
  for (const { owner: whose, name, value } of await knownTo(['', owner()])) {
    const [path, query] = name.split('?', 2);
    const kept = value as Partial<KeptAnswer> | undefined;
    if (!path?.startsWith('/v1/') || !kept?.body || kept.api === __API__) continue;
    if (whose !== '' && whose !== owner()) return;
    const response = await askAgain(path, kept.query ?? query ?? '');
    if (!heard) return;
    if (response.status === 404 || response.status === 422) await forget(whose, name);
  }
}

/** The server's clock went on since it was last heard. */
function wentOn(me: ArrayBuffer, keptAt: string): string {
  const who = JSON.parse(new TextDecoder().decode(me)) as { now: string };
  const now = Date.parse(who.now) + Date.now() - Date.parse(keptAt);
  return JSON.stringify({ ...who, now: new Date(now).toISOString() });
}
