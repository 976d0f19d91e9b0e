import { amountAtLevel, dialValues, linesAt, type Segment } from '../session/index.ts';
import { type Amount, amountFor, type Need, type ThingsByKey } from '../materials/index.ts';
import type { Finding } from './finding.ts';

/** What is to be said of the amounts of a part: how each was worked out, or why it does not come out. */
export function needFindings(segment: Segment, things: ThingsByKey): Finding[] {
  return segment.needs.flatMap((need): Finding[] => {
    const at = { segment: segment.id, line: firstMention(segment, need) };
    const amount = amountAtLevel(segment, need, segment.level, things);
    const quantity = amountFor(amount, 1, dialValues(segment.dials));
    if (!quantity.ok) {
      const facts = { code: 'quantity-problem', need, problem: quantity.problem } as const;
      return [{ id: `qty:${segment.id}/${need.id}`, weight: 'stop', ...at, facts }];
    }
    const findings: Finding[] = [];
    const sum = sumOf(amount);
    if (typeof sum === 'string' && /[-+*/(]/.test(sum)) {
      const facts = { code: 'computed', need, qty: quantity.value, sum } as const;
      findings.push({ id: `sum:${segment.id}/${need.id}`, weight: 'note', ...at, facts });
    }
    return findings;
  });
}

/** The sum that is worked out, with what is asked for and the places of the thing written into a swap's own. */
function sumOf({ qty, own, places }: Amount): Amount['qty'] {
  if (typeof own !== 'string') return own ?? qty;
  const asked = typeof qty === 'number' || /^\w+$/.test(qty) ? `${qty}` : `(${qty})`;
  return own.replace(/\bneed\b/g, asked).replace(/\bplaces\b/g, `${places ?? 'places'}`);
}

/** Things that nobody knows any more: their cautions are not known either, so nothing goes out with them. */
export function unknownFindings(segment: Segment, things: ThingsByKey): Finding[] {
  return segment.needs.flatMap((need) =>
    [need.item, ...need.swaps.map(({ item }) => item)]
      .filter((item) => !Object.hasOwn(things, item))
      .map((item): Finding => ({
        id: `unknown:${segment.id}/${need.id}/${item}`,
        weight: 'stop',
        segment: segment.id,
        line: firstMention(segment, need),
        facts: { code: 'thing-unknown', item },
      })),
  );
}

/** The first line that speaks of a need, where the finding about it belongs. */
export function firstMention(segment: Segment, need: Need): string | undefined {
  const lines = linesAt(segment, segment.level);
  return (lines.find(({ text }) => text.includes(`{@${need.id}`)) ?? lines[0])?.id;
}
