import type { PlacedLine } from '../core/songs/index.ts';

/** What an author is told about a line of words on a line of a tune: that it fits, where to hold or split, or what to change. */
export function lineVerdict(line: PlacedLine): string {
  if (line.kind === 'spoken') return 'Spoken between the lines; it takes no notes.';
  const { fit, syllables, notes } = line;
  const clashes = syllables.filter(({ isClash }) => isClash).map(({ text }) => `“${text}”`);
  const stress =
    clashes.length === 0
      ? ''
      : ` The stress of ${clashes.join(' and ')} falls on a weak beat: move the word, or take another.`;
  const counted = `${syllables.length} ${syllables.length === 1 ? 'syllable' : 'syllables'} on ${notes.length} notes`;
  if (fit.gap === 0) return `${counted}: ${clashes.length === 0 ? 'it fits.' : 'as many as notes.'}${stress}`;
  if (fit.gap === -1) {
    const held = syllables.find((syllable) => syllable.notes.length > 1);
    return `${counted}: one short. Hold “${held?.text ?? ''}” over two notes, or add a syllable.${stress}`;
  }
  if (fit.gap === 1) {
    const at = syllables.findIndex(({ isSplit }) => isSplit);
    return `${counted}: one long. Sing “${syllables[at - 1]?.text ?? ''}” and “${syllables[at]?.text ?? ''}” on one note, or leave a syllable out.${stress}`;
  }
  return fit.gap < 0
    ? `${counted}: ${-fit.gap} short. Add a word, or hold more than one note.${stress}`
    : `${counted}: ${fit.gap} too many. Leave a word out, or begin a new line.${stress}`;
}
