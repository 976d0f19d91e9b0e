import { isNumberDial, isWholeLevel, type Line, type Segment } from '../../session/index.ts';
import type { Check } from '../check.ts';

/** An easier or harder level that is the same as the usual one, or goes the other way. */
export const levelNotEasier: Check = ({ segment }) =>
  (['easier', 'harder'] as const).flatMap((level) => {
    const change = segment.levels[level];
    if (!isWholeLevel(change)) return [];
    const isSame = !hasOtherLines(segment, level) && !hasOtherDials(segment, level) && !hasOtherAmounts(segment, level);
    const isBackwards = !hasOtherLines(segment, level) && goesTheOtherWay(segment, level);
    if (!isSame && !isBackwards) return [];
    return [
      {
        id: `level:${segment.id}/${level}`,
        weight: 'warning',
        line: (change?.lines ?? segment.lines)[0]?.id,
        values: { level, same: isSame ? 1 : 0 },
      },
    ];
  });

type ChangedLevel = 'easier' | 'harder';
const wordsIn = (lines: readonly Line[]) =>
  lines.map(({ kind, text, answer }) => `${kind} ${text} ${answer ?? ''}`).join('\n');

function hasOtherLines({ lines, levels }: Segment, level: ChangedLevel): boolean {
  const own = levels[level]?.lines;
  return own !== undefined && wordsIn(own) !== wordsIn(lines);
}

function hasOtherDials({ rightDials, levels }: Segment, level: ChangedLevel): boolean {
  return Object.entries(levels[level]?.dials ?? {}).some(([name, value]) => rightDials[name] !== value);
}

function hasOtherAmounts({ levels }: Segment, level: ChangedLevel): boolean {
  return Object.keys(levels[level]?.qty ?? {}).length > 0;
}

/** Every number that the level sets is larger at easier than usual, or smaller at harder. */
function goesTheOtherWay({ dials, rightDials, levels, needs }: Segment, level: ChangedLevel): boolean {
  const set = Object.entries(levels[level]?.dials ?? {});
  const numbers = set.filter(([name, value]) => rightDials[name] !== value && dials.some((dial) => dial.name === name));
  // More of what is put out is harder; a larger price or page need not be.
  const isAmount = (name: string) => needs.some(({ qty }) => new RegExp(`\\b${name}\\b`).test(`${qty}`));
  const counts = numbers.filter(
    ([name]) => isAmount(name) && dials.some((dial) => dial.name === name && isNumberDial(dial)),
  );
  return (
    counts.length > 0 &&
    counts.length === numbers.length &&
    counts.every(([name, value]) =>
      level === 'easier' ? Number(value) > Number(rightDials[name]) : Number(value) < Number(rightDials[name]),
    )
  );
}
