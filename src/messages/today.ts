import type { DueItem } from '../core/calendar/index.ts';
import { dayInWords } from './dates.ts';
import { sayScreen } from './screenWords.ts';

/** A due item as a sentence around the title of its session: what stands before and after it. */
export function describeDueItem({ what, on, by }: Pick<DueItem, 'what' | 'on' | 'by'>): {
  before: string;
  after: string;
} {
  const day = dayInWords(on, 'en-GB');
  const clock = by.length > 10 ? by.slice(11) : '';
  switch (what.kind) {
    case 'hold':
      return { before: '', after: sayScreen('due.hold.after') };
    case 'write':
      return { before: sayScreen('due.write'), after: sayScreen('due.write.after', { day }) };
    case 'send':
      return {
        before: sayScreen('due.send'),
        after: sayScreen(what.isChanged ? 'due.send-again.after' : 'due.send.after', { day }),
      };
    case 'reserve':
    case 'collect':
      return {
        before: sayScreen(`due.${what.kind}`, { book: what.book }),
        after: sayScreen(`due.${what.kind}.after`, { day }),
      };
    case 'keep': {
      const { text, activity, until } = what;
      return { before: sayScreen('due.keep', { text, activity, until }), after: sayScreen('due.keep.after', { day }) };
    }
    case 'prepare':
    case 'homes-prepare':
      return {
        before: sayScreen(`due.${what.kind}`, { text: what.text, activity: what.activity }),
        after: clock
          ? sayScreen(`due.${what.kind}-by.after`, { day, clock })
          : sayScreen(`due.${what.kind}.after`, { day }),
      };
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
