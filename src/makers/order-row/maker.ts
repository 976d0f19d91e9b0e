import type { Message, MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inRow, labelled } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf } from '../../core/makers/index.ts';

const nth = (place: number): Message => ({ key: 'order-row/place', values: { place } });

/** A row of toys: who is first, who is last, who is between, and what changes when one goes to the end. */
export const maker: Maker = {
  id: 'order-row',
  place: 130,
  skills: ['order'],
  dials: [
    { kind: 'number', name: 'length', min: 3, max: 10, value: 5 },
    { kind: 'number', name: 'asked', min: 2, max: 9, value: 3 },
  ],
  make(values, _settings, say) {
    const length = numberOf(values, 'length');
    // Somebody stands on either side of the one that is asked about.
    const asked = Math.min(numberOf(values, 'asked'), length - 1);
    const facts: MessageValues = {
      length,
      asked: nth(asked),
      before: nth(asked - 1),
      after: nth(asked + 1),
      middle: (length + 1) / 2,
      hasMiddle: length % 2 === 1 ? 'yes' : 'no',
      fromEnd: nth(length - asked + 1),
      ahead: asked - 1,
      behind: length - asked,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: length, seconds: 15 },
      picture: inRow(
        Array.from({ length }, (_, index) =>
          labelled(say('place', { place: index + 1 }), {
            width: 24,
            height: 18,
            fill: index === asked - 1 ? 'yellow' : 'white',
          }),
        ),
        3,
      ),
      lines: {
        easier: write('do-2', 'ask-1'),
        right: write('do-1', 'ask-1', 'ask-2', 'do-3', 'ask-3', 'notice-1'),
        harder: write('do-1', 'ask-4', 'ask-5', 'do-4', 'ask-6'),
      },
      materials: [
        lasting('toy-animal', length, [
          { item: 'toy-car', fit: 0.9, why: say('swap.toy-car') },
          { item: 'building-block', fit: 0.6, why: say('swap.building-block') },
        ]),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: Array.from({ length }, (_, index) =>
          labelled(say('place', { place: index + 1 }), { width: 60, height: 40, size: 16 }),
        ),
        sheets: [],
      },
      key: [say('key', facts)],
    });
  },
};
