import { seededChance } from '../chance.ts';
import type { GameRules } from './gameRules.ts';
import { metSize, playGame, type Play } from './playGame.ts';

/** What many plays of a game came to. */
export interface GameLength {
  readonly plays: number;
  /** The 10th, 50th and 90th of a hundred plays, by turns. */
  readonly turns: readonly [number, number, number];
  /** The same in whole minutes, at least 1. */
  readonly minutes: readonly [number, number, number];
  readonly meanTurns: number;
  /** How often in a hundred each player won, plays that nobody won shared out; empty for one player, or where all play together. */
  readonly wins: readonly number[];
  /** Between 45 and 55 in a hundred for each of two. */
  readonly isFair: boolean;
  /** How often in a hundred it had not ended after `MOST_TURNS` turns. */
  readonly endless: number;
  /** How often each number, place or card was met in a play, on average. */
  readonly met: readonly number[];
}

/** How many plays a length is taken from. */
export const PLAYS = 10_000;
const FAIR = { least: 45, most: 55 };
const PLAYED_TOGETHER = ['turn-one', 'chain'];

/** Plays a game so often, the same for the same seed, and says how long it takes, how even it is and what is met. */
export function simulate(
  rules: GameRules,
  { plays = PLAYS, seed = 1 }: { plays?: number; seed?: number } = {},
): GameLength {
  const chance = seededChance(seed);
  const turns = new Float64Array(plays);
  const seconds = new Float64Array(plays);
  const won = new Float64Array(rules.players.length);
  const met = new Int32Array(metSize(rules));
  const play: Play = { turns: 0, seconds: 0, winner: -1, hasEnded: false };
  let endless = 0;
  let total = 0;
  for (let index = 0; index < plays; index++) {
    playGame(rules, chance, { play, met });
    turns[index] = play.turns;
    seconds[index] = play.seconds;
    total += play.turns;
    if (!play.hasEnded) endless += 1;
    if (play.winner >= 0) won[play.winner]! += 1;
    else for (let who = 0; who < won.length; who++) won[who]! += 1 / won.length;
  }
  turns.sort();
  seconds.sort();
  const at = (sorted: Float64Array, part: number) => sorted[Math.min(plays - 1, Math.floor(plays * part))]!;
  const inMinutes = (part: number) => Math.max(1, Math.round(at(seconds, part) / 60));
  const hasWinner = rules.players.length > 1 && !PLAYED_TOGETHER.includes(rules.game);
  const wins = hasWinner ? Array.from(won, (count) => (count / plays) * 100) : [];
  return {
    plays,
    turns: [at(turns, 0.1), at(turns, 0.5), at(turns, 0.9)],
    minutes: [inMinutes(0.1), inMinutes(0.5), inMinutes(0.9)],
    meanTurns: total / plays,
    wins,
    isFair: wins.length !== 2 || wins.every((share) => share >= FAIR.least && share <= FAIR.most),
    endless: (endless / plays) * 100,
    met: Array.from(met, (count) => count / plays),
  };
}

/** Most places or filled places that are given as a start. */
const MOST_AHEAD = 8;

/**
 * A small advantage for the first of two that makes a game fair: so many places ahead. 0 where it is fair as it is, null where
 * no start helps, since it is won by luck alone or by none.
 */
export function fairStart(rules: GameRules, { plays = 2000, seed = 1 } = {}): number | null {
  if (rules.players.length !== 2) return 0;
  // Cards that are played again until one has them all count nothing on the way.
  const isCounted = rules.game === 'compare' ? !rules.isHard : true;
  const canStartAhead = isCounted && ['race', 'path', 'fill', 'compare', 'collect'].includes(rules.game);
  const most = canStartAhead ? Math.min(MOST_AHEAD, rules.game === 'fill' ? rules.faces - 1 : rules.size - 1) : 0;
  for (let ahead = 0; ahead <= most; ahead++) if (simulate({ ...rules, ahead }, { plays, seed }).isFair) return ahead;
  return null;
}

/** The largest smaller size with which nine plays of ten fit into so many minutes; null where even the smallest is too long. */
export function shorterGame(rules: GameRules, minutes: number, least: number): number | null {
  // A smaller game is never the longer one, so halving finds the largest that fits.
  const fits = (size: number) => simulate({ ...rules, size }, { plays: 1000 }).minutes[2] <= minutes;
  let [low, high] = [least - 1, rules.size - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(middle)) low = middle;
    else high = middle - 1;
  }
  return low < least ? null : low;
}
