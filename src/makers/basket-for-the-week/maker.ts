import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inColumn, inRow, labelled } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, refuse } from '../../core/makers/index.ts';

/** Things that have three uses each and need nothing else; each has its uses in the catalogue. */
const THINGS = [
  'wooden-spoon',
  'sieve',
  'muffin-tray',
  'whisk',
  'clothes-peg',
  'scarf',
  'funnel',
  'pine-cone',
  'saucepan-lid',
  'cushion',
];
const USES = 3;

const named = (item: string): Message => ({ key: `basket-for-the-week/choice.${item}` });
const use = (item: string, number: number): Message => ({ key: `basket-for-the-week/use.${item}.${number}` });

/** Three things from around the house in a basket, with three uses each, for one week. */
export const maker: Maker = {
  id: 'basket-for-the-week',
  place: 330,
  skills: ['handle', 'sort'],
  dials: [
    { kind: 'choice', name: 'first', choices: THINGS, value: 'wooden-spoon' },
    { kind: 'choice', name: 'second', choices: THINGS, value: 'muffin-tray' },
    { kind: 'choice', name: 'third', choices: THINGS, value: 'scarf' },
    { kind: 'number', name: 'week', min: 1, max: 52, value: 1 },
  ],
  make(values, _settings, say) {
    const things = [values.first, values.second, values.third].map(String);
    if (new Set(things).size < things.length) return refuse('problem.twice');
    const [first, second, third] = things as [string, string, string];
    const facts: MessageValues = {
      things: listOf(things.map(named)),
      first: named(first),
      second: named(second),
      third: named(third),
      week: Number(values.week),
      uses: things.length * USES,
      useOne: use(first, 1),
      useTwo: use(second, 1),
      useThree: use(third, 1),
      again: use(first, 2),
      other: use(second, 2),
      more: use(third, 2),
      hardOne: use(first, 3),
      hardTwo: use(second, 3),
      hardThree: use(third, 3),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: things.length * USES, seconds: 60 },
      picture: inRow(
        things.map((item) => labelled(say(`choice.${item}`), { width: 44, height: 20 })),
        4,
      ),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'do-3', 'do-4', 'do-5', 'ask-1', 'notice-1'),
        harder: write('do-1', 'do-6', 'do-7', 'do-8', 'ask-2'),
      },
      materials: [
        ...things.map((item) => lasting(item, 1)),
        lasting('basket', 1, [{ item: 'cardboard-box', fit: 0.9, why: say('swap.box') }]),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: [],
        sheets: [weekTable(things.map((item) => say(`choice.${item}`)))],
      },
      key: things.flatMap((item) =>
        [1, 2, 3].map((number) => say('key', { thing: named(item), use: use(item, number) })),
      ),
    });
  },
};

/** A row for each thing, with room to write or draw its three uses. */
function weekTable(things: readonly string[]): Drawing {
  const use = labelled('', { width: 40, height: 24 });
  const rows = things.map((thing) => inRow([labelled(thing, { width: 44, height: 24 }), use, use, use], 0));
  return inColumn(rows, 0);
}
