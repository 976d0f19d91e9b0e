import { seededChance, shuffle } from '../../core/chance.ts';
import type { MessageValues, Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { dotFace, type Drawing, inColumn, inGrid, inRow } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf } from '../../core/makers/index.ts';

const MOVES = [
  ...['hop', 'clap', 'turn', 'giant-step', 'frog-jump', 'stamp'],
  ...['tiptoe-step', 'knee-tap', 'star-jump', 'elephant-step', 'finger-snap', 'sideways-step'],
];

/** Dice and movements: throw, and do so many. */
export const maker: Maker = {
  id: 'dice-moves',
  place: 70,
  skills: ['see-how-many', 'movement'],
  dials: [
    { kind: 'number', name: 'dice', min: 1, max: 2, value: 1 },
    { kind: 'number', name: 'moves', min: 3, max: 12, value: 6 },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 7 },
  ],
  make(values, settings, say) {
    const dice = numberOf(values, 'dice');
    const chance = seededChance(numberOf(values, 'shuffle'));
    const all = [...MOVES];
    shuffle(all, chance);
    const moves = all.slice(0, numberOf(values, 'moves'));
    const throws = moves.map(() => Array.from({ length: dice }, () => 1 + Math.floor(chance() * 6)));
    const facts: MessageValues = {
      moves: moves.length,
      dice,
      most: dice * 6,
      move: moveOf(moves[0]!, 1),
    };
    const rows = moves.map((move, index) => throwRow(throws[index]!, move, say));
    const write = linesAbout(say, facts);
    const body = write('do-1', 'say-1', 'ask-1', 'notice-1');
    return ok({
      facts: [say('fact', facts), ...(dice === 1 && settings.pastTen ? [say('fact.past-ten')] : [])],
      values: facts,
      turns: { count: moves.length, seconds: 20 },
      picture: inGrid(rows, 2, 4),
      lines: {
        easier: write('do-1', 'do-2'),
        right: body,
        harder: [...body, ...write('say-2')],
      },
      materials: [lasting('die', dice, [{ item: 'paper', fit: 0.7, why: say('swap.paper') }])],
      actions: ['movement'],
      printable: { title: say('title'), cards: [], sheets: [inColumn(rows, 5)] },
      key: moves.map((move, index) =>
        say('key', { times: sumOf(throws[index]!), move: moveOf(move, sumOf(throws[index]!)) }),
      ),
    });
  },
};

const moveOf = (move: string, times: number) => ({ key: `dice-moves/move.${move}`, values: { times } });

/** What was thrown, and the movement it is for. */
function throwRow(faces: readonly number[], move: string, say: Say): Drawing {
  const die = (face: number): Drawing => {
    const dots = dotFace(face, 14);
    const side = { x: 0.5, y: 0.5, w: 13, h: 13, radius: 2, stroke: 'ink', width: 0.4, fill: 'white' } as const;
    return { ...dots, shapes: [{ kind: 'rect', ...side }, ...dots.shapes] };
  };
  const text = say(`move.${move}`, { times: 2 });
  return inRow(
    [...faces.map(die), { width: 60, height: 14, shapes: [{ kind: 'text', x: 2, y: 10, size: 7, text }] }],
    3,
  );
}

const sumOf = (faces: readonly number[]) => faces.reduce((sum, face) => sum + face, 0);
