import type { MakerOutput } from './makerOutput.ts';
import type { MakerProblem } from '../session/makerProblem.ts';
import type { MakerSettings, MakerValues } from '../session/makerSource.ts';
import { err, type Outcome } from '../outcome.ts';

/** A dial of a maker: a number with a range, a choice, or a short list that is typed. */
export type MakerDial =
  | {
      readonly kind: 'number';
      readonly name: string;
      readonly label: string;
      readonly min: number;
      readonly max: number;
      readonly value: number;
    }
  | {
      readonly kind: 'choice';
      readonly name: string;
      readonly label: string;
      readonly choices: readonly string[];
      readonly value: string;
    }
  | {
      readonly kind: 'list';
      readonly name: string;
      readonly label: string;
      readonly hint: string;
      readonly value: string;
    };

export interface Maker {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly skills: readonly string[];
  readonly dials: readonly MakerDial[];
  /** Works everything out for values that lie in their ranges. */
  readonly make: (values: MakerValues, settings: MakerSettings) => Outcome<MakerOutput, MakerProblem>;
}

/** The values a maker starts from. */
export function firstValues(maker: Maker): Record<string, number | string> {
  return Object.fromEntries(maker.dials.map(({ name, value }) => [name, value]));
}

const LONGEST_LIST = 300;

/**
 * Runs a maker: values are checked against the dials first, so that no wrong value can make it work for long. A dial without
 * a value stands where it starts, as in a part that was made before there was that dial.
 */
export function runMaker(
  maker: Maker,
  given: MakerValues,
  settings: MakerSettings,
): Outcome<MakerOutput, MakerProblem> {
  const values = { ...firstValues(maker), ...given };
  for (const dial of maker.dials) {
    const value = values[dial.name];
    if (dial.kind === 'number') {
      if (typeof value !== 'number' || !Number.isInteger(value) || value < dial.min || value > dial.max)
        return err({ code: 'out-of-range', dial: dial.label, min: dial.min, max: dial.max, value });
    } else if (dial.kind === 'choice') {
      if (!dial.choices.includes(String(value)))
        return err({ code: 'no-such-choice', dial: dial.label, choices: dial.choices, value });
    } else if (typeof value !== 'string' || value.length > LONGEST_LIST)
      return err({ code: 'list', dial: dial.label, reason: `takes at most ${LONGEST_LIST} characters` });
  }
  return maker.make(values, settings);
}

/** Refuses values that would break a level. */
export function refuse(reason: string): { ok: false; problem: MakerProblem } {
  return err({ code: 'breaks-level', reason });
}

/** A number from a dial that was checked. */
export function numberOf(values: MakerValues, name: string): number {
  return values[name] as number;
}
