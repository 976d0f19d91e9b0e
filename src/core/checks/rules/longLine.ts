import type { Check } from '../check.ts';
import { wordsOf } from '../saidLines.ts';

/** Words that are said in one breath: with more, a sentence is lost before its end. */
const MOST_IN_A_SENTENCE = 26;
/** Words of a whole line. */
const MOST_IN_A_LINE = 60;

/** A line, or a sentence of it, that is longer than a breath. */
export const longLine: Check = ({ segment, said }) =>
  said.flatMap(({ line, text }) => {
    if (line.kind === 'sing' || line.kind === 'read' || line.says) return [];
    const longest = Math.max(0, ...sentencesOf(text).map((sentence) => wordsOf(sentence).length));
    const all = wordsOf(text).length;
    const isLong = longest > MOST_IN_A_SENTENCE;
    if (!isLong && all <= MOST_IN_A_LINE) return [];
    return [
      {
        id: `long:${segment.id}/${line.id}`,
        weight: 'note',
        line: line.id,
        values: { words: isLong ? longest : all, sentences: isLong ? 1 : 0 },
      },
    ];
  });

/** The sentences of a text, and what stands between colons and semicolons. */
function sentencesOf(text: string): string[] {
  return text.split(/[.!?:;…—]+["”’)]*(?:\s|$)/);
}
