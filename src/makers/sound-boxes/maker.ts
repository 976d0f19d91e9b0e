import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inColumn, inRow, pictureCard, type Shape, wordCard } from '../../core/page/index.ts';
import { spokenPieces, wordPieces, type WordPieces } from '../../core/sounds/index.ts';
import { PICTURE_WORD } from '../../core/words/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  readSpellable,
  refuseList,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

/** More than so many sounds are hard to hold in the ear. */
const MOST_SOUNDS = 5;
const BOX = 22;

/** A box a sound, the one that is asked for with a thick edge. */
function boxes(count: number, asked: readonly number[]): Drawing {
  return {
    width: count * BOX,
    height: BOX,
    shapes: Array.from({ length: count }, (_, index): Shape => ({
      kind: 'rect',
      x: index * BOX,
      y: 0,
      w: BOX,
      h: BOX,
      fill: 'white',
      stroke: asked.includes(index) ? 'teal' : 'line',
      width: asked.includes(index) ? 1.4 : 0.4,
    })),
  };
}

/** First, last, middle: a counter in a box for each sound of a word. */
export const maker: Maker = {
  id: 'sound-boxes',
  place: 430,
  skills: ['first-sound', 'break-words'],
  dials: [
    { kind: 'list', name: 'words', value: 'sun, fish, cup, leaf' },
    { kind: 'choice', name: 'place', choices: ['first', 'last', 'middle', 'all'], value: 'first' },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 2, most: 8 });
    if (!read.ok) return read;
    const place = String(values.place);
    const { known, accent } = knownWords(settings);
    const divided = read.value.map((word) => divideWord(wordPieces(word, known, accent), place));
    const wrong = divided.find(({ sounds }) => sounds.length < 2 || sounds.length > MOST_SOUNDS);
    if (wrong) return refuseList('words', 'problem.sounds', { word: inOwn(wrong.word), most: MOST_SOUNDS });
    const odd = divided.find(({ sounds }) => place === 'middle' && sounds.length !== 3);
    if (odd) return refuseList('words', 'problem.middle', { word: inOwn(odd.word) });
    const rows = divided.map(boxesRow);
    const longest = Math.max(...divided.map(({ sounds }) => sounds.length));
    const printable = { title: say('printable'), cards: [], sheets: rows };
    const [first, second] = divided as [Divided, Divided, ...Divided[]];
    const facts: MessageValues = {
      words: wordsIn(read.value),
      count: read.value.length,
      place,
      longest,
      first: inOwn(first.word),
      firstSounds: inOwn(first.sounds.join('-')),
      firstCount: first.sounds.length,
      answer: inOwn(first.answer),
      second: inOwn(second.word),
      secondAnswer: inOwn(second.answer),
      secondCount: second.sounds.length,
      answers: listOf(
        divided.map(({ word, answer }) => ({
          key: 'sound-boxes/told',
          values: { word: inOwn(word), answer: inOwn(answer) },
        })),
        'semicolon',
      ),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...divided.filter(({ isGuessed }) => isGuessed).map(({ word }) => say('fact.guessed', { word: inOwn(word) })),
      ],
      values: facts,
      turns: { count: read.value.length, seconds: 30 },
      picture: inColumn(rows.slice(0, 3), 5),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('bottle-lid', longest, [{ item: 'button', fit: 0.9, why: say('swap.button') }]),
      ],
      actions: ['small-parts'],
      printable,
      key: divided.map(({ word, sounds, answer }) =>
        say('key', { word: inOwn(word), sounds: inOwn(sounds.join('-')), answer: inOwn(answer) }),
      ),
    });
  },
};

/** A word in its sounds, as an adult says them, and the one that is asked for. */
interface Divided {
  readonly word: string;
  readonly sounds: readonly string[];
  /** The places of the boxes with a thick edge, from 0; none where the whole word is asked for. */
  readonly asked: readonly number[];
  readonly answer: string;
  /** Worked out from its letters, since no list has it. */
  readonly isGuessed: boolean;
}

function divideWord(pieces: WordPieces, place: string): Divided {
  const sounds = spokenPieces(pieces);
  const asked = place === 'first' ? [0] : place === 'last' ? [sounds.length - 1] : place === 'middle' ? [1] : [];
  const answer = asked.length === 0 ? sounds.join('-') : (sounds[asked[0]!] ?? '');
  return { word: pieces.word, sounds, asked, answer, isGuessed: pieces.source === 'rules' };
}

/** The word's picture, or the word where it has none, and its boxes. */
function boxesRow({ word, sounds, asked }: Divided): Drawing {
  const picture = PICTURE_WORD.get(word)?.picture;
  const size = { width: 32, height: 30 };
  const card = picture === undefined ? wordCard(word, { ...size, most: 9 }) : pictureCard(picture, null, size);
  return inRow([framedCard(card), boxes(sounds.length, asked)], 8);
}
