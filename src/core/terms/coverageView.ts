import { addDays, type CalendarDate, daysBetween } from '../calendar/index.ts';
import { skillCoverage, type SkillCoverage } from './coverage.ts';

/** A session by its day and the skills it touches. */
export interface TouchedSession {
  readonly on: CalendarDate;
  readonly skills: readonly string[];
}

/** A skill's row over the weeks of a term. */
export interface CoverageRow extends SkillCoverage {
  /** By week: `held` before or on today, `planned` after it, `none`. */
  readonly weeks: readonly ('held' | 'planned' | 'none')[];
  readonly planned: number;
  /** Touched before, but so long ago, and with nothing planned soon, that it is due for another visit. */
  readonly isDueAgain: boolean;
}

/** After so many weeks without a visit a skill is due again. */
const WEEKS_UNTIL_DUE = 5;

/**
 * What was touched when, over the weeks of a term, by their Mondays. Sessions before the term count for `last` and
 * `times`. Skills in the order given; no sessions: nothing is touched and nothing due.
 */
export function coverageView(input: {
  readonly sessions: readonly TouchedSession[];
  readonly skills: readonly string[];
  readonly mondays: readonly CalendarDate[];
  readonly today: CalendarDate;
}): CoverageRow[] {
  const { sessions, skills, mondays, today } = input;
  return skillCoverage(sessions, skills, today).skills.map((covered) => {
    const touching = sessions.filter((session) => session.skills.includes(covered.skill));
    const next = touching
      .map(({ on }) => on)
      .filter((on) => on > today)
      .sort()[0];
    const isLongAgo = covered.gapDays !== null && covered.gapDays >= WEEKS_UNTIL_DUE * 7;
    return {
      ...covered,
      planned: touching.filter(({ on }) => on > today).length,
      isDueAgain: isLongAgo && (next === undefined || daysBetween(today, next) > 14),
      weeks: mondays.map((monday) => {
        const here = touching.filter(({ on }) => on >= monday && on <= addDays(monday, 6));
        if (here.length === 0) return 'none';
        return here.some(({ on }) => on <= today) ? 'held' : 'planned';
      }),
    };
  });
}
