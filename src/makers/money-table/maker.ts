import { listOf, type Say } from '../../core/message.ts';
import { type Coins, CURRENCIES, type CurrencyName, sortPrices } from '../../core/numbers/index.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, fittingSize, inColumn, inRow, labelled } from '../../core/page/index.ts';
import { secondsOfWork } from '../../core/time/index.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import {
  lasting,
  type Maker,
  readNumbers,
  type Refusal,
  refuse,
  refuseList,
  usedUp,
  type Worked as WorkedOut,
  WRITTEN_WHOLE,
} from '../../core/makers/index.ts';
import { type Names, namesFor, STORIES } from './goods.ts';
import { plays } from './scripts.en.ts';
import { spokenFacts } from './spoken.ts';
import { type Table, type Worked, workOut, worthOf } from './table.ts';

const MOST_COINS = 60;
const MOST_PRICES = 12;
const MOST_SHOWN = 14;
const HIGHEST = 500;
/** A coin, larger where it is worth more, its worth in the middle. */
function coin(worth: number, words: string): Drawing {
  const r = 9 + Math.min(5, Math.log2(worth + 1));
  const size = fittingSize(words, r * 1.6, 7);
  return {
    width: 30,
    height: 30,
    shapes: [
      { kind: 'circle', x: 15, y: 15, r, fill: 'pale', stroke: 'ink', width: 0.6 },
      { kind: 'circle', x: 15, y: 15, r: r - 1.6, stroke: 'soft', width: 0.3 },
      { kind: 'text', x: 15, y: 15 + size * 0.36, size, text: words, align: 'middle' },
    ],
  };
}

/** The coins there are, in the smallest unit: those of the small one, then one and two of the large one. */
function coinsOfCurrency(currency: CurrencyName): number[] {
  const { coins, perMajor } = CURRENCIES[currency];
  return perMajor > 0 ? [...coins, perMajor, 2 * perMajor] : [...coins];
}

/** A purse as counts of coins, from a list such as "1 2 2 5". */
function readPurse(text: string, dial: string, currency: CurrencyName): Outcome<Coins, Refusal> {
  const numbers = readNumbers(text, { dial, least: 1, most: HIGHEST, count: MOST_COINS });
  if (!numbers.ok) return numbers;
  const coined = coinsOfCurrency(currency);
  const strange = numbers.value.find((worth) => !coined.includes(worth));
  if (strange !== undefined) return refuseList(dial, 'problem.no-such-coin', { strange, coined: listOf(coined) });
  const coins: Record<string, number> = {};
  for (const worth of numbers.value) coins[worth] = (coins[worth] ?? 0) + 1;
  return ok(coins);
}

/** A purse, a till and prices: what can be paid, in which ways, and the change. */
export const maker: Maker = {
  id: 'money-table',
  place: 250,
  skills: ['coins'],
  dials: [
    { kind: 'choice', name: 'story', choices: STORIES, value: 'bakery' },
    { kind: 'list', name: 'purse', value: '1 1 2 2 5 10' },
    { kind: 'list', name: 'till', value: '1 1 2 5' },
    { kind: 'list', name: 'prices', value: '3 6 8 14' },
    { kind: 'choice', name: 'change', choices: ['allowed', 'not-yet'], value: 'allowed' },
    { kind: 'list', name: 'goods', value: '' },
  ],
  plays,
  formerWays: {
    sitting: 'shop',
    'moving-about': 'toll-bridge',
    'as-a-game': 'shop',
    'two-children': 'shop',
    'during-the-day': 'real-shop',
    'five-minutes': 'real-shop',
  },
  make(values, settings, say) {
    const table = readTable(values, settings);
    if (!table.ok) return table;
    const refused = refuseTable(table.value, { mayChange: values.change !== 'not-yet' });
    if (refused) return refused;
    const names = namesFor(values, table.value.prices.length, say);
    if (!names.ok) return names;
    return ok(laidTable(workOut(table.value), { names: names.value, way: String(values.variant), say }));
  },
};

