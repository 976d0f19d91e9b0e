import type { DueItem } from '../core/calendar/index.ts';
import { dayInWords } from './dates.ts';

/** A due item as a sentence around the title of its session: what stands before and after it. */
export function describeDueItem({ what, on, by }: Pick<DueItem, 'what' | 'on' | 'by'>): {
  before: string;
  after: string;
} {
  const onDay = dayInWords(on, 'en-GB');
  const clock = by.length > 10 ? `, by ${by.slice(11)}` : '';
  switch (what.kind) {
    case 'hold':
      return { before: '', after: 'is the day’s session at home.' };
    case 'write':
      return { before: 'Start writing', after: `for ${onDay}.` };
    case 'send':
      return what.isChanged
        ? { before: 'Send', after: `again: it changed after it went out. It is for ${onDay}.` }
        : { before: 'Send', after: `so that homes have it in good time for ${onDay}.` };
    case 'reserve':
      return { before: `Reserve the book “${what.book}” for`, after: `on ${onDay}.` };
    case 'collect':
      return { before: `Have “${what.book}” in the room for`, after: `on ${onDay}.` };
    case 'keep':
      return {
        before: `Homes: ${what.text} (from “${what.activity}”). “${what.until}” needs it in`,
        after: `on ${onDay}.`,
      };
    case 'prepare':
      return { before: `${what.text} This is for “${what.activity}” in`, after: `on ${onDay}${clock}.` };
    case 'homes-prepare':
      return { before: `Homes: ${what.text} It is for “${what.activity}” in`, after: `on ${onDay}${clock}.` };
  }
}

/** What can still be done about something late. */
export function describeLateHelp({ what }: Pick<DueItem, 'what'>): string {
  switch (what.kind) {
    case 'reserve':
      return 'A copy may still be free at your own branch; otherwise choose a book from the shelf that is here.';
    case 'collect':
      return 'If it has not come, read another book on the theme; the activities stand without it.';
    case 'keep':
      return 'Some homes may have thrown it away: send what else will do.';
    case 'homes-prepare':
      return 'Homes can no longer do this in time: choose a swap in the session, or the easier way.';
    case 'hold':
    case 'write':
    case 'send':
    case 'prepare':
      return 'It can still be done today.';
  }
}

/** A due item as one line of plain text, for calendars. */
export function dueItemInPlain(item: DueItem): string {
  const { before, after } = describeDueItem(item);
  return [before, `“${item.title}”`, after].filter(Boolean).join(' ');
}
