import { shuffle } from '../chance.ts';
import { FALLS, MOST_TURNS, type GameRules } from './gameRules.ts';
import { numbersTo } from './numbersDrawn.ts';

/** One play of a game. */
export interface Play {
  turns: number;
  seconds: number;
  /** The player who won, from 0; -1 where nobody did or all did together. */
  winner: number;
  hasEnded: boolean;
}

/**
 * Plays a game once. `met` counts how often each number, place or card was met; it has `metSize(rules)` entries. The play is
 * written into `play`, so that ten thousand of them make no heap.
 */
export function playGame(rules: GameRules, chance: () => number, { play, met }: { play: Play; met: Int32Array }): void {
  play.turns = 0;
  play.seconds = 0;
  play.winner = -1;
  play.hasEnded = false;
  switch (rules.game) {
    case 'race':
    case 'path':
      return race(rules, chance, { play, met });
    case 'compare':
      return compare(rules, chance, { play, met });
    case 'collect':
      return collect(rules, chance, { play, met });
    case 'turn-one':
      return turnOne(rules, chance, { play, met });
    case 'chain':
      return chainOut(rules, chance, { play, met });
    case 'fill':
      return fill(rules, chance, { play, met });
    case 'skittles':
      return skittles(rules, chance, { play, met });
  }
}

/** How many different things are met in a game: places of a path, faces, values, kinds. */
export function metSize({ game, size, faces }: GameRules): number {
  if (game === 'race' || game === 'fill') return faces;
  if (game === 'chain') return size + 1;
  return size;
}

interface Writing {
  readonly play: Play;
  readonly met: Int32Array;
}

/** The next turn: whose it is, or -1 when the play is given up. A missed one has passed already. */
function nextTurn({ players }: GameRules, chance: () => number, play: Play): number {
  while (play.turns < MOST_TURNS) {
    const who = play.turns % players.length;
    const player = players[who]!;
    play.turns += 1;
    play.seconds += player.seconds;
    if (player.misses === 0 || chance() >= player.misses) return who;
  }
  return -1;
}

function end(play: Play, winner: number): void {
  play.winner = winner;
  play.hasEnded = true;
}

function race(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  const { game, size, isHard, players, ahead = 0 } = rules;
  const drawn = numbersTo(rules.faces).numbers;
  const at = new Int32Array(players.length);
  at[0] = ahead;
  for (let who = nextTurn(rules, chance, play); who >= 0; who = nextTurn(rules, chance, play)) {
    const thrown = drawn[Math.floor(chance() * drawn.length)]!;
    if (game === 'race') met[thrown - 1]! += 1;
    const reached = at[who]! + thrown;
    if (isHard && reached > size) continue;
    at[who] = Math.min(size, reached);
    if (game === 'path') met[at[who]! - 1]! += 1;
    if (reached >= size) return end(play, who);
  }
}

function deck(size: number, copies: number, chance: () => number): Int32Array {
  const cards = new Int32Array(size * copies);
  for (let card = 0; card < cards.length; card++) cards[card] = card % size;
  shuffle(cards, chance);
  return cards;
}

/** Two hands; a turn is one card of each. In a single pass won cards lie aside, otherwise they go below the winner's hand. */
function compare(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  const { size, faces, isHard, players } = rules;
  const cards = deck(size, faces, chance);
  const hands: number[][] = [[], []];
  cards.forEach((card, index) => hands[index % 2]!.push(card));
  const won = [rules.ahead ?? 0, 0];
  const seconds = players.reduce((sum, player) => sum + player.seconds, 0);
  while (hands[0]!.length > 0 && hands[1]!.length > 0 && play.turns < MOST_TURNS) {
    const one = hands[0]!.shift()!;
    const other = hands[1]!.shift()!;
    met[one]! += 1;
    met[other]! += 1;
    play.turns += 1;
    play.seconds += seconds / 2;
    if (one === other) {
      won[0]! += 1;
      won[1]! += 1;
      if (isHard) {
        hands[0]!.push(one);
        hands[1]!.push(other);
      }
      continue;
    }
    const winner = one > other ? 0 : 1;
    won[winner]! += 2;
    if (isHard) hands[winner]!.push(one, other);
  }
  if (play.turns >= MOST_TURNS) return;
  const best = isHard ? (hands[0]!.length > 0 ? 0 : 1) : won[0] === won[1] ? -1 : won[0]! > won[1]! ? 0 : 1;
  end(play, best);
}

