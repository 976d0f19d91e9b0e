import { readNumbers } from './readNumbers.ts';
import { shareVolumes } from '../numbers/measures.ts';
import { err, ok } from '../outcome.ts';
import { type Ink, type Shape } from '../page/drawing.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords, ordinalName } from './words.ts';

/** More than that nobody counts out. */
const MOST_TEASPOONS = 12;

/** A jar shared out in amounts a kitchen can measure. */
export const volumesMaker: Maker = {
  id: 'volumes',
  title: 'Volumes',
  about: 'A container shared out, each share in cups and spoons.',
  skills: ['compare', 'science'],
  dials: [
    { kind: 'number', name: 'container', label: 'container, ml', min: 50, max: 5000, value: 750 },
    { kind: 'list', name: 'shares', label: 'shares', hint: 'such as 1 2 for a third and two thirds', value: '1 2' },
    { kind: 'number', name: 'headroom', label: 'left empty, of a hundred', min: 0, max: 50, value: 10 },
    { kind: 'choice', name: 'cup', label: 'cup, ml', choices: ['240', '250'], value: '250' },
  ],
  make(values) {
    const shares = readNumbers(String(values.shares), { dial: 'shares', least: 1, most: 20, count: 6 });
    if (!shares.ok) return shares;
    if (shares.value.length === 0) return err({ code: 'list', dial: 'shares', reason: 'needs at least one share' });
    const container = numberOf(values, 'container');
    const cup = Number(values.cup);
    const { ml, say } = shareVolumes({
      container,
      parts: shares.value,
      headroom: numberOf(values, 'headroom') / 100,
      spoons: [5, 15],
      cup,
    });
    if (ml.some((amount) => amount < 5))
      return refuse(
        `the smallest share would be ${Math.min(...ml)} ml, less than a teaspoon; take fewer shares or a larger container`,
      );
    const poured = ml.reduce((sum, amount) => sum + amount, 0);
    if (poured > container)
      return refuse(
        `rounded to what a kitchen measures the shares come to ${poured} ml, and the container holds ${container}; leave a little of it empty`,
      );
    const largest = Math.max(...ml);
    const most = ml.flatMap((amount, index) => (amount === largest ? [index] : []));
    const cups = Math.floor(poured / cup);
    const said = say.join(' ');
    const asksTeaspoons = ml[0]! <= MOST_TEASPOONS * 5;
    const spoons = [
      ...(said.includes('tablespoon') || cups === 0 ? ['spoon'] : []),
      ...(said.includes('teaspoon') || asksTeaspoons ? ['teaspoon'] : []),
    ];
    const inks: Ink[] = ['teal', 'marigold', 'mulberry', 'blue', 'green', 'grey'];
    let y = 62;
    const layers: Shape[] = ml.flatMap((amount, index): Shape[] => {
      const height = (amount / container) * 58;
      y -= height;
      return [
        { kind: 'rect', x: 4, y, w: 30, h: height, fill: inks[index]!, stroke: 'ink', width: 0.3 },
        { kind: 'text', x: 40, y: y + height / 2 + 2, size: 6, text: say[index]! },
      ];
    });
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Stand a clear container of ${container} ml on a tray, with a jug of water beside it. Pour ${say.join(', then ')}.`,
      },
      ...(ml.length > 1
        ? [
            {
              key: 'ask-1',
              kind: 'ask' as const,
              text: '“Which was the most?”',
              answer:
                most.length === ml.length
                  ? `all alike: ${say[0]!} each`
                  : `the ${listWords(most.map((index) => ordinalName(index + 1)))}: ${say[most[0]!]!}`,
            },
          ]
        : []),
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“Will it run over?”',
        answer: `no: ${container - poured} ml stay empty`,
      },
      { key: 'if-1', kind: 'if' as const, text: 'It spills: that is why the tray is there. Wipe and go on.' },
    ];
    return ok({
      facts: [`${ml.map((amount, index) => `${amount} ml is ${say[index]}`).join('; ')}.`],
      picture: {
        width: 150,
        height: 66,
        shapes: [...layers, { kind: 'rect', x: 4, y: 4, w: 30, h: 58, stroke: 'ink', width: 0.8 }],
      },
      lines: {
        easier:
          cups > 0
            ? [
                {
                  key: 'do-2',
                  kind: 'do',
                  text: `Pour with a cup only, to about ${poured} ml, and count the cups aloud.`,
                },
                { key: 'ask-3', kind: 'ask', text: '“How many full cups go in?”', answer: count(cups, 'cup') },
              ]
            : [{ key: 'do-3', kind: 'do', text: `Pour with a spoon only, and watch the water rise to ${poured} ml.` }],
        right: body,
        harder: [
          ...body,
          ml[0]! <= MOST_TEASPOONS * 5
            ? {
                key: 'ask-4',
                kind: 'ask',
                text: '“How many teaspoons would the first share be?”',
                answer: count(ml[0]! / 5, 'teaspoon'),
              }
            : {
                key: 'ask-5',
                kind: 'ask',
                text: '“Would the first share go in once more?”',
                answer:
                  container - poured >= ml[0]!
                    ? 'yes: there is room for it'
                    : `no: only ${container - poured} ml are free`,
              },
        ],
      },
      materials: [
        {
          item: 'clear-plastic-jar',
          qty: 1,
          use: 'lasting',
          swaps: [{ item: 'mixing-bowl', fit: 0.6, why: 'the water rises less in it for each cup' }],
        },
        {
          item: 'measuring-cup',
          qty: 1,
          use: 'lasting',
          swaps: [{ item: 'cup', fit: 0.7, why: 'measure once how much it holds' }],
        },
        ...spoons.map((item) => ({ item, qty: 1, use: 'lasting' as const, swaps: [] })),
        { item: 'jug', qty: 1, use: 'lasting', swaps: [] },
        {
          item: 'baking-tray',
          qty: 1,
          use: 'lasting',
          swaps: [{ item: 'towel', fit: 0.7, why: 'it drinks up what is spilt' }],
        },
      ],
      actions: ['water'],
      printable: { title: 'Volumes', cards: [], sheets: [] },
      key: ml.map((amount, index) => `share ${index + 1}: ${amount} ml, ${say[index]}`),
    });
  },
};
