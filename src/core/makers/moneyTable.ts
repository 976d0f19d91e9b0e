import { readNumbers } from './readNumbers.ts';
import type { MakerLine } from './makerOutput.ts';
import type { MakerProblem } from '../session/makerProblem.ts';
import { CURRENCIES, type CurrencyName, moneyWriter } from '../numbers/currencies.ts';
import { giveChange, leastTender, sortPrices } from '../numbers/change.ts';
import { payingWays, type Coins } from '../numbers/coins.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { inColumn, inRow, type Drawing } from '../page/drawing.ts';
import { fittingSize } from '../page/text.ts';
import { refuse, type Maker } from './maker.ts';
import { listWords, numberName } from './words.ts';

const MOST_COINS = 60;
const MOST_PRICES = 12;
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
function readPurse(text: string, dial: string, currency: CurrencyName): Outcome<Coins, MakerProblem> {
  const numbers = readNumbers(text, { dial, least: 1, most: HIGHEST, count: MOST_COINS });
  if (!numbers.ok) return numbers;
  const coined = coinsOfCurrency(currency);
  const strange = numbers.value.find((worth) => !coined.includes(worth));
  if (strange !== undefined)
    return err({
      code: 'list',
      dial,
      reason: `holds a coin of ${strange}, and there is none; there are ${listWords(coined)}`,
    });
  const coins: Record<string, number> = {};
  for (const worth of numbers.value) coins[worth] = (coins[worth] ?? 0) + 1;
  return ok(coins);
}

