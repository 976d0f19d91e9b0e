import { seededChance, shuffle } from '../../core/chance.ts';
import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { type Drawing, framedCard, inGrid, pictureCard } from '../../core/page/index.ts';
import { rememberLast } from '../../core/remembering.ts';
import { findRhymes, PICTURE_WORDS, type PictureWord } from '../../core/words/index.ts';
import type { Accent } from '../../core/sounds/index.ts';
import {
  inOwn,
  knownWords,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  refuse,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

/** Three pictures: two that rhyme, and one that stays outside. */
interface RhymeRow {
  readonly pair: readonly [PictureWord, PictureWord];
  readonly odd: PictureWord;
}

const CARD = { width: 60, height: 60 };
/** Keeps the order within rows apart from what is dealt. */
const LARGE_PRIME = 7919;

/** The families among the pictures in an accent, and words that belong to none and are not doubtful. */
const familiesIn = rememberLast(2, (accent) => {
  const { known } = knownWords({ accent: accent as Accent });
  const { families, odd } = findRhymes(
    PICTURE_WORDS.map(({ word }) => word),
    known,
    accent as Accent,
  );
  const byWord = new Map(PICTURE_WORDS.map((entry) => [entry.word, entry]));
  return {
    families: families.map((family) => family.map((word) => byWord.get(word)!)),
    others: odd.map((word) => byWord.get(word)!),
  };
});

const isClear = (one: PictureWord, other: PictureWord) =>
  one.picture !== other.picture && (one.group === undefined || one.group !== other.group);

/** Rows of three by chance; each family and each odd one once, no two of a row easily taken for each other. */
export function rhymeRows(accent: Accent, count: number, seed: number): RhymeRow[] {
  const chance = seededChance(seed);
  const { families, others } = familiesIn(accent);
  const [pots, outside] = [[...families], [...others]];
  shuffle(pots, chance);
  shuffle(outside, chance);
  const rows: RhymeRow[] = [];
  for (const family of pots) {
    if (rows.length === count) break;
    const words = [...family];
    shuffle(words, chance);
    const pair = words.flatMap((one, at) =>
      words.slice(at + 1).flatMap((other) => (isClear(one, other) ? [[one, other] as const] : [])),
    )[0];
    const at = pair ? outside.findIndex((odd) => pair.every((word) => isClear(word, odd))) : -1;
    if (!pair || at < 0) continue;
    const [odd] = outside.splice(at, 1);
    rows.push({ pair, odd: odd! });
  }
  return rows;
}

/** Three pictures a row: the two that sound alike at the end go into the pot, the third stays outside. */
export const maker: Maker = {
  id: 'rhyme-pot',
  place: 390,
  skills: ['rhyme', 'listen'],
  dials: [
    { kind: 'number', name: 'rows', min: 1, max: 10, value: 4 },
    { kind: 'choice', name: 'written', choices: ['yes', 'no'], value: 'yes' },
    { kind: 'number', name: 'shuffle', min: 1, max: 99, value: 1 },
  ],
  make(values, settings, say) {
    const wanted = numberOf(values, 'rows');
    const rows = rhymeRows(settings.accent ?? 'gb', wanted, numberOf(values, 'shuffle'));
    if (rows.length < wanted) return refuse('problem.few', { rows: rows.length });
    const first = rows[0]!;
    const [one, other] = first.pair;
    const chance = seededChance(numberOf(values, 'shuffle') * LARGE_PRIME);
    const threes = rows.map(({ pair, odd }) => {
      const three = [...pair, odd];
      shuffle(three, chance);
      return three;
    });
    const cards: Drawing[] = threes.flatMap((three) =>
      three.map(({ picture, word }) => pictureCard(picture, values.written === 'yes' ? word : null, CARD)),
    );
    const printable = { title: say('printable'), cards, sheets: [] };
    const facts: MessageValues = {
      rows: rows.length,
      cards: cards.length,
      one: inOwn(one.word),
      other: inOwn(other.word),
      odd: inOwn(first.odd.word),
      three: listOf(threes[0]!.map(({ word }) => inOwn(word))),
    };
    const told = rows.map(({ pair, odd }) => ({
      one: inOwn(pair[0].word),
      other: inOwn(pair[1].word),
      odd: inOwn(odd.word),
    }));
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: rows.length, seconds: 35 },
      picture: inGrid(cards.slice(0, 6).map(framedCard), 3, 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1'),
        harder: write('do-1', 'ask-1', 'ask-4', 'do-4'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable)),
        lasting('scissors', 1),
        lasting('saucepan', 1, [{ item: 'bowl', fit: 0.9, why: say('swap.bowl') }]),
      ],
      actions: ['scissors'],
      printable,
      key: told.map((row) => say('key', row)),
    });
  },
};
