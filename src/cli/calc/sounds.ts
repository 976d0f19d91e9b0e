import { type Accent, CONSONANTS, type Phone, shown, VOWELS } from '../../core/sounds/index.ts';
import { fitTune, sungWords } from '../../core/songs/index.ts';
import {
  countSyllables,
  findRhymes,
  findStarts,
  readableWords,
  segmentWord,
  soundBasket,
  taughtGraphemes,
  USUAL_ORDER,
  WORD_SHAPES,
  type WordShape,
} from '../../core/words/index.ts';
import { describeTrap } from '../../messages/spelling.ts';
import { CalcInputError, calculation } from './calculation.ts';
import { array, boolean, counts, object, string, whole } from './fields.ts';
import { pronunciationsFor } from './pronunciations.ts';
import { accent, readWords, soundOrder, wordList } from './wordFields.ts';

const accentOf = ({ accent: chosen }: { accent?: Accent | undefined }): Accent => chosen ?? 'us';

export const calcSegment = calculation(
  object({ words: wordList(), accent: accent(), order: soundOrder(), upTo: whole(0, 200).optional() }),
  async (input) => {
    const words = readWords(input.words, 'words');
    const known = await pronunciationsFor(words, accentOf(input));
    const taught = taughtGraphemes((input.order as string[][] | undefined) ?? USUAL_ORDER, input.upTo);
    return {
      words: words.map((word, index) => ({
        ...segmentWord(word, { known, accent: accentOf(input), taught }),
        word: input.words[index],
      })),
    };
  },
);

export const calcRhymes = calculation(object({ words: wordList(), accent: accent() }), async (input) => {
  const words = readWords(input.words, 'words');
  return findRhymes(words, await pronunciationsFor(words, accentOf(input)), accentOf(input));
});

/** Sounds by the symbols that are shown. */
const SOUNDS: ReadonlySet<Phone> = new Set([...VOWELS, ...CONSONANTS].map(shown));
const soundSymbol = () => string().required().max(10);

function readSound(written: string): Phone {
  const sound = written.trim().toUpperCase();
  if (SOUNDS.has(sound)) return sound;
  throw new CalcInputError('sound', `“${written}” is no sound; the sounds are ${[...SOUNDS].join(', ')}`);
}

export const calcStarts = calculation(
  object({ sound: soundSymbol(), words: wordList(), accent: accent() }),
  async (input) => {
    const sound = readSound(input.sound);
    const words = readWords(input.words, 'words');
    const { traps, ...found } = findStarts(
      sound,
      words,
      await pronunciationsFor(words, accentOf(input)),
      accentOf(input),
    );
    return { ...found, traps: traps.map((trap) => ({ word: trap.word, why: describeTrap(trap) })) };
  },
);

export const calcBasket = calculation(
  object({ sound: soundSymbol(), things: wordList(), accent: accent() }),
  async (input) => {
    const sound = readSound(input.sound);
    const words = readWords(input.things, 'things');
    const { traps, basket, nearMisses, unsure } = soundBasket(
      sound,
      words,
      await pronunciationsFor(words, accentOf(input)),
      accentOf(input),
    );
    return { basket, nearMisses, unsure, traps: traps.map((trap) => ({ thing: trap.word, why: describeTrap(trap) })) };
  },
);

const names = () =>
  counts()
    .test('names', 'must be whole numbers of parts from 1 to 20', (told) =>
      Object.values(told ?? {}).every((count) => Number.isInteger(count) && count >= 1 && count <= 20),
    )
    .test('once', 'must not tell a name twice with other numbers of parts', (told) => {
      const heard = new Map<string, number>();
      return Object.entries(told ?? {}).every(([name, count]) => {
        const key = name.toLowerCase();
        const isSame = (heard.get(key) ?? count) === count;
        heard.set(key, count);
        return isSame;
      });
    });
const SUNG = /^[\p{L}\p{M}]+(?:['’-][\p{L}\p{M}]+)*$/u;

export const calcSyllables = calculation(object({ words: wordList(), names: names() }), async (input) => {
  for (const [index, word] of input.words.entries())
    if (!SUNG.test(word.trim()))
      throw new CalcInputError(
        `words[${index}]`,
        `“${word.slice(0, 40)}” is not one word: letters only, numbers in words`,
      );
  const words = input.words.map((word) => word.trim());
  const known = await pronunciationsFor(
    words.flatMap((word) => word.split('-')),
    'us',
  );
  return { words: words.map((word) => countSyllables(word, known, input.names)) };
});

export const calcTuneFit = calculation(
  object({
    tune: array()
      .of(
        string()
          .required()
          .max(100)
          .matches(/^[Sw]+$/, 'must be beats: S for strong, w for weak'),
      )
      .required()
      .min(1, 'must hold at least one line')
      .max(100),
    lines: array().of(string().defined().max(300)).required().max(200),
    names: names(),
  }),
  async ({ tune, lines, names: told }) => {
    const digits = lines.findIndex((line) => /\p{N}/u.test(line));
    if (digits >= 0) throw new CalcInputError(`lines[${digits}]`, 'holds figures: write numbers as they are sung');
    const none = { everyday: [], readingsOf: () => [] };
    const words = lines.flatMap((line) => sungWords(line, none).flatMap(({ word }) => word.split('-')));
    const known = await pronunciationsFor(words, 'us');
    return { lines: fitTune({ tune, lines, names: told }, known) };
  },
);

export const calcWordLists = calculation(
  object({
    order: soundOrder().required(),
    upTo: whole(0, 200),
    accent: accent(),
    kind: string()
      .oneOf(WORD_SHAPES as readonly WordShape[])
      .default('any'),
    picturable: boolean(),
    list: whole(0, 5000).optional(),
  }),
  async (input) => {
    const request = {
      order: input.order as string[][],
      upTo: input.upTo,
      accent: accentOf(input),
      shape: input.kind ?? 'any',
      isPicturable: input.picturable === true,
      most: input.list ?? 50,
    };
    return readableWords(request, await pronunciationsFor([], accentOf(input)));
  },
);
