import { createHash } from 'node:crypto';
import { tz } from '@date-fns/tz';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { DueItem } from '../../core/calendar/index.ts';

export interface CalendarFileInput {
  readonly name: string;
  readonly due: readonly DueItem[];
  /** An item as a line of text. */
  readonly describe: (item: DueItem) => string;
  readonly timeZone: string;
  /** Where a session can be opened. */
  readonly addressOf: (item: DueItem) => string;
  /** When it was made: the stamp that each event carries. */
  readonly madeAt: Date;
}

const SESSION_MINUTES = 30;
const TASK_MINUTES = 15;

/**
 * What is due as an iCalendar file (RFC 5545). Ids stay the same for the same task of the same session, so that a
 * calendar program moves what has moved. Things due on a day are all-day events; what has a time of day is given as
 * a moment in universal time, so that no reader can mistake the zone or the change of clocks.
 */
export function calendarFile({ name, due, describe, timeZone, addressOf, madeAt }: CalendarFileInput): string {
  const calendar = ical({
    name,
    prodId: { company: 'Footstool', product: 'Term' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const item of due) {
    const timed = timeOf(item);
    const summary = describe(item);
    calendar.createEvent({
      id: uidOf(item.id),
      stamp: madeAt,
      summary,
      description: item.mayMove ? 'The day is not certain yet.' : null,
      url: addressOf(item),
      ...(timed
        ? { start: momentIn(timed.at, timeZone), end: addMinutes(momentIn(timed.at, timeZone), timed.minutes) }
        : { start: new Date(`${item.by.slice(0, 10)}T00:00:00Z`), allDay: true, timezone: 'UTC' }),
    });
  }
  return calendar.toString();
}

/** An id as calendar programs take it; one that loses letters by it carries what tells it from others. */
function uidOf(id: string): string {
  const plain = id.replace(/[^A-Za-z0-9-]/g, '.');
  const isWhole = /^[A-Za-z0-9/ -]*$/.test(id);
  return `${plain}${isWhole ? '' : `.${createHash('sha256').update(id).digest('hex').slice(0, 16)}`}@footstool`;
}

/** Local clock time that an item has, or null when it is due on a day. */
function timeOf(item: DueItem): { at: string; minutes: number } | null {
  if (item.by.length > 10) return { at: item.by, minutes: TASK_MINUTES };
  if (item.what.kind === 'hold' && item.at) return { at: `${item.by}T${item.at}`, minutes: SESSION_MINUTES };
  return null;
}

/** The moment at which a clock in a time zone shows a local time (YYYY-MM-DDTHH:MM). */
export function momentIn(local: string, timeZone: string): Date {
  const [year, month, day, hour, minute] = local.split(/[-T:]/).map(Number) as [number, number, number, number, number];
  const noon = tz(timeZone)(new Date(Date.UTC(year, month - 1, day, 12)));
  noon.setFullYear(year, month - 1, day);
  noon.setHours(hour, minute, 0, 0);
  return new Date(noon.getTime());
}

function addMinutes(moment: Date, minutes: number): Date {
  return new Date(moment.getTime() + minutes * 60_000);
}
