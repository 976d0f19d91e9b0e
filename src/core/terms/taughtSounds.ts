import type { CalendarDate } from '../calendar/index.ts';
import { graphemesIn, type TaughtOn } from '../words/index.ts';
import { SOUND_SCHOOLS } from './schools.ts';
import type { Term } from './term.ts';
import { heldSessions, weekRows } from './weekRows.ts';

/** The steps of a term with the day of the first session of their week; weeks without a step or a session teach none. */
export function taughtSteps(
  term: Term,
  weekend: readonly number[],
): { number: number; on: CalendarDate; step: string }[] {
  const { rows } = weekRows(term, weekend);
  const held = heldSessions(rows);
  return rows.flatMap((row) => {
    const first = held.find((session) => session.row === row);
    return row.step === null || !first ? [] : [{ number: row.number!, on: first.on, step: row.step }];
  });
}

/** What the term around a day teaches of sounds, by day; none where no term of sounds is around it. */
export function taughtAround(terms: readonly Term[], on: CalendarDate, weekend: readonly number[]): TaughtOn[] {
  const term = terms.find(
    ({ startsOn, endsOn, school }) => startsOn <= on && on <= endsOn && SOUND_SCHOOLS.includes(school),
  );
  return term ? taughtSteps(term, weekend).map((step) => ({ on: step.on, graphemes: graphemesIn(step.step) })) : [];
}
