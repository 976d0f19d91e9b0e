import {
  asSpelled,
  MOST_GROUPS,
  readSoundOrder,
  type SegmentedWord,
  segmentWord,
  taughtGraphemes,
  USUAL_ORDER,
} from '../../core/words/index.ts';
import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inGrid, markedWord, moved, textWidth } from '../../core/page/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readSpellable,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

const CARD = { width: 85, height: 50 };
const LARGEST = 26;

/** A card with a word and the marks of its pieces. */
function card({ word, graphemes, marks }: SegmentedWord): Drawing {
  const size = Math.min(LARGEST, (CARD.width * 0.86) / Math.max(0.1, textWidth(word, 1)));
  const pieces = graphemes.map((grapheme, index) => ({ letters: grapheme.replace('_e', ''), mark: marks[index]! }));
  const drawn = markedWord(asSpelled(word), pieces, size);
  return { ...CARD, shapes: moved(drawn.shapes, (CARD.width - drawn.width) / 2, (CARD.height - drawn.height) / 2) };
}

/** A vowel and its e with something between, as an adult reads it. */
const asRead = (grapheme: string) => grapheme.replace('_', '…');
const piecesOf = ({ graphemes }: SegmentedWord) => inOwn(graphemes.map(asRead).join(' · '));

/** Words on cards with their sounds marked: slid together, matched to things, cut apart and built again. */
export const maker: Maker = {
  id: 'word-cards',
  place: 500,
  skills: ['build-words', 'two-letters'],
  dials: [
    { kind: 'list', name: 'words', value: 'ship, sun, fish, moon' },
    { kind: 'number', name: 'taught', min: 0, max: MOST_GROUPS, value: USUAL_ORDER.length },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 2, most: 12 });
    if (!read.ok) return read;
    const taught = taughtGraphemes(readSoundOrder(settings.soundOrder), numberOf(values, 'taught'));
    const words = read.value.map((word) => segmentWord(word, { ...knownWords(settings), taught }));
    const [first, last] = [words[0]!, words.at(-1)!];
    const early = words.filter(({ decodable }) => !decodable);
    const tricky = words.filter((word) => word.tricky !== undefined);
    const cards = words.map(card);
    const printable = { title: say('printable'), cards, sheets: [] };
    const facts: MessageValues = {
      words: wordsIn(read.value),
      count: words.length,
      first: inOwn(first.word),
      last: inOwn(last.word),
      firstPieces: piecesOf(first),
      lastPieces: piecesOf(last),
      pieces: listOf(words.map(piecesOf)),
      bars: words.some(({ marks }) => marks.includes('bar')) ? 'yes' : 'no',
      arcs: words.some(({ marks }) => marks.includes('arc')) ? 'yes' : 'no',
      parts: last.graphemes.length,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...early.map((word) =>
          say('fact.early', {
            word: inOwn(word.word),
            unknown: listOf(word.unknown.map((grapheme) => inOwn(asRead(grapheme)))),
          }),
        ),
        ...tricky.map((word) => say('fact.tricky', { word: inOwn(word.word), part: inOwn(asRead(word.tricky!)) })),
        ...words
          .filter(({ source }) => source === 'rules')
          .map(({ word }) => say('fact.guessed', { word: inOwn(word) })),
      ],
      values: facts,
      turns: { count: words.length, seconds: 30 },
      picture: inGrid(cards.map(framedCard), 2, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [usedUp('paper', sheetsNeeded(printable)), lasting('scissors', 1)],
      actions: ['scissors'],
      printable,
      key: words.map((word) => say('key', { word: inOwn(word.word), pieces: piecesOf(word) })),
    });
  },
};
