import { listOf, type Message, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import {
  counters,
  type Drawing,
  inColumn,
  type Ink,
  inkNamed,
  inRow,
  labelled,
  wordCard,
} from '../../core/page/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readOwnWords,
  refuse,
  usedUp,
} from '../../core/makers/index.ts';

/** What is not called by a colour is drawn in these, with its name above it. */
const OTHER_INKS: readonly Ink[] = ['teal', 'marigold', 'mulberry', 'soft', 'line', 'pale'];
/** Kinds of things that come in many of a sort; a set takes the first so many. */
const KINDS = ['building-block', 'bottle-lid', 'clothes-peg', 'sock'] as const;

const kindName = (kind: string, number: number): Message => ({ key: `sorting-set/kind.${kind}`, values: { number } });

/** Things sorted by one property, then each heap by another: with sample cards, then without, and one that is left over. */
export const maker: Maker = {
  id: 'sorting-set',
  place: 10,
  skills: ['sort', 'same-different', 'match'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'list', name: 'colours', value: 'red, blue, yellow' },
    { kind: 'number', name: 'kinds', min: 1, max: 4, value: 2 },
    { kind: 'number', name: 'each', min: 1, max: 5, value: 2 },
    { kind: 'choice', name: 'extra', choices: ['one-is-left-over', 'none-is-left-over'], value: 'one-is-left-over' },
  ],
  make(values, _settings, say) {
    const colours = readOwnWords(String(values.colours), { dial: 'colours', least: 2, most: 6 });
    if (!colours.ok) return colours;
    const kinds = KINDS.slice(0, numberOf(values, 'kinds'));
    const each = numberOf(values, 'each');
    const groups = colours.value.length;
    const ofKind = groups * each;
    if (ofKind * kinds.length > 40) return refuse('problem.many', { all: ofKind * kinds.length, most: 40 });
    const extra = values.extra === 'one-is-left-over' ? 1 : 0;
    const places = ofKind - extra;
    const facts: MessageValues = {
      groups,
      each,
      ofKind,
      extra,
      places,
      kinds: kinds.length,
      all: ofKind * kinds.length,
      colours: listOf(colours.value.map(inOwn)),
      first: inOwn(colours.value[0]!),
      second: inOwn(colours.value[1]!),
      sorts: listOf(kinds.map((kind) => kindName(kind, ofKind))),
      sort: kindName(kinds[0]!, ofKind),
      inHeap: each * kinds.length,
      pair: 2 * each * kinds.length,
      one: kindName(kinds[0]!, 1),
      heaps: groups * kinds.length,
    };
    const write = linesAbout(say, facts);
    const same = write('say-1', 'ask-1');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: ofKind * kinds.length, seconds: 6 },
      picture: sortedHeaps(colours.value, each * kinds.length),
      lines: {
        easier: write('do-2', 'ask-2'),
        right: [...write('do-1'), ...same, ...write('ask-3'), ...(extra ? write('ask-4') : []), ...write('notice-1')],
        harder: [...write('do-1'), ...same, ...(kinds.length > 1 ? write('do-3', 'ask-5') : write('do-4', 'ask-6'))],
      },
      materials: [
        ...kinds.map((kind) => lasting(kind, ofKind)),
        usedUp('paper', 1),
        lasting('muffin-tray', 1, [
          { item: 'egg-carton', fit: 0.9, why: say('swap.egg-carton') },
          { item: 'plate', fit: 0.7, why: say('swap.plate') },
        ]),
      ],
      actions: [],
      printable: {
        title: say('printable'),
        cards: colours.value.map((colour) => wordCard(colour, { width: 60, height: 40, most: 14 })),
        sheets: [],
      },
      key: colours.value.map((colour) => say('key', { colour: inOwn(colour), inHeap: each * kinds.length })),
    });
  },
};

/** A heap for each colour below its card. */
function sortedHeaps(colours: readonly string[], inHeap: number): Drawing {
  return inRow(
    colours.map((colour, index) =>
      inColumn(
        [
          labelled(colour, { width: 40, height: 14 }),
          counters(inHeap, { size: 6, perRow: 5, ink: inkNamed(colour.toLowerCase()) ?? OTHER_INKS[index]! }),
        ],
        4,
      ),
    ),
    8,
  );
}
