import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import type { Drawing, Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf } from '../../core/makers/index.ts';

const STEPS = [2, 5, 10];

/** A row of a hundred beads in tens of two inks, and a number shown on it. */
export const maker: Maker = {
  id: 'bead-row',
  place: 230,
  skills: ['tens-ones', 'steps'],
  dials: [
    { kind: 'number', name: 'number', min: 0, max: 100, value: 34 },
    { kind: 'choice', name: 'step', choices: STEPS.map(String), value: '10' },
  ],
  make(values, _settings, say) {
    const number = numberOf(values, 'number');
    const step = Number(values.step);
    const jumps = Math.floor(number / step);
    const landing = number === 0 ? 'nothing' : number % step === 0 ? 'yes' : jumps === 0 ? 'past' : 'no';
    const fitting = STEPS.filter((size) => number > 0 && number % size === 0);
    const facts: MessageValues = {
      number,
      tens: Math.floor(number / 10),
      ones: number % 10,
      step,
      jumps,
      landing,
      last: jumps * step,
      over: number - jumps * step,
      toHundred: 100 - number,
      few: Math.min(10, number),
      fewToTen: 10 - Math.min(10, number),
      fit: fitting.length,
      fitting: listOf(fitting),
    };
    const write = linesAbout(say, facts);
    const body = write('do-1', 'ask-1', 'ask-2', 'ask-3');
    const picture = beads(number);
    return ok({
      facts: [say('fact', facts), say('fact.steps', facts)],
      values: facts,
      easier: { number: Math.min(10, number) },
      turns: { count: Math.floor(number / 10) + (number % 10), seconds: 8 },
      picture,
      lines: {
        easier: write('do-2', 'ask-4'),
        right: body,
        harder: [...body, ...write('ask-5')],
      },
      materials: [
        lasting('pasta-shape', 100, [{ item: 'building-block', fit: 0.5, why: say('swap.building-block') }]),
        lasting('string', 1),
      ],
      actions: ['cords'],
      printable: { title: say('printable'), cards: [], sheets: [acrossSheet(picture)] },
      key: [say('key', facts)],
    });
  },
};

/** Two rows of fifty, the tens in turn in two inks, the first so many filled. */
function beads(filled: number): Drawing {
  const shapes = Array.from({ length: 100 }, (_, index): Shape => {
    const [row, place] = [Math.floor(index / 50), index % 50];
    const ink = Math.floor(index / 10) % 2 ? 'marigold' : 'teal';
    const at = { x: 2.2 + place * 3.9 + Math.floor(place / 10) * 1.4, y: 4 + row * 10, r: 1.8 };
    return { kind: 'circle', ...at, fill: index < filled ? ink : 'white', stroke: 'soft', width: 0.25 };
  });
  return { width: 206, height: 20, shapes };
}

/** The row a little smaller, so that it fits across a sheet of paper. */
function acrossSheet(picture: Drawing): Drawing {
  const shapes = picture.shapes.map((shape) =>
    shape.kind === 'circle' ? { ...shape, x: shape.x * 0.9, r: shape.r * 0.9 } : shape,
  );
  return { ...picture, width: 186, shapes };
}
