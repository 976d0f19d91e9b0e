import { listOf, type Message, type MessageValue } from '../message.ts';
import type { Measure } from './measures.ts';

const SPOONS: Readonly<Record<number, string>> = { 5: 'teaspoon', 15: 'tablespoon' };

/** An amount as it is said: "1½ cups and 2 teaspoons", "35 ml". */
export function measureMessage({ ml, cups, spoons }: Measure): Message {
  const parts: MessageValue[] = spoons.map((spoon): Message => ({
    key: `measures/${SPOONS[spoon.ml] ?? 'spoon'}`,
    values: { count: spoon.count, ml: spoon.ml },
  }));
  if (cups) {
    const amount = `${cups.whole > 0 ? cups.whole : ''}${cups.part}`;
    const many = cups.whole > 1 || (cups.whole === 1 && cups.part !== '') ? 'yes' : 'no';
    parts.unshift({ key: 'measures/cups', values: { amount, many } });
  }
  if (parts.length === 0) return { key: 'measures/ml', values: { ml } };
  return { key: 'measures/all', values: { parts: listOf(parts) } };
}
