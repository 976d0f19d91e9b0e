import { authorMakers } from '../../src/messages/authorMakers.ts';
import { regenerateIn } from '../../src/core/makers/index.ts';
import { composeSession } from '../../src/core/guide/index.ts';
import { applyEdit } from '../../src/core/session/index.ts';
import { judgeSession } from '../../src/core/checks/index.ts';
import { USUAL_POLICY } from '../../src/core/cautions/index.ts';
import { chooseSwaps, type SwapsInput } from '../../src/core/materials/swaps.ts';
import { edgeOfServer } from './edge.ts';
import { gamePlays } from './games.ts';
import { wordsOfLines } from './words.ts';
import { typingInALine } from './typing.ts';
import { dialOfTwelveParts } from './dialInPage.ts';
import { coinCounting, dialToPicture } from './makers.ts';
import { finding, findingInBrowser, termPlans } from './shelfSearch.ts';
import { readBenchFixture } from './fixture.ts';
import { pagesWithManyHomes } from './pages.ts';
import { printSets } from './tray.ts';

/** Speed as ratios in one run: each figure stands beside the baseline it is measured against. */
const report = (name: string, text: string) => console.log(`${name.padEnd(34)} ${text}`);

if (!process.argv.includes('--core')) await edgeOfServer(report);
swapsAgainstBruteForce();
fittingBeyondProof();
benchRecomputation(12);
benchRecomputation(300);
finding(report);
if (!process.argv.includes('--core')) await findingInBrowser(report);
coinCounting(report);
gamePlays(report);
wordsOfLines(report);
if (!process.argv.includes('--core')) await printSets(report);
if (!process.argv.includes('--core')) {
  await pagesWithManyHomes(report);
  await typingInALine(report);
  await dialToPicture(report);
  await dialOfTwelveParts(report);
}
if (!process.argv.includes('--quick')) await termPlans(report);

function swapsAgainstBruteForce(): void {
  const sizes = [3, 4, 5, 6, 7, 8, 9, 10, 11];
  let largest = 0;
  let ratio = 0;
  for (const needs of sizes) {
    const input = randomSwaps(needs, 5, 4, needs);
    const [slow, slowFit] = timed(() => bruteForce(input));
    const [quick, answer] = timed(() => chooseSwaps(input));
    if (slowFit.covered !== answer.covered || Math.abs(slowFit.fit - answer.fit) > 1e-3)
      throw new Error('the solver and brute force disagree');
    [largest, ratio] = [needs, slow / quick];
    if (slow > 1500) break;
  }
  report(
    'swaps against brute force',
    `at ${largest} needs of 4 options the solver is ${Math.round(ratio)} times as quick, with the same answer`,
  );
  const times = Array.from(
    { length: 50 },
    (_, seed) => timed(() => chooseSwaps(randomSwaps(12, 200, 200, seed + 100)))[0],
  ).sort((left, right) => left - right);
  report(
    'swaps, 12 needs and 200 things',
    `median ${times[25]!.toFixed(1)} ms, slowest of 50 ${times[49]!.toFixed(1)} ms`,
  );
}

/** More needs than are shared out exactly, over four things that do not reach: the best of a fixed number of steps. */
function fittingBeyondProof(): void {
  const stock = Array.from({ length: 4 }, (_, item) => ({ item: `i${item}`, qty: 70 + item }));
  const fit = (needs: number, seed: number) =>
    timed(() => chooseSwaps({ ...randomSwaps(needs, 4, 12, seed), stock }))[0];
  const median = (needs: number) =>
    Array.from({ length: 21 }, (_, seed) => fit(needs, seed + 7)).sort((one, other) => one - other)[10]!;
  const [fourteen, many] = [median(14), median(36)];
  report(
    'a fit over 4 scarce things',
    `36 needs take ${many.toFixed(0)} ms, ${(many / Math.max(0.01, fourteen)).toFixed(0)} times as long as 14 that are proved (${fourteen.toFixed(1)} ms)`,
  );
}

