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
export interface Answered {
  n: number;
  body?: string;
  error?: string;
}

/** The core, started once; what is asked meanwhile waits for it. */
const ready = (async () => {
  await import(/* @vite-ignore */ new URL(executor, self.location.href).href);
  const go = new self.Go();
  const bytes = await (await fetch(program)).arrayBuffer();
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
