import { stepsOf } from './schools.ts';
import { frameTerm } from './frameTerm.ts';
import type { Term, TermDay } from './term.ts';
import { applyTermEdit, type TermEdit } from './termEdit.ts';

let id = 0;

/** Nine weeks in spring with a session each, for tests. */
export const framed = (change: Partial<Parameters<typeof frameTerm>[0]> = {}): Term => {
  const answer = frameTerm(
    {
      title: 'Spring',
      startsOn: '2027-03-01',
      endsOn: '2027-04-30',
      weekday: 4,
      time: '10:00',
      minutes: 20,
      themes: ['wheels', 'shadows'],
      school: 'sounds-first',
      steps: stepsOf('sounds-first'),
      ...change,
    },
    () => `s${++id}`,
  );
  if (!answer.ok) throw new Error(answer.problem.code);
  return answer.value;
};

/** The term after these edits; one that is refused is an error. */
export const edited = (term: Term, ...edits: TermEdit[]): Term =>
  edits.reduce((before, edit) => {
    const after = applyTermEdit(before, edit);
    if (!after.ok) throw new Error(after.problem.code);
    return after.value;
  }, term);

/** A closed week in March, unless it is said otherwise. */
export const day = (change: Partial<TermDay>): TermDay => ({
  id: `d${++id}`,
  title: 'a day',
  kind: 'closed',
  from: '2027-03-15',
  to: '2027-03-19',
  isFixed: true,
  ...change,
});

export const sessionOf = (term: Term, week: number) => term.weeks[week]!.sessions[0]!;
