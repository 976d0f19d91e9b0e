import { type CalendarDate, daysBetween } from '../calendar/index.ts';

/** How often a skill is touched against how often it should be. */
export interface SkillCoverage {
  readonly skill: string;
  readonly times: number;
  readonly last: CalendarDate | null;
  /** Days since it was last touched; null when never. */
  readonly gapDays: number | null;
}

/** How often and when each skill was last touched, up to today. Skills in the order given; no sessions: all never. */
export function skillCoverage(
  sessions: readonly { readonly on: CalendarDate; readonly skills: readonly string[] }[],
  skills: readonly string[],
  today: CalendarDate,
): { skills: SkillCoverage[]; never: string[] } {
  const held = sessions.filter(({ on }) => on <= today);
  const covered = skills.map((skill) => {
    const days = held.filter((session) => session.skills.includes(skill)).map(({ on }) => on);
    const last = days.reduce<CalendarDate | null>(
      (latest, day) => (latest === null || day > latest ? day : latest),
      null,
    );
    return { skill, times: days.length, last, gapDays: last === null ? null : daysBetween(last, today) };
  });
  return { skills: covered, never: covered.filter(({ times }) => times === 0).map(({ skill }) => skill) };
}
