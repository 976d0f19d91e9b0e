import type { Drawing } from '../page/drawing.ts';
import { bad, good, type Outcome } from '../outcome.ts';
import type { LevelName, Line, LineKind } from '../script/session.ts';

/** How a programme works with numbers; each has a default. */
export interface MakerSettings {
  /** Zero from the start, as the empty place; late: only once there are other numbers. */
  readonly zeroEarly: boolean;
  /** How far from things to signs the lines go. */
  readonly stage: 'objects' | 'pictures' | 'signs';
  /** Counting goes on past ten. */
  readonly pastTen: boolean;
  /** Play only: no sheets to fill in. */
  readonly playOnly: boolean;
  readonly isLeftHanded: boolean;
  readonly currency: CurrencyName;
}

export const CURRENCIES = {
  pence: { minor: 'p', major: '£', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  cents: { minor: 'c', major: '€', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  dollars: { minor: '¢', major: '$', perMajor: 100, coins: [1, 5, 10, 25] },
  tokens: { minor: ' tokens', major: '', perMajor: 0, coins: [1, 2, 5, 10] },
} as const;
export type CurrencyName = keyof typeof CURRENCIES;

export const USUAL_SETTINGS: MakerSettings = {
  zeroEarly: true,
  stage: 'objects',
  pastTen: true,
  playOnly: false,
  isLeftHanded: false,
  currency: 'pence',
};

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

export type MakerValues = Readonly<Record<string, number | string>>;

export interface MadeLine {
  /** The name of the line in its maker: the same at every setting of the dials. */
  readonly key: string;
  readonly kind: LineKind;
  readonly text: string;
  readonly answer?: string | undefined;
}

export interface MadeMaterial {
  readonly item: string;
  readonly qty: number;
  readonly use: 'lasting' | 'used-up';
  /** What else will do, with how well. */
  readonly swaps: readonly {
    readonly item: string;
    readonly fit: number;
    readonly why: string;
    /** How many of it serve the whole need: an expression over `need` and `places`. */
    readonly qty?: string | undefined;
  }[];
}

/** What is cut or written on: equal cards for sheets, or drawings one below the other. */
export interface Printable {
  readonly title: string;
  readonly cards: readonly Drawing[];
  readonly backs?: readonly Drawing[] | undefined;
  readonly sheets: readonly Drawing[];
}

export interface Made {
  /** Sums and facts for the author, a sentence each. */
  readonly facts: readonly string[];
  readonly picture: Drawing;
  readonly lines: Readonly<Record<LevelName, readonly MadeLine[]>>;
  readonly materials: readonly MadeMaterial[];
  /** Caution rules that its doing calls for. */
  readonly actions: readonly string[];
  readonly printable: Printable;
  /** The answer key, a line each. */
  readonly key: readonly string[];
}

/** Why values are refused: a dial out of its range, or values that would break a level, with the reason as a sentence. */
export type MakerProblem =
  | {
      readonly code: 'out-of-range';
      readonly dial: string;
      readonly min: number;
      readonly max: number;
      readonly value: unknown;
    }
  | {
      readonly code: 'no-such-choice';
      readonly dial: string;
      readonly choices: readonly string[];
      readonly value: unknown;
    }
  | { readonly code: 'list'; readonly dial: string; readonly reason: string }
  | { readonly code: 'breaks-level'; readonly reason: string };

export interface Maker {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly skills: readonly string[];
  readonly dials: readonly MakerDial[];
  /** Works everything out for values that lie in their ranges. */
  readonly make: (values: MakerValues, settings: MakerSettings) => Outcome<Made, MakerProblem>;
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
export function runMaker(maker: Maker, given: MakerValues, settings: MakerSettings): Outcome<Made, MakerProblem> {
  const values = { ...firstValues(maker), ...given };
  for (const dial of maker.dials) {
    const value = values[dial.name];
    if (dial.kind === 'number') {
      if (typeof value !== 'number' || !Number.isInteger(value) || value < dial.min || value > dial.max)
        return bad({ code: 'out-of-range', dial: dial.label, min: dial.min, max: dial.max, value });
    } else if (dial.kind === 'choice') {
      if (!dial.choices.includes(String(value)))
        return bad({ code: 'no-such-choice', dial: dial.label, choices: dial.choices, value });
    } else if (typeof value !== 'string' || value.length > LONGEST_LIST)
      return bad({ code: 'list', dial: dial.label, reason: `takes at most ${LONGEST_LIST} characters` });
  }
  return maker.make(values, settings);
}

/** Refuses values that would break a level. */
export function refuse(reason: string): { ok: false; problem: MakerProblem } {
  return bad({ code: 'breaks-level', reason });
}

/** Reads whole numbers from a list dial: blanks or commas between, each within a range; a sentence when one is not. */
export function readNumbers(
  text: string,
  { dial, least, most, count }: { dial: string; least: number; most: number; count: number },
): Outcome<number[], MakerProblem> {
  const written = text.split(/[\s,;]+/).filter(Boolean);
  if (written.length > count)
    return bad({ code: 'list', dial, reason: `takes at most ${count} numbers, not ${written.length}` });
  const numbers: number[] = [];
  for (const word of written) {
    const number = Number(word);
    if (!/^\d+$/.test(word) || number < least || number > most)
      return bad({
        code: 'list',
        dial,
        reason: `takes whole numbers from ${least} to ${most}, so “${word.slice(0, 20)}” was not taken`,
      });
    numbers.push(number);
  }
  return good(numbers);
}

/** A number from a dial that was checked. */
export function numberOf(values: MakerValues, name: string): number {
  return values[name] as number;
}

/** What a part of a session was made from. */
export interface MadeFrom {
  readonly maker: string;
  readonly values: MakerValues;
  readonly settings: MakerSettings;
  /** What the author changed since; made again at each turn of a dial. */
  readonly changes?: MadeChanges | undefined;
}

/** An author's changes to the lines of a level, by the ids of the maker's lines. */
export interface LevelChanges {
  readonly level: LevelName;
  readonly rewritten: Readonly<Record<string, Line>>;
  readonly removed: readonly string[];
  /** Lines of the author's own, each behind another (null: in front). */
  readonly added: readonly { readonly after: string | null; readonly line: Line }[];
  /** The maker's lines in another order than it writes them. */
  readonly order?: readonly string[] | undefined;
}

/** An author's changes to a part that a maker writes. */
export interface MadeChanges {
  readonly lines?: readonly LevelChanges[] | undefined;
  /** Swaps taken over: what stands in the place of what the maker says. */
  readonly needs?: readonly { readonly need: string; readonly item: string }[] | undefined;
}
