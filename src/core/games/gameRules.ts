/** Games of our own for what is in the house, from moves that everybody knows. */
export const GAMES = ['race', 'path', 'compare', 'collect', 'turn-one', 'chain', 'fill', 'skittles'] as const;
/** A game by its name. */
export type GameName = (typeof GAMES)[number];

/** Somebody who plays: how long a turn takes, and how many turns in a hundred go amiss (a throw off the table, a card forgotten). */
export interface Player {
  readonly seconds: number;
  /** From 0 to below 1. */
  readonly misses: number;
}

/** A younger child, as usual, where a programme sets no other. */
export const YOUNGER: Player = { seconds: 20, misses: 0.3 };
/** See `YOUNGER`. */
export const OLDER: Player = { seconds: 12, misses: 0.05 };

/**
 * The rules of a game as data: who plays, with what, and when it ends.
 *
 * - `race`, `path`: throw and move so many places; who reaches the end first wins. On a path each place is read.
 * - `compare`: cards of so many values, each so often, are dealt; the higher of two takes both. With `again` won cards are
 *   played again until one has them all, which may never happen.
 * - `collect`: pairs of so many kinds; ask somebody for a kind you hold, draw where they have none.
 * - `turn-one`: turn a card and do it, until none is left.
 * - `chain`: cards with two ends from 0 to `size`, drawn in turn, laid where an end is alike, put back below where not.
 * - `fill`: one place for each face of the die; throw until all are filled.
 * - `skittles`: so many stand, each falls at a throw as often as `FALLS` says; until none stands.
 */
export interface GameRules {
  readonly game: GameName;
  readonly players: readonly Player[];
  /** Places, values of cards, kinds of pairs, cards, highest end, or skittles, by the game. */
  readonly size: number;
  /** Faces of the die, or how often each value of cards is there. */
  readonly faces: number;
  /** A race has to be ended by the exact throw; compared cards are played again. */
  readonly isHard: boolean;
  /** Places the first player is ahead at the start, or places filled already. */
  readonly ahead?: number | undefined;
}

/** Turns after which a play is given up: it may not end. */
export const MOST_TURNS = 400;
/** How often each skittle falls at a throw. */
export const FALLS = 0.35;
