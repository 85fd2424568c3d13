/// <reference lib="webworker" />
import executor from './built/wasm_exec.js?url';
import program from './built/core.wasm?url';

/** What the program puts into its worker. */
declare const self: DedicatedWorkerGlobalScope & {
  Go: new () => { importObject: WebAssembly.Imports; run: (i: WebAssembly.Instance) => Promise<void> };
  greyPebble: (name: string, asked: string) => string | Error;
};

export interface Asked {
  n: number;
  name: string;
  body: string;
}
/** How much of the core has come, 0 to 1. */
export interface Coming {
  here: number;
}
export interface Answered {
  n: number;
  body?: string;
  error?: string;
}

/** The whole of a file, told on the way: how much of it is here, of how much. */
async function fetched(response: Response): Promise<Uint8Array<ArrayBuffer>> {
  const whole = Number(response.headers.get('X-Whole-Length'));
  if (!response.body || !whole) return new Uint8Array(await response.arrayBuffer());
  const reader = response.body.getReader();
  const bytes = new Uint8Array(whole);
  let here = 0;
  for (let told = 0; ;) {
    const { done, value } = await reader.read();
    if (done) return bytes.subarray(0, here);
    bytes.set(value, here);
    here += value.length;
    if (here - told > whole / 50) {
      told = here;
      self.postMessage({ here: here / whole } satisfies Coming);
    }
  }
}

/** The core, started once; what is asked meanwhile waits for it. */
const ready = (async () => {
  await import(/* @vite-ignore */ new URL(executor, self.location.href).href);
  const go = new self.Go();
  const bytes = await fetched(await fetch(program));
  const { instance } = await WebAssembly.instantiate(bytes, go.importObject);
  void go.run(instance);
})();

self.onmessage = async ({ data }: MessageEvent<Asked>) => {
  const answer = (a: Omit<Answered, 'n'>) => self.postMessage({ n: data.n, ...a } satisfies Answered);
  try {
    await ready;
    const body = self.greyPebble(data.name, data.body);
    answer(typeof body === 'string' ? { body } : { error: body.message });
  } catch (e) {
    answer({ error: e instanceof Error ? e.message : String(e) });
  }
};
