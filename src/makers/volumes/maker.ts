import { listOf, type Message, type MessageValues, type Say } from '../../core/message.ts';
import { type Measure, measureMessage, shareVolumes } from '../../core/numbers/index.ts';
import { ok } from '../../core/outcome.ts';
import type { Drawing, Ink, Shape } from '../../core/page/index.ts';
import {
  lasting,
  linesAbout,
  type Maker,
  type MakerLine,
  type MakerMaterial,
  numberOf,
  readNumbers,
  refuse,
  refuseList,
} from '../../core/makers/index.ts';

const TABLESPOON = 15;
const TEASPOON = 5;
/** More than that nobody counts out. */
const MOST_TEASPOONS = 12;

/** A jar shared out in amounts a kitchen can measure. */
export const maker: Maker = {
  id: 'volumes',
  place: 260,
  skills: ['compare', 'science'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'number', name: 'container', min: 50, max: 5000, value: 750 },
    { kind: 'list', name: 'shares', value: '1 2' },
    { kind: 'number', name: 'headroom', min: 0, max: 50, value: 10 },
    { kind: 'choice', name: 'cup', choices: ['240', '250'], value: '250' },
  ],
  make(values, _settings, say) {
    const parts = readNumbers(String(values.shares), { dial: 'shares', least: 1, most: 20, count: 6 });
    if (!parts.ok) return parts;
    if (parts.value.length === 0) return refuseList('shares', 'problem.no-share');
    const container = numberOf(values, 'container');
    const cup = Number(values.cup);
    const headroom = numberOf(values, 'headroom') / 100;
    const shared = shareVolumes({ container, parts: parts.value, headroom, spoons: [TEASPOON, TABLESPOON], cup });
    const shares = shared.ml.map((ml, index): Share => ({ ml, measure: shared.measures[index]! }));
    const poured = shares.reduce((sum, { ml }) => sum + ml, 0);
    const least = Math.min(...shared.ml);
    if (least < TEASPOON) return refuse('problem.small', { least });
    if (poured > container) return refuse('problem.runs-over', { poured, container });
    const pouring = { shares, container, poured, cups: Math.floor(poured / cup) };
    return ok({
      facts: [
        say('fact', {
          shares: listOf(
            shares.map(({ ml, measure }) => shareOf(ml, measure)),
            'semicolon',
          ),
        }),
      ],
      values: pouringFacts(pouring),
      turns: { count: shares.length, seconds: 45 },
      picture: jar(pouring, say),
      lines: pouringLines(pouring, say),
      materials: pouringMaterials(pouring, say),
      actions: ['water'],
      printable: { title: say('title'), cards: [], sheets: [] },
      key: shares.map(({ ml, measure }, index) =>
        say('key', { share: index + 1, ml, measure: measureMessage(measure) }),
      ),
    });
  },
};

interface Share {
  readonly ml: number;
  readonly measure: Measure;
}

interface Pouring {
  readonly shares: readonly Share[];
  /** All in ml. */
  readonly container: number;
  readonly poured: number;
  /** Whole cups in what is poured. */
  readonly cups: number;
}

const shareOf = (ml: number, measure: Measure): Message => ({
  key: 'volumes/share',
  values: { ml, measure: measureMessage(measure) },
});

const asksTeaspoons = ({ shares }: Pouring) => shares[0]!.ml <= MOST_TEASPOONS * TEASPOON;

function pouringFacts({ shares, container, poured, cups }: Pouring): MessageValues {
  const first = shares[0]!.ml;
  const largest = Math.max(...shares.map(({ ml }) => ml));
  const most = shares.flatMap(({ ml }, index) => (ml === largest ? [index] : []));
  const free = container - poured;
  return {
    container,
    poured,
    cups,
    free,
    parts: shares.length,
    teaspoons: first / TEASPOON,
    again: free >= first ? 'yes' : 'no',
    alike: most.length === shares.length ? 'yes' : 'no',
    largest: measureMessage(shares[most[0]!]!.measure),
    places: listOf(most.map((index) => ({ key: 'volumes/place', values: { place: index + 1 } }))),
    pours: listOf(
      shares.map(({ measure }) => measureMessage(measure)),
      'then',
    ),
  };
}

function pouringLines(pouring: Pouring, say: Say): Readonly<Record<'easier' | 'right' | 'harder', MakerLine[]>> {
  const { shares, cups } = pouring;
  const facts = pouringFacts(pouring);
  const write = linesAbout(say, facts);
  const body = [...write('do-1'), ...(shares.length > 1 ? write('ask-1') : []), ...write('ask-2', 'if-1')];
  return {
    easier: cups > 0 ? write('do-2', 'ask-3') : write('do-3'),
    right: body,
    harder: [...body, ...write(asksTeaspoons(pouring) ? 'ask-4' : 'ask-5')],
  };
}

function pouringMaterials(pouring: Pouring, say: Say): MakerMaterial[] {
  const measures = pouring.shares.map(({ measure }) => measure);
  const takes = (ml: number) => measures.some(({ spoons }) => spoons.some((spoon) => spoon.ml === ml));
  return [
    lasting('clear-plastic-jar', 1, [{ item: 'mixing-bowl', fit: 0.6, why: say('swap.mixing-bowl') }]),
    lasting('measuring-cup', 1, [{ item: 'cup', fit: 0.7, why: say('swap.cup') }]),
    ...(takes(TABLESPOON) || pouring.cups === 0 ? [lasting('spoon', 1)] : []),
    ...(takes(TEASPOON) || asksTeaspoons(pouring) ? [lasting('teaspoon', 1)] : []),
    lasting('jug', 1),
    lasting('baking-tray', 1, [{ item: 'towel', fit: 0.7, why: say('swap.towel') }]),
  ];
}

const INKS: readonly Ink[] = ['teal', 'marigold', 'mulberry', 'blue', 'green', 'grey'];

/** The container with its shares one above the other, each named beside it. */
function jar({ shares, container }: Pouring, say: Say): Drawing {
  let y = 62;
  const layers = shares.flatMap(({ ml, measure }, index): Shape[] => {
    const height = (ml / container) * 58;
    y -= height;
    const text = say('measure', { measure: measureMessage(measure) });
    return [
      { kind: 'rect', x: 4, y, w: 30, h: height, fill: INKS[index]!, stroke: 'ink', width: 0.3 },
      { kind: 'text', x: 40, y: y + height / 2 + 2, size: 6, text },
    ];
  });
  const glass: Shape = { kind: 'rect', x: 4, y: 4, w: 30, h: 58, stroke: 'ink', width: 0.8 };
  return { width: 150, height: 66, shapes: [...layers, glass] };
}
