import type { Line } from '../core/session/line.ts';
import type { FramingWords } from '../core/shelf/fromShelf.ts';

/** Sentences that frame a book or song when it is put into a session. */
export const FRAMING: FramingWords = {
  fetchBook: (title) => `Sit side by side with “${title}”, so that you both see the pages the right way up.`,
  readIt: (title) => `Read “${title}”, slower than you think. Stop whenever your child wants to look.`,
  afterPage: (page) => `After page ${page}:`,
  singTo: (tune) => `Sing to the tune of “${tune}”.`,
};

/** What a new session opens with. */
export const OPENING_LINES: readonly Line[] = [
  { id: 'hello-do', kind: 'do', text: 'Put your phone where you can see it, and sit down where your child is.' },
  { id: 'hello-say', kind: 'say', text: '“I have something for us. Shall we see what it is?”' },
  { id: 'hello-if', kind: 'if', text: 'They are not in the mood: leave it for tomorrow.' },
];

/** What a new session closes with. */
export const CLOSING_LINES: readonly Line[] = [
  {
    id: 'goodbye-ask',
    kind: 'ask',
    text: '“What shall we show the others later?”',
    why: 'Telling it once more is what makes it stay.',
  },
  { id: 'goodbye-do', kind: 'do', text: 'Put the things away together. What is still interesting may stay out.' },
];
