import { LEVELS } from './levelName.ts';
import { linesAt } from './levels.ts';
import type { Line } from './line.ts';
import type { Segment } from './session.ts';

/** Where a part says a number: in the words or the answer of a line, or as how many of a thing. */
export type NumberUse =
  | {
      readonly in: 'line';
      readonly line: string;
      readonly field: 'text' | 'answer';
      readonly at: number;
      readonly said: string;
      /** What is counted, where a plural stands right behind the number. */
      readonly counted?: string | undefined;
    }
  | { readonly in: 'need'; readonly need: string };

/** What a number may become: its name in the part, what it is called, and its range, both ends included. */
export interface AdjustableNumber {
  readonly value: number;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  /** One of what is counted, by its plural: that word then goes by the number. */
  readonly one?: Readonly<Record<string, string>> | undefined;
}

const WORDS = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const LARGEST = 999;

/** The whole numbers that a line says outside braces, in figures, each once, in its order. None: none. */
export function numbersIn(text: string): number[] {
  const found = [...outsideBraces(text).matchAll(/(?<![\d.,/:{])\b\d{1,3}\b(?![\d/:%]|[.,]\d)/g)].map(([figure]) =>
    Number(figure),
  );
  return [...new Set(found)].filter((number) => number >= 1 && number <= LARGEST);
}

/** A range to offer for a number: from half of it to twice, and never below 1. */
export function rangeFor(value: number): { min: number; max: number } {
  return { min: Math.max(1, Math.floor(value / 2)), max: Math.max(2, value * 2) };
}

/**
 * Every place of a part that says a number: in figures or, up to twelve, as a word, in lines of all levels outside braces, and
 * as how many of a thing. In the part's order; nowhere: none.
 */
export function usesOf(segment: Segment, value: number): NumberUse[] {
  const lines = allLines(segment);
  return [
    ...lines.flatMap((line) => [...usesIn(line, 'text', value), ...usesIn(line, 'answer', value)]),
    ...segment.needs.flatMap(({ id, qty }): NumberUse[] => (qty === value ? [{ in: 'need', need: id }] : [])),
  ];
}

/** The part with a number made adjustable at the chosen places. Its name is made from the label and is taken by nothing else. */
export function makeAdjustable(segment: Segment, number: AdjustableNumber, uses: readonly NumberUse[]): Segment {
  const { value, label, min, max, one = {} } = number;
  const name = freeName(segment, label);
  const write = (line: Line): Line => {
    const text = replaced(line.text, placesOf(uses, line, 'text'), { name, one });
    const answer = line.answer && replaced(line.answer, placesOf(uses, line, 'answer'), { name, one });
    return text === line.text && answer === line.answer
      ? line
      : { ...line, text, ...(line.answer && { answer }), says: undefined };
  };
  const levels = Object.fromEntries(
    Object.entries(segment.levels).map(([level, change]) => [
      level,
      change?.lines ? { ...change, lines: change.lines.map(write) } : change,
    ]),
  );
  const chosen = new Set(uses.flatMap((use) => (use.in === 'need' ? [use.need] : [])));
  return {
    ...segment,
    dials: [...segment.dials, { name, label, min, max, value }],
    rightDials: { ...segment.rightDials, [name]: value },
    lines: segment.lines.map(write),
    levels,
    needs: segment.needs.map((need) => (chosen.has(need.id) ? { ...need, qty: name } : need)),
  };
}

function allLines(segment: Segment): Line[] {
  const byId = new Map(LEVELS.flatMap((level) => linesAt(segment, level)).map((line) => [line.id, line]));
  return [...byId.values()];
}

/** The same text with what stands in braces blotted out, so that places stay where they are. */
function outsideBraces(text: string): string {
  return text.replace(/\{[^}]*\}?/g, (braced) => '{'.repeat(braced.length));
}

function usesIn(line: Line, field: 'text' | 'answer', value: number): NumberUse[] {
  const word = WORDS[value];
  const pattern = word === undefined || value < 2 ? `${value}` : `${value}|${word}`;
  const places = outsideBraces(line[field] ?? '').matchAll(
    new RegExp(`(?<![\\p{L}\\d.,/:{-])(?:${pattern})(?![\\p{L}\\d/:%-]|[.,]\\d)`, 'giu'),
  );
  return [...places].map(({ index, 0: said }) => {
    const counted = pluralAfter(line[field] ?? '', index + said.length);
    return { in: 'line', line: line.id, field, at: index, said, ...(counted && { counted }) };
  });
}

/** The plural right behind a number: “cups” of “6 cups”; none where another word stands there. */
function pluralAfter(text: string, at: number): string | undefined {
  const word = /^ (\p{L}{3,})(?!\p{L})/u.exec(text.slice(at))?.[1];
  return word && singularOf(word) !== word && !NO_PLURALS.has(word.toLowerCase()) ? word : undefined;
}

const NO_PLURALS = new Set(['times', 'this', 'across', 'less', 'plus', 'minus', 'guess', 'press', 'towards', 'always']);

/** One of what a plural names, as far as its ending tells: cups, boxes, berries. A word without such an ending stays. */
export function singularOf(plural: string): string {
  if (/[^aeiou]ies$/i.test(plural)) return `${plural.slice(0, -3)}y`;
  if (/(?:[sxz]|ch|sh)es$/i.test(plural)) return plural.slice(0, -2);
  return /[^su]s$/i.test(plural) ? plural.slice(0, -1) : plural;
}

const placesOf = (uses: readonly NumberUse[], line: Line, field: 'text' | 'answer') =>
  uses.filter((use) => use.in === 'line' && use.line === line.id && use.field === field) as Extract<
    NumberUse,
    { in: 'line' }
  >[];

function replaced(
  text: string,
  uses: readonly Extract<NumberUse, { in: 'line' }>[],
  { name, one }: { name: string; one: Readonly<Record<string, string>> },
): string {
  return [...uses]
    .sort((some, other) => other.at - some.at)
    .filter(({ at, said }) => text.slice(at, at + said.length) === said)
    .reduce((written, { at, said, counted }) => {
      const singular = counted !== undefined && Object.hasOwn(one, counted) ? one[counted] : undefined;
      const after = at + said.length + (singular === undefined ? 0 : counted!.length + 1);
      const words = singular === undefined ? `{${name}}` : `{${name}} {${name}:${singular}|${counted}}`;
      return `${written.slice(0, at)}${words}${written.slice(after)}`;
    }, text);
}

function freeName({ dials }: Segment, label: string): string {
  const stem =
    label
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z]+/g, '')
      .slice(0, 20) || 'number';
  const taken = new Set([...dials.map(({ name }) => name), ...RESERVED]);
  let name = stem;
  for (let number = 2; taken.has(name); number += 1) name = `${stem}${number}`;
  return name;
}

/** Names that mean something else in a sum or a line. */
const RESERVED = ['sum', 'min', 'max', 'ceil', 'floor', 'round', 'loves', 'child'];