/** A dial of twelve segments is turned: what the page does itself in its frame, and what a worker does meanwhile for the homes. */
function benchRecomputation(homeCount: number): void {
  const { session, things, homes: twelve } = readBenchFixture(12);
  const homes = Array.from({ length: homeCount }, (_, index) => twelve[index % twelve.length]!);
  const against = { things, homes, policy: USUAL_POLICY, decisions: [], seatedMinutesPerYear: 3 };
  const dial = session.segments.find(({ dials }) => dials.length > 0)!;
  const turned = (value: number) => {
    const edit = { do: 'turn-dial', segment: dial.id, dial: dial.dials[0]!.name, value } as const;
    const edited = applyEdit(session, edit, regenerateIn(authorMakers));
    if (!edited.ok) throw new Error('the dial was refused');
    return edited.value;
  };
  const ofPage = (value: number) =>
    composeSession(turned(value), things, { seatedMinutesPerYear: 3, youngestMonths: 36 }).segments.length;
  const ofWorker = (value: number) => judgeSession(turned(value), against).findings.length;
  const [page, worker] = [ofPage, ofWorker].map((turn) => {
    for (let round = 0; round < 20; round++) turn(2 + (round % 4));
    const rounds = homeCount > 100 ? 40 : 200;
    return Array.from({ length: rounds }, (_, round) => timed(() => turn(2 + (round % 4)))[0]).sort(
      (left, right) => left - right,
    );
  }) as [number[], number[]];
  const frames = (times: number[], part: number) =>
    (times[Math.min(times.length - 1, Math.floor(times.length * part))]! / 16).toFixed(3);
  report(
    `a dial of 12 segments, ${homes.length} homes`,
    `the page: ${frames(page, 0.5)} frames of 16 ms, 99th of 100 ${frames(page, 0.99)}; the worker: ${frames(worker, 0.5)} and ${frames(worker, 0.99)}`,
  );
}

function timed<Value>(work: () => Value): [number, Value] {
  const began = performance.now();
  const value = work();
  return [performance.now() - began, value];
}

function randomSwaps(needs: number, items: number, options: number, seed: number): SwapsInput {
  let state = seed * 7919 + 17;
  const next = (below: number) => (state = (state * 1103515245 + 12345) % 2147483648) % below;
  return {
    youngestMonths: 30,
    needs: Array.from({ length: needs }, (_, index) => ({
      id: `n${index}`,
      segment: `s${next(3)}`,
      qty: 1 + next(15),
      use: next(2) ? 'lasting' : 'used-up',
      options: [...new Set(Array.from({ length: options }, () => next(items)))].map((item) => ({
        item: `i${item}`,
        fit: next(100) / 100,
      })),
    })),
    stock: Array.from({ length: items }, (_, item) => ({ item: `i${item}`, qty: next(30) })),
  };
}

function bruteForce({ needs, stock }: SwapsInput): { covered: number; fit: number } {
  const available = new Map(stock.map(({ item, qty }) => [item, qty]));
  let best = { covered: 0, fit: 0 };
  const picked: (string | null)[] = [];
  const visit = (index: number, covered: number, fit: number): void => {
    if (index < needs.length) {
      picked[index] = null;
      visit(index + 1, covered, fit);
      for (const option of needs[index]!.options) {
        picked[index] = option.item;
        visit(index + 1, covered + 1, fit + option.fit);
      }
      return;
    }
    if (covered < best.covered || (covered === best.covered && fit <= best.fit)) return;
    for (const [item, qty] of available) {
      let usedUp = 0;
      const lasting: Record<string, number> = {};
      needs.forEach((need, at) => {
        if (picked[at] !== item) return;
        if (need.use === 'used-up') usedUp += need.qty;
        else lasting[need.segment] = (lasting[need.segment] ?? 0) + need.qty;
      });
      if (usedUp + Math.max(0, ...Object.values(lasting)) > qty) return;
    }
    best = { covered, fit };
  };
  visit(0, 0, 0);
  return best;
}
