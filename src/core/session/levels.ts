import type { LevelName } from './levelName.ts';
import { dialValues } from './dial.ts';
import type { Line } from './line.ts';
import type { Need } from '../materials/index.ts';
import type { Quantity, Scope } from '../expressions/index.ts';
import type { ActivityBody, LevelChange, Segment } from './session.ts';

/** Whether an easier or harder way is a level that can be done whole: it sets dials or has lines of its own. */
export function isWholeLevel(level: LevelChange | undefined): level is LevelChange {
  return level !== undefined && (Object.keys(level.dials).length > 0 || (level.lines?.length ?? 0) > 0);
}

/** The levels a part can be done at, from easier to harder; `right` always. */
export function levelsOf({ levels }: Pick<ActivityBody, 'levels'>): LevelName[] {
  return [
    ...(isWholeLevel(levels.easier) ? (['easier'] as const) : []),
    'right' as const,
    ...(isWholeLevel(levels.harder) ? (['harder'] as const) : []),
  ];
}

type LevelledPart = Pick<Segment, 'dials' | 'levels' | 'level' | 'rightDials'>;

/** The values of the dials at a level. The level a part stands at has what the dials say now. */
export function valuesAt(part: LevelledPart, level: LevelName): Scope {
  const now = dialValues(part.dials);
  if (level === part.level) return now;
  const right = part.level === 'right' ? now : { ...now, ...part.rightDials };
  return level === 'right' ? right : { ...right, ...part.levels[level]?.dials };
}

/** The lines of a level, before they are written out. */
export function linesAt({ lines, levels }: Pick<ActivityBody, 'lines' | 'levels'>, level: LevelName): readonly Line[] {
  return (level === 'right' ? undefined : levels[level]?.lines) ?? lines;
}

/** How many of a need a level asks for. */
export function quantityAt({ levels }: Pick<ActivityBody, 'levels'>, need: Need, level: LevelName): Quantity {
  const changed = level === 'right' ? undefined : levels[level]?.qty;
  return changed && Object.hasOwn(changed, need.id) ? changed[need.id]! : need.qty;
}
