import { listOf, type MessageValue, type MessageValues, type MoneyAmount, type Say } from '../../core/message.ts';
import {
  type Coins,
  CURRENCIES,
  type CurrencyName,
  giveChange,
  leastTender,
  payingWays,
  sortPrices,
  writesAsMajor,
} from '../../core/numbers/index.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, fittingSize, inColumn, inRow, labelled } from '../../core/page/index.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import {
  lasting,
  lineWriters,
  type Maker,
  type MakerLine,
  type MakerOutput,
  readNumbers,
  type Refusal,
  refuse,
  refuseList,
  usedUp,
  type Worked as WorkedOut,
} from '../../core/makers/index.ts';

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
    { kind: 'list', name: 'purse', value: '1 1 2 2 5 10' },
    { kind: 'list', name: 'till', value: '1 1 2 5' },
    { kind: 'list', name: 'prices', value: '3 6 8 14' },
    { kind: 'choice', name: 'change', choices: ['allowed', 'not-yet'], value: 'allowed' },
  ],
  make(values, settings, say) {
    const table = readTable(values, settings);
    if (!table.ok) return table;
    const refused = refuseTable(table.value, { mayChange: values.change !== 'not-yet' });
    return refused ?? ok(laidTable(workOut(table.value), say));
  },
};

/** What lies on the table, and how its amounts are written. */
interface Table {
  readonly purse: Coins;
  readonly till: Coins;
  readonly prices: readonly number[];
  readonly money: (minor: number) => MoneyAmount;
}

function readTable(values: MakerValues, { currency }: MakerSettings): Outcome<Table, Refusal> {
  const purse = readPurse(String(values.purse), 'purse', currency);
  const till = readPurse(String(values.till), 'till', currency);
  const prices = readNumbers(String(values.prices), { dial: 'prices', least: 1, most: HIGHEST, count: MOST_PRICES });
  if (!purse.ok) return purse;
  if (!till.ok) return till;
  if (!prices.ok) return prices;
  if (prices.value.length === 0) return refuseList('prices', 'problem.no-price');
  const asMajor = writesAsMajor([...prices.value, ...Object.keys(purse.value).map(Number)], currency);
  const money = (minor: number) => ({ minor, currency, asMajor });
  return ok({ purse: purse.value, till: till.value, prices: prices.value, money });
}

const worthOf = (coins: Coins) =>
  Object.entries(coins).reduce((sum, [worth, number]) => sum + Number(worth) * number, 0);

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

/** How each price is paid, and what comes back. */
function workOut(table: Table) {
  const { purse, till, prices } = table;
  const { exact, withChange } = sortPrices(prices, purse, till);
  const ways = [...new Set(prices)].map((price) => ({ price, ...payingWays(purse, price, 6) }));
  const change = withChange.map((price) => {
    const tender = leastTender(price, purse, till)!;
    return { price, tender, ...giveChange(price, tender, till) };
  });
  const payable = ways.filter(({ price }) => exact.includes(price));
  // A price that can be paid in more than one way is the better one to ask about.
  const asked = payable.find((price) => price.ways !== 1) ?? payable[0];
  return { ...table, ways, change, asked, ones: Math.min(5, ...prices) };
}
type Worked = ReturnType<typeof workOut>;

/** What the sentences of the run speak of: the smallest coin, and a price with how it is paid. */
function tableFacts({ purse, prices, money, asked }: Worked): MessageValues {
  const price = asked?.price ?? prices[0]!;
  return {
    leastCoin: money(Math.min(...Object.keys(purse).map(Number))),
    first: money(price),
    firstAnswer: asked
      ? { key: 'money-table/pays', values: { fewest: listOf(asked.fewest!.map(money)) } }
      : { key: 'money-table/needs-change' },
  };
}

