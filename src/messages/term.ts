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
import { dayInWords } from './dates.ts';
import { skillWords } from './skills.ts';

const day = (date: string) => dayInWords(date, 'en-GB');

/** What is wrong with the dates of a term, what is kept and what to do. */
export function describeTermProblem(problem: TermProblem): string {
  switch (problem.code) {
    case 'ends-before-start':
      return `The term would end on ${day(problem.endsOn)}, before it starts on ${day(problem.startsOn)}. Nothing was changed; choose a later end.`;
    case 'too-long':
      return `That is ${problem.weeks} weeks, and a term holds at most ${problem.most}. Nothing was changed; frame it in two terms.`;
    case 'day-backwards':
      return `“${problem.title}” would end before it starts. It was not taken; the rest stands as it was.`;
    case 'day-outside':
      return `“${problem.title}” lies outside the term. It was not taken; the rest stands as it was.`;
    case 'closures-overlap':
      return `“${problem.title}” and “${problem.other}” both close some of the same days. It was not taken; change one of the two.`;
  }
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
    case 'closed':
      return `closed: ${note.title}`;
    case 'travel':
      return `away: ${note.title}`;
    case 'special':
      return note.title;
    case 'heavy':
      return `${note.title}: light`;
    case 'heavy-week':
      return 'busy week: light';
    case 'second-special':
      return `${note.title}: the second special week in a row, so light`;
    case 'not-fixed':
      return `${note.title}: not fixed yet, between ${shortDay(note.from)} and ${shortDay(note.to)}`;
    case 'session-on-closed':
      return `nothing is held on ${shortDay(note.on)}; move what stands here`;
    case 'session-on-weekend':
      return `${day(note.on)} is a weekend day here`;
    case 'session-outside':
      return `${shortDay(note.on)} lies outside the term`;
  }
}

/** Why an activity stands where it stands. */
export function describePlanReason(reason: PlanReason): string {
  switch (reason.code) {
    case 'pinned':
      return 'pinned by you';
    case 'brings-back':
      return `brings back ${skillWords(reason.skill)} after ${countWords(reason.weeks)} weeks`;
    case 'first-touch':
      return `first visit to ${skillWords(reason.skill)}`;
    case 'again':
      return `${skillWords(reason.skill)} once more`;
    case 'theme':
      return `on the theme of ${reason.theme.replaceAll('-', ' ')}`;
    case 'builds-on':
      return `builds on “${reason.title}”`;
    case 'light':
      return 'light on the adult';
  }
}

const LOOSEN_WORDS: Readonly<Record<TermRule, string>> = {
  rest: 'Ask for fewer sessions of rest between two uses.',
  repeat: 'Let an activity come back more often.',
  after: 'Some activities need an earlier one that has no place: pin the earlier one, or leave the later out.',
  light: 'There are too many light weeks for what is on the shelf: let one week be an ordinary one.',
  minutes: 'Give the sessions more minutes.',
  perSlot: 'Ask for fewer activities in each session.',
};

/** Why nothing could be proposed, and what to do. */
export function describePlanProblem(problem: PlanProblem): string {
  const kept = 'What stood in the term still stands.';
  return problem.code === 'out-of-time'
    ? `No plan turned up in the time we take. Try again with fewer activities or a shorter stretch of the term. ${kept}`
    : `No plan keeps every rule. ${LOOSEN_WORDS[problem.loosen]} ${kept}`;
}

const CONFLICT_WORDS: Readonly<Record<PinRule, string>> = {
  light: 'is much work, and the week is to be light',
  repeat: 'is pinned more often than an activity may come',
  rest: 'is pinned again too soon',
  count: 'is one more than a session may hold',
};

/** Why what is pinned cannot stand, and what to do. */
export function describePinConflict(rule: PinRule, activity: string, session: string): string {
  return `“${activity}” in ${session} ${CONFLICT_WORDS[rule]}. Let it go there, or change what to aim for; nothing was changed.`;
}

export function shortDay(date: string): string {
  return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
    new Date(`${date}T00:00:00Z`),
  );
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
  return `${shortDay(last)}, ${countWords(Math.floor(gapDays / 7))} weeks ago`;
}

/** How many of the skills a term aims for stand in a session that is held. */
export function describePlaced(wanted: number, unplaced: number): string {
  if (wanted === 0) return 'no skills aimed for';
  if (unplaced === 0) return `all ${wanted} skills have a week`;
  return `${unplaced} of ${wanted} skills not planned yet`;
}
