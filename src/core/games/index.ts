/** Rules of games, and plays of them by the thousand. */

export { FALLS, type GameName, type GameRules, MOST_TURNS, OLDER, type Player, YOUNGER } from './gameRules.ts';
export { numbersDrawn } from './numbersDrawn.ts';
export { fairStart, type GameLength, shorterGame, simulate } from './simulate.ts';
export { ENOUGH_READS, playWordGame, WORD_GAME_ENDS, type WordGame, type WordGameEnd } from './wordGames.ts';
