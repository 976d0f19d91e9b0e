import type { MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import type { Drawing, Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse, sheetsNeeded, usedUp } from '../../core/makers/index.ts';

const LARGEST = 90;
const DOT = 3;

/** How long paste and paint take to dry enough for the next step, minutes: least, likely, most. */
const DRYING: Readonly<Record<string, readonly [number, number, number]>> = {
  'glue-stick': [2, 5, 10],
  paint: [20, 40, 90],
  'wet-paste': [60, 180, 600],
};

/** Discs to cut, stick and play with: pieces for the children there, dots to stick evenly, and time to dry. */
export const maker: Maker = {
  id: 'craft',
  place: 320,
  skills: ['making', 'pattern'],
  dials: [
    { kind: 'number', name: 'children', min: 1, max: 6, value: 1 },
    { kind: 'number', name: 'each', min: 1, max: 6, value: 2 },
    { kind: 'number', name: 'across', min: 40, max: LARGEST, value: 80 },
    { kind: 'number', name: 'dots', min: 3, max: 16, value: 8 },
    { kind: 'choice', name: 'drying', choices: Object.keys(DRYING), value: 'glue-stick' },
  ],
  make(values, _settings, say) {
    const children = numberOf(values, 'children');
    const each = numberOf(values, 'each');
    const across = numberOf(values, 'across');
    const dots = numberOf(values, 'dots');
    const rim = across / 2 - 8;
    const between = (2 * rim * Math.PI) / dots;
    if (between < 2 * DOT + 2)
      return refuse('problem.crowded', { dots, most: Math.floor((2 * rim * Math.PI) / (2 * DOT + 2)) });
    const pieces = children * each;
    const cards = Array.from({ length: pieces }, () => disc(across, dots));
    const printable = { title: say('printable'), cards, sheets: [] };
    const sheets = sheetsNeeded(printable);
    const [least, dry, most] = DRYING[String(values.drying)]!;
    const facts: MessageValues = {
      children,
      each,
      pieces,
      across,
      dots,
      sheets,
      least,
      dry,
      most,
      allDots: dots * pieces,
      apart: Math.round(between),
      half: Math.floor(dots / 2),
      odd: dots % 2 === 1 ? 'yes' : 'no',
      few: Math.min(4, dots),
      paste: { key: `craft/drying.${String(values.drying).replaceAll(' ', '-')}` },
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), say('fact.sheets', facts)],
      values: facts,
      turns: { count: pieces * dots, seconds: 6 },
      picture: disc(across, dots),
      lines: {
        easier: write('do-2', 'ask-1', 'do-5', 'do-6'),
        right: write('do-1', 'do-3', 'ask-2', 'do-5', 'do-6', 'notice-1'),
        harder: write('do-1', 'do-4', 'ask-3', 'do-5', 'do-6'),
      },
      materials: [
        usedUp('paper', sheets),
        lasting('scissors', 1),
        lasting('glue-stick', 1),
        usedUp('string', pieces, [{ item: 'wool', fit: 1, why: say('swap.wool') }]),
        usedUp('cotton-wool', 1, [{ item: 'kitchen-paper', fit: 0.8, why: say('swap.kitchen-paper') }]),
      ],
      actions: ['scissors'],
      wait: { minutes: [least, dry, most], after: 'do-5' },
      printable,
      key: [say('key', facts)],
    });
  },
};

/** A disc of its true size in mm, with dots at equal steps inside its rim and a hole in its middle. */
function disc(across: number, dots: number): Drawing {
  const middle = across / 2;
  const rim = middle - 8;
  return {
    width: across,
    height: across,
    shapes: [
      { kind: 'circle', x: middle, y: middle, r: middle - 0.5, stroke: 'ink', width: 0.5, fill: 'white' },
      { kind: 'circle', x: middle, y: middle, r: 1.5, stroke: 'soft', width: 0.4 },
      ...Array.from({ length: dots }, (_, index): Shape => {
        const turn = (index * 2 * Math.PI) / dots - Math.PI / 2;
        return {
          kind: 'circle',
          x: middle + Math.cos(turn) * rim,
          y: middle + Math.sin(turn) * rim,
          r: DOT,
          stroke: 'soft',
          width: 0.4,
          isDashed: true,
        };
      }),
    ],
  };
}
