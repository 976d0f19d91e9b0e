import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { bookPages, foldedSheet, framedCard, inGrid } from '../../core/page/index.ts';
import { type BookSentence, littleBook, NEW_PAGES } from '../../core/words/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readOwnWords,
  refuse,
  refuseList,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

/** A sentence as it is read out, nouns said by their word. */
function readOut({ pieces, mark }: BookSentence): string {
  return (
    pieces.map((piece) => ('word' in piece ? piece.word : piece.picture.word) + (piece.hasComma ? ',' : '')).join(' ') +
    mark
  );
}

/** A booklet folded from one sheet: a new word a page, the old ones again, and nouns as pictures. */
export const maker: Maker = {
  id: 'little-book',
  place: 520,
  skills: ['common-words', 'sentences'],
  dials: [
    { kind: 'list', name: 'words', value: 'the, and, my, see, go' },
    { kind: 'list', name: 'known', value: 'a, I' },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 1 },
  ],
  make(values, _settings, say) {
    const words = readOwnWords(String(values.words), { dial: 'words', least: 1, most: NEW_PAGES });
    if (!words.ok) return words;
    const known = readOwnWords(String(values.known), { dial: 'known', least: 0, most: 30 });
    if (!known.ok) return known;
    const all = [...known.value, ...words.value].map((word) => word.toLowerCase());
    const twice = all.find((word, index) => all.indexOf(word) < index);
    if (twice !== undefined) return refuseList('words', 'makers/word-twice', { word: inOwn(twice) });
    const made = littleBook(words.value, { known: known.value, seed: numberOf(values, 'shuffle') });
    if (!made.ok) {
      const { problem } = made;
      if (problem.code === 'alone')
        return refuse('problem.alone', { word: inOwn(problem.word), needs: listOf(problem.needs.map(inOwn)) });
      return refuseList('words', 'problem.no-sentence', {
        word: inOwn(problem.code === 'no-sentence' ? problem.word : ''),
      });
    }
    const pages = made.value;
    const drawn = bookPages(pages, { title: say('cover'), reader: say('reader') });
    const printable = { title: say('printable'), cards: [], sheets: [foldedSheet(drawn)] };
    const read = pages.map(({ sentences }) => sentences.map(readOut).join(' '));
    const facts: MessageValues = {
      words: wordsIn(words.value),
      count: words.value.length,
      first: inOwn(words.value[0]!),
      lastPage: words.value.length + 1,
      last: inOwn(words.value.at(-1)!),
      sentence: inOwn(readOut(pages[0]!.sentences[0]!)),
      hasKnown: known.value.length > 0 ? 'yes' : 'no',
      known: wordsIn(known.value),
      sentences: pages.reduce((sum, { sentences }) => sum + sentences.length, 0),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: pages.length, seconds: 40 },
      picture: inGrid(drawn.slice(0, 6).map(framedCard), 3, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'do-3', 'ask-1', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', 1),
        lasting('scissors', 1),
        lasting('crayon', 1, [{ item: 'pencil', fit: 0.9, why: say('swap.pencil') }]),
      ],
      actions: ['scissors'],
      printable,
      key: read.map((text, index) => say('key', { page: index + 2, text: inOwn(text) })),
    });
  },
};
