import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import type { Drawing, Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf } from '../../core/makers/index.ts';

/** A clock face at o'clock or half past. */
export const maker: Maker = {
  id: 'clock',
  place: 300,
  skills: ['order', 'numeral-quantity'],
  dials: [
    { kind: 'number', name: 'hour', min: 1, max: 12, value: 3 },
    { kind: 'choice', name: 'minutes', choices: ['oclock', 'half-past'], value: 'oclock' },
  ],
  make(values, _settings, say) {
    const hour = numberOf(values, 'hour');
    const isHalf = values.minutes === 'half-past';
    const facts: MessageValues = { hour, next: (hour % 12) + 1, half: isHalf ? 'yes' : 'no' };
    const face = clockFace(hour, isHalf);
    const write = linesAbout(say, facts);
    const body = write('do-1', 'ask-1', 'ask-2');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 4, seconds: 30 },
      picture: face,
      lines: {
        easier: write('do-2', isHalf ? 'ask-3' : 'ask-4'),
        right: body,
        harder: [...body, ...write('ask-5')],
      },
      materials: [lasting('clock', 1, [{ item: 'plate', fit: 0.7, why: say('swap.plate') }])],
      actions: [],
      printable: { title: say('title'), cards: [], sheets: [face, clockFace(null, false)] },
      key: [say('time', facts)],
    });
  },
};

/** A clock of 120 mm; without an hour it has no hands. The short hand moves on by half a step at half past. */
function clockFace(hour: number | null, isHalf: boolean): Drawing {
  const middle = 60;
  const at = (turn: number, r: number): readonly [number, number] => [
    middle + Math.sin(turn * 2 * Math.PI) * r,
    middle - Math.cos(turn * 2 * Math.PI) * r,
  ];
  const hand = (turn: number, r: number, width: number): Shape => {
    const [x2, y2] = at(turn, r);
    return { kind: 'line', x1: middle, y1: middle, x2, y2, stroke: 'ink', width };
  };
  return {
    width: 120,
    height: 120,
    shapes: [
      { kind: 'circle', x: middle, y: middle, r: 57, stroke: 'ink', width: 1, fill: 'white' },
      ...Array.from({ length: 12 }, (_, index): Shape => {
        const [x, y] = at((index + 1) / 12, 47);
        return { kind: 'text', x, y: y + 4, size: 11, text: String(index + 1), align: 'middle' };
      }),
      ...(hour === null ? [] : [hand((hour + (isHalf ? 0.5 : 0)) / 12, 26, 3), hand(isHalf ? 0.5 : 0, 39, 1.6)]),
      { kind: 'circle', x: middle, y: middle, r: 2.5, fill: 'ink' },
    ],
  };
}
