import assert from 'node:assert/strict';
import { test } from 'node:test';
import { diceLines, threeInARow, wordPath } from '../words/index.ts';
import { playWordGame, type WordGame } from './wordGames.ts';

const WORDS = ['the', 'and', 'my', 'see', 'go'];
const GAMES: readonly WordGame[] = [
  { kind: 'three-in-a-row', cells: threeInARow(WORDS, { boards: 2, seed: 3 }).map((board) => board.flat()) },
  { kind: 'dice-lines', cells: diceLines(WORDS, { perLine: 5, seed: 3 }) },
  { kind: 'path', cells: [wordPath(WORDS, { places: 24, seed: 3 })] },
];

test('drawn out, every word of every game has been read often enough in every play', () => {
  for (const game of GAMES)
    for (const enough of [1, 3, 5]) {
      const { reads, turns } = playWordGame(game, { end: 'enough', enough });
      assert.ok(reads >= enough, `${game.kind} ${enough}: ${reads}`);
      assert.ok(turns[0] >= enough * WORDS.length && turns[0] <= turns[1] && turns[1] <= turns[2]);
    }
});

test('by chance a game is shorter, and what is read least is told, even where that is nothing', () => {
  for (const game of GAMES) {
    const lucky = playWordGame(game, { end: 'chance' });
    assert.ok(lucky.turns[1] <= playWordGame(game, { end: 'enough', enough: 5 }).turns[1], game.kind);
  }
  assert.equal(playWordGame(GAMES[2]!, { end: 'chance' }).reads, 0);
});

/** Mean turns over single plays. */
function meanTurns(game: WordGame, settings: Parameters<typeof playWordGame>[1], plays: number): number {
  let sum = 0;
  for (let seed = 1; seed <= plays; seed++)
    sum += playWordGame(game, { ...settings, plays: 1, seed: seed * 7919 }).turns[1];
  return sum / plays;
}

test('until all six faces have been met it takes the 14.7 throws that can be computed', () => {
  const six: WordGame = { kind: 'dice-lines', cells: ['a', 'b', 'c', 'd', 'e', 'f'].map((word) => [word]) };
  const mean = meanTurns(six, { end: 'enough', enough: 1 }, 10_000);
  assert.ok(Math.abs(mean / 14.7 - 1) < 0.02, String(mean));
});

test('two on a path of 24 need as many turns as the chances say', () => {
  // The chance that one player is through after so many throws, place by place.
  const through = [0];
  let at = new Map([[-1, 1]]);
  for (let throws = 1; throws <= 24; throws++) {
    const next = new Map<number, number>();
    let over = 0;
    for (const [place, part] of at)
      for (let face = 1; face <= 6; face++) {
        const landed = place + face;
        if (landed >= 23) over += part / 6;
        else next.set(landed, (next.get(landed) ?? 0) + part / 6);
      }
    through.push(through.at(-1)! + over);
    at = next;
  }
  // Turns go back and forth: before turn t the one has thrown half of them, rounded up, the other the rest.
  let expected = 0;
  for (let turn = 0; turn < 48; turn++)
    expected += (1 - through[Math.ceil(turn / 2)]!) * (1 - through[Math.floor(turn / 2)]!);
  const mean = meanTurns(GAMES[2]!, { end: 'chance' }, 10_000);
  assert.ok(Math.abs(mean / expected - 1) < 0.02, `${mean} ${expected}`);
});

test('a full board takes nine turns, two of them eighteen; the same seed plays the same', () => {
  const nine: WordGame = {
    kind: 'three-in-a-row',
    cells: threeInARow([...'abcdefghi'], { boards: 2, seed: 1 }).map((board) => board.flat()),
  };
  assert.deepEqual(playWordGame(nine, { end: 'enough', enough: 2 }).turns, [18, 18, 18]);
  for (const game of GAMES)
    assert.deepEqual(playWordGame(game, { end: 'chance' }), playWordGame(game, { end: 'chance' }));
});
