import type { ChoiceDial, Dial } from './dial.ts';
import type { MakerSource, MakerValues } from './makerSource.ts';
import type { Segment } from './session.ts';

/** Ways of running a part as they were stored before they had ids. */
const FORMER_WAYS: readonly string[] = ['moving about', 'as a game', 'two children', 'during the day', 'five minutes'];

/** Choices of makers as they were stored before they had ids, by maker and dial: what stood on the screen. Kept for good. */
export const FORMER_CHOICES: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  'sorting-set': { extra: ['one is left over', 'none is left over'] },
  'number-row': { mistake: ['leaves it out', 'says it twice', 'changes two round'] },
  'numeral-page': { written: ['in dough', 'in the air', 'in flour', 'with a pencil'] },
  frame: { frame: ['two tens'] },
  'balance-table': { counter: ['building blocks', 'bottle lids'] },
  'pattern-row': { task: ['what comes next', 'one is hidden', 'one is wrong', 'copy it'] },
  'pair-cards': {
    set: ['all pairs of one total', 'all up to a total', 'a chain'],
    back: ['the total', 'the dots', 'a piece that fits'],
  },
  'story-sums': {
    way: ['more come', 'some go'],
    question: ['how many now', 'how many came or went', 'how many there were'],
  },
  'money-table': { change: ['not yet'] },
  kitchen: { recipe: ['flat bread', 'fruit bowl', 'rice in a bowl'] },
  'week-strip': {
    today: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    begins: ['Monday', 'Sunday', 'Saturday'],
  },
  clock: { minutes: ['o’clock', 'half past'] },
  game: {
    game: [
      'a race along a tape',
      'a path with words',
      'compare cards',
      'collect pairs by asking',
      'turn one and do it',
      'a chain of ends',
      'fill the pattern',
      'set up and knock down',
    ],
    players: ['a younger and an older one', 'two alike', 'a child and an adult', 'one alone'],
  },
  craft: { drying: ['glue stick', 'wet paste'] },
  writing: { form: ['shopping list'] },
  'guess-the-sound': { round: ['which is it', 'loud and soft', 'near and far'] },
  'sound-story': { told: ['as a story', 'as a rhyme'] },
  'blend-by-ear': { kind: ['I spy', 'fetch it', 'touch it', 'a puppet says'] },
  'sound-page': { written: ['in the air', 'in flour', 'with a brush and water', 'with a pencil'] },
  'alphabet-chart': { hung: ['in one line', 'as a wall of cards'] },
  'letter-hunt': { letters: ['small letters'] },
  'letter-tiles': { laid: ['one after the other', 'all at once'] },
  'word-sheet': {
    kind: [
      'missing word',
      'word search',
      'word hunt',
      'dice lines',
      'three in a row',
      'match across',
      'each word its colour',
      'ring every one',
      'long review',
    ],
  },
  'clap-the-full-stops': {
    text: ['an easy one of ours', 'a harder one of ours', 'my own'],
    marks: ['the ends of sentences', 'every mark'],
  },
};

/** The id that a choice has today; one that was never stored in words stays as it is. */
function idOf(maker: string, dial: string, choice: string): string {
  const former = dial === 'variant' ? FORMER_WAYS : (FORMER_CHOICES[maker]?.[dial] ?? []);
  return former.includes(choice) ? slug(choice) : choice;
}

function slug(phrase: string): string {
  return phrase.toLowerCase().replaceAll('’', '').replaceAll(' ', '-');
}

/** Values of a maker's dials with the ids of its choices, whenever and wherever they were written. */
export function withChoiceIds<Values extends MakerValues>(maker: string, values: Values): Values {
  return Object.fromEntries(
    Object.entries(values).map(([dial, value]) => [dial, typeof value === 'string' ? idOf(maker, dial, value) : value]),
  ) as Values;
}

/** What of a part or an activity a maker may have written. */
type MadePart = Partial<Pick<Segment, 'made' | 'dials' | 'rightDials'>>;

/** A part that a maker wrote, with the ids of its choices; what stood on the screen becomes their words. Any other part: itself. */
export function partWithChoiceIds<Part extends MadePart>(segment: Part): Part {
  const { made } = segment;
  if (!made) return segment;
  const { maker } = made;
  return {
    ...segment,
    ...(segment.dials && { dials: segment.dials.map((dial) => dialWithIds(maker, dial)) }),
    ...(segment.rightDials && { rightDials: withChoiceIds(maker, segment.rightDials) }),
    made: sourceWithIds(made),
  };
}

/** The name that answers about a part are kept under, with the id of the way it was run. */
export function answersKeyWithId(key: string): string {
  const [kind, maker = '', way] = key.split(':');
  return kind === 'maker' && way !== undefined ? `maker:${maker}:${idOf(maker, 'variant', way)}` : key;
}

function sourceWithIds(made: MakerSource): MakerSource {
  const { maker, values, paces } = made;
  const renamed = paces && Object.entries(paces).map(([way, pace]) => [idOf(maker, 'variant', way), pace]);
  return { ...made, values: withChoiceIds(maker, values), ...(renamed && { paces: Object.fromEntries(renamed) }) };
}

function dialWithIds(maker: string, dial: Dial): Dial {
  if (!('choices' in dial)) return dial;
  const ids = dial.choices.map((choice) => idOf(maker, dial.name, choice));
  const former = dial.choices.flatMap((choice, at) => (ids[at] === choice ? [] : [[ids[at]!, choice]]));
  if (former.length === 0) return dial;
  const words: ChoiceDial['words'] = { ...Object.fromEntries(former), ...dial.words };
  return { ...dial, choices: ids, value: idOf(maker, dial.name, dial.value), words };
}
