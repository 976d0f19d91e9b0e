import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';

/** Runs every *.test.ts below the folders named, with Node's own runner, and fails when it ran none. */
const ROOT = resolve(import.meta.dirname, '../..');
const folders = process.argv.slice(2);
const files = folders.flatMap((folder) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(folder, name)),
);
if (files.length === 0) {
  console.error(`no test files below ${folders.join(', ')}`);
  process.exit(1);
}
const run = spawnSync(
  process.execPath,
  ['--import', 'tsx', '--test', '--test-concurrency=2', '--test-reporter=spec', ...files.sort()],
  {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    maxBuffer: 64 * 1024 * 1024,
  },
);
process.stdout.write(run.stdout);
const passed = Number(/ℹ pass (\d+)/.exec(run.stdout)?.[1] ?? 0);
if (passed === 0) console.error('no test was executed');
process.exit(run.status !== 0 || passed === 0 ? 1 : 0);
