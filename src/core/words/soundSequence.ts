import { type Accent, FIRST_SOUNDS, type Pronunciations } from '../sounds/index.ts';
import { lackingGraphemes, segmentWord, type SegmentedWord } from './segmentWord.ts';

/** A step of a sequence of sounds, and what it opens. */
export interface SoundStep {
  readonly graphemes: readonly string[];
  /** Words that can be read from this step on and not before, short ones first. */
  readonly opens: readonly string[];
  /** Words that can be read by then. */
  readonly total: number;
}

/** The sound that would open most words if it came next. */
export interface NextSound {
  readonly grapheme: string;
  readonly opens: readonly string[];
}

/** With fewer readable words than this a sheet repeats itself: real things and the ear are better. */
export const FEW_WORDS = 8;

/** The graphemes an author names in a step, in any case; other words of the step are left out. No step: none. */
export function graphemesIn(step: string): string[] {
  const written = step
    .toLowerCase()
    .split(/[\s,;·]+/)
    .map((part) => part.replace('-', '_'));
  return [...new Set(written.filter((part) => FIRST_SOUNDS.has(part) || part === 'nk'))];
}

type Divided = Pick<SegmentedWord, 'word' | 'graphemes' | 'sounds'>;

/** Words divided once, to be asked about at many points of a sequence. */
export function divideWords(
  words: readonly string[],
  { known, accent }: { known: Pronunciations; accent: Accent },
): Divided[] {
  return words.map((word) => segmentWord(word, { known, accent, taught: new Set() }));
}

/** What each step of a sequence opens among some words. No steps: none. */
export function openedBySteps(steps: readonly (readonly string[])[], words: readonly Divided[]): SoundStep[] {
  const taught = new Set<string>();
  let closed = words;
  let total = 0;
  return steps.map((graphemes) => {
    for (const grapheme of graphemes) taught.add(grapheme);
    const opens = closed.filter((word) => lackingGraphemes(word, taught).length === 0);
    closed = closed.filter((word) => !opens.includes(word));
    total += opens.length;
    const sorted = opens
      .map(({ word }) => word)
      .sort((one, other) => one.length - other.length || (one < other ? -1 : 1));
    return { graphemes, opens: sorted, total };
  });
}

/** Of the sounds that are not taught yet the one for which most words wait; null when none waits for one sound alone. */
export function bestNextSound(taught: ReadonlySet<string>, words: readonly Divided[]): NextSound | null {
  const waiting = new Map<string, string[]>();
  for (const word of words) {
    const lacking = lackingGraphemes(word, taught);
    const [only] = lacking;
    // A piece that is irregular here waits for no lesson.
    if (lacking.length !== 1 || taught.has(only!)) continue;
    if (lackingGraphemes(word, new Set([...taught, only!])).length > 0) continue;
    waiting.set(only!, [...(waiting.get(only!) ?? []), word.word]);
  }
  const best = [...waiting].reduce<[string, string[]] | null>(
    (most, entry) => (most === null || entry[1].length > most[1].length ? entry : most),
    null,
  );
  return best && { grapheme: best[0], opens: best[1] };
}
