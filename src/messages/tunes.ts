import type { PlacedLine } from '../core/songs/index.ts';
import { listOf } from '../core/message.ts';
import { sayScreen } from './screenWords.ts';

/** What an author is told about a line of words on a line of a tune: that it fits, where to hold or split, or what to change. */
export function lineVerdict(line: PlacedLine): string {
  if (line.kind === 'spoken') return sayScreen('line.spoken');
  const clashes = line.syllables.filter(({ isClash }) => isClash).map(({ text }) => `“${text}”`);
  const said = fitWords(line, clashes.length === 0);
  return clashes.length === 0 ? said : sayScreen('line.clashes', { said, words: listOf(clashes) });
}

function fitWords({ fit, syllables, notes }: Extract<PlacedLine, { kind: 'sung' }>, isInTime: boolean): string {
  const counted = sayScreen('line.counted', { syllables: syllables.length, notes: notes.length });
  if (fit.gap === 0) return sayScreen(isInTime ? 'line.fits' : 'line.as-many', { counted });
  if (fit.gap === -1) {
    const held = syllables.find((syllable) => syllable.notes.length > 1);
    return sayScreen('line.one-short', { counted, held: held?.text ?? '' });
  }
  if (fit.gap === 1) {
    const at = syllables.findIndex(({ isSplit }) => isSplit);
    const [first, second] = [syllables[at - 1]?.text ?? '', syllables[at]?.text ?? ''];
    return sayScreen('line.one-long', { counted, first, second });
  }
  return sayScreen(fit.gap < 0 ? 'line.short' : 'line.long', { counted, gap: Math.abs(fit.gap) });
}
