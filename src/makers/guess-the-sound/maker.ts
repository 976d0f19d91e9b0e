import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inGrid, labelled } from '../../core/page/index.ts';
import { lasting, linesAbout, lineWriters, type Maker, numberOf } from '../../core/makers/index.ts';

/** Things that sound, from those that nobody mistakes to those that are nearly alike. */
const SOUNDING = [
  'bicycle-bell',
  'bunch-of-keys',
  'newspaper',
  'wooden-spoon',
  'comb',
  'clothes-peg',
  'paper',
  'foil',
] as const;
const ROUNDS: Readonly<Record<string, string>> = {
  'which-is-it': 'which',
  'loud-and-soft': 'loud',
  'near-and-far': 'near',
};

const nameOf = (thing: string): Message => ({ key: `guess-the-sound/thing.${thing}` });
const wayOf = (thing: string): Message => ({ key: `guess-the-sound/way.${thing}` });

/** Things of the house that sound behind a cushion: which was it, loud or soft, near or far? */
export const maker: Maker = {
  id: 'guess-the-sound',
  place: 360,
  skills: ['listen', 'same-different'],
  dials: [
    { kind: 'number', name: 'things', min: 2, max: SOUNDING.length, value: 4 },
    { kind: 'choice', name: 'round', choices: Object.keys(ROUNDS), value: 'which-is-it' },
  ],
  make(values, _settings, say) {
    const count = numberOf(values, 'things');
    const things = SOUNDING.slice(0, count);
    const round = ROUNDS[String(values.round)]!;
    const last = things.at(-1)!;
    const facts: MessageValues = {
      count,
      things: listOf(things.map(nameOf)),
      first: nameOf(things[0]!),
      firstWay: wayOf(things[0]!),
      round,
      second: nameOf(things[1]!),
      last: nameOf(last),
      lastWay: wayOf(last),
    };
    const { toDo } = lineWriters(say);
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count, seconds: 20 },
      picture: inGrid(
        things.map((thing) => labelled(say(`thing.${thing}`), { width: 60, height: 16 })),
        2,
        3,
      ),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: [...write('do-1', 'ask-1'), toDo(`round.${round}`, facts), ...write('notice-1')],
        harder: write('do-1', 'ask-4', 'do-4'),
      },
      materials: [
        ...things.map((thing) => lasting(thing, 1)),
        lasting('cushion', 1, [{ item: 'towel', fit: 0.9, why: say('swap.towel') }]),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: things.map((thing) => labelled(say(`thing.${thing}`), { width: 85, height: 50, size: 9 })),
        sheets: [],
      },
      key: things.map((thing) => say('key', { thing: nameOf(thing), way: wayOf(thing) })),
    });
  },
};
