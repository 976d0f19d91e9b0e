import { describeMeasure } from '../../messages/measures.ts';
import {
  giveChange,
  markedStrips,
  numberPots,
  pairCards,
  patternRow,
  payingWays,
  shareVolumes,
  sortPrices,
} from '../../core/numbers/index.ts';
import { amount, array, boolean, coins, counts, number, object, string, whole } from './fields.ts';
import { calculation, CalcInputError } from './calculation.ts';

const HIGHEST_NUMBER = 1_000_000;
const HIGHEST_SUM = 100_000;
/** Counting every handful takes kinds × amount steps; this keeps the widest purse within a few seconds. */
const HIGHEST_COUNTED = 10_000;

const run = object({ from: whole(0, HIGHEST_NUMBER), to: whole(0, HIGHEST_NUMBER) });

function refuseFalling({ from, to }: { from: number; to: number }): void {
  if (to < from) throw new CalcInputError('to', `must not be below from (${from})`);
}

export const calcPots = calculation(run, ({ from, to }) => {
  refuseFalling({ from, to });
  return numberPots(from, to);
});

export const calcStrips = calculation(run, ({ from, to }) => {
  refuseFalling({ from, to });
  return markedStrips(from, to);
});

export const calcCoins = calculation(
  object({
    purse: coins(),
    pay: whole(0, HIGHEST_COUNTED),
    list: number().integer('must be a whole number').min(0, 'must be at least 0').max(1000, 'must be at most 1000'),
  }),
  ({ purse, pay, list }) => payingWays(purse, pay, list ?? 20),
);

export const calcChange = calculation(
  object({ price: whole(0, HIGHEST_SUM), tender: whole(0, HIGHEST_SUM), till: coins() }),
  ({ price, tender, till }) => {
    if (price > tender) throw new CalcInputError('tender', `must be at least the price (${price})`);
    return giveChange(price, tender, till);
  },
);

export const calcShop = calculation(
  object({
    prices: array().of(whole(0, HIGHEST_SUM)).required().max(1000, 'must hold at most 1000 prices'),
    purse: coins(),
    till: coins(),
  }),
  ({ prices, purse, till }) => sortPrices(prices, purse, till),
);

export const calcPairs = calculation(
  object({
    max: whole(0, 1000),
    ordered: boolean().required(),
    total: number().integer('must be a whole number').min(0, 'must be at least 0').max(2000, 'must be at most 2000'),
  }),
  ({ max, ordered, total }) => pairCards({ max, ordered, total }),
);

export const calcPattern = calculation(
  object({
    unit: array()
      .of(string().required().max(200))
      .required()
      .min(1, 'must hold at least one piece')
      .max(1000, 'must hold at most 1000 pieces'),
    length: whole(0, 10_000),
    have: counts(),
  }),
  ({ unit, length, have }) => patternRow({ unit, length, have: have ?? {} }),
);

export const calcMeasures = calculation(
  object({
    container: amount(1, 100_000),
    parts: array()
      .of(number().required().moreThan(0, 'must be above 0').max(1_000_000, 'must be at most 1000000'))
      .required()
      .min(1, 'must hold at least one share')
      .max(1000, 'must hold at most 1000 shares'),
    headroom: number().min(0, 'must be at least 0').lessThan(1, 'must be below 1'),
    spoons: array()
      .of(number().required().moreThan(0, 'must be above 0').max(100_000, 'must be at most 100000'))
      .max(20, 'must hold at most 20 spoons'),
    cup: number().min(1, 'must be at least 1').max(100_000, 'must be at most 100000'),
  }),
  ({ container, parts, headroom, spoons, cup }) => {
    const shared = shareVolumes({
      container,
      parts,
      headroom: headroom ?? 0,
      spoons: spoons ?? [5, 15],
      cup: cup ?? 240,
    });
    return { ml: shared.ml, say: shared.measures.map(describeMeasure) };
  },
);
