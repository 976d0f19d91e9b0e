import { roundTo } from '../numbers/index.ts';
import { type CautionPolicy, mayUse } from '../cautions/index.ts';
import { byCodeUnit } from '../ordering.ts';

/** A thing with all that decides what it can stand in for. */
export interface FindableThing {
  readonly key: string;
  readonly traits: readonly string[];
  readonly sizeMm?: number | undefined;
  /** How thick one is, where that matters to a hand. */
  readonly thickMm?: number | undefined;
  /** Hollows or places it has (an egg carton has twelve). */
  readonly places?: number | undefined;
  readonly allergens: readonly string[];
  /** How many a home usually has. */
  readonly usualQty: number;
  /** The part of homes that have any, 0 to 1. */
  readonly common: number;
}

/** What an author has decided about one thing in place of another; it goes before what is computed. */
export interface SwapRuling {
  readonly item: string;
  readonly verdict: 'use' | 'never';
  /** 0 to 1, for `use`. */
  readonly fit: number;
  readonly why: string;
}

/** Why something will do or not, as a code with what explains it. */
export type SwapReason =
  | { readonly code: 'lacks'; readonly trait: string }
  | { readonly code: 'larger' | 'smaller'; readonly times: number }
  | { readonly code: 'thin'; readonly qty: number }
  | { readonly code: 'few'; readonly usualQty: number; readonly qty: number }
  | { readonly code: 'cover-places'; readonly places: number; readonly cover: number }
  | { readonly code: 'add-places'; readonly places: number; readonly lacking: number }
  | { readonly code: 'rare' }
  | { readonly code: 'alike' }
  | { readonly code: 'ruled'; readonly why: string };

/** A thing that may stand for another, with how well and why. */
export interface SwapProposal {
  readonly item: string;
  /** 0 to 1, two decimals. */
  readonly fit: number;
  /** The weightiest first; never empty. */
  readonly reasons: readonly SwapReason[];
}

/** What is wanted, for how many and how young, and what there is to choose from. */
export interface SwapFinderInput {
  readonly wanted: FindableThing;
  readonly qty: number;
  /** Places that the script counts on, such as the ten of a frame. */
  readonly places?: number | undefined;
  readonly youngestMonths: number;
  readonly allergens: readonly string[];
  readonly things: readonly FindableThing[];
  readonly rulings: readonly SwapRuling[];
  /** What the programme decided about cautions. */
  readonly policy?: CautionPolicy | undefined;
}

/** How much it takes from a fit when the other thing lacks a trait. Traits that are not here do not matter to a swap. */
const WEIGHTS: Readonly<Record<string, number>> = {
  draws: 0.7,
  floats: 0.6,
  container: 0.55,
  countable: 0.5,
  rolls: 0.4,
  sticks: 0.4,
  sound: 0.4,
  transparent: 0.3,
  folds: 0.3,
  edible: 0.3,
  soft: 0.25,
  stacks: 0.2,
  flat: 0.15,
  quiet: 0.1,
};
const LEAST_FIT = 0.35;
const THIN_MM = 2;
/** From so many on, a hand is meant to feel that there are many. */
const FELT_FROM = 5;
const RARE = 0.3;

/**
 * What else will do for a thing, best first. Left out: what is not for the youngest child in the room, what holds an
 * allergen that was named, what an author has ruled out, and what fits less than about a third. No things: none.
 */
export function findSwaps(input: SwapFinderInput): SwapProposal[] {
  const rulings = new Map(input.rulings.map((ruling) => [ruling.item, ruling]));
  return input.things
    .filter((thing) => thing.key !== input.wanted.key && isSafe(thing, input))
    .flatMap((thing): SwapProposal[] => {
      const ruling = rulings.get(thing.key);
      if (ruling?.verdict === 'never') return [];
      if (ruling) return [{ item: thing.key, fit: ruling.fit, reasons: [{ code: 'ruled', why: ruling.why }] }];
      const proposal = weigh(thing, input);
      return proposal.fit >= LEAST_FIT ? [proposal] : [];
    })
    .sort((left, right) => right.fit - left.fit || byCodeUnit(left.item, right.item));
}

function isSafe(thing: FindableThing, { youngestMonths, allergens, policy }: SwapFinderInput): boolean {
  const used = { item: thing.key, traits: thing.traits, allergens: thing.allergens, isCounter: true };
  return mayUse(used, { youngestMonths, allergens }, policy);
}

function weigh(thing: FindableThing, { wanted, qty, places }: SwapFinderInput): SwapProposal {
  const losses: { loss: number; reason: SwapReason }[] = wanted.traits
    .filter((trait) => (WEIGHTS[trait] ?? 0) > 0 && !thing.traits.includes(trait))
    .map((trait) => ({ loss: WEIGHTS[trait]!, reason: { code: 'lacks', trait } }));
  const size = weighSize(wanted.sizeMm, thing.sizeMm);
  if (size) losses.push(size);
  const isFelt = qty >= FELT_FROM && wanted.traits.includes('countable');
  if (isFelt && (thing.thickMm ?? Infinity) <= THIN_MM && (wanted.thickMm ?? Infinity) > THIN_MM)
    losses.push({ loss: 0.3, reason: { code: 'thin', qty } });
  if (thing.usualQty < qty) losses.push({ loss: 0.25, reason: { code: 'few', usualQty: thing.usualQty, qty } });
  if (thing.common < RARE) losses.push({ loss: 0.1, reason: { code: 'rare' } });
  const wantedPlaces = places ?? wanted.places;
  if (wantedPlaces !== undefined && thing.places !== undefined && thing.places !== wantedPlaces)
    losses.push(
      thing.places > wantedPlaces
        ? { loss: 0.1, reason: { code: 'cover-places', places: thing.places, cover: thing.places - wantedPlaces } }
        : { loss: 0.5, reason: { code: 'add-places', places: thing.places, lacking: wantedPlaces - thing.places } },
    );
  const total = losses.reduce((sum, { loss }) => sum + loss, 0);
  const reasons = losses.sort((left, right) => right.loss - left.loss).map(({ reason }) => reason);
  return {
    item: thing.key,
    fit: roundTo(Math.max(0, 1 - total), 2),
    reasons: reasons.length > 0 ? reasons : [{ code: 'alike' }],
  };
}

/** Twice or half the size is still much alike; beyond that it costs more with each doubling. */
function weighSize(wanted: number | undefined, found: number | undefined): { loss: number; reason: SwapReason } | null {
  if (!wanted || !found) return null;
  const doublings = Math.log2(found / wanted);
  const loss = Math.min(0.35, Math.max(0, Math.abs(doublings) - 1) * 0.12);
  if (loss === 0) return null;
  const times = roundTo(2 ** Math.abs(doublings), 1);
  return { loss, reason: { code: doublings > 0 ? 'larger' : 'smaller', times } };
}
