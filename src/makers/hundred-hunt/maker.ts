import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters, type Drawing, inGrid } from '../../core/page/index.ts';
import { lasting, linesAbout, lineWriters, type Maker, numberOf } from '../../core/makers/index.ts';

/** A heap counted by tens. */
export const maker: Maker = {
  id: 'hundred-hunt',
  place: 240,
  skills: ['tens-ones', 'how-many'],
  dials: [
    { kind: 'number', name: 'number', min: 1, max: 130, value: 87 },
    { kind: 'number', name: 'guess', min: 0, max: 200, value: 60 },
  ],
  make(values, _settings, say) {
    const number = numberOf(values, 'number');
    const guess = numberOf(values, 'guess');
    const tens = Math.floor(number / 10);
    const left = number % 10;
    const facts: MessageValues = {
      number,
      tens,
      left,
      guess,
      off: Math.abs(number - guess),
      toHundred: Math.max(0, 100 - number),
      side: guess === number ? 'same' : guess > number ? 'many' : 'few',
    };
    const { toAsk } = lineWriters(say);
    const write = linesAbout(say, facts);
    const body = write('do-3', 'do-4', 'ask-6', 'ask-7');
    const atTwoPlates = toAsk('ask-6', number > 20 ? { tens: 2, left: 0, number: 20 } : facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: number, seconds: 3 },
      picture: inGrid(plates(tens, left), 6, 5),
      lines: {
        easier: [...write('do-5'), atTwoPlates],
        right: body,
        harder: [...body, ...write('ask-8')],
      },
      materials: [
        lasting('dried-bean', number, [{ item: 'pasta-shape', fit: 0.9, why: say('swap.pasta-shape') }]),
        lasting('plate', tens + 1),
      ],
      actions: [],
      printable: { title: say('title'), cards: [], sheets: [] },
      key: [say('key', facts)],
    });
  },
};

/** Heaps of ten, and what is left over in another ink. */
function plates(tens: number, left: number): Drawing[] {
  return Array.from({ length: tens + (left > 0 ? 1 : 0) }, (_, index) =>
    counters(index < tens ? 10 : left, { size: 3, perRow: 5, ink: index < tens ? 'teal' : 'marigold' }),
  );
}
