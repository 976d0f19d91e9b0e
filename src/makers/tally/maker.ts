import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { tallyMarks } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, usedUp } from '../../core/makers/index.ts';

/** Tally marks in fives. */
export const maker: Maker = {
  id: 'tally',
  place: 60,
  skills: ['see-how-many', 'touch-count'],
  run: { wayOut: ['do', 'do'] },
  dials: [{ kind: 'number', name: 'number', min: 5, max: 50, value: 13 }],
  make(values, _settings, say) {
    const number = numberOf(values, 'number');
    const fives = Math.floor(number / 5);
    const rest = number % 5;
    const steps = [
      ...Array.from({ length: fives }, (_, index) => (index + 1) * 5),
      ...Array.from({ length: rest }, (_, index) => fives * 5 + index + 1),
    ];
    const counting = listOf(
      steps.map((value) => ({ key: 'tally/name', values: { value } })),
      'comma',
    );
    const facts: MessageValues = { number, fives, rest, counting };
    const write = linesAbout(say, facts);
    const wayIn = write('do-1', 'say-1');
    const drawn = tallyMarks(number);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: number, seconds: 15 },
      picture: drawn,
      lines: {
        easier: [...wayIn, ...write('do-2')],
        right: [...wayIn, ...write('ask-1', 'notice-1')],
        harder: [...wayIn, ...write('ask-2')],
      },
      materials: [usedUp('paper', 1), lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }])],
      actions: [],
      printable: { title: say('title'), cards: [], sheets: [drawn] },
      key: [String(number)],
    });
  },
};
