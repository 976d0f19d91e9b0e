import { roundTo } from './rounding.ts';

/** A container, the shares it is poured into, and what a kitchen measures with. */
export interface MeasuresInput {
  /** Millilitres. */
  readonly container: number;
  /** Shares, each above 0. */
  readonly parts: readonly number[];
  /** The part of the container left empty, 0 to below 1. */
  readonly headroom: number;
  /** Spoons in millilitres. */
  readonly spoons: readonly number[];
  /** A cup in millilitres. */
  readonly cup: number;
}

const FRACTIONS = [
  { part: 0, name: '' },
  { part: 1 / 4, name: '¼' },
  { part: 1 / 3, name: '⅓' },
  { part: 1 / 2, name: '½' },
  { part: 2 / 3, name: '⅔' },
  { part: 3 / 4, name: '¾' },
];
const TOLERANCE = 0.05;
const MOST_SPOONS = 4;

/** An amount as a kitchen measures it: cups, spoons, or both; neither where only millilitres will do. */
export interface Measure {
  readonly ml: number;
  /** Whole cups and a part of one, written as a fraction sign or empty. */
  readonly cups?: { readonly whole: number; readonly part: string } | undefined;
  /** So many of a spoon of so many ml, the larger first. */
  readonly spoons: readonly { readonly ml: number; readonly count: number }[];
}

/** What a kitchen can pour exactly enough, in ml. */
const STEP_ML = 5;

/**
 * Shares a container out in amounts a kitchen can measure: each share to the nearest 5 ml, in cups and spoons within 5 %, else in
 * ml. Where the shares so rounded come to more than the container, to 5 ml, each is rounded down: equal shares stay equal.
 */
export function shareVolumes({ container, parts, headroom, spoons, cup }: MeasuresInput): {
  ml: number[];
  measures: Measure[];
} {
  const total = parts.reduce((sum, part) => sum + part, 0);
  const steps = parts.map((part) => (container * (1 - headroom) * part) / total / STEP_ML);
  const nearest = steps.map((step) => roundTo(step, 0) * STEP_ML);
  const overflows = nearest.reduce((sum, share) => sum + share, 0) > roundTo(container / STEP_ML, 0) * STEP_ML;
  const ml = overflows ? steps.map((step) => Math.floor(step + 1e-9) * STEP_ML) : nearest;
  return { ml, measures: ml.map((amount) => measureOf(amount, spoons, cup)) };
}

/** The simplest measure within 5 %: cups alone, spoons alone (at most four of one), then two kinds of them together. */
function measureOf(ml: number, spoons: readonly number[], cup: number): Measure {
  const cupMeasures = cupsUpTo(ml, cup);
  const spoonMeasures = [...spoons]
    .sort((left, right) => right - left)
    .flatMap((spoon) => Array.from({ length: MOST_SPOONS }, (_, index) => ({ ml: spoon, count: index + 1 })));
  const candidates: Measure[] = [
    ...cupMeasures,
    ...spoonMeasures.map((spoon) => ({ ml: worthOf(spoon), spoons: [spoon] })),
    ...spoonMeasures.flatMap((larger) =>
      spoonMeasures
        .filter((smaller) => smaller.ml < larger.ml)
        .map((smaller) => ({ ml: worthOf(larger) + worthOf(smaller), spoons: [larger, smaller] })),
    ),
    ...cupMeasures.flatMap((measure) =>
      spoonMeasures.map((spoon) => ({ ...measure, ml: measure.ml + worthOf(spoon), spoons: [spoon] })),
    ),
  ].filter((candidate) => candidate.ml > 0 && Math.abs(candidate.ml - ml) <= ml * TOLERANCE + 1e-9);
  candidates.sort(
    (left, right) => piecesOf(left) - piecesOf(right) || Math.abs(left.ml - ml) - Math.abs(right.ml - ml),
  );
  return candidates[0] ?? { ml, spoons: [] };
}

const worthOf = ({ ml, count }: { readonly ml: number; readonly count: number }) => ml * count;

/** How much there is to measure: kinds first, then spoonfuls. */
function piecesOf({ cups, spoons }: Measure): number {
  return (cups ? 1 : 0) + spoons.reduce((sum, { count }) => sum + 1 + count / 10, 0);
}

function cupsUpTo(ml: number, cup: number): Measure[] {
  const measures: Measure[] = [];
  for (let whole = 0; whole <= Math.ceil(ml / cup); whole++)
    for (const { part, name } of FRACTIONS)
      if (whole + part > 0) measures.push({ ml: (whole + part) * cup, cups: { whole, part: name }, spoons: [] });
  return measures;
}
