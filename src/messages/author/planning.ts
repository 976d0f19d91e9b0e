import type { DueItem } from '../../core/calendar/index.ts';
import type { SwapReason } from '../../core/materials/index.ts';
import type { PlanReason, WeekNote } from '../../core/terms/index.ts';

/** A term, its weeks and its plan. */
export const terms = {
  'week.closed': 'closed: {title}',
  'week.travel': 'away: {title}',
  'week.special': '{title}',
  'week.heavy': '{title}: light',
  'week.heavy-week': 'busy week: light',
  'week.second-special': '{title}: the second special week in a row, so light',
  'week.not-fixed': '{title}: not fixed yet, between {from} and {to}',
  'week.session-on-closed': 'you’re closed on {on}; move what’s planned here',
  'week.session-on-weekend': '{day} is a weekend day here',
  'week.session-outside': '{on} lies outside the term',
  'plan.pinned': 'pinned by you',
  'plan.brings-back': 'brings back {skill} after {weeks, plural, one {{count} week} other {{count} weeks}}',
  'plan.first-touch': 'first visit to {skill}',
  'plan.again': '{skill} again',
  'plan.theme': 'on the theme of {theme}',
  'plan.builds-on': 'builds on “{title}”',
  'plan.light': 'light on the adult',
  'plan.pin': '“{activity}” in {session} {why}. Let it go there, or change what to aim for; nothing was changed.',
  'plan.placed': 'all {wanted} skills have a week',
  'plan.some-placed': '{unplaced} of {wanted} skills not planned yet',
  'plan.last': '{day}, {count} weeks ago',
} as const satisfies Readonly<
  Record<`week.${WeekNote['code']}` | `plan.${PlanReason['code']}`, string> & Record<string, string>
>;

/** What is due: what stands before the title of the session and after it. */
export const due = {
  'due.hold': '',
  'due.hold.after': 'is the day’s session at home.',
  'due.write': 'Start writing',
  'due.write.after': 'for {day}.',
  'due.send': 'Send',
  'due.send.after': 'so that homes have it in good time for {day}.',
  'due.send-again.after': 'again: it changed after it went out. It is for {day}.',
  'due.reserve': 'Reserve the book “{book}” for',
  'due.reserve.after': 'on {day}.',
  'due.collect': 'Have “{book}” in the room for',
  'due.collect.after': 'on {day}.',
  'due.keep': 'Homes: {text} (from “{activity}”). “{until}” needs it in',
  'due.keep.after': 'on {day}.',
  'due.prepare': '{text} This is for “{activity}” in',
  'due.prepare.after': 'on {day}.',
  'due.prepare-by.after': 'on {day}, by {clock}.',
  'due.homes-prepare': 'Homes: {text} It is for “{activity}” in',
  'due.homes-prepare.after': 'on {day}.',
  'due.homes-prepare-by.after': 'on {day}, by {clock}.',
} as const satisfies Readonly<
  Record<`due.${DueItem['what']['kind']}` | `due.${DueItem['what']['kind']}.after`, string> & Record<string, string>
>;

/** Reasons of the swap finder. */
export const swaps = {
  'swap.lacks': '{lack}',
  'swap.larger': '{times} as large',
  'swap.smaller': '{times} smaller',
  'swap.times': '{times} times',
  'swap.many-times': 'many times',
  'swap.thin': 'thin: a hand will not feel that {count} is many',
  'swap.few': 'a home usually has {usualQty}, and {qty} are needed',
  'swap.cover-places': '{places} hollows: cover {cover}',
  'swap.add-places': '{places} hollows: {lacking} are lacking',
  'swap.rare': 'few homes have one',
  'swap.alike': 'alike in all that matters here',
  'swap.ruled': 'you decided that it will do',
} as const satisfies Readonly<Record<`swap.${SwapReason['code']}`, string> & Record<string, string>>;
