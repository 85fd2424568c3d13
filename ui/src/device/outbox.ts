import { clashOf } from '../api/clash';
import { api, Problem } from '../api/client';
import { clash, outingsOf, sent, touchesOf, unsent } from './device';
import { dropEntry, entriesOf, keepEntry, refuseEntry, type Waiting } from './entries';
import { entry as say } from '../words/entry';

/** How sending stands. */
export interface Post {
  /** Touches and entries the server has not got yet. */
  waiting: number;
  /** Why the last attempt failed; 0 is no signal. */
  failed?: { status: number; message: string };
}

const soonest = 2_000;
const latest = 120_000;

/** What went wrong with one; with no signal, or signed out, the others fare the same. */
function failure(e: unknown): NonNullable<Post['failed']> & { all: boolean } {
  const { status, message } = e instanceof Problem ? e : { status: 0, message: String(e) };
  return { status, message, all: status === 0 || status === 401 || status >= 500 };
}

const put = (e: Waiting): Promise<unknown> =>
  e.kind === 'spell'
    ? api.putSpell(e.id, e.body)
    : e.kind === 'sighting'
      ? api.putSighting(e.id, e.body)
      : api.putBlock(e.trial, e.id, e.body);

/**
 * Sends one that waited. A block is touched many times: where the answer to an earlier touch was lost, what this device
 * has is what the block came to.
 */
async function putWaiting(e: Waiting) {
  try {
    await put(e);
  } catch (x) {
    if (e.kind !== 'block' || !(x instanceof Problem) || x.status !== 409) throw x;
    const stands = (await api.trial(e.trial)).blocks.find((b) => b.id === e.id);
    if (!stands) throw x;
    await put({ ...e, body: { ...e.body, revision: stands.revision } });
  }
}

/**
 * Sends an entry, or keeps it here where the server is not heard (or does not know who one is any more): true where
 * it has it. What it refuses, and what cannot be kept, is thrown.
 */
export async function sendOrKeep(e: Waiting): Promise<boolean> {
  try {
    await put(e);
  } catch (x) {
    if (!failure(x).all) throw x;
    try {
      await keepEntry(e);
    } catch (full) {
      throw new Error(say.notKept(full instanceof Error ? full.message : String(full)), { cause: full });
    }
    return false;
  }
  // It may have waited here before it was changed.
  await dropEntry(e.id).catch(() => undefined);
  return true;
}

/**
 * Sends what is kept, outing by outing, in order, then entry by entry; begun again with back-off, and whenever signal
 * comes.
 */
export class Outbox {
  #owner: string;
  #told: (p: Post) => void;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #wait = soonest;
  #busy = false;
  #again = false;
  #sentAny: () => void;
  #clock: () => Date;

  constructor(owner: string, clock: () => Date, told: (p: Post) => void, sentAny: () => void) {
    this.#owner = owner;
    this.#clock = clock;
    this.#told = told;
    this.#sentAny = sentAny;
    window.addEventListener('online', this.now);
  }

  stop() {
    clearTimeout(this.#timer);
    window.removeEventListener('online', this.now);
    this.#told = () => undefined;
  }

  now = () => {
    this.#wait = soonest;
    void this.#send();
  };

  async #send() {
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    clearTimeout(this.#timer);
    let failed: ReturnType<typeof failure> | undefined;
    let any = false;
    try {
      for (const o of await outingsOf(this.#owner)) {
        if (o.count <= o.sent) continue;
        const touches = await touchesOf(o.id);
        try {
          const told = await api.putOuting(o.id, {
            touches,
            answered: o.sent,
            angler: this.#owner,
            sent_at: this.#clock().toISOString(),
            ...(o.plan_id ? { plan_id: o.plan_id } : {}),
            ...(o.call_at ? { call_at: o.call_at } : {}),
          });
          // Kept before it counts as sent: it is asked about, whatever happens to this page.
          await clash(this.#owner, o.id, told.clashes);
          await sent(o.id, touches.length);
          any = true;
        } catch (e) {
          failed = failure(e);
          // What is refused holds up only itself.
          if (failed.all) break;
        }
      }
      for (const e of await entriesOf(this.#owner)) {
        if (failed?.all) break;
        if (e.refused) continue;
        try {
          await putWaiting(e);
          await dropEntry(e.id);
          any = true;
        } catch (x) {
          failed = failure(x);
          const clash = e.kind === 'spell' && clashOf(x, e.body);
          if (clash) await refuseEntry(e, clash.says, clash.over);
          else if (!failed.all) await refuseEntry(e, failed.message);
        }
      }
      const waiting = await unsent(this.#owner);
      this.#told(failed ? { waiting, failed } : { waiting });
      if (any) this.#sentAny();
    } finally {
      this.#busy = false;
    }
    if (this.#again) {
      this.#again = false;
      void this.#send();
      return;
    }
    if (failed) {
      this.#timer = setTimeout(() => void this.#send(), this.#wait);
      this.#wait = Math.min(2 * this.#wait, latest);
    }
  }
}
