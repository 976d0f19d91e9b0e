import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { emptyTable, inColumn, inRow, labelled } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, usedUp } from '../../core/makers/index.ts';

/** Things that are weighed, from what a kitchen and a nursery have. */
const WEIGHED = ['spoon', 'toy-car', 'potato', 'shoe', 'apple', 'wooden-spoon', 'sponge', 'clothes-peg'] as const;

const named = (item: string): Message => ({ key: `balance-table/thing.${item}` });

/** Several things from the house, guessed and weighed in counters, in a table that is read together. */
export const maker: Maker = {
  id: 'balance-table',
  place: 160,
  skills: ['compare', 'size-order'],
  dials: [
    { kind: 'number', name: 'things', min: 3, max: 8, value: 4 },
    { kind: 'choice', name: 'counter', choices: ['building-blocks', 'bottle-lids'], value: 'building-blocks' },
  ],
  make(values, _settings, say) {
    const things = WEIGHED.slice(0, numberOf(values, 'things'));
    const isBlocks = values.counter === 'building-blocks';
    const facts: MessageValues = {
      things: things.length,
      names: listOf(things.map(named)),
      first: named(things[0]!),
      second: named(things[1]!),
      counter: isBlocks ? 'blocks' : 'lids',
      pairs: (things.length * (things.length - 1)) / 2,
    };
    const write = linesAbout(say, facts);
    const heads = [say('head.thing'), say('head.guess'), say('head.counters')];
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: things.length, seconds: 75 },
      picture: inColumn(
        things.map((item) =>
          inRow(
            [
              labelled(say(`thing.${item}`), { width: 50, height: 14 }),
              labelled('', { width: 24, height: 14 }),
              labelled('', { width: 24, height: 14 }),
            ],
            0,
          ),
        ),
        0,
      ),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'do-3', 'ask-2', 'ask-3', 'notice-1'),
        harder: write('do-1', 'do-3', 'ask-4', 'ask-5'),
      },
      materials: [
        lasting('coat-hanger', 1),
        lasting('carrier-bag', 2, [{ item: 'sock', fit: 0.8, why: say('swap.sock') }]),
        lasting(isBlocks ? 'building-block' : 'bottle-lid', 40),
        ...things.map((item) => lasting(item, 1, [{ item: 'toy-animal', fit: 0.6, why: say('swap.other') }])),
        usedUp('paper', 1),
        lasting('pencil', 1),
      ],
      actions: ['pinching'],
      printable: { title: say('printable'), cards: [], sheets: [emptyTable(heads, things.length, 170)] },
      key: [say('key', facts)],
    });
  },
};
