import { listOf, type MessageValues } from '../message.ts';
import { ok } from '../outcome.ts';
import { inColumn, inRow, type Drawing, type Shape } from '../page/drawing.ts';
import { framedCard, wordCard } from '../page/pieces.ts';
import { pictureCard } from '../page/wordDrawings.ts';
import { spokenPieces } from '../sounds/spokenPieces.ts';
import { wordPieces } from '../sounds/wordPieces.ts';
import { PICTURE_WORD } from '../words/pictureWords.ts';
import { refuseList, type Maker } from './maker.ts';
import { lasting, linesAbout, usedUp } from './makerOutput.ts';
import { sheetsNeeded } from './makerPages.ts';
import { inOwn } from './ownWords.ts';
import { knownWords, readSpellable, wordsIn } from './wordKnowledge.ts';

/** More than so many sounds are hard to hold in the ear. */
const MOST_SOUNDS = 5;
const BOX = 22;

/** A box a sound, the one that is asked for with a thick edge. */
function boxes(count: number, asked: readonly number[]): Drawing {
  return {
    ...{ width: count * BOX, height: BOX },
    shapes: Array.from({ length: count }, (_, index): Shape => ({
      ...{ kind: 'rect', x: index * BOX, y: 0, w: BOX, h: BOX, fill: 'white' },
      ...{ stroke: asked.includes(index) ? 'teal' : 'line', width: asked.includes(index) ? 1.4 : 0.4 },
    })),
  };
}

/** First, last, middle: a counter in a box for each sound of a word. */
export const soundBoxesMaker: Maker = {
  id: 'sound-boxes',
  skills: ['first-sound', 'break-words'],
  dials: [
    { kind: 'list', name: 'words', value: 'sun, fish, cup, leaf' },
    { kind: 'choice', name: 'place', choices: ['first', 'last', 'middle', 'all'], value: 'first' },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 2, most: 8 });
    if (!read.ok) return read;
    const { known, accent } = knownWords(settings);
    const divided = read.value.map((word) => ({ word, source: wordPieces(word, known, accent) }));
    const sounds = divided.map(({ source }) => spokenPieces(source));
    const wrong = sounds.findIndex((pieces) => pieces.length < 2 || pieces.length > MOST_SOUNDS);
    if (wrong >= 0)
      return refuseList('words', 'problem.sounds', { word: inOwn(read.value[wrong]!), most: MOST_SOUNDS });
    const place = String(values.place);
    const odd = sounds.findIndex((pieces) => place === 'middle' && pieces.length !== 3);
    if (odd >= 0) return refuseList('words', 'problem.middle', { word: inOwn(read.value[odd]!) });
    const askedIn = (count: number) =>
      place === 'first' ? [0] : place === 'last' ? [count - 1] : place === 'middle' ? [1] : [];
    const answerOf = (pieces: readonly string[]) =>
      place === 'all' ? pieces.join('-') : pieces[askedIn(pieces.length)[0]!]!;
    const rows = divided.map(({ word }, index) => {
      const picture = PICTURE_WORD.get(word)?.picture;
      const card =
        picture === undefined
          ? wordCard(word, { width: 32, height: 30, most: 9 })
          : pictureCard(picture, null, { width: 32, height: 30 });
      return inRow([framedCard(card), boxes(sounds[index]!.length, askedIn(sounds[index]!.length))], 8);
    });
    const longest = sounds.reduce((most, pieces) => Math.max(most, pieces.length), 0);
    const printable = { title: say('printable'), cards: [], sheets: rows };
    const facts: MessageValues = {
      ...{ words: wordsIn(read.value), count: read.value.length, place, longest, first: inOwn(read.value[0]!) },
      ...{
        firstSounds: inOwn(sounds[0]!.join('-')),
        firstCount: sounds[0]!.length,
        answer: inOwn(answerOf(sounds[0]!)),
      },
      ...{ second: inOwn(read.value[1]!), secondAnswer: inOwn(answerOf(sounds[1]!)), secondCount: sounds[1]!.length },
      answers: listOf(
        read.value.map((word, index) => ({
          key: 'sound-boxes/told',
          values: { word: inOwn(word), answer: inOwn(answerOf(sounds[index]!)) },
        })),
        'semicolon',
      ),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...divided
          .filter(({ source }) => source.source === 'rules')
          .map(({ word }) => say('fact.guessed', { word: inOwn(word) })),
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
      key: read.value.map((word, index) =>
        say('key', {
          word: inOwn(word),
          sounds: inOwn(sounds[index]!.join('-')),
          answer: inOwn(answerOf(sounds[index]!)),
        }),
      ),
    });
  },
};
