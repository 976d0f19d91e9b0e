import { seededChance, shuffle } from '../../chance.ts';
import { err, ok, type Outcome } from '../../outcome.ts';
import { rudeSpans } from '../rudeWords.ts';

/** Where a word lies: from a place on to the right or down; rows and columns from 0. */
interface PlacedWord {
  readonly word: string;
  readonly row: number;
  readonly col: number;
  readonly dir: 'right' | 'down';
}

/** A filled grid; every word stands in it at one place only. */
export interface WordSearch {
  readonly grid: readonly (readonly string[])[];
  readonly placed: readonly PlacedWord[];
}

/** Why no grid can be made. */
export type WordSearchProblem =
  | { readonly code: 'too-long'; readonly word: string; readonly cells: number }
  | { readonly code: 'within'; readonly word: string; readonly other: string }
  | { readonly code: 'no-room' };

/** Cells of the longest side of a sheet. */
export const MOST_CELLS = 20;
const MOST_LAYOUTS = 60;
const MOST_FILLS = 40;
/** Times that a whole grid is looked through for one sheet, so that no list takes long. */
const MOST_LOOKS = 1500;

interface Size {
  readonly rows: number;
  readonly cols: number;
}

/**
 * A grid that holds all words, to the right or down, each at one place only, with no rude word in any line read either way, but
 * for what stands within a word of the list (grass, hello). The
 * same whole seed gives the same grid. Words are in small letters, each once; a word within another is refused, since it would
 * stand there, too. Tries a bounded number of layouts.
 */
export function wordSearch(
  words: readonly string[],
  { seed, rows, cols }: { seed: number; rows?: number | undefined; cols?: number | undefined },
): Outcome<WordSearch, WordSearchProblem> {
  for (const word of words) {
    const other = words.find((one) => one !== word && one.includes(word));
    if (other !== undefined) return err({ code: 'within', word, other });
  }
  const usual = usualSide(words);
  const size = { rows: rows ?? usual, cols: cols ?? usual };
  const longest = words.reduce((most, word) => (word.length > most.length ? word : most), '');
  const cells = Math.max(size.rows, size.cols);
  if (longest.length > cells) return err({ code: 'too-long', word: longest, cells });
  const chance = seededChance(seed);
  const looks = { left: MOST_LOOKS };
  for (let layout = 0; layout < MOST_LAYOUTS && looks.left > 0; layout++) {
    const placed = placeAll(words, size, chance);
    if (!placed) continue;
    const grid = fillSafely(placed.grid, { words, placed: placed.placed, chance, looks });
    if (grid) return ok({ grid, placed: placed.placed });
  }
  return err({ code: 'no-room' });
}

/** A side on which about half of the cells are filled by words. */
function usualSide(words: readonly string[]): number {
  const letters = words.reduce((sum, word) => sum + word.length, 0);
  const longest = words.reduce((most, word) => Math.max(most, word.length), 0);
  return Math.min(MOST_CELLS, Math.max(4, longest + 1, Math.ceil(Math.sqrt(letters * 2))));
}

type Grid = (string | null)[][];

function placeAll(
  words: readonly string[],
  size: Size,
  chance: () => number,
): { grid: Grid; placed: PlacedWord[] } | null {
  const grid: Grid = Array.from({ length: size.rows }, () => Array.from({ length: size.cols }, () => null));
  const placed = new Map<string, PlacedWord>();
  const longestFirst = [...words].sort((one, other) => other.length - one.length);
  for (const word of longestFirst) {
    const places = placesFor(word, grid, size);
    if (places.length === 0) return null;
    const place = places[Math.floor(chance() * places.length)]!;
    for (let index = 0; index < word.length; index++) {
      const [row, col] = cellOf(place, index);
      grid[row]![col] = word[index]!;
    }
    placed.set(word, place);
  }
  return { grid, placed: words.map((word) => placed.get(word)!) };
}

const cellOf = ({ row, col, dir }: PlacedWord, index: number): [number, number] =>
  dir === 'right' ? [row, col + index] : [row + index, col];

