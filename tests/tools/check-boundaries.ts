import { spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
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
  return pages.filter((path) => /from '[^']*server\/db\//.test(readFileSync(resolve(ROOT, 'src', path), 'utf8')));
}

const rules = createRequire(import.meta.url)(resolve(ROOT, '.dependency-cruiser.cjs')) as {
  forbidden: { name: string }[];
};
const caught = new Set(cruise('tests/tools/violating/src').summary.violations.map(({ rule }) => rule.name));
const asleep = rules.forbidden.filter(({ name }) => !caught.has(name));
for (const { name } of asleep) console.error(`boundaries: nothing in tests/tools/violating was caught by ${name}`);
if (asleep.length > 0) process.exit(1);
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
  `boundaries: ${own} modules read, ${summary.violations.length} violations; each of ${rules.forbidden.length} rules was seen to catch its fixture`,
);
process.exit(summary.violations.length + pages.length > 0 ? 1 : 0);
