import { seededChance, shuffle } from '../../core/chance.ts';
import { type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { framedCard, inColumn, inRow, textWidth, wordCard } from '../../core/page/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  readOwnWords,
  refuseList,
  sheetsNeeded,
  usedUp,
} from '../../core/makers/index.ts';

const STRIP = { width: 170, height: 18 };
const LEAST_WORDS = 2;
const MOST_WORDS = 8;
const ENDS = /[.!?]$/;

/** Sentences to read, to cut into words, and to build again with their stop. */
export const maker: Maker = {
  id: 'sentence-strips',
  place: 530,
  skills: ['sentences', 'common-words'],
  dials: [{ kind: 'list', name: 'sentences', value: 'The hen is in the box., I see my red hat!, Can we go up?' }],
  make(values, _settings, say) {
    const text = String(values.sentences).replace(/([.!?])\s*,?\s*/g, '$1\n');
    const sentences = text
      .split('\n')
      .map((sentence) => sentence.trim())
      .filter(Boolean);
    if (sentences.length < 1 || sentences.length > 6)
      return refuseList('sentences', 'problem.count', { count: sentences.length });
    const open = sentences.find((sentence) => !ENDS.test(sentence));
    if (open !== undefined) return refuseList('sentences', 'problem.open', { sentence: inOwn(open) });
    const cut = sentences.map((sentence) => [...sentence.slice(0, -1).split(/\s+/), sentence.at(-1)!]);
    const wrong = cut.findIndex((words) => words.length - 1 < LEAST_WORDS || words.length - 1 > MOST_WORDS);
    if (wrong >= 0)
      return refuseList('sentences', 'problem.words', {
        sentence: inOwn(sentences[wrong]!),
        least: LEAST_WORDS,
        most: MOST_WORDS,
      });
    for (const words of cut) {
      const read = readOwnWords([...new Set(words)].join(' '), { dial: 'sentences', least: 1, most: MOST_WORDS + 1 });
      if (!read.ok) return read;
    }
    const first = cut[0]!;
    const rows = cut.flatMap((words, index) => {
      const chance = seededChance(index + 1);
      const mixed = [...words];
      shuffle(mixed, chance);
      const size = Math.min(9, (STRIP.width * 0.8) / textWidth(words.join('   '), 1));
      const piece = (word: string) =>
        framedCard(wordCard(word, { width: textWidth(word, size) + 6, height: 15, most: size }));
      return [framedCard(wordCard(sentences[index]!, { ...STRIP, most: 9 })), inRow(mixed.map(piece), 1)];
    });
    const printable = { title: say('printable'), cards: [], sheets: rows };
    const facts: MessageValues = {
      count: sentences.length,
      sentence: inOwn(sentences[0]!),
      words: first.length - 1,
      start: inOwn(first[0]!),
      end: inOwn(first.at(-2)!),
      mark: inOwn(first.at(-1)!),
      pieces: first.length,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: sentences.length, seconds: 60 },
      picture: inColumn(rows.slice(0, 4), 4),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'do-3', 'ask-2', 'notice-1', 'if-1'),
        harder: write('do-1', 'do-4', 'ask-4'),
      },
      materials: [usedUp('paper', sheetsNeeded(printable)), lasting('scissors', 1)],
      actions: ['scissors'],
      printable,
      key: sentences.map((sentence, index) => say('key', { sentence: inOwn(sentence), words: cut[index]!.length - 1 })),
    });
  },
};
