import { type GameRules, numbersDrawn } from '../../core/games/index.ts';
import type { Say } from '../../core/message.ts';
import { dieNet, dotFace, type Drawing, inColumn, inGrid, inRow, labelled, wordCard } from '../../core/page/index.ts';
import { type Printable, wordWalk } from '../../core/makers/index.ts';

/** A place of a track, mm: a figure stands on it. */
const PLACE = 25;
const PER_ROW = 7;

const numbers = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => from + index);

/** A track as one walks it: every other row from the right. */
function track(labels: readonly string[], place = PLACE): Drawing {
  const rows = Array.from({ length: Math.ceil(labels.length / PER_ROW) }, (_, row) => {
    const cells = labels
      .slice(row * PER_ROW, (row + 1) * PER_ROW)
      .map((label) => labelled(label, { width: place, height: place, size: place * 0.34 }));
    const gap: Drawing = { width: place, height: place, shapes: [] };
    const full = [...cells, ...Array.from({ length: PER_ROW - cells.length }, () => gap)];
    return inRow(row % 2 === 0 ? full : full.reverse(), 0);
  });
  return inColumn(rows, 0);
}

const labelsOf = ({ game, size }: GameRules, words: readonly string[]) =>
  numbers(1, size).map((place) => (game === 'path' ? words[(place - 1) % words.length]! : String(place)));

const die = (face: number, side: number): Drawing => {
  const dots = dotFace(Math.min(6, face), side);
  const edge = {
    kind: 'rect',
    x: 0.5,
    y: 0.5,
    w: side - 1,
    h: side - 1,
    radius: 2,
    stroke: 'ink',
    width: 0.4,
  } as const;
  return { width: side, height: side, shapes: [edge, ...dots.shapes] };
};

const faceCard = (face: number, side: number) =>
  face <= 6 ? die(face, side) : labelled(String(face), { width: side, height: side, size: side * 0.5 });

/** Both ends of a card of a chain. */
const ends = (one: number, other: number): Drawing => inRow([faceOrBlank(one), faceOrBlank(other)], 0);
const faceOrBlank = (face: number) => (face === 0 ? labelled('', { width: 40, height: 40 }) : faceCard(face, 40));

/** What a game looks like when it is laid out. */
export function gamePicture(rules: GameRules, words: readonly string[]): Drawing {
  const { game, size, faces } = rules;
  switch (game) {
    case 'race':
      return track(labelsOf(rules, words), 16);
    case 'path':
      return wordWalk(labelsOf(rules, words));
    case 'compare':
      return inRow(
        [Math.max(1, size - 2), size].map((value) => labelled(String(value), { width: 36, height: 50, size: 22 })),
        10,
      );
    case 'collect':
      return inGrid(
        numbers(1, Math.min(8, size)).map((kind) => labelled(String(kind), { width: 24, height: 32, size: 14 })),
        4,
        3,
      );
    case 'turn-one':
      return inColumn(
        words.slice(0, 4).map((word) => labelled(word, { width: 60, height: 16 })),
        3,
      );
    case 'chain':
      return inRow([ends(0, 1), ends(1, Math.min(2, size)), ends(Math.min(2, size), size)], 2);
    case 'fill':
      return inGrid(
        numbers(1, faces).map((face) => faceCard(face, 24)),
        5,
        3,
      );
    case 'skittles':
      return inRow(
        numbers(1, size).map(() => labelled('', { width: 9, height: 30 })),
        5,
      );
  }
}

/** A net to fold, or slips to cut out, by what the game draws its numbers with; nothing for one without numbers. */
function drawnOnPaper(rules: GameRules): Drawing[] {
  const drawn = numbersDrawn(rules);
  if (!drawn) return [];
  if (drawn.by === 'die') return [dieNet(drawn.numbers.map(String), 38)];
  return [
    inGrid(
      drawn.numbers.map((number) => faceCard(number, 32)),
      5,
      2,
    ),
  ];
}

/** What a game needs on paper, at its true size. */
export function gamePaper(rules: GameRules, words: readonly string[], say: Say): Printable {
  const { game, size, faces } = rules;
  const title = say('printable');
  const cards = (list: readonly Drawing[]): Printable => ({ title, cards: list, sheets: [] });
  const sheets = (list: readonly Drawing[]): Printable => ({ title, cards: [], sheets: list });
  const toDraw = drawnOnPaper(rules);
  switch (game) {
    case 'race':
      return sheets([track(labelsOf(rules, words)), ...toDraw]);
    case 'path':
      return sheets([wordWalk(labelsOf(rules, words)), ...toDraw]);
    case 'compare':
      return cards(
        numbers(1, size).flatMap((value) =>
          Array.from({ length: faces }, () => labelled(String(value), { width: 50, height: 70, size: 30 })),
        ),
      );
    case 'collect':
      return cards(
        numbers(1, size)
          .flatMap((kind) => [kind, kind])
          .map((kind) => labelled(String(kind), { width: 50, height: 70, size: 30 })),
      );
    case 'turn-one':
      return cards(
        numbers(1, size).map((card) =>
          wordCard(words[(card - 1) % words.length]!, { width: 60, height: 45, most: 16 }),
        ),
      );
    case 'chain':
      return cards(numbers(0, size).flatMap((one) => numbers(one, size).map((other) => ends(one, other))));
    case 'fill':
      return sheets([
        inGrid(
          numbers(1, faces).map((face) => faceCard(face, 32)),
          5,
          2,
        ),
        ...toDraw,
      ]);
    case 'skittles':
      return sheets([track(numbers(1, size).map(String), 24)]);
  }
}
