import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const FOLDER = resolve(import.meta.dirname, '../../dist/client');
const TEXT = /\.(js|css|svg|txt|json|html|wasm)$/;
const LEAST_BYTES = 512;

// Every text file that the build made for browsers, compressed once, for the server to hand out.
for (const path of filesIn(FOLDER)) {
  if (!TEXT.test(path) || statSync(path).size < LEAST_BYTES) continue;
  const bytes = readFileSync(path);
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }));
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));
}
