import { listOf, type MessageValues } from '../../core/message.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, fittingSize, framedCard, inGrid, type Shape } from '../../core/page/index.ts';
import { countSyllables, type SyllableCount } from '../../core/words/index.ts';
import type { MakerValues } from '../../core/session/index.ts';
import {
  inOwn,
  knownWords,
  linesAbout,
  type Maker,
  readNumbers,
  readOwnWords,
  type Refusal,
  refuseList,
} from '../../core/makers/index.ts';

const CARD = { width: 70, height: 40 };
const MOST_PARTS = 6;
const WORD = /^[\p{L}\p{M}]+(?:['’ -][\p{L}\p{M}]+)*$/u;

/** A word with as many dots as it has parts. */
function card(word: string, parts: number): Drawing {
  const size = fittingSize(word, CARD.width * 0.86, 12);
  const step = 9;
  const dots = Array.from({ length: parts }, (_, index): Shape => ({
    kind: 'circle',
    x: CARD.width / 2 + (index - (parts - 1) / 2) * step,
    y: 30,
    r: 2.6,
    fill: 'teal',
  }));
  return { ...CARD, shapes: [{ kind: 'text', x: CARD.width / 2, y: 18, size, text: word, align: 'middle' }, ...dots] };
}

/** The parts of a word clapped: names of the children first, then words with one to four parts. */
export const maker: Maker = {
  id: 'clap-the-parts',
  place: 380,
  skills: ['beat', 'listen'],
  dials: [
    { kind: 'list', name: 'names', value: 'Mo, Tilda' },
    { kind: 'list', name: 'parts', value: '' },
    { kind: 'list', name: 'words', value: 'moon, rabbit, elephant, caterpillar' },
  ],
  make(values, settings, say) {
    const read = readNamesAndWords(values);
    if (!read.ok) return read;
    const { names, words, told } = read.value;
    const { known } = knownWords(settings);
    const byName: Record<string, number> = Object.fromEntries(told.map((parts, index) => [names[index]!, parts]));
    const counted = [...names, ...words].map((word) => countSyllables(word, known, byName));
    const long = counted.find(({ count }) => count > MOST_PARTS);
    if (long) return refuseList('words', 'problem.long', { word: inOwn(long.word), most: MOST_PARTS });
    const facts = clappedFacts(counted, names);
    const cards = counted.map(({ word, count }) => card(word, count));
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...counted
          .filter(({ guessed }) => guessed)
          .map(({ word, count }) => say('fact.guessed', { word: inOwn(word), parts: count })),
      ],
      values: facts,
      turns: { count: counted.length, seconds: 12 },
      picture: inGrid(cards.slice(0, 6).map(framedCard), 3, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'ask-4', 'do-4'),
      },
      materials: [],
      actions: [],
      printable: { title: say('printable'), cards, sheets: [] },
      key: counted.map(({ word, count }) => say('key', { word: inOwn(word), parts: count })),
    });
  },
};

interface NamesAndWords {
  readonly names: readonly string[];
  readonly words: readonly string[];
  /** How many parts each name has, in their order, where that was told: for all of them or for none. */
  readonly told: readonly number[];
}

function readNamesAndWords(values: MakerValues): Outcome<NamesAndWords, Refusal> {
  const isNameless = String(values.names).trim() === '';
  const names = isNameless ? ok([]) : readOwnWords(String(values.names), { dial: 'names', least: 1, most: 8 });
  if (!names.ok) return names;
  const words = readOwnWords(String(values.words), { dial: 'words', least: 2, most: 10 });
  if (!words.ok) return words;
  const odd = [...names.value, ...words.value].find((word) => !WORD.test(word));
  if (odd !== undefined)
    return refuseList(names.value.includes(odd) ? 'names' : 'words', 'makers/word-letters', { word: inOwn(odd) });
  const told = readNumbers(String(values.parts), { dial: 'parts', least: 1, most: MOST_PARTS, count: 8 });
  if (!told.ok) return told;
  if (told.value.length > 0 && told.value.length !== names.value.length)
    return refuseList('parts', 'problem.parts', { names: names.value.length, parts: told.value.length });
  return ok({ names: names.value, words: words.value, told: told.value });
}

/** What the sentences speak of: names first, then words, of which the one with most and the one with fewest parts. */
function clappedFacts(counted: readonly SyllableCount[], names: readonly string[]): MessageValues {
  const asked = counted.slice(names.length);
  const first = counted[0]!;
  const longest = asked.reduce((most, entry) => (entry.count > most.count ? entry : most));
  const shortest = asked.reduce((least, entry) => (entry.count < least.count ? entry : least));
  const told = counted.map(({ word, count }) => ({
    key: 'clap-the-parts/told',
    values: { word: inOwn(word), parts: count },
  }));
  return {
    names: listOf(names.map(inOwn)),
    hasNames: names.length > 0 ? 'yes' : 'no',
    count: counted.length,
    first: inOwn(first.word),
    parts: first.count,
    word: inOwn(asked[0]!.word),
    wordParts: asked[0]!.count,
    longest: inOwn(longest.word),
    longestParts: longest.count,
    shortest: inOwn(shortest.word),
    shortestParts: shortest.count,
    same: longest.count === shortest.count ? 'yes' : 'no',
    more: longest.count - shortest.count,
    told: listOf(told, 'semicolon'),
  };
}
