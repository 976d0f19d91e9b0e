import { ALLERGENS, readAvoided } from '../cautions/index.ts';

/** A part of a cell; one in quotes is taken as it is written. */
interface Piece {
  readonly text: string;
  readonly isQuoted: boolean;
}

/**
 * The parts of a cell that lists several: between commas, semicolons, ampersands, “and” or line ends, as `between` has it.
 * What stands in double quotes is one part. Nothing written: none.
 */
export function piecesOf(cell: string, between: RegExp): Piece[] {
  const quoted: string[] = [];
  const hidden = cell.replace(/"([^"]*)"/g, (_, text: string) => `\u0001${quoted.push(text) - 1}\u0002`);
  return hidden
    .split(between)
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .slice(0, 500)
    .map((part) => {
      const whole = /^\u0001(\d+)\u0002$/.exec(part);
      if (whole) return { text: quoted[Number(whole[1])]!, isQuoted: true };
      return { text: part.replace(/\u0001(\d+)\u0002/g, (_, at: string) => quoted[Number(at)]!), isQuoted: false };
    });
}

/** What stands between the names of children. */
export const BETWEEN_NAMES = /\s*(?:[&+;/,\n]|\band\b)\s*/i;
/** What stands between their birthdays: no slash, which a date has. */
export const BETWEEN_BIRTHS = /\s*(?:[&+;,\n]|\band\b)\s*/i;
const BETWEEN_FOODS = /\s*(?:[&+;,\n/]|\band\b)\s*/i;

const NOTHING = /^(none|no|nothing|n\/a|na|nil|-+|–|—|0|no allerg(y|ies)|none known|nka)\.?$/i;

/** Whether a cell says that there is nothing. */
export const saysNothing = (cell: string) => cell.trim() === '' || NOTHING.test(cell.trim());

/** What a cell says nobody there must have: of the list of allergens, and the rest in its own words. */
export function readAvoids(cell: string): { allergens: string[]; own: string[] } {
  if (saysNothing(cell)) return { allergens: [], own: [] };
  const allergens = new Set<string>();
  const own = new Set<string>();
  for (const { text, isQuoted } of piecesOf(cell, BETWEEN_FOODS)) {
    const word = isQuoted ? text : plainFood(text);
    if (word === '' || saysNothing(word)) continue;
    const meant = isQuoted ? [] : meantBy(word);
    if (meant.length > 0) for (const allergen of meant) allergens.add(allergen);
    else own.add(word.slice(0, 60));
  }
  return { allergens: [...allergens], own: [...own].slice(0, 16) };
}

/** Without what people write around the food itself. */
const plainFood = (text: string) =>
  text
    .trim()
    .replace(/^(allergic to|allergy to|intolerant to|avoids?|no|not|severe|mild)\s+/i, '')
    .replace(/\s+(allerg(y|ies|ic)|intoleran(t|ce)|free)$/i, '')
    .trim();

function meantBy(word: string): string[] {
  const name = word.toLowerCase().replaceAll(' ', '-');
  if ((ALLERGENS as readonly string[]).includes(name)) return [name];
  if (/^c(o)?eliac( disease)?$/i.test(word)) return ['wheat'];
  return readAvoided(word);
}

/** How many there are of a thing: “12 lids”, “lids: 12”, “lids (12)”, “lids x 12”; without a number, none is said. */
export function readCount(text: string): { name: string; count: number | undefined } {
  const before = /^(\d{1,6}(?:\.\d+)?)\s*(?:x\s+|×\s*)?(.+)$/.exec(text.trim());
  if (before) return { name: before[2]!.trim(), count: Number(before[1]) };
  const after = /^(.+?)\s*(?::\s*|\(\s*|\s[x×]\s*|\s)(\d{1,6}(?:\.\d+)?)\s*\)?$/.exec(text.trim());
  return after ? { name: after[1]!.trim(), count: Number(after[2]) } : { name: text.trim(), count: undefined };
}

/** Yes or no, as people tick a box in a table; anything written that is not a no is a yes. */
export const saysYes = (cell: string) => !/^(|no|n|false|0|-|–|none)$/i.test(cell.trim());
