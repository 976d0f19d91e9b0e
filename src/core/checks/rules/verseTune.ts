import { fitTune } from '../../songs/index.ts';
import { own } from '../../message.ts';
import type { Check } from '../check.ts';

/** Syllables too many or too few from which a line can't be sung to its notes by holding or splitting one. */
const MOST_OFF = 1;

/** A verse whose lines have far more or fewer syllables than their tune has notes. */
export const verseTune: Check = ({ segment, said, around: { tunes = {}, known } }) => {
  const tune = segment.from && Object.hasOwn(tunes, segment.from) ? tunes[segment.from] : undefined;
  if (!known || !tune || tune.length === 0 || segment.kind !== 'song') return [];
  return said.flatMap(({ line, text }) => {
    if (line.kind !== 'sing') return [];
    const lines = text.split(/\s*[/\n]\s*/).filter(Boolean);
    const worst = fitTune({ tune, lines }, known)
      .map((fitted, index) => ({ ...fitted, words: lines[index]! }))
      .filter(({ gap }) => Math.abs(gap) > MOST_OFF)[0];
    if (!worst) return [];
    return [
      {
        id: `verse:${segment.id}/${line.id}`,
        weight: 'warning',
        line: line.id,
        values: { words: own(worst.words), syllables: worst.syllables, notes: worst.notes },
      },
    ];
  });
};
