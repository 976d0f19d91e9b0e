import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'vite';
import playwrightConfig from '../../playwright.config.ts';
import { doableNow, type FeasibleActivity, mostUsefulThings } from '../../src/core/homes/index.ts';
import { seededChance } from '../../src/core/chance.ts';
import { scoreTerm, type TermPlanInput } from '../../src/core/terms/termPlan.ts';
import { searchTerm } from '../../src/core/terms/termSearch.ts';
import { planOnTwoCores } from '../../src/solver/planOnTwoCores.ts';

type Report = (name: string, text: string) => void;

const THINGS = 300;
const ACTIVITIES = 2000;
const SKILLS = 35;

/** A shelf of random activities, each with up to four needs of one to three things. */
export function randomShelf(seed: number, activities = ACTIVITIES, things = THINGS) {
  const chance = seededChance(seed);
  const below = (count: number) => Math.floor(chance() * count);
  const key = (index: number) => `thing-${index}`;
  const list: FeasibleActivity[] = Array.from({ length: activities }, (_, index) => ({
    key: `activity-${index}`,
    title: `Activity ${index}`,
    skills: Array.from({ length: 1 + below(3) }, () => `skill-${below(SKILLS)}`),
    setupMinutes: below(5),
    needs: Array.from({ length: below(5) }, (__, need) => ({
      id: `n${need}`,
      segment: `activity-${index}`,
      qty: 1 + below(6),
      use: 'lasting' as const,
      options: Array.from({ length: 1 + below(3) }, (___, option) => ({
        item: key(below(things)),
        fit: 1 - option * 0.2,
        minMonths: 0,
      })),
    })),
  }));
  return {
    activities: list,
    things: Array.from({ length: things }, (_, index) => ({ key: key(index), usualQty: 4 + below(10) })),
  };
}

/** What can be done with half of 300 things out of 2,000 activities, and the best three things, against slow versions. */
export function finding(report: Report): void {
  const { activities, things } = randomShelf(11);
  const stock = things.filter((_, index) => index % 2 === 0).map(({ key, usualQty }) => ({ item: key, qty: usualQty }));
  const times = Array.from({ length: 15 }, () => timed(() => doableNow(activities, stock, 48))[0]).sort(
    (a, b) => a - b,
  );
  const [slow, slowCount] = timed(() => doableSlowly(activities, stock));
  const found = doableNow(activities, stock, 48).length;
  if (found !== slowCount) throw new Error(`what we have: ${found} against ${slowCount} by the slow version`);
  report(
    'what we have, 2,000 and 300',
    `median ${times[7]!.toFixed(1)} ms, slowest of 15 ${times[14]!.toFixed(1)} ms; every assignment of things tried: ${slow.toFixed(1)} ms (ratio ${(slow / times[7]!).toFixed(1)}), the same ${found}`,
  );
  const [quick, basket] = timed(() => mostUsefulThings(activities, things, 48));
  const small = randomShelf(12, 300, 40);
  const [quickSmall, smallBasket] = timed(() => mostUsefulThings(small.activities, small.things, 48));
  const [slowSmall, most] = timed(() => basketSlowly(small));
  if (most !== smallBasket.skills.length) throw new Error('the basket and the slow version disagree');
  report(
    'basket of three, 300 things',
    `${quick.toFixed(0)} ms, ${basket.skills.length} skills; on 40 things ${(slowSmall / quickSmall).toFixed(0)} times as quick as trying every three one by one, with the same answer`,
  );
}

/** The same in Chromium, where an author waits for it: the core's own code, bundled as it is for the application. */
export async function findingInBrowser(report: Report): Promise<void> {
  const { activities, things } = randomShelf(11);
  const stock = things.filter((_, index) => index % 2 === 0).map(({ key, usualQty }) => ({ item: key, qty: usualQty }));
  const built = await build({
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      lib: { entry: join(import.meta.dirname, 'shelfSearchPage.ts'), formats: ['iife'], name: 'bench' },
    },
  });
  if (!Array.isArray(built)) throw new Error('the bundle was not built');
  const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
  const page = await browser.newPage();
  await page.addScriptTag({ content: built[0]!.output[0].code });
  const [times, basketMs] = await page.evaluate(timeInPage, { activities, things, stock });
  const sorted = times.sort((left, right) => left - right);
  const found = doableNow(activities, stock, 48).length;
  report(
    'the same in the browser',
    `what we have median ${sorted[7]!.toFixed(1)} ms, slowest of 15 ${sorted[14]!.toFixed(1)} ms (${found} found); basket ${basketMs.toFixed(0)} ms`,
  );
  await browser.close();
}

/** Runs in the page, so it is one function. */
function timeInPage({
  activities,
  things,
  stock,
}: ReturnType<typeof randomShelf> & { stock: readonly { item: string; qty: number }[] }): [number[], number] {
  const { finding: core } = globalThis as unknown as {
    finding: { doableNow: typeof doableNow; bestBasket: typeof mostUsefulThings };
  };
  const times: number[] = [];
  for (let round = 0; round < 15; round++) {
    const began = performance.now();
    core.doableNow(activities, stock, 48);
    times.push(performance.now() - began);
  }
  const began = performance.now();
  core.bestBasket(activities, things, 48);
  return [times, performance.now() - began];
}

