/** The ways to run a maker's part; the first is the usual one. `five minutes` is a run of three lines. */
export const VARIANTS = [
  'sitting',
  'moving-about',
  'as-a-game',
  'two-children',
  'during-the-day',
  'five-minutes',
] as const;
/** A way to run a maker's part. */
export type Variant = (typeof VARIANTS)[number];

/** Something that is done again and again in a part, such as filling a pot or paying a price. */
export interface Turns {
  readonly count: number;
  /** How long one takes a child of the age it is for, sitting. */
  readonly seconds: number;
}
