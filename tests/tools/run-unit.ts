import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { stopSharedCluster } from '../support/cluster.ts';
import { bundleTests } from './bundleTests.ts';

/**
 * Runs every *.test.ts below the folders named (or a file that is named itself), with Node's own runner, and fails when it ran none.
 * `--together` puts files into a few processes: starting one costs more than most of them take. Only for tests that share nothing.
 * `--at-once=N` runs so many processes at a time; those that wait for others may be more than there are cores.
 */
const ROOT = resolve(import.meta.dirname, '../..');
const options = process.argv.slice(2).filter((word) => word.startsWith('--'));
const folders = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const atOnce = Number(options.find((word) => word.startsWith('--at-once='))?.split('=')[1] ?? 2);
const GROUPS = 6;
/** A file that waits for what never comes fails after so long, instead of holding up everything behind it. */
const LONGEST_MS = (process.env.FOOTSTOOL_SOAK ? 60 : 6) * 60_000;
const files = folders.flatMap((folder) =>
  folder.endsWith('.test.ts')
    ? [join(ROOT, folder)]
    : readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
        .filter((name) => name.endsWith('.test.ts'))
        .map((name) => join(ROOT, folder, name)),
);
if (files.length === 0) {
  console.error(`no test files below ${folders.join(', ')}`);
  process.exit(1);
}
// Among the packages, so that they are found from it.
const bundles = join(ROOT, `node_modules/.cache/footstool-tests-${process.pid}`);
const built = await bundleTests(files, { root: ROOT, folder: bundles });
const scratch = mkdtempSync(join(tmpdir(), 'footstool-unit-'));
// PostgreSQL's own user works in it.
chmodSync(scratch, 0o755);
const entries = options.includes('--together') ? grouped() : built.sort();
const run = spawnSync(
  process.execPath,
  [
    '--enable-source-maps',
    '--test',
    `--test-concurrency=${atOnce}`,
    '--test-reporter=spec',
    `--test-timeout=${LONGEST_MS}`,
    ...entries,
  ],
  {
    cwd: ROOT,
    // Kept by the caller where further tests use them.
    env: { FOOTSTOOL_TEST_TEMPLATES: scratch, ...process.env, FOOTSTOOL_MS_TO_CONNECT: '20000' },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    maxBuffer: 64 * 1024 * 1024,
  },
);
await stopSharedCluster(scratch);
for (const folder of [scratch, bundles]) rmSync(folder, { recursive: true, force: true });
process.stdout.write(run.stdout);
const passed = Number(/ℹ pass (\d+)/.exec(run.stdout)?.[1] ?? 0);
if (passed === 0) console.error('no test was executed');
process.exit(run.status !== 0 || passed === 0 ? 1 : 0);

/** Modules that import a part of the files each, the longest files spread over them. */
function grouped(): string[] {
  const bySize = files
    .map((file, index) => ({ file: built[index]!, size: statSync(file).size }))
    .sort((one, other) => other.size - one.size);
  return Array.from({ length: Math.min(GROUPS, files.length) }, (_, group) => {
    const mine = bySize.filter((__, index) => index % GROUPS === group);
    const entry = join(scratch, `group-${group + 1}.test.mjs`);
    writeFileSync(
      entry,
      mine.map(({ file }) => `await import(${JSON.stringify(pathToFileURL(file).href)});\n`).join(''),
    );
    return entry;
  });
}
