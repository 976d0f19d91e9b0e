import { listOf } from '../core/message.ts';
import type { CheckedLine, WordAim } from '../core/words/index.ts';
import { sayScreen } from './screenWords.ts';

/** What the words of a line are meant to do, as an author chooses it. */
export const AIM_WORDS: Readonly<Record<WordAim, string>> = {
  rhyme: 'the words rhyme',
  starts: 'the words start with',
  readable: 'the child can read them',
  pictures: 'each has a picture of its own',
};

/** All in one: which words were looked at, and that they are fine where nothing was found. */
export function describeCheckedWords({ words, findings }: CheckedLine, aim: WordAim): string {
  if (words.length === 0) return sayScreen(aim === 'readable' ? 'looked.no-words' : 'looked.no-row');
  return sayScreen(findings.length === 0 ? 'looked.fine' : 'looked.at', { words: listOf(words) });
}
