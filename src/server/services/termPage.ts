import { effortOf, likelyMinutes } from '../../core/shelf/index.ts';
import { today } from '../clock.ts';
import { readPreparations } from './preparations.ts';
import { readSessions } from '../db/repositories/sessions.ts';
import { readShelf, type ActivityEntry } from '../db/repositories/shelf.ts';
import { findTerm } from './terms.ts';
import type { Person } from './person.ts';
import { type DueItem, dueItems } from '../../core/calendar/index.ts';
import type { PlannableActivity, TouchedSession } from '../../core/terms/index.ts';
import type { KeptTerm } from '../db/repositories/terms.ts';

/** What a term may choose from on the shelf. */
interface TermShelf {
  readonly activities: readonly PlannableActivity[];
  readonly books: readonly { key: string; title: string; themes: readonly string[]; isBorrowed: boolean }[];
  readonly songs: readonly { key: string; title: string; themes: readonly string[] }[];
}

export interface TermPage extends KeptTerm {
  readonly today: string;
  readonly weekend: readonly number[];
  readonly shelf: TermShelf;
  /** Sessions held before the term, for what was touched when. */
  readonly earlier: readonly TouchedSession[];
  readonly due: readonly DueItem[];
  readonly mayWrite: boolean;
  /** The programme’s own order of sounds, where it has one. */
  readonly soundOrder: string | undefined;
}

/** One term with all that its room works with: eight queries, however long it is. */
export async function readTermPage(person: Person, id: string): Promise<TermPage> {
  const [kept, shelf, sessions, preparations] = await Promise.all([
    findTerm(person, id),
    readShelf(person.programmeId, ['activity', 'book', 'song']),
    readSessions(person.programmeId),
    readPreparations(person),
  ]);
  const { weekend } = person.settings;
  const inTerm = new Set(
    kept.term.weeks.flatMap((week) => week.sessions.map(({ id: slot, benchId }) => benchId ?? slot)),
  );
  return {
    ...kept,
    today: today(person.settings),
    weekend,
    shelf: {
      activities: shelf.activities.filter(({ size }) => size === 'home').map(asPlannable),
      books: shelf.books.map(({ key, title, themes, borrowed }) => ({ key, title, themes, isBorrowed: borrowed })),
      songs: shelf.songs.map(({ key, title, themes }) => ({ key, title, themes })),
    },
    earlier: sessions
      .filter(({ session }) => session.on < kept.term.startsOn)
      .map(({ session }) => ({
        on: session.on,
        skills: [...new Set(session.segments.flatMap(({ skills }) => skills))],
      })),
    due: dueItems({
      sessions: preparations.sessions.filter((session) => inTerm.has(session.id)),
      today: today(person.settings),
      weekend,
      closed: preparations.closed,
    }),
    mayWrite: person.role !== 'reader',
    soundOrder: person.settings.numbers.soundOrder,
  };
}

/** An activity of the shelf as a term plan counts it. */
function asPlannable(activity: ActivityEntry): PlannableActivity {
  return {
    id: activity.key,
    title: activity.title,
    skills: activity.skills,
    minutes: likelyMinutes(activity).together,
    effort: activity.effort ?? effortOf(activity),
    themes: activity.themes,
    after: activity.after ?? [],
  };
}
