import { checkLineWords, COMMON_WORDS, USUAL_ORDER } from '../../words/index.ts';
import { listOf, own } from '../../message.ts';
import type { Check } from '../check.ts';

const READS =
  /\b(?:(?:your child|they|she|he) reads?|child(?:ren)? (?:can )?reads?|read(?:s)? (?:it|this|them|the word|the words|these)|what does (?:it|this|the card|this word|the word|the sign) say|which word (?:is|says)|can you read|sound (?:it|this|them) out|blend)\b/i;

/** The commonest words are learned whole. */
const TAKEN_WHOLE = new Set(COMMON_WORDS.slice(0, 50));

/** A word that this child is to read before its letters have been taught. */
export const unreadWord: Check = ({ segment, session, said, around: { taught, known, accent = 'gb' } }) => {
  if (!known || segment.kind !== 'activity') return [];
  // Where no term says what is taught when, all sounds of the usual order count as taught.
  const steps = taught && taught.length > 0 ? taught : [{ on: session.on, graphemes: USUAL_ORDER.flat() }];
  return said.flatMap(({ line, text }) => {
    if (!READS.test(text) || !/“[^”]+”/.test(text)) return [];
    const quoted = [...text.matchAll(/“([^”]*)”/g)]
      .map(([words]) => words)
      .filter((words) => !READS.test(words) && !words.includes('?'));
    if (quoted.length === 0) return [];
    const question = { aim: 'readable', sound: 's', on: session.on, steps } as const;
    const { findings } = checkLineWords(quoted.join(' '), question, { known, accent });
    const words = findings.flatMap(({ code, word }) =>
      code === 'not-readable' && !TAKEN_WHOLE.has(word) ? [word] : [],
    );
    if (words.length === 0) return [];
    return [
      {
        id: `readable:${segment.id}/${line.id}`,
        weight: 'warning',
        line: line.id,
        values: { count: words.length, words: listOf(words.slice(0, 3).map((word) => own(`“${word}”`))) },
      },
    ];
  });
};