/** How random terms are made: the ordinary way, and with more skills and odder minutes, which is harder to plan. */
const KINDS = {
  ordinary: { skills: 12, minutes: (below: (count: number) => number) => 15 + 5 * below(4) },
  hard: { skills: 30, minutes: (below: (count: number) => number) => 12 + below(24) },
} as const;

/** Random terms at both sizes: seconds, and how far from the proved bound; the search alone beside it. */
export async function termPlans(report: Report): Promise<void> {
  for (const [slots, activities, seeds] of [
    [12, 40, [1, 2, 3, 4, 5, 6, 7, 8]],
    [36, 120, [1, 2, 3]],
  ] as const)
    for (const kind of ['ordinary', 'hard'] as const) {
      const times: number[] = [];
      const gaps: number[] = [];
      const alone: number[] = [];
      for (const seed of seeds) {
        const input = randomTerm({ seed, slots, activities, kind });
        const began = performance.now();
        const plan = await planOnTwoCores(input, { seconds: 11, gap: 0 });
        times.push((performance.now() - began) / 1000);
        if (!plan.ok) throw new Error('a random term did not fit');
        const { score, bound } = plan.value;
        gaps.push(((bound - score) / bound) * 100);
        const searched = searchTerm(input, { seed: 1 });
        alone.push(((bound - (searched ? scoreTerm(input, searched).score : 0)) / bound) * 100);
      }
      const list = (values: readonly number[], digits: number) =>
        values.map((value) => value.toFixed(digits)).join(' ');
      report(
        `terms of ${slots} and ${activities}, ${kind}`,
        `seconds ${list(times, 1)}; % below the proved bound ${list(gaps, 2)}; by the search alone ${list(alone, 2)}`,
      );
    }
}

export function randomTerm({
  seed,
  slots,
  activities,
  kind,
}: {
  seed: number;
  slots: number;
  activities: number;
  kind: keyof typeof KINDS;
}): TermPlanInput {
  const chance = seededChance(seed * 977);
  const below = (count: number) => Math.floor(chance() * count);
  const { skills: skillCount, minutes } = KINDS[kind];
  const themes = Array.from({ length: 8 }, (_, index) => `theme-${index}`);
  const skills = Array.from({ length: skillCount }, (_, index) => `skill-${index}`);
  return {
    slots: Array.from({ length: slots }, (_, index) => ({
      id: `w${index}`,
      minutes: minutes(below),
      theme: themes[below(8)]!,
      light: chance() < 0.2,
    })),
    activities: Array.from({ length: activities }, (_, index) => ({
      id: `a${index}`,
      skills: [...new Set(Array.from({ length: 1 + below(3) }, () => skills[below(skillCount)]!))],
      minutes: 4 + below(11),
      effort: 1 + below(3),
      themes: [...new Set(Array.from({ length: below(3) }, () => themes[below(8)]!))],
      after: index > 0 && chance() < 0.15 ? [`a${below(index)}`] : [],
    })),
    targets: Object.fromEntries(skills.map((skill) => [skill, 1 + below(Math.max(2, slots / 3))])),
    perSlot: [1, 3],
    repeat: 2,
    rest: 2,
  };
}

function doableSlowly(
  activities: readonly FeasibleActivity[],
  stock: readonly { item: string; qty: number }[],
): number {
  const tryNeeds = (needs: FeasibleActivity['needs'], left: ReadonlyMap<string, number>): boolean => {
    const [need, ...others] = needs;
    if (!need) return true;
    return need.options.some(({ item }) => {
      const has = left.get(item) ?? 0;
      return has >= need.qty && tryNeeds(others, new Map(left).set(item, has - need.qty));
    });
  };
  const all = new Map(stock.map(({ item, qty }) => [item, qty]));
  return activities.filter(({ needs }) => tryNeeds(needs, all)).length;
}

function basketSlowly({ activities, things }: ReturnType<typeof randomShelf>): number {
  const usual = new Map(things.map(({ key, usualQty }) => [key, usualQty]));
  const opens = ({ needs }: FeasibleActivity, basket: readonly string[]) =>
    needs.length > 0 &&
    needs.every(({ qty, options }) => options.some(({ item }) => basket.includes(item) && usual.get(item)! >= qty));
  let most = 0;
  for (let one = 0; one < things.length; one++)
    for (let two = one + 1; two < things.length; two++)
      for (let three = two + 1; three < things.length; three++) {
        const basket = [one, two, three].map((index) => things[index]!.key);
        const skills = new Set(
          activities.filter((activity) => opens(activity, basket)).flatMap((activity) => activity.skills),
        );
        most = Math.max(most, skills.size);
      }
  return most;
}

function timed<Value>(work: () => Value): [ms: number, value: Value] {
  const began = performance.now();
  const value = work();
  return [performance.now() - began, value];
}
