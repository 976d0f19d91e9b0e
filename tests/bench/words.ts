import { EVERYDAY_WORDS, packedPronunciations } from '../../src/core/sounds/index.ts';
import { checkLineWords, WORD_AIMS, type WordQuestion } from '../../src/core/words/index.ts';

type Report = (name: string, text: string) => void;

const FRAME_MS = 16;
const LINES = [
  'Lay out a hat, a cat, a bat and the mat. Which two sound alike?',
  'Put a sock, a ship, soap, the scissors and a spoon into the pot.',
  'Read it: “The hen is in the box, and the cat is on the mat.”',
];
const STEPS = [{ on: '2027-03-04', graphemes: [...'mastinpodcgbherl'] }];

/** The words of a line checked as it is typed, and the first load of the everyday words; on screens both happen in a worker. */
export function wordsOfLines(report: Report): void {
  const began = performance.now();
  const known = packedPronunciations(EVERYDAY_WORDS)('gb');
  known.readingsOf('sock');
  const load = performance.now() - began;
  const times: number[] = [];
  for (const text of LINES)
    for (const aim of WORD_AIMS) {
      const question: WordQuestion = { aim, sound: 's', on: '2027-03-20', steps: STEPS };
      // A letter at a time, as it is typed.
      for (let length = 1; length <= text.length; length++) {
        const from = performance.now();
        checkLineWords(text.slice(0, length), question, { known, accent: 'gb' });
        times.push(performance.now() - from);
      }
    }
  times.sort((one, other) => one - other);
  const at = (part: number) => (times[Math.floor((times.length - 1) * part)]! / FRAME_MS).toFixed(2);
  report(
    'words of a line, as it is typed',
    `of ${times.length} letters median ${at(0.5)} frames of 16 ms, 95 in 100 within ${at(0.95)}, slowest ${at(1)}; first load ${load.toFixed(0)} ms, in a worker`,
  );
}
