import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { framedCard, inGrid, pictureCard, wordCard } from '../../core/page/index.ts';
import { isVowel, soundsOf, spokenPieces, wordPieces } from '../../core/sounds/index.ts';
import { PICTURE_WORD } from '../../core/words/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  lineWriters,
  type Maker,
  readSpellable,
  refuseList,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

/** What is done with a word that was said in pieces, by the name of its sentences; some have words of their own. */
const KINDS: Readonly<Record<string, { readonly key: string; readonly words?: readonly string[] }>> = {
  'i-spy': { key: 'spy' },
  'fetch-it': { key: 'fetch' },
  'touch-it': { key: 'touch', words: ['chin', 'nose', 'leg', 'knee', 'hand', 'back'] },
  'a-puppet-says': { key: 'puppet', words: ['hop', 'clap', 'sit', 'nod', 'jump', 'spin'] },
};
/** More than so many sounds are hard to hold in the ear. */
const MOST_PIECES = 4;
const CARD = { width: 60, height: 60 };

/** A short word in pieces, as an adult says its sounds: the child says it whole, then breaks one itself. No letters yet. */
export const maker: Maker = {
  id: 'blend-by-ear',
  place: 420,
  skills: ['blend', 'break-words'],
  dials: [
    { kind: 'choice', name: 'kind', choices: Object.keys(KINDS), value: 'i-spy' },
    { kind: 'list', name: 'words', value: 'coat, bus, sun, cat, fish, moon' },
  ],
  make(values, settings, say) {
    const { key, words: ownWords } = KINDS[String(values.kind)]!;
    const read = readSpellable(ownWords ? ownWords.join(', ') : String(values.words), {
      dial: 'words',
      least: 2,
      most: 10,
    });
    if (!read.ok) return read;
    const { known, accent } = knownWords(settings);
    const divided = read.value.map((word) => wordPieces(word, known, accent));
    const long = divided.find(
      (word) => soundsOf(word).filter(isVowel).length !== 1 || spokenPieces(word).length > MOST_PIECES,
    );
    if (long) return refuseList('words', 'problem.long', { word: inOwn(long.word), most: MOST_PIECES });
    const broken = divided.map((word) => inOwn(spokenPieces(word).join('-')));
    const [first] = read.value;
    const last = read.value.at(-1)!;
    const cards = read.value.map((word) => {
      const picture = PICTURE_WORD.get(word)?.picture;
      return picture === undefined ? wordCard(word, { ...CARD, most: 12 }) : pictureCard(picture, null, CARD);
    });
    const printable = { title: say('printable'), cards, sheets: [] };
    const facts: MessageValues = {
      count: read.value.length,
      words: wordsIn(read.value),
      broken: listOf(broken),
      first: inOwn(first!),
      firstBroken: broken[0]!,
      second: inOwn(read.value[1]!),
      secondBroken: broken[1]!,
      last: inOwn(last),
      lastBroken: broken.at(-1)!,
      kind: key,
    };
    const { toDo, toSay } = lineWriters(say);
    const write = linesAbout(say, facts);
    return ok({
      facts: [
        say('fact', facts),
        ...divided
          .filter(({ source }) => source === 'rules')
          .map(({ word }) => say('fact.guessed', { word: inOwn(word) })),
      ],
      values: facts,
      turns: { count: read.value.length, seconds: 25 },
      picture: inGrid(cards.slice(0, 6).map(framedCard), 3, 4),
      lines: {
        easier: [toDo(`lay.${key}`, facts), ...write('do-2', 'ask-3')],
        right: [toDo(`lay.${key}`, facts), toSay(`say.${key}`, facts), ...write('ask-1', 'notice-1', 'if-1')],
        harder: [toDo(`lay.${key}`, facts), toSay(`say.${key}`, facts), ...write('ask-1', 'do-4', 'ask-4')],
      },
      materials: [usedUp('paper', sheetsNeeded(printable)), lasting('scissors', 1)],
      actions: ['scissors'],
      printable,
      key: read.value.map((word, index) => say('key', { word: inOwn(word), broken: broken[index]! })),
    });
  },
};
