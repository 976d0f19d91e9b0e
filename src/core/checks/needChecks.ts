import { type Amount, amountFor, namesOf, type Need, type ThingsByKey } from '../materials/index.ts';
import { own, problemMessage } from '../message.ts';
import { amountAtLevel, dialValues, linesAt, type Segment } from '../session/index.ts';
import type { Check } from './check.ts';

/** An amount that does not come out. */
const quantityProblem: Check = ({ segment, things }) =>
  segment.needs.flatMap((need) => {
    const { quantity } = quantityOf(segment, need, things);
    if (quantity.ok) return [];
    const values = { things: own(namesOf(need.item, things).many), problem: problemMessage(quantity.problem) };
    return [{ id: `qty:${segment.id}/${need.id}`, weight: 'stop', line: firstMention(segment, need), values }];
  });

/** How an amount was worked out from the dials. */
const computed: Check = ({ segment, things }) =>
  segment.needs.flatMap((need) => {
    const { amount, quantity } = quantityOf(segment, need, things);
    const sum = sumOf(amount);
    if (!quantity.ok || typeof sum !== 'string' || !/[-+*/(]/.test(sum)) return [];
    const { one, many } = namesOf(need.item, things);
    const values = { qty: quantity.value, thing: own(quantity.value === 1 ? one : many), sum: { sum } };
    return [{ id: `sum:${segment.id}/${need.id}`, weight: 'note', line: firstMention(segment, need), values }];
  });

/** Things that nobody knows any more: their cautions are not known either, so nothing goes out with them. */
const thingUnknown: Check = ({ segment, things }) =>
  segment.needs.flatMap((need) =>
    [need.item, ...need.swaps.map(({ item }) => item)]
      .filter((item) => !Object.hasOwn(things, item))
      .map((item) => ({
        id: `unknown:${segment.id}/${need.id}/${item}`,
        weight: 'stop' as const,
        line: firstMention(segment, need),
        values: { item: own(item) },
      })),
  );

/** The first line that speaks of a need, where the finding about it belongs. */
export function firstMention(segment: Segment, need: Need): string | undefined {
  const lines = linesAt(segment, segment.level);
  return (lines.find(({ text }) => text.includes(`{@${need.id}`)) ?? lines[0])?.id;
}

function quantityOf(segment: Segment, need: Need, things: ThingsByKey) {
  const amount = amountAtLevel(segment, need, segment.level, things);
  return { amount, quantity: amountFor(amount, 1, dialValues(segment.dials)) };
}

/** The sum that is worked out, with what is asked for and the places of the thing written into a swap's own. */
function sumOf({ qty, own: ofSwap, places }: Amount): Amount['qty'] {
  if (typeof ofSwap !== 'string') return ofSwap ?? qty;
  const asked = typeof qty === 'number' || /^\w+$/.test(qty) ? `${qty}` : `(${qty})`;
  return ofSwap.replace(/\bneed\b/g, asked).replace(/\bplaces\b/g, `${places ?? 'places'}`);
}

/** What is looked at in the needs of a part. */
export const needChecks = {
  'quantity-problem': quantityProblem,
  computed,
  'thing-unknown': thingUnknown,
} as const satisfies Readonly<Record<string, Check>>;
