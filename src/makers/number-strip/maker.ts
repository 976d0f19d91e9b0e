import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { CAP_HEIGHT, type Drawing, fittingEdge, fittingSize, type Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse, usedUp } from '../../core/makers/index.ts';

const CELL = 20;
const HEIGHT = 28;
/** Numerals stay clear of the cuts, whose teeth reach 3 mm into a cell on either side. */
const NUMERAL = { width: CELL - 9, size: 11 };

/** A row of numerals cut into pieces that fit only their neighbours. */
export const maker: Maker = {
  id: 'number-strip',
  place: 140,
  skills: ['order', 'say-row'],
  dials: [
    { kind: 'number', name: 'from', min: 0, max: 90, value: 1 },
    { kind: 'number', name: 'length', min: 3, max: 9, value: 8 },
  ],
  make(values, settings, say) {
    const from = numberOf(values, 'from');
    const length = numberOf(values, 'length');
    if (from === 0 && !settings.zeroEarly) return refuse('problem.zero-late');
    const stay = Math.max(1, length - 3);
    const numbers = Array.from({ length }, (_, index) => from + index);
    const last = numbers.at(-1)!;
    const facts: MessageValues = {
      from,
      length,
      last,
      stay,
      cuts: length - 1,
      second: from + 1,
      third: from + 2,
      lastThere: from + stay - 1,
      firstGiven: from + stay,
      beforeLast: last - 1,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), ...(settings.pastTen && last <= 10 ? [say('fact.past-ten')] : [])],
      values: facts,
      turns: { count: length, seconds: 15 },
      picture: strip(numbers),
      lines: {
        easier: write('do-2', 'ask-4'),
        right: write('do-1', 'say-1', 'ask-1', 'ask-2'),
        harder: write('do-3', 'ask-3'),
      },
      materials: [usedUp('paper', 1), lasting('scissors', 1)],
      actions: ['scissors'],
      printable: { title: say('printable'), cards: [], sheets: [strip(numbers)] },
      key: [say('key', { numbers: listOf(numbers) })],
    });
  },
};

/** Numerals in a row, all of one size, with the edges to cut along. */
function strip(numbers: readonly number[]): Drawing {
  const size = Math.min(...numbers.map((number) => fittingSize(String(number), NUMERAL.width, NUMERAL.size)));
  const y = HEIGHT / 2 + (size * CAP_HEIGHT) / 2;
  const width = numbers.length * CELL;
  const cells = numbers.flatMap((number, index): Shape[] => [
    { kind: 'text', x: (index + 0.5) * CELL, y, size, text: String(number), align: 'middle' },
    ...(index > 0 ? fittingEdge(index * CELL, HEIGHT, index) : []),
  ]);
  const frame: Shape = { kind: 'rect', x: 0, y: 0, w: width, h: HEIGHT, stroke: 'ink', width: 0.4, fill: 'white' };
  return { width, height: HEIGHT, shapes: [frame, ...cells] };
}
