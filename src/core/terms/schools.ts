import { NUMBER_SKILLS } from '../ladders/index.ts';
import { readSoundOrder } from '../words/index.ts';

/** Schools of practice for the sequence that runs beside the themes. */
export const SCHOOLS = ['sounds-first', 'letter-a-week', 'whole-words', 'own-name', 'number-rungs'] as const;
/** One of the schools of practice. */
export type School = (typeof SCHOOLS)[number];

/** Schools whose steps are letters and sounds. */
export const SOUND_SCHOOLS: readonly School[] = ['sounds-first', 'letter-a-week'];

const COMMON_WORDS =
  'the and a to I in is it you he she we my see look go can me at on up no yes come here said was are have they what like this with for'.split(
    ' ',
  );
/** How many common words are learned at a time. */
const WORDS_IN_A_SET = 5;

/** The usual steps of a school, one for each week with a session; sounds in the order of the programme. An author may change them. */
export function stepsOf(school: School, soundOrder?: string): string[] {
  switch (school) {
    case 'sounds-first':
      return readSoundOrder(soundOrder).map((group) => group.join(' '));
    case 'letter-a-week':
      return [...'abcdefghijklmnopqrstuvwxyz'].map((letter) => `${letter.toUpperCase()} ${letter}`);
    case 'whole-words':
      return Array.from({ length: Math.ceil(COMMON_WORDS.length / WORDS_IN_A_SET) }, (_, set) =>
        COMMON_WORDS.slice(set * WORDS_IN_A_SET, (set + 1) * WORDS_IN_A_SET).join(' '),
      );
    case 'own-name':
      return [
        'hear it: whose name is it?',
        'clap its parts',
        'its first sound',
        'find it among others',
        'its first letter, large',
        'its letters in order',
        'in sand, in the air',
        'strip cut up and joined',
        'copied from a card',
        'written without one',
      ];
    case 'number-rungs':
      return [...NUMBER_SKILLS];
  }
}

/**
 * Which step each week has: one a week, none while it waits (a closure, travel, a week that pauses the sequence), so
 * that no step is lost. `left` are the steps that do not fit before the end. No weeks: all are left.
 */
export function spreadSteps(
  weeks: readonly { readonly waits: boolean }[],
  steps: readonly string[],
): { byWeek: (string | null)[]; left: string[] } {
  let next = 0;
  const byWeek = weeks.map(({ waits }) => (waits || next >= steps.length ? null : steps[next++]!));
  return { byWeek, left: steps.slice(next) };
}
