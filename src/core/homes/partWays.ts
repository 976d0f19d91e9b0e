import { MOST_WAYS } from '../materials/need.ts';
import type { Quantity } from '../expressions/quantity.ts';
import { evaluateQuantity, type Scope } from '../expressions/expression.ts';

/** A thing that may serve a need at a home. */
export interface ServingOption {
  readonly item: string;
  /** 0 is what the script says, then its swaps in their order. */
  readonly place: number;
  readonly fit: number;
  readonly sets: Scope;
  /** How many serve the whole need; absent: as many as the need asks for. */
  readonly qty?: Quantity | undefined;
  /** Hollows or places of the thing, for `qty`. */
  readonly places?: number | undefined;
}

/** A need with what may serve it at one home. */
export interface NeedToServe {
  /** Unique in the session. */
  readonly id: string;
  readonly use: 'lasting' | 'used-up';
  readonly qty: Quantity;
  readonly per: 'home' | 'child';
  /** What is permitted there, the script's own thing first where it is; empty when nothing is. */
  readonly options: readonly ServingOption[];
}

/** A part of a session with its dials as they stand and its needs. */
export interface PartToServe {
  readonly id: string;
  readonly values: Scope;
  readonly children: number;
  readonly needs: readonly NeedToServe[];
}

/** A need in one way of doing a part, with amounts. */
export interface NeedOfWay {
  /** `one`: it takes its only option; `none`: it goes without; `any`: one of its options or none. */
  readonly takes: 'one' | 'none' | 'any';
  readonly options: readonly {
    readonly place: number;
    readonly item: string;
    readonly fit: number;
    readonly qty: number;
  }[];
}

/** One setting of a part's dials that swaps can bring about, and what its needs then ask for. */
export interface PartWay {
  readonly values: Scope;
  readonly needs: readonly NeedOfWay[];
}

/** Choices looked at for the ways of one part. */
const MOST_VISITS = 100_000;

interface Choice {
  readonly takes: NeedOfWay['takes'];
  readonly place: number | null;
  readonly sets: Scope;
}

/**
 * Every way a part's dials can come to stand at a home: swaps that set dials are taken or not, need by need, and those
 * that set one dial differently exclude each other. A need that goes without gets its first permitted option as a kit,
 * whose dials count too. A part without such swaps has one way.
 */
export function waysOf(part: PartToServe): PartWay[] {
  const choices = part.needs.map(choicesOf);
  const ways: PartWay[] = [];
  const chosen: Choice[] = [];
  let visits = 0;
  const visit = (index: number, sets: Scope) => {
    // Settings that exclude each other far down are dead ends: they are bounded like the ways themselves.
    if (ways.length >= MOST_WAYS || (visits += 1) > MOST_VISITS) return;
    if (index === choices.length) {
      ways.push(wayWith(part, chosen, sets));
      return;
    }
    for (const choice of choices[index]!) {
      if (!agree(sets, choice.sets)) continue;
      chosen.push(choice);
      visit(index + 1, { ...sets, ...choice.sets });
      chosen.pop();
    }
  };
  visit(0, {});
  return ways.length > 0 ? ways : [withoutAnything(part)];
}

/** Whether two settings leave each dial at one value. */
export function agree(one: Scope, other: Scope): boolean {
  return Object.entries(other).every(([dial, value]) => !Object.hasOwn(one, dial) || one[dial] === value);
}

function setsDials({ sets }: ServingOption): boolean {
  return Object.keys(sets).length > 0;
}

function choicesOf({ options }: NeedToServe): Choice[] {
  const setting = options.filter(setsDials);
  const kit = options[0];
  const asKit: Choice[] = kit && setsDials(kit) ? [{ takes: 'none', place: null, sets: kit.sets }] : [];
  const plain: Choice[] =
    options.length > setting.length || asKit.length === 0 ? [{ takes: 'any', place: null, sets: {} }] : [];
  return [...plain, ...setting.map(({ place, sets }): Choice => ({ takes: 'one', place, sets })), ...asKit];
}

function wayWith(part: PartToServe, chosen: readonly Choice[], sets: Scope): PartWay {
  const values = { ...part.values, ...sets };
  return {
    values,
    needs: part.needs.map((need, index): NeedOfWay => {
      const { takes, place } = chosen[index]!;
      const kit = need.options[0];
      const open =
        takes === 'none'
          ? []
          : need.options.filter((option) => (takes === 'one' ? option.place === place : !setsDials(option)));
      // Without the kit's dials a need cannot go without here: that is a way of its own.
      const mayGoWithout = !kit || !setsDials(kit);
      return {
        takes: takes === 'any' && !mayGoWithout ? 'one' : takes,
        options: withAmounts(open, (option) => amountOf(option, { need, values, children: part.children })),
      };
    }),
  };
}

/** Options with how many of each it takes; those that have no amount are left out. */
function withAmounts(
  open: readonly ServingOption[],
  amount: (option: ServingOption) => number | null,
): NeedOfWay['options'] {
  const options: NeedOfWay['options'][number][] = [];
  for (const option of open) {
    const qty = amount(option);
    if (qty !== null) options.push({ place: option.place, item: option.item, fit: option.fit, qty });
  }
  return options;
}

/** The part with every need going without: what is left when kits exclude each other. */
function withoutAnything(part: PartToServe): PartWay {
  return { values: part.values, needs: part.needs.map(() => ({ takes: 'none', options: [] })) };
}

/** How many of an option serve a need with the dials at these values; null when that has no value. */
export function amountOf(
  option: Pick<ServingOption, 'qty' | 'places'>,
  { need, values, children }: { need: Pick<NeedToServe, 'qty' | 'per'>; values: Scope; children: number },
): number | null {
  const each = evaluateQuantity(need.qty, values);
  if (!each.ok) return null;
  const whole = need.per === 'child' ? each.value * children : each.value;
  if (!Number.isFinite(whole)) return null;
  if (option.qty === undefined) return whole;
  const places: Scope = option.places === undefined ? {} : { places: option.places };
  const own = evaluateQuantity(option.qty, { ...values, ...places, need: whole });
  return own.ok ? own.value : null;
}
