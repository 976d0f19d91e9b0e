import type { MessageValues, Say, Speech } from '../message.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import {
  type MakerProblem,
  type MakerSettings,
  type MakerValues,
  NUMBER_SCHOOLS,
  schoolOf,
  withChoiceIds,
} from '../session/index.ts';
import type { MakerOutput, Worked } from './makerOutput.ts';
import { type Play, playLines } from './plays.ts';
import { runLines, runShape, type RunShape } from './run.ts';
import { VARIANTS, type Variant } from './variant.ts';
import { playMinutes, runMinutes } from './runMinutes.ts';

/** A dial of a maker: a number with a range, a choice, or a short list that is typed. Its catalogue has its label. */
export type MakerDial =
  | {
      readonly kind: 'number';
      readonly name: string;
      readonly min: number;
      readonly max: number;
      readonly value: number;
    }
  | {
      readonly kind: 'choice';
      readonly name: string;
      /** Ids, or signs such as letters; the catalogue has the words of ids, as `choice.<id>`. */
      readonly choices: readonly string[];
      readonly value: string;
    }
  | { readonly kind: 'list'; readonly name: string; readonly value: string };

/** What a maker refuses, before the maker's own name is put to it. */
export type Refusal =
  | { readonly code: 'list'; readonly dial: string; readonly why: string; readonly values?: MessageValues }
  | { readonly code: 'breaks-level'; readonly why: string; readonly values?: MessageValues };

/** Works a piece of learning with numbers out from a few dials: lines, things, picture and paper that agree. */
export interface Maker {
  /** Also the name of its folder in `src/makers` and of its scripts. */
  readonly id: string;
  /** Where it stands among the makers: they are shown in the order in which a child meets what they are about. */
  readonly place: number;
  readonly skills: readonly string[];
  /** Its own; the way it is run is a dial of every maker. */
  readonly dials: readonly MakerDial[];
  /** It plays thousands of games or the like, so a room works it out in a worker. */
  readonly isHeavy?: boolean | undefined;
  /** The sections of its run, where they differ from the usual ones. */
  readonly run?: Partial<RunShape> | undefined;
  /** Its ways of playing, where they are written whole; absent: it is run in the ways that all makers have, around its lines. */
  readonly plays?: readonly Play[] | undefined;
  /** Which way of playing stands for each way it was run in before its own were written. */
  readonly formerWays?: Readonly<Record<Variant, string>> | undefined;
  /** Works everything out for values that lie in their ranges. */
  readonly make: (values: MakerValues, settings: MakerSettings, say: Say) => Outcome<Worked, Refusal>;
}

/** Finds a maker by its name; undefined when there is none. The core is given it: it knows no maker itself. */
export type FindMaker = (id: string) => Maker | undefined;

/** The makers, and the words that they write in. */
export interface MakersInWords {
  readonly findMaker: FindMaker;
  readonly speech: Speech;
}

/** The way a part is run: a dial of every maker. */
const VARIANT_DIAL = { kind: 'choice', name: 'variant' } as const;

/** All dials of a maker: its own, and the way it is run. */
export function dialsOf(maker: Maker): readonly MakerDial[] {
  const ways = waysOf(maker);
  return [...maker.dials, { ...VARIANT_DIAL, choices: ways, value: ways[0]! }];
}

/** The ways a maker's part is run or played; the first is the usual one. */
export function waysOf({ plays }: Maker): readonly string[] {
  return plays?.map(({ id }) => id) ?? VARIANTS;
}

/** Values of a maker's dials as they are named today, whenever they were written. */
export function valuesOfToday<Values extends MakerValues>(maker: Maker, given: Values): Values {
  const values = withChoiceIds(maker.id, given);
  const { formerWays = {} } = maker;
  const way = String(values.variant);
  return Object.hasOwn(formerWays, way) ? { ...values, variant: (formerWays as Record<string, string>)[way] } : values;
}

/** The label of a dial: of the maker's own catalogue, or what all makers share. */
export function dialLabelKey(maker: Maker, name: string): string {
  return name === VARIANT_DIAL.name ? 'makers/dial.variant' : `${maker.id}/dial.${name}`;
}

/** What a choice is called: in the maker's own catalogue, or in what all makers share; a sign, such as a letter, is called itself. */
export function choiceIn(makerId: string, choice: string, speech: Speech): string {
  const find = (catalogue: string) => speech.find(`${catalogue}/choice.${choice}`);
  return find(makerId) ?? find('makers') ?? choice;
}

/** The values a maker starts from. */
export function firstValues(maker: Maker): Record<string, number | string> {
  return Object.fromEntries(dialsOf(maker).map(({ name, value }) => [name, value]));
}

/** Most characters that a typed list may have. */
const LONGEST_LIST = 300;

/** Says the sentences of one maker's catalogue by their short names; a name with a slash is one of another catalogue. */
export function sayFor(makerId: string, speech: Speech): Say {
  return (key, values) => speech.say(key.includes('/') ? key : `${makerId}/${key}`, values);
}

