import type { ShelfActivity } from '../../src/core/shelf/index.ts';
import type { Thing } from '../../src/core/materials/index.ts';

/** Templates and quantities worked out anew, without the core's code, to compare with. */

export type Values = Readonly<Record<string, number | string>>;
export interface ChosenThing {
  readonly one: string;
  readonly many: string;
  readonly qty: number;
}

/** A sum as JavaScript understands it. */
export function naiveNumber(source: string, values: Values): number {
  const sum = (from: number, to: number) => {
    let total = 0;
    for (let number = from; number <= to; number++) total += number;
    return total;
  };
  const names = { sum, min: Math.min, max: Math.max, ceil: Math.ceil, floor: Math.floor, round: Math.round, ...values };

  return new Function(...Object.keys(names), `return (${source})`)(...Object.values(names)) as number;
}

/** A line with its braces filled in. */
export function naiveText(
  template: string,
  values: Values,
  things: Readonly<Record<string, ChosenThing>>,
  loves: string,
): string {
  return template.replace(/\{([^}]*)\}/g, (_, slot: string) => {
    if (slot.startsWith('loves|')) return loves || slot.slice(6);
    if (slot.startsWith('@')) {
      const [need, form] = slot.slice(1).split('|') as [string, string?];
      const thing = things[need]!;
      if (form === 'one') return thing.one;
      if (form === 'count') return `${thing.qty} ${thing.qty === 1 ? thing.one : thing.many}`;
      if (form === undefined) return thing.many;
      return naiveNumber(form.replace(/^=/, ''), values) === 1 ? thing.one : thing.many;
    }
    const [source, words] = slot.split(':') as [string, string?];
    const sum = source.replace(/^=/, '').trim();
    if (words === undefined && typeof values[sum] === 'string') return values[sum];
    const number = naiveNumber(sum, values);
    if (words === undefined) return String(Math.round(number * 100) / 100);
    const [one, many = one] = words.split('|') as [string, string?];
    return number === 1 ? one : many!;
  });
}

/** How many of a chosen option a need takes at a level. */
export function naiveAmount(
  need: ShelfActivity['needs'][number],
  option: { readonly item: string; readonly qty?: number | string | undefined },
  {
    values,
    children,
    qty,
    things,
  }: { values: Values; children: number; qty: number | string; things: Readonly<Record<string, Thing>> },
): number {
  const whole = naiveNumber(String(qty), values) * (need.per === 'child' ? children : 1);
  if (option.qty === undefined) return Math.ceil(whole - 1e-9);
  const places = things[option.item]?.places ?? 0;
  return Math.ceil(naiveNumber(String(option.qty), { ...values, need: whole, places }) - 1e-9);
}
