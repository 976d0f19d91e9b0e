import assert from 'node:assert/strict';
import { test } from 'node:test';
import { FALLS, GAMES, OLDER, YOUNGER, type GameRules } from './gameRules.ts';
import { numbersDrawn, numbersTo } from './numbersDrawn.ts';
import { fairStart, shorterGame, simulate } from './simulate.ts';

const SURE = { seconds: 10, misses: 0 };
const rules = (own: Partial<GameRules>): GameRules => ({
  game: 'race',
  players: [SURE],
  size: 20,
  faces: 6,
  isHard: false,
  ...own,
});
const within = (found: number, exact: number, share = 0.02) =>
  assert.ok(Math.abs(found - exact) <= exact * share, `${found} is not within ${share * 100} % of ${exact}`);
const sum = (numbers: readonly number[]) => numbers.reduce((total, number) => total + number, 0);
const MANY = { plays: 40_000 };

test('the throws until all six faces were met are 14.7 on average, and 21 where three in ten go amiss', () => {
  const exact = sum([1, 2, 3, 4, 5, 6].map((left) => 6 / left));
  within(exact, 14.7, 0.0001);
  within(simulate(rules({ game: 'fill' }), MANY).meanTurns, exact);
  within(simulate(rules({ game: 'fill', players: [YOUNGER] }), MANY).meanTurns, exact / 0.7);
});

/** Expected throws from each place to the end, solved from the end backwards. */
function expectedThrows({ size, faces, isHard }: GameRules): number {
  const expected = new Array<number>(size + faces + 1).fill(0);
  for (let place = size - 1; place >= 0; place--) {
    const moves = Array.from({ length: faces }, (_, face) => place + face + 1);
    const staying = isHard ? moves.filter((to) => to > size).length : 0;
    const going = sum(moves.filter((to) => !isHard || to <= size).map((to) => (to >= size ? 0 : expected[to]!)));
    expected[place] = (faces + going) / (faces - staying);
  }
  return expected[0]!;
}

test('a race takes as many throws as the exact expectation, with and without an exact end', () => {
  for (const own of [
    { size: 20, faces: 6 },
    { size: 12, faces: 3 },
    { size: 30, faces: 10 },
    { size: 10, faces: 6, isHard: true },
  ])
    within(simulate(rules(own), MANY).meanTurns, expectedThrows(rules(own)));
});

/** How often the first of two alike wins a race, by going through all places of both. */
function firstWins(size: number, faces: number): number {
  const known = new Map<string, number>();
  const chanceOf = (mine: number, theirs: number): number => {
    const key = `${mine} ${theirs}`;
    if (known.has(key)) return known.get(key)!;
    let total = 0;
    for (let face = 1; face <= faces; face++) total += mine + face >= size ? 1 : 1 - chanceOf(theirs, mine + face);
    known.set(key, total / faces);
    return total / faces;
  };
  return chanceOf(0, 0) * 100;
}

test('who begins wins as often as it is exactly', () => {
  const two = rules({ players: [SURE, SURE], size: 12, faces: 4 });
  within(simulate(two, MANY).wins[0]!, firstWins(12, 4));
});

test('cards that are compared once take half as many turns as there are cards; turning one takes one each', () => {
  assert.equal(simulate(rules({ game: 'compare', players: [SURE, SURE], size: 10, faces: 4 })).meanTurns, 20);
  assert.equal(simulate(rules({ game: 'turn-one', size: 14 })).meanTurns, 14);
  within(simulate(rules({ game: 'turn-one', size: 14, players: [YOUNGER] }), MANY).meanTurns, 14 / 0.7);
});

test('skittles take as many throws as the slowest of so many that fall by chance', () => {
  const size = 6;
  // The chance that all lie after so many throws is that of one, as often as there are skittles.
  const exact = sum(Array.from({ length: 200 }, (_, throws) => 1 - (1 - (1 - FALLS) ** throws) ** size));
  within(simulate(rules({ game: 'skittles', size }), MANY).meanTurns, exact);
});

test('every die face is met as often as every other', () => {
  const { met, meanTurns } = simulate(rules({ game: 'fill' }), MANY);
  for (const often of met) within(often, meanTurns / 6);
});

test('a game that may not end says so, and one that always ends does not', () => {
  const again = simulate(rules({ game: 'compare', players: [SURE, SURE], size: 10, faces: 4, isHard: true }), {
    plays: 500,
  });
  assert.ok(again.endless > 5, String(again.endless));
  assert.equal(simulate(rules({ players: [SURE, SURE] })).endless, 0);
});

test('percentiles rise, the seed repeats a result, and every game of one to four players ends or is given up', () => {
  for (const game of GAMES)
    for (const count of [1, 2, 3, 4]) {
      const players = Array.from({ length: game === 'compare' ? 2 : count }, (_, who) => (who === 0 ? YOUNGER : OLDER));
      const answer = simulate(rules({ game, players, size: 8, faces: 4 }), { plays: 300 });
      const [low, middle, high] = answer.turns;
      assert.ok(low <= middle && middle <= high && low >= 1, game);
      assert.deepEqual(simulate(rules({ game, players, size: 8, faces: 4 }), { plays: 300 }), answer);
      if (answer.wins.length > 0) within(sum(answer.wins), 100, 0.001);
    }
});

test('a younger one behind an older one gets a start that makes it fair, and alike ones need none', () => {
  const uneven = rules({ players: [YOUNGER, OLDER], size: 25 });
  assert.equal(simulate(uneven).isFair, false);
  const ahead = fairStart(uneven);
  assert.ok(ahead !== null && ahead > 0);
  assert.equal(simulate({ ...uneven, ahead }, { plays: 20_000, seed: 7 }).isFair, true);
  assert.equal(fairStart(rules({ game: 'turn-one', players: [SURE, SURE] })), 0);
});

test('a game that is too long has a shorter one that fits', () => {
  const long = rules({ players: [YOUNGER, OLDER], size: 60 });
  const size = shorterGame(long, 8, 5)!;
  assert.ok(size < 60);
  assert.ok(simulate({ ...long, size }, { plays: 1000 }).minutes[2] <= 8);
  assert.equal(shorterGame(long, 0, 5), null);
});

test('a die or the slips have every number equally often, and so a game meets them', () => {
  for (const faces of [2, 3, 4, 5, 6, 8, 10, 12]) {
    const { by, numbers } = numbersTo(faces);
    assert.equal(by, faces === 6 ? 'die' : 'slips');
    const times = Array.from({ length: faces }, (_, at) => numbers.filter((number) => number === at + 1).length);
    assert.deepEqual([...new Set(times)], [numbers.length / faces], `${faces}`);
    const { met } = simulate(rules({ faces, size: 60 }));
    for (const often of met) within(often, sum(met) / faces, 0.06);
  }
  assert.equal(numbersDrawn(rules({ game: 'collect' })), null);
});
