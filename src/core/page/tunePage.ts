import type { MelodyNote, PlacedLine } from '../songs/index.ts';
import type { Drawing, Shape } from './drawing.ts';
import { textWidth } from './text.ts';

/** Between two lines of a staff, mm. */
const GAP = 2;
/** Least width of a beat, mm; words that need more get it. */
const BEAT = 9;
const WORDS = 4.6;
const LEFT = 8;
/** Steps of the white keys from C in each octave. */
const STEP: Readonly<Record<string, number>> = { C: 0, D: 1, E: 2, F: 3, G: 4, A: 5, B: 6 };
/** The note on the lowest line of the staff is E4. */
const LOWEST_LINE = 4 * 7 + STEP.E!;

const stepOf = ({ name, pitch }: MelodyNote) => Math.floor(pitch / 12) * 7 + STEP[name[0]!]!;

/** A line of a song: its staff with the notes, the strong beats as small marks above, and the syllables below; a stress on a weak beat underlined. */
export function songLine(line: PlacedLine): Drawing {
  if (line.kind === 'spoken')
    return {
      width: 170,
      height: 8,
      shapes: [{ kind: 'text', x: LEFT, y: 6, size: WORDS, text: `(${line.text})`, fill: 'mulberry' }],
    };
  const { notes, beats, syllables } = line;
  const top = 6;
  const staffFoot = top + GAP * 8;
  const wordsAt = staffFoot + 7;
  const widths = notes.map((note, index) => {
    const own = syllables.filter((syllable) => syllable.notes[0] === index);
    const text = own.map(written).join(' ');
    return Math.max(note.beats * BEAT, textWidth(text, WORDS) + 2.5);
  });
  const from: number[] = [];
  let x = LEFT + 4;
  for (const width of widths) {
    from.push(x);
    x += width;
  }
  const middle = (index: number) => from[index]! + 2.2;
  const shapes: Shape[] = [
    ...Array.from({ length: 5 }, (_, index): Shape => {
      const y = top + GAP * (2 + index);
      return { kind: 'line', x1: LEFT, x2: x, y1: y, y2: y, stroke: 'line', width: 0.25 };
    }),
    // The second line from below is G, said in a letter.
    { kind: 'text', x: LEFT - 4, y: top + GAP * 5 + 1.4, size: 4, text: 'G', fill: 'soft' },
    ...notes.flatMap((note, index) => noteShapes(note, middle(index), top + GAP * 6)),
    ...notes.flatMap((_, index): Shape[] =>
      beats[index] === 'S'
        ? [{ kind: 'line', x1: middle(index) - 1.2, x2: middle(index) + 1.2, y1: 2, y2: 2, stroke: 'teal', width: 0.8 }]
        : [],
    ),
    ...syllables.flatMap((syllable) => {
      const [first] = syllable.notes;
      if (first === undefined) return [];
      const before = syllables.find((other) => other !== syllable && other.notes[0] === first);
      const at = from[first]! + (syllable.isSplit && before ? textWidth(`${written(before)} `, WORDS) : 0);
      const text = written(syllable);
      return [
        { kind: 'text', x: at, y: wordsAt, size: WORDS, text } as const,
        ...(syllable.isClash ? [clashLine(at, at + textWidth(syllable.text, WORDS), wordsAt + 1.2)] : []),
        ...(syllable.notes.length > 1
          ? [holdLine(at + textWidth(text, WORDS) + 1, from[syllable.notes.at(-1)!]! + 3, wordsAt)]
          : []),
      ];
    }),
  ];
  const left = syllables.filter((syllable) => syllable.notes.length === 0).map(({ text }) => text);
  if (left.length > 0)
    shapes.push({ kind: 'text', x: x + 2, y: wordsAt, size: WORDS, text: left.join(' '), fill: 'red' });
  return { width: Math.max(x, x + 2 + textWidth(left.join(' '), WORDS)), height: wordsAt + 3, shapes };
}

const written = ({ text, goesOn }: { text: string; goesOn: boolean }) => (goesOn && text !== '–' ? `${text}-` : text);

/** Below a stress that falls on a weak beat. */
const clashLine = (x1: number, x2: number, y: number): Shape => ({
  kind: 'line',
  x1,
  x2,
  y1: y,
  y2: y,
  stroke: 'red',
  width: 0.7,
});

const holdLine = (x1: number, x2: number, y: number): Shape => ({
  kind: 'line',
  x1,
  x2,
  y1: y,
  y2: y,
  stroke: 'soft',
  width: 0.3,
});

/** A note as it is written: hollow from two beats on, a stem below four, a flag below one, a dot where it is held by half. */
function noteShapes(note: MelodyNote, x: number, lowestLine: number): Shape[] {
  const step = stepOf(note) - LOWEST_LINE;
  const y = lowestLine - (step * GAP) / 2;
  const isHollow = note.beats >= 2;
  const isDotted = [0.75, 1.5, 3].includes(note.beats) || note.beats === 2.5;
  const shapes: Shape[] = [];
  for (let ledger = -2; ledger >= step; ledger -= 2) {
    const at = lowestLine - (ledger * GAP) / 2;
    shapes.push({ kind: 'line', x1: x - 2.2, x2: x + 2.2, y1: at, y2: at, stroke: 'line', width: 0.25 });
  }
  shapes.push({
    kind: 'circle',
    x,
    y,
    r: 1,
    ...(isHollow ? { fill: 'white', stroke: 'ink', width: 0.5 } : { fill: 'ink' }),
  });
  if (note.beats < 4)
    shapes.push({ kind: 'line', x1: x + 0.9, x2: x + 0.9, y1: y, y2: y - 6, stroke: 'ink', width: 0.35 });
  if (note.beats < 1)
    shapes.push({ kind: 'line', x1: x + 0.9, x2: x + 2.4, y1: y - 6, y2: y - 4, stroke: 'ink', width: 0.6 });
  if (isDotted) shapes.push({ kind: 'circle', x: x + 2.1, y, r: 0.35, fill: 'ink' });
  if (note.name.length > 1)
    shapes.push({ kind: 'text', x: x - 3.4, y: y + 1, size: 3, text: note.name[1] === '#' ? '♯' : '♭' });
  return shapes;
}
