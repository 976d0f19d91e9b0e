import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inRow, wordCard } from '../../core/page/index.ts';
import { MOST_GROUPS, readSoundOrder, segmentWord, taughtGraphemes, USUAL_ORDER } from '../../core/words/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  type MakerMaterial,
  numberOf,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

/** A step: words a child reads, and a picture of what is taken or made. */
interface Step {
  readonly words: string;
  readonly picture: string;
}

interface MadeThing {
  readonly steps: readonly Step[];
  readonly materials: readonly MakerMaterial[];
  readonly actions: readonly string[];
}

const paper = usedUp('paper', 2);
const crayon = lasting('crayon', 2);

/** Small things to make, each in short words; how each is made was tried by us. */
const THINGS: Readonly<Record<string, MadeThing>> = {
  fan: {
    steps: [
      { words: 'get a big sheet', picture: 'page-facing-up' },
      { words: 'add dots and red lines', picture: 'crayon' },
      { words: 'fold it up, then back', picture: 'newspaper' },
      { words: 'go on to the end', picture: 'newspaper' },
      { words: 'grip one end and fan', picture: 'folding-hand-fan' },
    ],
    materials: [paper, crayon],
    actions: [],
  },
  hat: {
    steps: [
      { words: 'get a big sheet', picture: 'newspaper' },
      { words: 'fold it in half', picture: 'newspaper' },
      { words: 'fold the top in', picture: 'newspaper' },
      { words: 'fold the rim up', picture: 'top-hat' },
      { words: 'put it on', picture: 'top-hat' },
    ],
    materials: [usedUp('newspaper', 1, [{ item: 'paper', fit: 0.7, why: 'paper' }]), paper],
    actions: [],
  },
  drum: {
    steps: [
      { words: 'get a big pan', picture: 'cooking' },
      { words: 'tip it up', picture: 'cooking' },
      { words: 'get a spoon', picture: 'bowl-with-spoon' },
      { words: 'tap it on top', picture: 'drum' },
      { words: 'tap a big hit, then a soft hit', picture: 'drum' },
    ],
    materials: [paper, lasting('saucepan', 1), lasting('wooden-spoon', 1, [{ item: 'spoon', fit: 0.8, why: 'spoon' }])],
    actions: [],
  },
  kite: {
    steps: [
      { words: 'get a bag', picture: 'shopping-bags' },
      { words: 'get a bit of string', picture: 'yarn' },
      { words: 'knot it on the bag', picture: 'knot' },
      { words: 'run and let it up', picture: 'kite' },
    ],
    materials: [paper, lasting('carrier-bag', 1), lasting('string', 1)],
    actions: ['cords'],
  },
};

/** The steps of a small thing to make, in words this child can read and pictures, for the child's own hands. */
export const maker: Maker = {
  id: 'instructions',
  place: 540,
  skills: ['sentences', 'making'],
  dials: [
    { kind: 'choice', name: 'thing', choices: Object.keys(THINGS), value: 'drum' },
    { kind: 'number', name: 'taught', min: 1, max: MOST_GROUPS, value: USUAL_ORDER.length },
  ],
  make(values, settings, say) {
    const thing = String(values.thing);
    const { steps, materials, actions } = THINGS[thing]!;
    const { known, accent } = knownWords(settings);
    const taught = taughtGraphemes(readSoundOrder(settings.soundOrder), numberOf(values, 'taught'));
    const words = [...new Set(steps.flatMap(({ words: text }) => text.match(/[a-z]+/g) ?? []))];
    const later = words.filter((word) => !segmentWord(word, { known, accent, taught }).decodable);
    const cards = steps.map((step, index) => stepCard(step, index + 1));
    const facts: MessageValues = {
      thing,
      steps: steps.length,
      words: words.length,
      readable: words.length - later.length,
      later: wordsIn(later),
      laterCount: later.length,
      first: inOwn(steps[0]!.words),
      second: inOwn(steps[1]!.words),
      last: inOwn(steps.at(-1)!.words),
      all: listOf(
        steps.map(({ words: text }) => inOwn(text)),
        'semicolon',
      ),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), ...(later.length > 0 ? [say('fact.later', facts)] : [])],
      values: facts,
      turns: { count: steps.length, seconds: 60 },
      picture: inColumn(cards, 3),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: materials.map((material) =>
        material.swaps.length === 0
          ? material
          : { ...material, swaps: material.swaps.map((swap) => ({ ...swap, why: say(`swap.${swap.why}`) })) },
      ),
      actions,
      printable: { title: say('printable'), cards: [], sheets: cards },
      key: steps.map(({ words: text }, index) => say('key', { step: index + 1, text: inOwn(text) })),
    });
  },
};

function stepCard({ words, picture }: Step, number: number): Drawing {
  const side = 24;
  return framedCard(
    inRow(
      [
        wordCard(String(number), { width: 14, height: side, most: 10, ink: 'teal' }),
        {
          width: side,
          height: side,
          shapes: [{ kind: 'picture', name: picture, x: 2, y: 2, w: side - 4, h: side - 4 }],
        },
        wordCard(words, { width: 120, height: side, most: 9 }),
      ],
      3,
    ),
  );
}
