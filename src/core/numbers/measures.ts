import { roundTo } from './rounding.ts';

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

/** Shares a container out in amounts a kitchen can measure: each share to 5 ml, named in cups and spoons within 5 %, else in ml. */
export function shareVolumes({ container, parts, headroom, spoons, cup }: MeasuresInput): {
  ml: number[];
  say: string[];
} {
  const total = parts.reduce((sum, part) => sum + part, 0);
  const ml = parts.map((part) => roundTo((container * (1 - headroom) * part) / total / 5, 0) * 5);
  return { ml, say: ml.map((amount) => nameAmount(amount, spoons, cup)) };
}

/** The simplest name within 5 %: cups alone, spoons alone (at most four of one), then two kinds of them together. */
function nameAmount(ml: number, spoons: readonly number[], cup: number): string {
  const isNear = (measured: number) => Math.abs(measured - ml) <= ml * TOLERANCE + 1e-9;
  const cupMeasures = cupsUpTo(ml, cup);
  const spoonMeasures = [...spoons]
    .sort((left, right) => right - left)
    .flatMap((spoon) =>
      Array.from({ length: MOST_SPOONS }, (_, index) => ({ ml: spoon * (index + 1), spoon, count: index + 1 })),
    );
  const candidates = [
    ...cupMeasures.map((measure) => ({ ml: measure.ml, name: measure.name, pieces: 1 })),
    ...spoonMeasures.map((measure) => ({ ml: measure.ml, name: nameSpoons(measure), pieces: 1 + measure.count / 10 })),
    ...spoonMeasures.flatMap((larger) =>
      spoonMeasures
        .filter(({ spoon }) => spoon < larger.spoon)
        .map((smaller) => ({
          ml: larger.ml + smaller.ml,
          name: `${nameSpoons(larger)} and ${nameSpoons(smaller)}`,
          pieces: 2 + (larger.count + smaller.count) / 10,
        })),
    ),
    ...cupMeasures.flatMap((measure) =>
      spoonMeasures.map((spoon) => ({
        ml: measure.ml + spoon.ml,
        name: `${measure.name} and ${nameSpoons(spoon)}`,
        pieces: 2 + spoon.count / 10,
      })),
    ),
  ].filter((candidate) => candidate.ml > 0 && isNear(candidate.ml));
  candidates.sort((left, right) => left.pieces - right.pieces || Math.abs(left.ml - ml) - Math.abs(right.ml - ml));
  return candidates[0]?.name ?? `${ml} ml`;
}

function cupsUpTo(ml: number, cup: number): { ml: number; name: string }[] {
  const measures: { ml: number; name: string }[] = [];
  for (let whole = 0; whole <= Math.ceil(ml / cup); whole++) {
    for (const { part, name } of FRACTIONS) {
      if (whole + part === 0) continue;
      const count = `${whole > 0 ? whole : ''}${name}`;
      measures.push({ ml: (whole + part) * cup, name: `${count} ${whole + part > 1 ? 'cups' : 'cup'}` });
    }
  }
  return measures;
}

function nameSpoons({ spoon, count }: { spoon: number; count: number }): string {
  const kind = spoon === 15 ? 'tablespoon' : spoon === 5 ? 'teaspoon' : `${spoon} ml spoon`;
  return `${count} ${kind}${count === 1 ? '' : 's'}`;
}
