import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';

interface CruiseResult {
  modules: unknown[];
  summary: { violations: { from: string; to: string; rule: { name: string } }[]; totalCruised: number };
}

const ROOT = resolve(import.meta.dirname, '../..');
const FEWEST_MODULES = 100;

/** Reads which module imports which, below a folder, and gives what breaks the rules. */
function cruise(folder: string): CruiseResult {
  const run = spawnSync('npx', ['depcruise', folder, '--config', '.dependency-cruiser.cjs', '--output-type', 'json'], {
    cwd: ROOT,
    encoding: 'utf8',
    maxBuffer: 256 * 1024 * 1024,
  });
  if (!run.stdout.trim().startsWith('{')) throw new Error(`dependency-cruiser gave no answer: ${run.stderr}`);
  return JSON.parse(run.stdout) as CruiseResult;
}

/** dependency-cruiser does not read .astro files; their imports are looked through here. */
function pagesThatReachPastServices(): string[] {
  const pages = readdirSync(resolve(ROOT, 'src'), { recursive: true, encoding: 'utf8' }).filter((path) =>
    path.endsWith('.astro'),
  );
  return pages.filter((path) =>
    /from '[^']*server\/db\/(models|tables|migrations|repositories)/.test(
      readFileSync(resolve(ROOT, 'src', path), 'utf8'),
    ),
  );
}

const fixture = cruise('tests/tools/violating/src').summary.violations;
if (!fixture.some(({ from, rule }) => from.endsWith('core/reachesOut.ts') && rule.name === 'core-alone')) {
  console.error('boundaries: the violating fixture was not caught, so the check cannot be trusted');
  process.exit(1);
}
const { modules, summary } = cruise('src');
const own = modules.length;
if (own < FEWEST_MODULES) {
  console.error(`boundaries: only ${own} modules were read`);
  process.exit(1);
}
const pages = pagesThatReachPastServices();
for (const page of pages) console.error(`boundaries: pages-ask-services: ${page} imports from src/server/db`);
for (const { rule, from, to } of summary.violations) console.error(`boundaries: ${rule.name}: ${from} → ${to}`);
console.log(
  `boundaries: ${own} modules read, ${summary.violations.length} violations; the violating fixture was caught`,
);
process.exit(summary.violations.length + pages.length > 0 ? 1 : 0);