/** Four cards each; a kind that is held twice is laid down; ask the next one for a kind, draw where they have none. */
function collect(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  const { size, players } = rules;
  const heap = deck(size, 2, chance);
  let top = heap.length;
  const holds = players.map(() => new Int32Array(size));
  const pairs = new Int32Array(players.length);
  pairs[0] = rules.ahead ?? 0;
  let laid = 0;
  const take = (who: number, kind: number) => {
    met[kind]! += 1;
    holds[who]![kind]! += 1;
    if (holds[who]![kind] !== 2) return;
    holds[who]![kind] = 0;
    pairs[who]! += 1;
    laid += 1;
  };
  const dealt = Math.min(4, Math.floor((2 * size) / players.length));
  for (let card = 0; card < dealt; card++) for (let who = 0; who < players.length; who++) take(who, heap[--top]!);
  for (let who = nextTurn(rules, chance, play); who >= 0 && laid < size; who = nextTurn(rules, chance, play)) {
    const wanted = heldKind(holds[who]!, chance);
    if (wanted < 0) {
      if (top > 0) take(who, heap[--top]!);
      continue;
    }
    const asked = (who + 1 + Math.floor(chance() * Math.max(1, players.length - 1))) % players.length;
    if (asked !== who && holds[asked]![wanted] === 1) {
      holds[asked]![wanted] = 0;
      take(who, wanted);
    } else if (top > 0) take(who, heap[--top]!);
  }
  if (laid < size) return;
  const most = Math.max(...pairs);
  const best = pairs.indexOf(most);
  end(play, pairs.lastIndexOf(most) === best ? best : -1);
}

/** One of the kinds that are held, by chance; -1 where none is. */
function heldKind(held: Int32Array, chance: () => number): number {
  let count = 0;
  for (const number of held) count += number;
  if (count === 0) return -1;
  let at = Math.floor(chance() * count);
  for (let kind = 0; kind < held.length; kind++) {
    at -= held[kind]!;
    if (at < 0) return kind;
  }
  return -1;
}

function turnOne(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  for (let card = 0; card < rules.size; card++) {
    if (nextTurn(rules, chance, play) < 0) return;
    met[card]! += 1;
  }
  end(play, -1);
}

/** All cards with ends from 0 to `size`, each once. What does not fit goes below the heap; it ends when nothing fits any more. */
function chainOut(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  const { size } = rules;
  const ends = size + 1;
  const cards = new Int32Array((ends * (ends + 1)) / 2);
  let index = 0;
  for (let one = 0; one < ends; one++) for (let other = one; other < ends; other++) cards[index++] = one * ends + other;
  shuffle(cards, chance);
  const heap = [...cards];
  let left = -1;
  let right = -1;
  let passed = 0;
  while (heap.length > 0 && passed < heap.length) {
    if (nextTurn(rules, chance, play) < 0) return;
    const card = heap.shift()!;
    const one = Math.floor(card / ends);
    const other = card % ends;
    const fits = left < 0 || one === left || other === left || one === right || other === right;
    if (!fits) {
      heap.push(card);
      passed += 1;
      continue;
    }
    passed = 0;
    met[one]! += 1;
    met[other]! += 1;
    if (left < 0) [left, right] = [one, other];
    else if (one === right) right = other;
    else if (other === right) right = one;
    else if (one === left) left = other;
    else left = one;
  }
  end(play, -1);
}

function fill(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  const { faces, players, ahead = 0 } = rules;
  const drawn = numbersTo(faces).numbers;
  const filled = new Int32Array(players.length);
  filled[0] = 2 ** ahead - 1;
  const all = 2 ** faces - 1;
  for (let who = nextTurn(rules, chance, play); who >= 0; who = nextTurn(rules, chance, play)) {
    const face = drawn[Math.floor(chance() * drawn.length)]! - 1;
    met[face]! += 1;
    filled[who]! |= 1 << face;
    if (filled[who] === all) return end(play, who);
  }
}

/** All throw at the same skittles until none stands; whoever takes the last ones wins. */
function skittles(rules: GameRules, chance: () => number, { play, met }: Writing): void {
  let standing = rules.size;
  for (let who = nextTurn(rules, chance, play); who >= 0; who = nextTurn(rules, chance, play)) {
    let fallen = 0;
    for (let one = 0; one < standing; one++) if (chance() < FALLS) fallen += 1;
    if (fallen > 0) met[fallen - 1]! += 1;
    standing -= fallen;
    if (standing === 0) return end(play, who);
  }
}
