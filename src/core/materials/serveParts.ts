import type { Scope } from '../expressions/index.ts';
import type { Steps } from './assignmentNeed.ts';
import type { PreparedPart } from './dialSettings.ts';
import { fitParts, type StockItem } from './fitting.ts';
import { agree, amountOf, type NeedToServe, type PartToServe, type ServingOption } from './serving.ts';

/** What one need of a part comes to at a home. */
export interface ServedOption {
  /** What is used; null where nothing is permitted, or where an optional need goes without. */
  readonly option: ServingOption | null;
  /** `home`: it is there. `lacking`: it is the first that is permitted, and it is not there. `none`: nothing is used. */
  readonly source: 'home' | 'lacking' | 'none';
  /** How many of it, not rounded; 0 for `none`. */
  readonly qty: number;
}

/** A part as one home does it. */
export interface ServedPart {
  /** What the things that are used set, in the bag or missing ones too; it goes before any level's dials. */
  readonly sets: Scope;
  readonly needs: readonly ServedOption[];
}

/**
 * What each need of a session comes to at one home: the best that is there (`fitParts`), and for a need that is served by
 * nothing the first option that is permitted and sets no dial that is set otherwise. No parts: none, proved.
 */
export function serveParts(
  prepared: readonly PreparedPart[],
  stock: readonly StockItem[],
  steps?: Steps,
): { readonly parts: readonly ServedPart[]; readonly isProved: boolean } {
  const { picks, isProved } = fitParts(prepared, stock, steps);
  return { parts: prepared.map(({ part }, index) => servePart(part, picks[index]!)), isProved };
}

function servePart(part: PartToServe, places: readonly (number | null)[]): ServedPart {
  let sets: Scope = {};
  const there = part.needs.map(({ options }, index) => {
    const option = options.find(({ place }) => place === places[index]);
    if (option) sets = { ...sets, ...option.sets };
    return option;
  });
  const lacking = part.needs.map(({ optional, options }, index) => {
    if (there[index] || optional) return undefined;
    const option = options.find((candidate) => agree(sets, candidate.sets));
    if (option) sets = { ...sets, ...option.sets };
    return option;
  });
  const values = { ...part.values, ...sets };
  const amount = (option: ServingOption, need: NeedToServe) =>
    amountOf(option, { need, values, children: part.children }) ?? 0;
  return {
    sets,
    needs: part.needs.map((need, index): ServedOption => {
      const option = there[index] ?? lacking[index];
      if (!option) return { option: null, source: 'none', qty: 0 };
      return { option, source: there[index] ? 'home' : 'lacking', qty: amount(option, need) };
    }),
  };
}
