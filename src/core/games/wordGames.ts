import { seededChance } from '../chance.ts';
import { MOST_TURNS } from './gameRules.ts';

/** When a word game is over: somebody was lucky first, or every word has been read often enough. */
export const WORD_GAME_ENDS = ['enough', 'chance'] as const;
/** See `WORD_GAME_ENDS`. */
export type WordGameEnd = (typeof WORD_GAME_ENDS)[number];

/**
 * A game on a word sheet, for two.
 *
 * - `three-in-a-row`: boards of three by three; read a free word, put a lid of yours on it. By chance a board is over with
 *   three of one's own in a row, otherwise when it is full; boards are played one after the other, again from the first.
 * - `dice-lines`: a line for each face; throw, read the first free word of that line and put a lid on it. A face that
 *   comes twice running is only read, and so is a full line. By chance the first full line ends it.
 * - `path`: throw, walk and read the word one lands on. By chance the first at the end wins; otherwise who is through
 *   starts again.
 */
export interface WordGame {
  readonly kind: 'three-in-a-row' | 'dice-lines' | 'path';
  /** The boards row by row, the lines of the faces, or the one path. */
  readonly cells: readonly (readonly string[])[];
}

/** How a word game goes, over many plays. */
export interface WordGamePlays {
  /** Turns of the tenth, the fiftieth and the ninetieth of a hundred plays. */
  readonly turns: readonly [number, number, number];
  /** How often the word that is read least is read, in nine of ten plays. */
  readonly reads: number;
}

/** How often each word is read before a game that is drawn out may end. */
export const ENOUGH_READS = 3;
const PLAYS = 1000;
const FACES = 6;

type WordTurn = { readonly word: string; readonly isOver: boolean };
/** A play under way: each call is a turn. */
type Playing = (chance: () => number) => WordTurn;

/** Plays a word game a thousand times (or `plays`); one that is drawn out ends once each word was read `enough` times. */
export function playWordGame(
  game: WordGame,
  {
    end,
    enough = ENOUGH_READS,
    plays = PLAYS,
    seed = 1,
  }: { end: WordGameEnd; enough?: number; plays?: number; seed?: number },
): WordGamePlays {
  const chance = seededChance(seed);
  const words = [...new Set(game.cells.flat())];
  const turns: number[] = [];
  const least: number[] = [];
  for (let play = 0; play < plays; play++) {
    const turn = begin(game, end);
    const reads = new Map(words.map((word) => [word, 0]));
    let lacking = words.length;
    let count = 0;
    for (let isOver = false; !isOver && count < MOST_TURNS; count++) {
      const { word, isOver: hasWinner } = turn(chance);
      reads.set(word, reads.get(word)! + 1);
      if (reads.get(word) === enough) lacking -= 1;
      isOver = end === 'chance' ? hasWinner : lacking === 0;
    }
    turns.push(count);
    least.push(Math.min(...reads.values()));
  }
  const at = (sorted: readonly number[], part: number) => sorted[Math.floor((sorted.length - 1) * part)]!;
  turns.sort((one, other) => one - other);
  least.sort((one, other) => one - other);
  return { turns: [at(turns, 0.1), at(turns, 0.5), at(turns, 0.9)], reads: at(least, 0.1) };
}

function begin({ kind, cells }: WordGame, end: WordGameEnd): Playing {
  switch (kind) {
    case 'three-in-a-row':
      return boards(cells, end);
    case 'dice-lines':
      return lines(cells);
    case 'path':
      return path(cells[0]!);
  }
}

const ROWS_OF_BOARD = [
  [0, 1, 2],
  [3, 4, 5],
  [6, 7, 8],
  [0, 3, 6],
  [1, 4, 7],
  [2, 5, 8],
  [0, 4, 8],
  [2, 4, 6],
];

function boards(cells: readonly (readonly string[])[], end: WordGameEnd): Playing {
  let board = 0;
  let turns = 0;
  let free = cells[0]!.map((_, cell) => cell);
  let owners = new Map<number, number>();
  return (chance) => {
    const [cell] = free.splice(Math.floor(chance() * free.length), 1);
    const player = turns++ % 2;
    owners.set(cell!, player);
    const word = cells[board]![cell!]!;
    const hasRow = ROWS_OF_BOARD.some((row) => row.every((place) => owners.get(place) === player));
    if (free.length > 0 && !(hasRow && end === 'chance')) return { word, isOver: false };
    const isOver = board === cells.length - 1;
    board = isOver ? 0 : board + 1;
    free = cells[board]!.map((_, place) => place);
    owners = new Map();
    return { word, isOver };
  };
}

function lines(cells: readonly (readonly string[])[]): Playing {
  const lids = cells.map(() => 0);
  const read = cells.map(() => 0);
  let before = -1;
  return (chance) => {
    const face = Math.floor(chance() * FACES) % cells.length;
    const line = cells[face]!;
    const isFull = lids[face]! >= line.length;
    // In a full line the words are read again from its start.
    const word = isFull ? line[read[face]! % line.length]! : line[lids[face]!]!;
    read[face]! += 1;
    if (!isFull && face !== before) lids[face]! += 1;
    before = face;
    return { word, isOver: lids[face]! >= line.length };
  };
}

function path(places: readonly string[]): Playing {
  const at = [-1, -1];
  let turns = 0;
  return (chance) => {
    const player = turns++ % 2;
    const next = at[player]! + 1 + Math.floor(chance() * FACES);
    const isOver = next >= places.length - 1;
    const landed = Math.min(next, places.length - 1);
    at[player] = isOver ? -1 : landed;
    return { word: places[landed]!, isOver };
  };
}
