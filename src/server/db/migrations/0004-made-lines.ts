import { authorMakers } from '../../../messages/authorMakers.ts';
import { generatedParts } from '../../../core/makers/index.ts';
import type { Line, Segment } from '../../../core/session/index.ts';

/** How the lines of makers were named before they had keys: by their position. */
const FORMER = /^made-(\d+)$/;

/**
 * A stored part as makers' parts are kept now: lines that a maker wrote get the keys of its lines by their position,
 * the others are the author's, and each level has its lines. Other parts, and those whose maker refuses, stay as they are.
 */
export function markMadeLines(stored: unknown): unknown {
  const segment = stored as Segment;
  if (!segment.made) return stored;
  const generated = generatedParts(segment.made, authorMakers);
  if (!generated.ok) return stored;
  const written = generated.value.lines;
  const shown = written[segment.level];
  const lines = segment.lines.map((line): Line => {
    const position = FORMER.exec(line.id);
    const key = position && shown[Number(position[1])]?.id;
    return key ? { ...line, id: key } : line;
  });
  const linesAt = (level: 'easier' | 'harder') => (segment.level === level ? lines : written[level]);
  return {
    ...segment,
    lines: segment.level === 'right' ? lines : written.right,
    needs: segment.needs.map((need) => {
      const made = generated.value.needs.find(
        ({ item, swaps }) => item === need.item || swaps.some((swap) => swap.item === need.item),
      );
      return made && FORMER.test(need.id) ? { ...need, id: made.id } : need;
    }),
    levels: {
      easier: { text: '', dials: {}, lines: linesAt('easier') },
      harder: { text: '', dials: {}, lines: linesAt('harder') },
    },
  };
}
