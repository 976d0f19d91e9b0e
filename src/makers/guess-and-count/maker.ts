import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { counters } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse } from '../../core/makers/index.ts';

/** A handful guessed and counted. */
export const maker: Maker = {
  id: 'guess-and-count',
  place: 90,
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
      number,
      near,
      least: Math.max(0, number - near),
      most: number + near,
      taken,
      left: number - taken,
    };
    if (near >= number) return refuse('problem.near', facts);
    const write = linesAbout(say, facts);
    const body = write('do-1', 'ask-1', 'do-2', 'ask-2');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: number, seconds: 4 },
      picture: counters(number, { size: 7, perRow: 10 }),
      lines: {
        easier: write('do-3', 'ask-1'),
        right: body,
        harder: [...body, ...write('do-4', 'ask-3')],
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
