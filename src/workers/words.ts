import { knownWords } from '../core/makers/index.ts';
import type { Accent } from '../core/sounds/index.ts';
import { checkLineWords, type WordQuestion } from '../core/words/index.ts';

interface LineQuestion {
  readonly asked: number;
  readonly text: string;
  readonly question: WordQuestion;
  readonly accent: Accent;
}

/** Checks the words of a line away from the screen; it holds the everyday words, loaded when first asked. */
self.onmessage = ({ data: { asked, text, question, accent } }: MessageEvent<LineQuestion>) =>
  self.postMessage({ asked, checked: checkLineWords(text, question, knownWords({ accent })) });