/** A purse, a till and prices: what can be paid, in which ways, and the change. */
export const moneyTableMaker: Maker = {
  id: 'money-table',
  title: 'Money table',
  about: 'A purse, a till and price cards that come out: paid exactly, or with change that is there.',
  skills: ['coins'],
  dials: [
    {
      kind: 'list',
      name: 'purse',
      label: 'coins in the purse',
      hint: 'their worth in the smallest unit, such as 1 1 2 5 10',
      value: '1 1 2 2 5 10',
    },
    { kind: 'list', name: 'till', label: 'coins in the till', hint: 'for change', value: '1 1 2 5' },
    { kind: 'list', name: 'prices', label: 'prices', hint: 'in the smallest unit', value: '3 6 8 14' },
    {
      kind: 'choice',
      name: 'change',
      label: 'prices that need change',
      choices: ['allowed', 'not yet'],
      value: 'allowed',
    },
  ],
  make(values, settings) {
    const purse = readPurse(String(values.purse), 'coins in the purse', settings.currency);
    const till = readPurse(String(values.till), 'coins in the till', settings.currency);
    const prices = readNumbers(String(values.prices), { dial: 'prices', least: 1, most: HIGHEST, count: MOST_PRICES });
    if (!purse.ok) return purse;
    if (!till.ok) return till;
    if (!prices.ok) return prices;
    if (prices.value.length === 0) return err({ code: 'list', dial: 'prices', reason: 'needs at least one price' });
    const total = Object.entries(purse.value).reduce((sum, [worth, number]) => sum + Number(worth) * number, 0);
    const write = moneyWriter([...prices.value, ...Object.keys(purse.value).map(Number)], settings.currency);
    const { exact, withChange, stuck } = sortPrices(prices.value, purse.value, till.value);
    if (stuck.length > 0)
      return refuse(
        stuck.some((price) => price > total)
          ? `no price over ${write(total)} can be paid from this purse, so ${listWords(stuck.filter((price) => price > total).map(write))} must go`
          : `${listWords(stuck.map(write))} cannot be paid exactly, and the till cannot give the change`,
      );
    if (values.change === 'not yet' && withChange.length > 0)
      return refuse(`${listWords(withChange.map(write))} can only be paid with change, and that is not wanted yet`);
    const ways = [...new Set(prices.value)].map((price) => ({ price, ...payingWays(purse.value, price, 6) }));
    const change = withChange.map((price) => {
      const tender = leastTender(price, purse.value, till.value)!;
      return { price, tender, ...giveChange(price, tender, till.value) };
    });
    const payable = ways.filter(({ price }) => exact.includes(price));
    const first = payable.find((price) => price.ways !== 1) ?? payable[0];
    const hops = change[0];
    const ones = Math.min(5, ...prices.value);
    const changeLines: MakerLine[] = hops
      ? [
          { key: 'say-1', kind: 'say', text: `“It costs ${write(hops.price)}, and I give you ${write(hops.tender)}.”` },
          {
            key: 'ask-1',
            kind: 'ask',
            text: '“How much comes back? Count up with me.”',
            answer: `${hops.hops.map(([from, to]) => `${write(from)} to ${write(to)}`).join(', ')}: ${write(hops.change)}`,
          },
        ]
      : [];
    const body: MakerLine[] = [
      {
        key: 'do-1',
        kind: 'do',
        text: `Put ${listWords(coinWords(purse.value, write))} into the purse${hops ? `, ${listWords(coinWords(till.value, write))} into the till` : ''}, and price cards on things in the room.`,
      },
      ...(first
        ? [
            {
              key: 'ask-2',
              kind: 'ask' as const,
              text: `“Can you pay ${write(first.price)} exactly?”`,
              answer: `with the fewest coins: ${listWords(first.fewest!.map(write))}`,
            },
            {
              key: 'ask-3',
              kind: 'ask' as const,
              text: '“Is there another way?”',
              answer: first.ways === 1 ? 'no, only this one' : `yes, ${String(first.ways)} ways in all`,
            },
          ]
        : []),
      ...changeLines,
    ];
    const coinsOf = (coins: Coins) =>
      Object.entries(coins).flatMap(([worth, number]) =>
        Array.from({ length: number }, () => coin(Number(worth), write(Number(worth)))),
      );
    return ok({
      facts: [
        `The purse holds ${write(total)}.`,
        ...ways.map(
          ({ price, ways: number, fewest }) =>
            `${write(price)}: ${
              fewest
                ? `${String(number)} ${number === 1 ? 'way' : 'ways'}, fewest ${fewest.map(write).join(' + ')}`
                : `only with change, ${
                    change
                      .find((entry) => entry.price === price)
                      ?.coins?.map(write)
                      .join(' + ') ?? ''
                  } back`
            }.`,
        ),
      ],
      picture: inColumn(
        [
          inRow(coinsOf(purse.value).slice(0, 14), 1),
          inRow(
            prices.value.map((price) => priceCard(write(price))),
            4,
          ),
        ],
        5,
      ),
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: `Lay ${ones} × ${write(1)} on the table, and no other coins.` },
          {
            key: 'ask-4',
            kind: 'ask',
            text: `“Give me ${write(ones)}.”`,
            answer: `one coin after the other, counted aloud: ${Array.from({ length: ones }, (_, index) => numberName(index + 1)).join(', ')}`,
          },
        ],
        right: body,
        harder: [
          ...body,
          ...(first
            ? [
                {
                  key: 'ask-5',
                  kind: 'ask' as const,
                  text: `“Pay ${write(first.price)} with as few coins as you can.”`,
                  answer: listWords(first.fewest!.map(write)),
                },
              ]
            : []),
        ],
      },
      materials: [
        {
          item: 'coin',
          qty: coinsNeeded(hops ? [purse.value, till.value] : [purse.value], ones),
          use: 'lasting',
          swaps: [{ item: 'bottle-lid', fit: 0.6, why: 'with the worth written on' }],
        },
        {
          item: 'sticky-note',
          qty: prices.value.length,
          use: 'used-up',
          swaps: [{ item: 'paper', fit: 0.9, why: 'folded to stand' }],
        },
      ],
      actions: ['handled'],
      printable: { title: 'Price cards', cards: prices.value.map((price) => priceCard(write(price))), sheets: [] },
      key: ways.map(
        ({ price, list }) =>
          `${write(price)}: ${list.length > 0 ? list.map((handful) => handful.map(write).join(' + ')).join(' or ') : 'with change only'}`,
      ),
    });
  },
};

function priceCard(words: string): Drawing {
  const size = fittingSize(words, 48, 20);
  return {
    width: 60,
    height: 40,
    shapes: [
      { kind: 'rect', x: 1, y: 1, w: 58, h: 38, radius: 3, stroke: 'ink', width: 0.4, fill: 'white' },
      { kind: 'text', x: 30, y: 20 + size * 0.36, size, text: words, align: 'middle' },
    ],
  };
}

/** How many coins are handled: those laid out, and at least so many ones. */
function coinsNeeded(laidOut: readonly Coins[], ones: number): number {
  const count = laidOut.flatMap((coins) => Object.values(coins)).reduce((sum, number) => sum + number, 0);
  const onesLaidOut = laidOut.reduce((sum, coins) => sum + (coins[1] ?? 0), 0);
  return count + Math.max(0, ones - onesLaidOut);
}

function coinWords(coins: Coins, write: (amount: number) => string): string[] {
  return Object.entries(coins).map(([worth, number]) => `${number} × ${write(Number(worth))}`);
}
