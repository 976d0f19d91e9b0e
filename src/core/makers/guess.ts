import type { MessageValues } from '../message.ts';
import { ok } from '../outcome.ts';
import { counters } from '../page/pieces.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { lasting, lineWriters } from './makerOutput.ts';

/** A handful guessed and counted. */
export const guessMaker: Maker = {
  id: 'guess-and-count',
  skills: ['how-many', 'compare'],
  dials: [
    { kind: 'number', name: 'number', min: 1, max: 40, value: 14 },
    { kind: 'number', name: 'near', min: 0, max: 10, value: 2 },
  ],
  make(values, _settings, say) {
    const number = numberOf(values, 'number');
    const near = numberOf(values, 'near');
    const taken = Math.ceil(number / 4);
    const facts: MessageValues = {
      ...{ number, near, least: Math.max(0, number - near), most: number + near, taken, left: number - taken },
    };
    if (near >= number) return refuse('problem.near', facts);
    const { toDo, toAsk } = lineWriters(say);
    const guess = toAsk('ask-1');
    const body = [toDo('do-1', facts), guess, toDo('do-2'), toAsk('ask-2', facts)];
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: number, seconds: 4 },
      picture: counters(number, { size: 7, perRow: 10 }),
      lines: {
        easier: [toDo('do-3'), guess],
        right: body,
        harder: [...body, toDo('do-4', facts), toAsk('ask-3', facts)],
      },
      materials: [
        lasting('bottle-lid', number, [{ item: 'clothes-peg', fit: 0.9, why: say('swap.clothes-peg') }]),
        lasting('tea-towel', 1),
      ],
      actions: [],
      printable: { title: say('title'), cards: [], sheets: [] },
      key: [String(number)],
    });
  },
};