interface MakerContext {
  readonly settings: MakerSettings;
  readonly speech: Speech;
}

/**
 * Works out what a maker does for values, before its run is written: values are checked against the dials first, so that no
 * wrong value can make it work for long. A dial without a value stands where it starts, as in a part that was made before
 * there was that dial.
 */
export function workOut(
  maker: Maker,
  given: MakerValues,
  { settings, speech }: MakerContext,
): Outcome<Worked, MakerProblem> {
  const values = { ...firstValues(maker), ...valuesOfToday(maker, given) };
  for (const dial of dialsOf(maker)) {
    const problem = problemOf(dial, values[dial.name]);
    if (problem) return err({ maker: maker.id, dial: dial.name, ...problem });
  }
  const say = sayFor(maker.id, speech);
  const made = maker.make(values, settings, say);
  if (!made.ok) return err({ maker: maker.id, ...made.problem });
  const play = maker.plays?.find(({ id }) => id === values.variant);
  return play ? ok(withPlay(play, made.value, { settings, say })) : made;
}

/** What a maker worked out, with the lines of a way of playing. */
function withPlay(play: Play, worked: Worked, { settings, say }: { settings: MakerSettings; say: Say }): Worked {
  const { values, holds = {}, each = {} } = worked;
  const schools = Object.fromEntries(NUMBER_SCHOOLS.map((school) => [school, schoolOf(settings) === school]));
  return { ...worked, lines: playLines(play, { values, holds: { ...holds, ...schools }, each }, say) };
}

/** Runs a maker: its part whole, with lines at each level in the way that its values say, and its minutes. */
export function runMaker(maker: Maker, given: MakerValues, context: MakerContext): Outcome<MakerOutput, MakerProblem> {
  const worked = workOut(maker, given, context);
  if (!worked.ok) return worked;
  const way = String(valuesOfToday(maker, given).variant ?? waysOf(maker)[0]);
  const said = { settings: context.settings, say: sayFor(maker.id, context.speech) };
  const play = maker.plays?.find(({ id }) => id === way);
  return ok(
    play
      ? wholePlay(play, worked.value, said.say)
      : wholeRun(maker, worked.value, { variant: way as Variant, ...said }),
  );
}

/** A way of playing with its minutes. */
function wholePlay(play: Play, worked: Worked, say: Say): MakerOutput {
  const { values, lines, materials, printable, turns, actions } = worked;
  return {
    ...worked,
    variant: play.id,
    actions: play.posture === 'moving' ? [...new Set([...actions, 'movement'])] : actions,
    pictureWords: say('picture', values),
    minutes: playMinutes({ lines: lines.right, turns, materials, printable, wait: worked.wait?.minutes }),
    posture: play.posture,
  };
}

/** The run written around what a maker worked out. */
function wholeRun(
  { run }: Maker,
  worked: Worked,
  { variant, settings, say }: { variant: Variant; settings: MakerSettings; say: Say },
): MakerOutput {
  const { values, easier } = worked;
  const lines = runLines({ shape: runShape(run), levels: worked.lines, values, easier, variant, settings, say });
  // During the day nothing is fetched: it is done with what is in hand anyway.
  const materials = variant === 'during-the-day' ? [] : worked.materials;
  const isMoving = variant === 'moving-about';
  return {
    ...worked,
    lines,
    materials,
    variant,
    actions: isMoving && !worked.actions.includes('movement') ? [...worked.actions, 'movement'] : worked.actions,
    pictureWords: say('picture', values),
    minutes: runMinutes({
      variant,
      lines: lines.right,
      turns: worked.turns,
      materials,
      printable: worked.printable,
      wait: worked.wait?.minutes,
      known: worked.together,
    }),
    posture: isMoving ? 'moving' : variant === 'during-the-day' ? 'free' : 'seated',
  };
}

function problemOf(dial: MakerDial, value: unknown) {
  switch (dial.kind) {
    case 'number': {
      const isIn = typeof value === 'number' && Number.isInteger(value) && value >= dial.min && value <= dial.max;
      return isIn ? null : { code: 'out-of-range' as const, min: dial.min, max: dial.max, value };
    }
    case 'choice':
      return dial.choices.includes(String(value))
        ? null
        : { code: 'no-such-choice' as const, choices: dial.choices, value };
    case 'list':
      return typeof value === 'string' && value.length <= LONGEST_LIST
        ? null
        : { code: 'list' as const, why: 'makers/list-too-long', values: { most: LONGEST_LIST } };
  }
}

/** Refuses values that would break a level, with the name of the sentence that says why. */
export function refuse(why: string, values?: MessageValues): { ok: false; problem: Refusal } {
  return err({ code: 'breaks-level', why, ...(values && { values }) });
}

/** Refuses what was typed into a list dial, with the name of the sentence that says why. */
export function refuseList(dial: string, why: string, values?: MessageValues): { ok: false; problem: Refusal } {
  return err({ code: 'list', dial, why, ...(values && { values }) });
}

/** A number from a dial that was checked. */
export function numberOf(values: MakerValues, name: string): number {
  return values[name] as number;
}