function readTable(values: MakerValues, { currency }: MakerSettings): Outcome<Table, Refusal> {
  const purse = readPurse(String(values.purse), 'purse', currency);
  const till = readPurse(String(values.till), 'till', currency);
  const prices = readNumbers(String(values.prices), { dial: 'prices', least: 1, most: HIGHEST, count: MOST_PRICES });
  if (!purse.ok) return purse;
  if (!till.ok) return till;
  if (!prices.ok) return prices;
  if (prices.value.length === 0) return refuseList('prices', 'problem.no-price');
  const { perMajor } = CURRENCIES[currency];
  // As a shop says it: 35p, and a pound and twenty.
  const money = (minor: number) => ({ minor, currency, asMajor: perMajor > 0 && minor >= perMajor });
  return ok({ purse: purse.value, till: till.value, prices: prices.value, money });
}

/** Prices that cannot be paid from the purse, or not yet. */
function refuseTable({ purse, till, prices, money }: Table, { mayChange }: { mayChange: boolean }) {
  const { withChange, stuck } = sortPrices(prices, purse, till);
  const total = worthOf(purse);
  const tooHigh = stuck.filter((price) => price > total);
  const amounts = (list: readonly number[]) => listOf(list.map(money));
  if (tooHigh.length > 0) return refuse('problem.too-high', { total: money(total), prices: amounts(tooHigh) });
  if (stuck.length > 0) return refuse('problem.stuck', { prices: amounts(stuck) });
  if (!mayChange && withChange.length > 0) return refuse('problem.change', { prices: amounts(withChange) });
  return null;
}

interface Playing {
  readonly names: Names;
  readonly way: string;
  readonly say: Say;
}

function laidTable(worked: Worked, { names, way, say }: Playing): WorkedOut {
  const { purse, till, prices, money, change, payable } = worked;
  const write = (minor: number) => say('amount', { amount: money(minor) });
  const coinsOf = (coins: Coins) =>
    Object.entries(coins).flatMap(([worth, number]) =>
      Array.from({ length: number }, () => coin(Number(worth), write(Number(worth)))),
    );
  const cards = prices.map((price) => labelled(write(price), { width: 60, height: 40, size: 20 }));
  const { ones, ...facts } = spokenFacts(worked, names);
  const isReal = way === 'real-shop';
  return {
    facts: [
      say('fact.purse', { total: money(worked.total) }),
      ...worked.ways.map((paid) => wayFact(paid, worked, say)),
    ],
    ...facts,
    turns: {
      count: 1,
      seconds: isReal ? secondsOfWork({ pay: 1 }) : secondsOfWork({ pay: payable.length, change: change.length }),
    },
    picture: inColumn([inRow(coinsOf(purse).slice(0, MOST_SHOWN), 1), inRow(cards, 4)], 5),
    lines: WRITTEN_WHOLE,
    materials: isReal
      ? [lasting('coin', 1)]
      : [
          lasting('coin', coinsNeeded(change.length > 0 ? [purse, till] : [purse], ones), [
            { item: 'bottle-lid', fit: 0.6, why: say('swap.bottle-lid') },
          ]),
          usedUp('sticky-note', prices.length, [{ item: 'paper', fit: 0.9, why: say('swap.paper') }]),
          ...(change.length > 0 ? [lasting('bowl', 1)] : []),
          ...(way === 'toll-bridge'
            ? [lasting('towel', 1, [{ item: 'blanket', fit: 1, why: say('swap.blanket') }])]
            : []),
        ],
    actions: ['handled'],
    printable: { title: say('printable'), cards: isReal ? [] : cards, sheets: [] },
    key: worked.ways.map(({ price, list }) =>
      list.length > 0
        ? say('key', {
            price: money(price),
            ways: listOf(
              list.slice(0, 6).map((coins) => listOf(coins.map(money), 'plus')),
              'or',
            ),
          })
        : say('key.change', { price: money(price) }),
    ),
  };
}

function wayFact({ price, ways, fewest }: Worked['ways'][number], { change, money }: Worked, say: Say): string {
  if (fewest)
    return say('fact.ways', { price: money(price), ways: Number(ways), fewest: listOf(fewest.map(money), 'plus') });
  const back = change.find((entry) => entry.price === price)?.coins ?? [];
  return say('fact.change', { price: money(price), back: listOf(back.map(money), 'plus') });
}

/** How many coins are handled: those laid out, and at least so many ones. */
function coinsNeeded(laidOut: readonly Coins[], ones: number): number {
  const count = laidOut.flatMap((coins) => Object.values(coins)).reduce((sum, number) => sum + number, 0);
  const onesLaidOut = laidOut.reduce((sum, coins) => sum + (coins[1] ?? 0), 0);
  return count + Math.max(0, ones - onesLaidOut);
}
