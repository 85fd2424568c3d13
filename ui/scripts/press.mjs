// Presses a file with Brotli beside itself, as tightly as can be (a fifth smaller than gzip's
// tightest).
import { readFile, writeFile } from 'node:fs/promises';
import { brotliCompressSync, constants } from 'node:zlib';

const path = process.argv[2];
const pressed = brotliCompressSync(await readFile(path), {
  params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_LGWIN]: 22 },
});
await writeFile(`${path}.br`, pressed);
