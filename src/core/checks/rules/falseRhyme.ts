import { findRhymes } from '../../words/index.ts';
import { own } from '../../message.ts';
import type { Check } from '../check.ts';
import type { SaidLine } from '../saidLines.ts';

const WORD = '[“‘*]?(?:(?:an?|the|your|my) )?[“‘*]?([a-z]{2,})[”’*,?.]?';
const SAYS = new RegExp(`${WORD} (?:also |both )?rhymes? with ${WORD}`, 'gi');
const BOTH = new RegExp(`${WORD} and ${WORD} rhyme\\b`, 'gi');
const ASKS = new RegExp(`(?:what|which|who)\\b[^?]*\\brhymes? with ${WORD}`, 'i');
const NO_WORD = new Set([
  'what',
  'which',
  'that',
  'who',
  'it',
  'them',
  'nothing',
  'none',
  'one',
  'word',
  'not',
  'does',
  'each',
  'other',
  'these',
  'those',
  'words',
  'they',
  'something',
  'this',
  'to',
  'can',
  'picture',
  'thing',
  'things',
  'is',
  'and',
  'or',
  'also',
  'both',
  'pictures',
]);

/** Two words that a line lets rhyme, and that don’t. */
export const falseRhyme: Check = ({ segment, said, around: { known, accent = 'gb' } }) => {
  if (!known) return [];
  return said.flatMap((line) => {
    const wrong = pairsIn(line).find((pair) => findRhymes(pair, known, accent).odd.length === 2);
    if (!wrong) return [];
    return [
      {
        id: `rhyme:${segment.id}/${line.line.id}`,
        weight: 'warning',
        line: line.line.id,
        values: { word: own(wrong[0]), other: own(wrong[1]) },
      },
    ];
  });
};

/** The words that a line says rhyme, two at a time; not where it says that they don’t. */
function pairsIn({ text, answer }: SaidLine): [string, string][] {
  if (/\b(?:n’t|n't|not|nothing|doesn’t|don’t|odd one|never)\b/i.test(`${text} ${answer}`)) return [];
  const asked = ASKS.exec(text);
  const answered = (/^[^.;:,]*/.exec(answer)?.[0] ?? '').match(/[a-z]{2,}/gi) ?? [];
  const last = answered.at(-1);
  const fromAnswer: [string, string][] = asked && last && answered.length <= 3 ? [[asked[1]!, last]] : [];
  const fromText = [...text.matchAll(SAYS), ...text.matchAll(BOTH)].map(({ 1: one, 2: other }): [string, string] => [
    one!,
    other!,
  ]);
  return [...fromText, ...fromAnswer]
    .map(([one, other]): [string, string] => [one.toLowerCase(), other.toLowerCase()])
    .filter(([one, other]) => one !== other && !NO_WORD.has(one) && !NO_WORD.has(other));
}
