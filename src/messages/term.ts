import { problemMessage } from '../core/message.ts';
import { numberWord } from './numberWord.ts';
import type {
  DayKind,
  PinRule,
  PlanProblem,
  PlanReason,
  School,
  TermProblem,
  TermRule,
  WeekNote,
} from '../core/terms/index.ts';
import { dayInWords, shortDay } from './dates.ts';
import { sayMessage, sayScreen } from './screenWords.ts';
import { skillWords } from './skills.ts';

const day = (date: string) => dayInWords(date, 'en-GB');

/** What is wrong with the dates of a term, what is kept and what to do. */
export function describeTermProblem(problem: TermProblem): string {
  const said =
    problem.code === 'ends-before-start'
      ? { ...problem, startsOn: day(problem.startsOn), endsOn: day(problem.endsOn) }
      : problem;
  return sayMessage(problemMessage(said));
}

export const DAY_KIND_WORDS: Readonly<Record<DayKind, string>> = {
  special: 'special day',
  closed: 'closed',
  travel: 'away',
  heavy: 'busy time',
};

/** Each school with the sentence that says why one would choose it. */
export const SCHOOL_WORDS: Readonly<Record<School, { name: string; why: string }>> = {
  'sounds-first': {
    name: 'sounds first, in groups',
    why: 'The default: after two groups there are words a child can build from sounds alone.',
  },
  'letter-a-week': {
    name: 'a letter a week',
    why: 'Families know the alphabet and can follow it without being told how.',
  },
  'whole-words': {
    name: 'whole words in sets of five',
    why: 'Common words that do not sound out are met early, and come back on purpose.',
  },
  'own-name': { name: 'own name first', why: 'No word matters more to a child than its own.' },
  'number-rungs': { name: 'the rungs of number', why: 'For a term that leans to counting, one rung a week.' },
};

/** A note of a week row as a short phrase. */
export function describeWeekNote(note: WeekNote): string {
  switch (note.code) {
    case 'heavy-week':
      return sayScreen('week.heavy-week');
    case 'not-fixed':
      return sayScreen('week.not-fixed', { title: note.title, from: shortDay(note.from), to: shortDay(note.to) });
    case 'session-on-weekend':
      return sayScreen('week.session-on-weekend', { day: day(note.on) });
    case 'session-on-closed':
    case 'session-outside':
      return sayScreen(`week.${note.code}`, { on: shortDay(note.on) });
    default:
      return sayScreen(`week.${note.code}`, { title: note.title });
  }
}

/** Why an activity stands where it stands. */
export function describePlanReason(reason: PlanReason): string {
  switch (reason.code) {
    case 'brings-back': {
      const { weeks, skill } = reason;
      return sayScreen('plan.brings-back', { skill: skillWords(skill), weeks, count: countWords(weeks) });
    }
    case 'first-touch':
    case 'again':
      return sayScreen(`plan.${reason.code}`, { skill: skillWords(reason.skill) });
    case 'theme':
      return sayScreen('plan.theme', { theme: reason.theme.replaceAll('-', ' ') });
    case 'builds-on':
      return sayScreen('plan.builds-on', { title: reason.title });
    case 'pinned':
    case 'light':
      return sayScreen(`plan.${reason.code}`);
  }
}

const LOOSEN_WORDS: Readonly<Record<TermRule, string>> = {
  rest: 'Ask for fewer sessions of rest between two uses.',
  repeat: 'Let an activity come back more often.',
  after: 'Some activities need an earlier one that has no place: pin the earlier one, or leave the later out.',
  light: 'There are too many light weeks for what is on the shelf: let one week be an ordinary one.',
  minutes: 'Give the sessions more minutes.',
  forbid: 'Leave activities where they’re kept out.',
  order: 'Let a skill come before the one it builds on.',
  balance: 'Ask for fewer of one kind.',
  perSlot: 'Ask for fewer activities in each session.',
};

/** Why nothing could be proposed, and what to do. */
export function describePlanProblem(problem: PlanProblem): string {
  const said =
    problem.code === 'nothing-fits'
      ? { ...problem, loosen: problem.loosen.map((rule) => LOOSEN_WORDS[rule]).join(' ') }
      : problem;
  return sayMessage(problemMessage(said));
}

const CONFLICT_WORDS: Readonly<Record<PinRule, string>> = {
  light: 'is much work, and the week is to be light',
  repeat: 'is pinned more often than an activity may come',
  rest: 'is pinned again too soon',
  count: 'is one more than a session may hold',
};

/** Why what is pinned cannot stand, and what to do. */
export function describePinConflict(rule: PinRule, activity: string, session: string): string {
  return sayScreen('plan.pin', { activity, session, why: CONFLICT_WORDS[rule] });
}

/** A small number in words, a larger one in digits. */
export function countWords(count: number): string {
  if (count === 0) return 'no';
  return count <= 12 ? numberWord(count) : String(count);
}

const DAYS_TO_COUNT_WEEKS = 14;

/** When a skill was last touched, and how long ago that is once it is two weeks. */
export function lastTouchedWords({
  last,
  gapDays,
}: {
  readonly last: string | null;
  readonly gapDays: number | null;
}): string {
  if (last === null || gapDays === null) return 'not yet';
  if (gapDays < DAYS_TO_COUNT_WEEKS) return shortDay(last);
  return sayScreen('plan.last', { day: shortDay(last), count: countWords(Math.floor(gapDays / 7)) });
}

/** How many of the skills a term aims for stand in a session that is held. */
export function describePlaced(wanted: number, unplaced: number): string {
  if (wanted === 0) return 'no skills aimed for';
  return unplaced === 0 ? sayScreen('plan.placed', { wanted }) : sayScreen('plan.some-placed', { unplaced, wanted });
}
