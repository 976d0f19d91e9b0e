import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import type { Drawing, Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse } from '../../core/makers/index.ts';

/** A balance made from a coat hanger, with things weighed in counters. */
export const maker: Maker = {
  id: 'balance',
  place: 150,
  skills: ['compare'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'number', name: 'left', min: 0, max: 40, value: 12 },
    { kind: 'number', name: 'right', min: 0, max: 40, value: 7 },
    { kind: 'number', name: 'guess', min: 0, max: 40, value: 4 },
  ],
  make(values, _settings, say) {
    const left = numberOf(values, 'left');
    const right = numberOf(values, 'right');
    if (left === 0 && right === 0) return refuse('problem.nothing');
    const most = Math.max(left, right);
    const difference = Math.abs(left - right);
    const side = left === right ? 'neither' : left > right ? 'left' : 'right';
    const off = Math.abs(numberOf(values, 'guess') - difference);
    const facts: MessageValues = { left, right, guess: numberOf(values, 'guess'), off, side, difference, most };
    const write = linesAbout(say, facts);
    const body = write('do-1', 'ask-1', 'ask-2', 'if-1');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: left + right, seconds: 4 },
      picture: hanger(left, right),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: body,
        harder: [...body, ...write('ask-4')],
      },
      materials: [
        lasting('coat-hanger', 1),
        lasting('carrier-bag', 2, [{ item: 'sock', fit: 0.8, why: say('swap.sock') }]),
        // Both bags at once, and what makes them level.
        lasting('building-block', 2 * most, [{ item: 'spoon', fit: 0.5, why: say('swap.spoon') }]),
      ],
      actions: ['pinching'],
      printable: { title: say('title'), cards: [], sheets: [] },
      key: [say('key', facts)],
    });
  },
};

function hanger(left: number, right: number): Drawing {
  const tilt = Math.max(-12, Math.min(12, left - right));
  return {
    width: 120,
    height: 66,
    shapes: [
      { kind: 'line', x1: 60, y1: 4, x2: 60, y2: 12, stroke: 'ink', width: 1 },
      { kind: 'line', x1: 16, y1: 12 + tilt, x2: 104, y2: 12 - tilt, stroke: 'ink', width: 1.4 },
      ...bag(16, 12 + tilt, left),
      ...bag(104, 12 - tilt, right),
    ],
  };
}

function bag(x: number, y: number, weight: number): Shape[] {
  return [
    { kind: 'line', x1: x, y1: y, x2: x - 8, y2: y + 18, stroke: 'soft', width: 0.5 },
    { kind: 'line', x1: x, y1: y, x2: x + 8, y2: y + 18, stroke: 'soft', width: 0.5 },
    { kind: 'rect', x: x - 12, y: y + 18, w: 24, h: 20, radius: 4, fill: 'pale', stroke: 'ink', width: 0.5 },
    { kind: 'text', x, y: y + 32, size: 10, text: String(weight), align: 'middle' },
  ];
}
