import type { Quantity, Scope } from '../expressions/index.ts';
import { amountFor } from './amount.ts';

/** A thing that may serve a need at a home. */
export interface ServingOption {
  readonly item: string;
  /** 0 is what the script says, then its swaps in their order. */
  readonly place: number;
  /** 0 to 1. */
  readonly fit: number;
  /** Dials that it sets; they count for the whole part. */
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
  /** The part can be done without it: nothing is fetched for it where nothing serves it. */
  readonly optional?: boolean | undefined;
  /** What is permitted there, the script's own thing first where it is; empty when nothing is. */
  readonly options: readonly ServingOption[];
}

/** A part of a session with its dials as they stand and its needs. */
export interface PartToServe {
  readonly id: string;
  readonly values: Scope;
  /** At least 1. */
  readonly children: number;
  readonly needs: readonly NeedToServe[];
}

/** Whether two settings leave each dial at one value. */
export function agree(one: Scope, other: Scope): boolean {
  return Object.entries(other).every(([dial, value]) => !Object.hasOwn(one, dial) || one[dial] === value);
}

/** What a need that goes without still sets: its first permitted option is fetched all the same, in a bag or missing. */
export function setsOfGoingWithout({ optional, options }: NeedToServe): Scope {
  return optional ? {} : (options[0]?.sets ?? {});
}

/** How many of an option serve a need with the dials at these values; null when that has no value. */
export function amountOf(
  option: Pick<ServingOption, 'qty' | 'places'>,
  { need, values, children }: { need: Pick<NeedToServe, 'qty' | 'per'>; values: Scope; children: number },
): number | null {
  const { qty, per } = need;
  const amount = amountFor({ qty, per, own: option.qty, places: option.places }, children, values);
  return amount.ok ? amount.value : null;
}
