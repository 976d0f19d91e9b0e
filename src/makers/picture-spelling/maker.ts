import { seededChance, shuffle } from '../../core/chance.ts';
import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inRow, pictureCard, wordCard } from '../../core/page/index.ts';
import { rememberLast } from '../../core/remembering.ts';
import { type Accent, FIRST_SOUNDS } from '../../core/sounds/index.ts';
import { findStarts, PICTURE_WORDS, type PictureWord } from '../../core/words/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readSpellable,
  refuseList,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

const SIDE = 30;

/** Clear pictures by the letter they start with, where it has the sound that is met first; the letter only where none has it. */
const picturesIn = rememberLast(2, (accent): ReadonlyMap<string, readonly PictureWord[]> => {
  const { known } = knownWords({ accent: accent as Accent });
  const clear = PICTURE_WORDS.filter(({ group }) => group === undefined);
  return new Map(
    [...'abcdefghijklmnopqrstuvwxyz'].map((letter) => {
      const written = clear.filter(({ word }) => word.startsWith(letter));
      const sound = FIRST_SOUNDS.get(letter === 'q' ? 'qu' : letter)?.split(' ')[0] ?? '';
      const words = written.map(({ word }) => word);
      const heard = new Set(findStarts(sound, words, known, accent as Accent).yes);
      const sure = written.filter(({ word }) => heard.has(word) && !/^(sh|ch|th|ph|wh|kn|wr)/.test(word));
      return [letter, sure.length > 0 ? sure : written];
    }),
  );
});

/** The pictures that spell a word, another for each place; null where a letter has none (left). */
export function spellingPictures(word: string, accent: Accent, seed: number): PictureWord[] | { lacks: string } {
  const chance = seededChance(seed);
  const taken = new Set<string>();
  const pictures: PictureWord[] = [];
  for (const letter of word) {
    const open = (picturesIn(accent).get(letter) ?? []).filter(
      (entry) => !taken.has(entry.word) && entry.word !== word,
    );
    shuffle(open, chance);
    if (open.length === 0) return { lacks: letter };
    taken.add(open[0]!.word);
    pictures.push(open[0]!);
  }
  return pictures;
}

/** A word spelled by pictures whose first letters make it, to be read back. */
export const maker: Maker = {
  id: 'picture-spelling',
  place: 490,
  skills: ['first-sound', 'build-words'],
  dials: [
    { kind: 'list', name: 'words', value: 'sun, map, frog' },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 1 },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 1, most: 8 });
    if (!read.ok) return read;
    const accent = settings.accent ?? 'gb';
    const long = read.value.find((word) => word.length > 7);
    if (long !== undefined) return refuseList('words', 'problem.long', { word: inOwn(long), most: 7 });
    const spelled: PictureWord[][] = [];
    for (const [index, word] of read.value.entries()) {
      const pictures = spellingPictures(word, accent, numberOf(values, 'shuffle') * 101 + index);
      if ('lacks' in pictures)
        return refuseList('words', 'problem.letter', { word: inOwn(word), letter: inOwn(pictures.lacks) });
      spelled.push(pictures);
    }
    const rows = spelled.map((pictures) => rowOf(pictures));
    const printable = { title: say('printable'), cards: [], sheets: rows };
    const first = read.value[0]!;
    const facts: MessageValues = {
      words: wordsIn(read.value),
      count: read.value.length,
      first: inOwn(first),
      letters: first.length,
      pictures: listOf(spelled[0]!.map(({ word }) => inOwn(word))),
      one: inOwn(spelled[0]![0]!.word),
      oneLetter: inOwn(first[0]!),
      end: inOwn(spelled[0]!.at(-1)!.word),
      endLetter: inOwn(first.at(-1)!),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: read.value.length, seconds: 50 },
      picture: inColumn(rows.slice(0, 3), 6),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('pencil', 1, [{ item: 'crayon', fit: 0.9, why: say('swap.crayon') }]),
      ],
      actions: [],
      printable,
      key: read.value.map((word, index) =>
        say('key', { word: inOwn(word), pictures: listOf(spelled[index]!.map((entry) => inOwn(entry.word))) }),
      ),
    });
  },
};

/** Pictures in a row, below each a field for its letter. */
function rowOf(pictures: readonly PictureWord[]): Drawing {
  return inRow(
    pictures.map(({ picture }) =>
      inColumn(
        [
          framedCard(pictureCard(picture, null, { width: SIDE, height: SIDE })),
          framedCard(wordCard('', { width: SIDE, height: 14 })),
        ],
        2,
      ),
    ),
    3,
  );
}
