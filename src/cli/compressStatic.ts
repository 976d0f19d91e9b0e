import { readdirSync, statSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const FOLDER = resolve(import.meta.dirname, '../../dist/client');
const TEXT = /\.(js|css|svg|txt|json|html|wasm)$/;
const LEAST_BYTES = 512;
/** From this size on the last step of Brotli takes twenty seconds for one part in twenty. */
const LARGE_BYTES = 1_000_000;

// Every text file that the build made for browsers, compressed once, for the server to hand out.
await Promise.all(
  filesIn(FOLDER)
    .filter((path) => TEXT.test(path) && statSync(path).size >= LEAST_BYTES)
    .map(compress),
);

async function compress(path: string): Promise<void> {
  const bytes = await readFile(path);
  const quality = bytes.length < LARGE_BYTES ? constants.BROTLI_MAX_QUALITY : 9;
  await Promise.all([
    promisify(gzip)(bytes, { level: 9 }).then((packed) => writeFile(`${path}.gz`, packed)),
    promisify(brotliCompress)(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }).then((packed) =>
      writeFile(`${path}.br`, packed),
    ),
  ]);
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));
}
