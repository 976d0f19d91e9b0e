import type { CalendarDate } from '../calendar/index.ts';
import { byCodeUnit } from '../ordering.ts';
import { LADDERS, type Rung } from './rungs.ts';

/** An activity as a ladder looks at it: its skills, and when it was last used. */
export interface LadderActivity {
  readonly key: string;
  readonly title: string;
  readonly skills: readonly string[];
  /** When it was last in a session; absent when never. */
  readonly lastUsed?: CalendarDate | undefined;
}

/** What to do next after something was noticed: the rung above, the one below, and activities. */
export interface NextStep {
  /** What to offer: the next rung when this one is there, this one again while it is not. */
  readonly offer: Rung;
  readonly easier: Rung | null;
  /** Two that were not used lately: never used first, then the longest ago. Fewer when the shelf has fewer. */
  readonly activities: readonly LadderActivity[];
}

const ACTIVITIES = 2;

/** What to offer next after something was noticed on a rung. It is a prompt for the adult and never a mark. Null for an unknown skill. */
export function proposeNext(
  noticed: { readonly skill: string; readonly isThere: boolean },
  activities: readonly LadderActivity[],
): NextStep | null {
  const ladder = LADDERS.find(({ rungs }) => rungs.some((rung) => rung === noticed.skill));
  if (!ladder) return null;
  const at = ladder.rungs.findIndex((rung) => rung === noticed.skill);
  const to = noticed.isThere ? Math.min(at + 1, ladder.rungs.length - 1) : at;
  const offer = ladder.rungs[to]!;
  return {
    offer,
    easier: to > 0 ? ladder.rungs[to - 1]! : null,
    activities: activities
      .filter(({ skills }) => skills.includes(offer))
      .sort(
        (left, right) => byCodeUnit(left.lastUsed ?? '', right.lastUsed ?? '') || byCodeUnit(left.title, right.title),
      )
      .slice(0, ACTIVITIES),
  };
}
