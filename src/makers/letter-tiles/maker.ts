import { listOf, type MessageValues, type Say } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { framedCard, inGrid, wordCard } from '../../core/page/index.ts';
import { letterTiles } from '../../core/words/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  readSpellable,
  refuse,
  sheetsNeeded,
  usedUp,
  wordsIn,
} from '../../core/makers/index.ts';

const TILE = { width: 30, height: 30 };
const MOST_TILES = 90;

/** Letter tiles for some words: as many of each letter as it takes, one word after the other or all at once. */
export const maker: Maker = {
  id: 'letter-tiles',
  place: 480,
  skills: ['build-words', 'letter-sound'],
  dials: [
    { kind: 'list', name: 'words', value: 'sun, moon, star' },
    { kind: 'choice', name: 'laid', choices: ['one-after-the-other', 'all-at-once'], value: 'one-after-the-other' },
    { kind: 'list', name: 'have', value: '' },
  ],
  make(values, settings, say) {
    const read = readSpellable(String(values.words), { dial: 'words', least: 1, most: 10 });
    if (!read.ok) return read;
    const isTogether = values.laid === 'all-at-once';
    const have = countLetters(String(values.have));
    const { inTurn, atOnce, inTurnTotal, atOnceTotal } = letterTiles(read.value);
    const tiles = isTogether ? atOnce : inTurn;
    const total = isTogether ? atOnceTotal : inTurnTotal;
    if (total > MOST_TILES) return refuse('problem.too-many', { tiles: total, most: MOST_TILES });
    const isCapital = settings.letters === 'capitals';
    const asSeen = (text: string) => (isCapital ? text.toUpperCase() : text);
    const cards = Object.entries(tiles).flatMap(([letter, count]) =>
      Array.from({ length: count }, () => wordCard(asSeen(letter), { ...TILE, most: 22 })),
    );
    const printable = { title: say('printable'), cards, sheets: [] };
    const facts: MessageValues = {
      words: wordsIn(read.value.map(asSeen)),
      count: read.value.length,
      total,
      laid: isTogether ? 'together' : 'turn',
      ...firstWordFacts(asSeen(read.value[0]!)),
      tiles: listOf(
        Object.entries(tiles).map(([letter, number]) => letterFact(asSeen(letter), number)),
        'comma',
      ),
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts), ...(have.size > 0 ? [lackingFact(tiles, have, { asSeen, say })] : [])],
      values: facts,
      turns: { count: read.value.length, seconds: 45 },
      picture: inGrid(cards.slice(0, 24).map(framedCard), 8, 3),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [usedUp('paper', sheetsNeeded(printable)), lasting('scissors', 1)],
      actions: ['scissors'],
      printable,
      key: [say('key', facts)],
    });
  },
};

const letterFact = (letter: string, number: number) => ({
  key: 'letter-tiles/letter',
  values: { letter: inOwn(letter), number },
});

function firstWordFacts(first: string): MessageValues {
  const letters = [...first].map(inOwn);
  return {
    first: inOwn(first),
    letters: listOf(letters, 'comma'),
    long: first.length,
    start: letters[0]!,
    end: letters.at(-1)!,
  };
}

/** Says which letters a set of one's own lacks, and how many of each. */
function lackingFact(
  tiles: Readonly<Record<string, number>>,
  have: ReadonlyMap<string, number>,
  { asSeen, say }: { asSeen: (letter: string) => string; say: Say },
): string {
  const short = Object.entries(tiles).flatMap(([letter, count]) => {
    const lacking = count - (have.get(letter) ?? 0);
    return lacking > 0 ? [letterFact(asSeen(letter), lacking)] : [];
  });
  return short.length === 0 ? say('fact.enough') : say('fact.short', { short: listOf(short) });
}

/** How many of each letter are in a set, as they are typed: every letter as often as it is there. */
function countLetters(text: string): Map<string, number> {
  const counts = new Map<string, number>();
  for (const letter of text.toLowerCase()) if (/[a-z]/.test(letter)) counts.set(letter, (counts.get(letter) ?? 0) + 1);
  return counts;
}
