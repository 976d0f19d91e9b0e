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

/** How a child comes to its own name, step by step. */
export const OWN_NAME_STEPS = [
  'hear',
  'clap-parts',
  'first-sound',
  'find',
  'first-letter',
  'order',
  'trace',
  'join-strip',
  'copy',
  'write',
] as const;

/**
 * The usual steps of a school, one for each week with a session: letters and words as they are, the others by name
 * (`OWN_NAME_STEPS`, skills), to be put into words. Sounds are in the order of the programme.
 */
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
      return [...OWN_NAME_STEPS];
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
