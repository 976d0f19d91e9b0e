import type { Scope } from '../expressions/index.ts';
import {
  agree,
  amountOf,
  setsOfGoingWithout,
  type NeedToServe,
  type PartToServe,
  type ServingOption,
} from './serving.ts';

/** An option of a need with the dials at one setting. */
export interface OptionHere {
  readonly place: number;
  readonly item: string;
  readonly fit: number;
  /** How many serve the whole need. */
  readonly qty: number;
  /** The dials of the setting that it brings about. */
  readonly brings: readonly string[];
}

/** A need with the dials at one setting. */
export interface NeedHere {
  readonly use: 'lasting' | 'used-up';
  /** In the order of places. */
  readonly options: readonly OptionHere[];
  readonly mayGoWithout: boolean;
  /** The dials of the setting that going without brings about, since its first option is fetched all the same. */
  readonly withoutBrings: readonly string[];
}

/** One setting of a part's dials that its things can bring about, and what its needs then ask for. */
export interface DialSetting {
  /** What each dial was set to; those that nothing sets are not here. */
  readonly sets: Scope;
  readonly needs: readonly NeedHere[];
}

/** A part with every setting of its dials, worked out once and asked about for different stocks. */
export interface PreparedPart {
  readonly part: PartToServe;
  readonly settings: readonly DialSetting[];
  /** Whether these are all the settings there are. */
  readonly isWhole: boolean;
}

const NONE: readonly string[] = [];

/** Settings of one part that are compared; a part that has more is answered with the best of these. */
const MOST_SETTINGS = 512;

/**
 * Works out the settings of a part: each dial that options set stays as it is or takes one of their values. Those that set
 * one dial differently exclude each other. A part whose options set nothing has one setting. Those with few dials set come
 * first, so that of too many the likeliest are kept.
 */
export function preparePart(part: PartToServe): PreparedPart {
  const dials = sharedDials(part);
  const { combinations, isWhole } = combinationsOf(dials);
  return { part, settings: combinations.map((sets) => settingWith(part, sets, new Set(dials.keys()))), isWhole };
}

/** A part whose things at hand exclude each other whatever is done: here a need may go without and set nothing. */
export function leniently({ part }: PreparedPart): PreparedPart {
  return preparePart({ ...part, needs: part.needs.map((need) => ({ ...need, optional: true })) });
}

/**
 * The dials that options set and that concern more than the need that sets them, each with the values it can take. A dial
 * that only one need sets and only this need counts with is that need's own affair.
 */
function sharedDials({ needs }: PartToServe): Map<string, (number | string)[]> {
  const setters = new Map<string, { needs: Set<number>; values: Set<number | string> }>();
  needs.forEach(({ options }, index) => {
    for (const { sets } of options)
      for (const dial in sets) {
        const value = sets[dial]!;
        const known = setters.get(dial) ?? { needs: new Set<number>(), values: new Set<number | string>() };
        setters.set(dial, known);
        known.needs.add(index);
        known.values.add(value);
      }
  });
  const isShared = (dial: string, setting: ReadonlySet<number>) =>
    setting.size > 1 || needs.some((need, index) => !setting.has(index) && countsWith(need, dial));
  return new Map(
    [...setters].flatMap(([dial, { needs: setting, values }]) =>
      isShared(dial, setting) ? [[dial, [...values]] as const] : [],
    ),
  );
}

/** Whether a need's amounts may depend on a dial. */
function countsWith({ qty, options }: NeedToServe, dial: string): boolean {
  return [qty, ...options.map((option) => option.qty)].some(
    (quantity) => typeof quantity === 'string' && quantity.includes(dial),
  );
}

/** Every way to set some of the dials, fewest set first, at most `MOST_SETTINGS` of them. */
function combinationsOf(dials: ReadonlyMap<string, readonly (number | string)[]>): {
  combinations: Scope[];
  isWhole: boolean;
} {
  const names = [...dials.keys()];
  const combinations: Scope[] = [{}];
  // Each combination grows by dials that come after its last one, so none comes twice.
  const lastOf: number[] = [-1];
  for (let at = 0; at < combinations.length; at++)
    for (let dial = lastOf[at]! + 1; dial < names.length; dial++)
      for (const value of dials.get(names[dial]!)!) {
        if (combinations.length >= MOST_SETTINGS) return { combinations, isWhole: false };
        combinations.push({ ...combinations[at], [names[dial]!]: value });
        lastOf.push(dial);
      }
  return { combinations, isWhole: true };
}

function setsAny(sets: Scope): boolean {
  for (const _ in sets) return true;
  return false;
}

function settingWith(part: PartToServe, sets: Scope, shared: ReadonlySet<string>): DialSetting {
  const values = { ...part.values, ...sets };
  // Most parts have no dial that a thing sets: there every option is here, and brings nothing about.
  const isHere = (own: Scope) =>
    shared.size === 0 ||
    (agree(sets, own) && Object.keys(own).every((dial) => !shared.has(dial) || Object.hasOwn(sets, dial)));
  const brings = (own: Scope) =>
    shared.size === 0 ? NONE : Object.keys(own).filter((dial) => Object.hasOwn(sets, dial));
  const needs = part.needs.map((need): NeedHere => {
    const without = setsOfGoingWithout(need);
    let asMany: number | null | undefined;
    return {
      use: need.use,
      mayGoWithout: isHere(without),
      withoutBrings: brings(without),
      options: need.options.flatMap((option) => (isHere(option.sets) ? optionHere(option) : [])),
    };

    function amountWith(option: ServingOption, at: Scope): number | null {
      return amountOf(option, { need, values: at, children: part.children });
    }

    /** An option that has no amount here is none. */
    function optionHere(option: ServingOption): OptionHere[] {
      const isPlain = option.qty === undefined && !setsAny(option.sets);
      if (isPlain && asMany === undefined) asMany = amountWith(option, values);
      const qty = isPlain ? (asMany ?? null) : amountWith(option, { ...values, ...option.sets });
      const { place, item, fit } = option;
      return qty === null ? [] : [{ place, item, fit, qty, brings: brings(option.sets) }];
    }
  });
  return { sets, needs };
}