function placesFor(word: string, grid: Grid, { rows, cols }: Size): PlacedWord[] {
  const places: PlacedWord[] = [];
  for (const dir of ['right', 'down'] as const)
    for (let row = 0; row + (dir === 'down' ? word.length : 1) <= rows; row++)
      for (let col = 0; col + (dir === 'right' ? word.length : 1) <= cols; col++) {
        const place = { word, row, col, dir };
        const fits = [...word].every((letter, index) => {
          const [atRow, atCol] = cellOf(place, index);
          return (grid[atRow]![atCol] ?? letter) === letter;
        });
        if (fits) places.push(place);
      }
  return places;
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** What a grid is filled and mended with. */
interface Filling {
  readonly words: readonly string[];
  readonly placed: readonly PlacedWord[];
  readonly chance: () => number;
  readonly looks: { left: number };
}

/** Fills what is empty with letters of the words and others, so that nothing more can be found; null when that does not come out. */
function fillSafely(grid: Grid, filling: Filling): string[][] | null {
  const { words, chance, looks } = filling;
  const pool = [...new Set(words.join(''))].join('') + LETTERS;
  for (let fill = 0; fill < MOST_FILLS && looks.left > 0; fill++) {
    const filled = grid.map((row) => row.map((letter) => letter ?? pool[Math.floor(chance() * pool.length)]!));
    const end = mend(filled, grid, filling);
    if (end === 'mended') return filled;
    // What the placed words do among themselves no filling changes.
    if (end === 'fixed') return null;
  }
  return null;
}

const MOST_MENDS = 200;

/** Changes filled letters until every word is found once and no line is rude. */
function mend(
  filled: string[][],
  grid: Grid,
  { words, placed, chance, looks }: Filling,
): 'mended' | 'fixed' | 'given-up' {
  for (let step = 0; step < MOST_MENDS && looks.left > 0; step++) {
    looks.left -= 1;
    const fault = findFault(filled, words, placed);
    if (!fault) return 'mended';
    const free = fault.filter(([row, col]) => grid[row]![col] === null);
    if (free.length === 0) return 'fixed';
    shuffle(free, chance);
    const [row, col] = free[0]!;
    filled[row]![col] = LETTERS[Math.floor(chance() * LETTERS.length)]!;
  }
  return 'given-up';
}

type Cell = [number, number];
const nameOf = ([row, col]: Cell) => `${row} ${col}`;

/** The cells of a second place of a word, or of a rude one by accident; null when there is none. */
function findFault(
  filled: readonly string[][],
  words: readonly string[],
  placed: readonly PlacedWord[],
): Cell[] | null {
  const meant = new Map(placed.map((place) => [place.word, `${place.row} ${place.col} ${place.dir}`]));
  const within = placed.map((place) => new Set([...place.word].map((_, index) => nameOf(cellOf(place, index)))));
  for (const { cells, dir } of linesOf(filled)) {
    const text = cells.map(([row, col]) => filled[row]![col]!).join('');
    for (const word of words)
      for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1))
        if (meant.get(word) !== `${nameOf(cells[at]!)} ${dir}`) return cells.slice(at, at + word.length);
    const backwards = rudeSpans([...text].reverse().join('')).map(([from, to]): [number, number] => [
      text.length - to,
      text.length - from,
    ]);
    for (const [from, to] of [...rudeSpans(text), ...backwards]) {
      const span = cells.slice(from, to);
      if (!within.some((word) => span.every((cell) => word.has(nameOf(cell))))) return span;
    }
  }
  return null;
}

function linesOf(filled: readonly string[][]): { cells: Cell[]; dir: PlacedWord['dir'] }[] {
  const rows = filled.map((row, at) => ({ cells: row.map((_, col): Cell => [at, col]), dir: 'right' as const }));
  const cols = (filled[0] ?? []).map((_, col) => ({
    cells: filled.map((__, row): Cell => [row, col]),
    dir: 'down' as const,
  }));
  return [...rows, ...cols];
}
