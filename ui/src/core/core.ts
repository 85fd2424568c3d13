import type { Answered, Asked, Coming } from './worker';

/** Questions to the core in the browser: it answers as the server does, with no signal too. */
let worker: Worker | undefined;
let last = 0;
const waiting = new Map<number, { resolve: (body: string) => void; reject: (e: Error) => void }>();

/** How much of the core is here, 0 to 1: it comes when it is first asked. */
let come = 0;
const watching = new Set<() => void>();
export const coming = {
  subscribe: (f: () => void) => {
    watching.add(f);
    return () => void watching.delete(f);
  },
  share: () => come,
};

/** Fetches the core before it is asked anything. */
export const warm = () => void started();

function started(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<Answered | Coming>) => {
    if ('here' in data) {
      come = data.here;
      for (const l of watching) l();
      return;
    }
    come = 1;
    const w = waiting.get(data.n);
    waiting.delete(data.n);
    if (data.body !== undefined) w?.resolve(data.body);
    else w?.reject(new Error(data.error));
  };
  worker.onerror = (e) => {
    // It is begun anew at the next question.
    worker = undefined;
    for (const w of waiting.values()) w.reject(new Error(e.message));
    waiting.clear();
  };
  return worker;
}

export async function ask<T>(name: string, body: unknown): Promise<T> {
  const n = ++last;
  const answer = new Promise<string>((resolve, reject) => waiting.set(n, { resolve, reject }));
  started().postMessage({ n, name, body: JSON.stringify(body) } satisfies Asked);
  return JSON.parse(await answer) as T;
}