function laidTable(worked: Worked, say: Say): WorkedOut {
  const { purse, till, prices, money, change, ones } = worked;
  const write = (minor: number) => say('amount', { amount: money(minor) });
  const coinsOf = (coins: Coins) =>
    Object.entries(coins).flatMap(([worth, number]) =>
      Array.from({ length: number }, () => coin(Number(worth), write(Number(worth)))),
    );
  const cards = prices.map((price) => labelled(write(price), { width: 60, height: 40, size: 20 }));
  return {
    facts: [
      say('fact.purse', { total: money(worthOf(purse)) }),
      ...worked.ways.map((way) => wayFact(way, worked, say)),
    ],
    values: tableFacts(worked),
    turns: { count: prices.length, seconds: 75 },
    picture: inColumn([inRow(coinsOf(purse).slice(0, MOST_SHOWN), 1), inRow(cards, 4)], 5),
    lines: moneyLines(worked, say),
    materials: [
      lasting('coin', coinsNeeded(change.length > 0 ? [purse, till] : [purse], ones), [
        { item: 'bottle-lid', fit: 0.6, why: say('swap.bottle-lid') },
      ]),
      usedUp('sticky-note', prices.length, [{ item: 'paper', fit: 0.9, why: say('swap.paper') }]),
    ],
    actions: ['handled'],
    printable: { title: say('printable'), cards, sheets: [] },
    key: worked.ways.map(({ price, list }) =>
      list.length > 0
        ? say('key', {
            price: money(price),
            ways: listOf(
              list.map((coins) => listOf(coins.map(money), 'plus')),
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

function moneyLines({ purse, till, money, change, asked, ones }: Worked, say: Say): MakerOutput['lines'] {
  const { toDo, toSay, toAsk } = lineWriters(say);
  const handful = (coins: Coins): MessageValue =>
    listOf(
      Object.entries(coins).map(([worth, number]) => ({
        key: 'money-table/coins',
        values: { number, worth: money(Number(worth)) },
      })),
    );
  const [hops] = change;
  const paying: MessageValues | undefined = asked && {
    price: money(asked.price),
    ways: Number(asked.ways),
    fewest: listOf(asked.fewest!.map(money)),
  };
  const body: MakerLine[] = [
    toDo('do-1', { purse: handful(purse), till: handful(till), change: hops ? 'yes' : 'no' }),
    ...(paying ? [toAsk('ask-2', paying), toAsk('ask-3', paying)] : []),
    ...(hops
      ? [
          toSay('say-1', { price: money(hops.price), tender: money(hops.tender) }),
          toAsk('ask-1', { hops: hopsOf(hops.hops, money), change: money(hops.change) }),
        ]
      : []),
  ];
  const names = Array.from({ length: ones }, (_, index) => ({ key: 'money-table/name', values: { value: index + 1 } }));
  const counted: MessageValues = { ones, worth: money(1), amount: money(ones), counting: listOf(names, 'comma') };
  return {
    easier: [toDo('do-2', counted), toAsk('ask-4', counted)],
    right: body,
    harder: [...body, ...(paying ? [toAsk('ask-5', paying)] : []), ...equalValue(purse, money, say)],
  };
}

/** Two equal coins of the purse that are worth one that there is: asked for, where there are such. */
function equalValue(purse: Coins, money: Table['money'], say: Say): MakerLine[] {
  const worths = Object.entries(purse).filter(([, number]) => number >= 2);
  const found = worths
    .map(([worth]) => Number(worth))
    .find((worth) => coinsOfCurrency(money(1).currency as CurrencyName).includes(2 * worth));
  if (found === undefined) return [];
  return [lineWriters(say).toAsk('ask-6', { one: money(2 * found), two: money(found) })];
}

function hopsOf(hops: readonly (readonly [number, number])[], money: Table['money']): MessageValue {
  const hop = ([from, to]: readonly [number, number]) => ({
    key: 'money-table/hop',
    values: { from: money(from), to: money(to) },
  });
  return listOf(hops.map(hop), 'comma');
}

/** How many coins are handled: those laid out, and at least so many ones. */
function coinsNeeded(laidOut: readonly Coins[], ones: number): number {
  const count = laidOut.flatMap((coins) => Object.values(coins)).reduce((sum, number) => sum + number, 0);
  const onesLaidOut = laidOut.reduce((sum, coins) => sum + (coins[1] ?? 0), 0);
  return count + Math.max(0, ones - onesLaidOut);
}
