import { api, Problem } from '../api/client';
import { clash, outingsOf, sent, touchesOf, unsent } from '../device/device';

/** How sending stands. */
export interface Post {
  /** Touches the server has not got yet. */
  waiting: number;
  /** Why the last attempt failed; 0 is no signal. */
  failed?: { status: number; message: string };
}

const soonest = 2_000;
const latest = 120_000;

/** Sends what is kept, outing by outing, in order; begun again with back-off, and whenever signal comes. */
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
    let failed: Post['failed'];
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
          failed =
            e instanceof Problem
              ? { status: e.status, message: e.message }
              : { status: 0, message: String(e) };
          // With no signal, or signed out, the others fare the same; what is refused holds up only itself.
          if (failed.status === 0 || failed.status === 401 || failed.status >= 500) break;
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
