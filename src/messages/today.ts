import type { DueItem } from '../core/calendar/dueItems.ts';
import { dayInWords } from './dates.ts';

/** A due item as a sentence around the title of its session: what stands before and after it. */
export function describeDueItem({ what, on }: DueItem): { before: string; after: string } {
  const onDay = dayInWords(on, 'en-GB');
  switch (what.kind) {
    case 'hold':
      return { before: '', after: 'is the day’s session at home.' };
    case 'send':
      return what.isChanged
        ? { before: 'Send', after: `again: it changed after it went out. It is for ${onDay}.` }
        : { before: 'Send', after: `so that homes have it in good time for ${onDay}.` };
    case 'prepare':
      return { before: `${what.text} This is for “${what.activity}” in`, after: `on ${onDay}.` };
    case 'homes-prepare':
      return { before: `Homes: ${what.text} It is for “${what.activity}” in`, after: `on ${onDay}.` };
  }
}
