import { isVowel, type Pronunciations } from '../sounds/index.ts';
import { countSyllables } from '../words/index.ts';

/** What to do with a line: it fits; a syllable is held; a note is split; or other words are wanted. */
type TuneVerdict = 'fits' | 'tie' | 'split' | 'reword';

/** A line of words on a line of a tune. */
export interface FittedLine {
  readonly syllables: number;
  readonly notes: number;
  /** Syllables less notes. */
  readonly gap: number;
  /** For each syllable: a clash is the main stress of a longer word on a weak beat. */
  readonly stress: readonly ('ok' | 'clash')[];
  readonly verdict: TuneVerdict;
  /** Words whose parts were guessed. */
  readonly guessed: readonly string[];
}

/** A line's words with the stress of each syllable; 1 is the main one. Unknown stress is 0 throughout. */
export interface SungWord {
  readonly word: string;
  readonly stress: readonly number[];
  readonly guessed: boolean;
}

const WORDS = /[\p{L}\p{M}]+(?:['’-][\p{L}\p{M}]+)*/gu;

/** The words of a line with their syllables, names as told. An empty line has none. */
export function sungWords(
  line: string,
  known: Pronunciations,
  names: Readonly<Record<string, number>> = {},
): SungWord[] {
  return (line.match(WORDS) ?? []).map((word) => {
    const { count, guessed } = countSyllables(word, known, names);
    const stress = word.split('-').flatMap((part) => stressOf(part, known));
    return { word, guessed, stress: stress.length === count ? stress : Array.from({ length: count }, () => 0) };
  });
}

function stressOf(part: string, known: Pronunciations): number[] {
  const [reading] = known.readingsOf(part.toLowerCase());
  return reading ? reading.stress.filter((_, index) => isVowel(reading.phones[index]!)) : [];
}

/**
 * Sets lines of words to lines of a tune, each given as its beats (`S` strong, `w` weak); a tune shorter than the words begins
 * again. A tune has at least one line, and each line at least one note.
 */
export function fitTune(
  {
    tune,
    lines,
    names,
  }: { tune: readonly string[]; lines: readonly string[]; names?: Readonly<Record<string, number>> | undefined },
  known: Pronunciations,
): FittedLine[] {
  return lines.map((line, index) => fitLine(sungWords(line, known, names), tune[index % tune.length]!));
}

/** Sets the words of a line to its beats, a syllable to a note from the first on. */
export function fitLine(words: readonly SungWord[], beats: string): FittedLine {
  const syllables = words.flatMap(({ stress }) =>
    stress.map((weight) => ({ isMain: weight === 1 && stress.length > 1 })),
  );
  const stress = syllables.map(({ isMain }, note) => (isMain && beats[note] === 'w' ? 'clash' : 'ok'));
  const gap = syllables.length - beats.length;
  return {
    syllables: syllables.length,
    notes: beats.length,
    gap,
    stress,
    verdict: stress.includes('clash') ? 'reword' : verdictOf(gap),
    guessed: [...new Set(words.filter(({ guessed }) => guessed).map(({ word }) => word))],
  };
}

function verdictOf(gap: number): TuneVerdict {
  switch (gap) {
    case 0:
      return 'fits';
    case -1:
      return 'tie';
    case 1:
      return 'split';
    default:
      return 'reword';
  }
}
