import type { MessageValues } from '../../core/message.ts';
import { markedStrips } from '../../core/numbers/index.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, inColumn, type Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse, sheetsNeeded, usedUp } from '../../core/makers/index.ts';

const CELL = 20;
/** With fewer, no strip can be taken out so that a gap shows. */
const FEWEST = 3;

/** A strip with marks in cells of 20 mm. */
function strip(marks: number, text = ''): Drawing {
  const shapes: Shape[] = Array.from({ length: Math.max(1, marks) }, (_, index): Shape => ({
    kind: 'rect',
    x: index * CELL,
    y: 0,
    w: CELL,
    h: CELL,
    stroke: 'ink',
    width: 0.4,
    fill: 'white',
  }));
  for (let mark = 0; mark < marks; mark++)
    shapes.push({ kind: 'circle', x: (mark + 0.5) * CELL, y: CELL / 2, r: 5, fill: 'teal' });
  if (text) shapes.push({ kind: 'text', x: Math.max(1, marks) * CELL + 3, y: CELL / 2 + 3, size: 8, text });
  return { width: Math.max(1, marks) * CELL + (text ? 16 : 0), height: CELL, shapes };
}

/** Marks that fit across a sheet; longer strips are printed in two pieces. */
const FIT_ACROSS = 9;

/** Strips with a to b marks. */
export const maker: Maker = {
  id: 'strips',
  place: 110,
  skills: ['order', 'compare'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'number', name: 'from', min: 1, max: 12, value: 1 },
    { kind: 'number', name: 'to', min: 1, max: 12, value: 6 },
  ],
  make(values, _settings, say) {
    const from = numberOf(values, 'from');
    const to = numberOf(values, 'to');
    if (to < from) return refuse('problem.down', { from, to });
    if (to < from + FEWEST - 1) return refuse('problem.few', { from, to, strips: to - from + 1 });
    const { strips, marks } = markedStrips(from, to);
    const numbers = Array.from({ length: strips }, (_, index) => from + index);
    const sheets = numbers.map((number) =>
      number <= FIT_ACROSS ? strip(number) : inColumn([strip(FIT_ACROSS), strip(number - FIT_ACROSS)], 2),
    );
    const printable = { title: say('title'), cards: [], sheets };
    const facts: MessageValues = {
      from,
      to,
      strips,
      marks,
      cell: CELL,
      longest: to * CELL,
      across: FIT_ACROSS,
      next: from + 1,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), ...(to > FIT_ACROSS ? [say('fact.two-pieces', facts)] : [])],
      values: facts,
      turns: { count: strips, seconds: 25 },
      picture: inColumn(
        numbers.map((number) => strip(number, String(number))),
        4,
      ),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'if-1'),
        harder: write('do-3', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable), [{ item: 'newspaper', fit: 0.7, why: say('swap.newspaper') }]),
        lasting('crayon', 1),
        lasting('scissors', 1),
      ],
      actions: ['scissors'],
      printable,
      key: numbers.map((number) => say('key', { number })),
    });
  },
};
