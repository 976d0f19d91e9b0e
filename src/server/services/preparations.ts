import {
  bookPreparations,
  daysBetween,
  type DueItem,
  dueItems,
  keepPreparations,
  type OpenDays,
  type PreparedSession,
} from '../../core/calendar/index.ts';
import { benchPreparations, plannedPreparations } from '../../core/session/index.ts';
import { closedDaysOf, heldSessions, type Term, weekRows } from '../../core/terms/index.ts';
import { today } from '../clock.ts';
import { readSessions, type KeptSession } from '../db/repositories/sessions.ts';
import { readShelf, type Shelf } from '../db/repositories/shelf.ts';
import { readTerms, type KeptTerm } from '../db/repositories/terms.ts';
import type { Person } from './person.ts';
import { readReservations, type Reservation } from '../db/repositories/reservations.ts';
import { readLastSent } from '../db/repositories/sendings.ts';

/** When the catalogue does not say otherwise, a borrowed book is asked for this many open days ahead. */
const USUAL_LEAD_WORKING_DAYS = 7;

export interface Preparations {
  readonly sessions: readonly PreparedSession[];
  readonly closed: readonly string[];
  readonly terms: readonly KeptTerm[];
}

/** Everything counted back from the sessions on the bench and in the terms that have not ended: five queries. */
export async function readPreparations(person: Pick<Person, 'programmeId' | 'settings'>): Promise<Preparations> {
  const { programmeId, settings } = person;
  const day = today(settings);
  const [kept, sent, terms, shelf, reservations] = await Promise.all([
    readSessions(programmeId, day),
    readLastSent(programmeId),
    readTerms(programmeId, day),
    readShelf(programmeId, ['book', 'activity']),
    readReservations(programmeId),
  ]);
  const planned = terms.flatMap(({ term }) => plannedSessions(term, { shelf, reservations, settings }));
  const onBench = new Set(terms.flatMap(({ term }) => benchIds(term)));
  return {
    terms,
    closed: closedDaysIn(settings, terms),
    sessions: [
      ...kept.map((session) => withPlan(session, { sent, planned, settings, isPlanned: onBench.has(session.id) })),
      ...planned.filter(({ benchId }) => benchId === null).map(({ prepared }) => prepared),
    ],
  };
}

function closedDaysIn(settings: Person['settings'], terms: readonly KeptTerm[]): string[] {
  return [...settings.closed, ...terms.flatMap(({ term }) => closedDaysOf(term.days))];
}

/** The days nobody works, for guides as for Today: the programme's and those of its terms. One query. */
export async function readOpenDays({
  programmeId,
  settings,
}: Pick<Person, 'programmeId' | 'settings'>): Promise<OpenDays> {
  return { weekend: settings.weekend, closed: closedDaysIn(settings, await readTerms(programmeId, today(settings))) };
}

/** What is due for a programme; to the end of its terms, or so many days ahead. */
export async function readDue(
  person: Pick<Person, 'programmeId' | 'settings'>,
  daysAhead?: number,
): Promise<{ due: DueItem[]; terms: readonly KeptTerm[] }> {
  const { sessions, closed, terms } = await readPreparations(person);
  return {
    due: dueItems({ sessions, today: today(person.settings), weekend: person.settings.weekend, closed, daysAhead }),
    terms,
  };
}

/** A copy reserved for a day is there for what is held then or soon after. */
const DAYS_A_COPY_STAYS = 14;

function isFor({ neededOn }: Reservation, on: string): boolean {
  const days = daysBetween(neededOn, on);
  return days >= 0 && days <= DAYS_A_COPY_STAYS;
}

interface Planned {
  readonly benchId: string | null;
  readonly prepared: PreparedSession;
  /** What the plan adds to the session on the bench: the book, and what is kept from earlier. */
  readonly ofPlan: PreparedSession['preparations'];
}

interface PlanSources {
  readonly shelf: Shelf;
  readonly reservations: readonly Reservation[];
  readonly settings: Person['settings'];
}

function plannedSessions(term: Term, { shelf, reservations, settings }: PlanSources): Planned[] {
  const activities = new Map(shelf.activities.map((activity) => [activity.key, activity]));
  const held = heldSessions(weekRows(term, settings.weekend).rows);
  return held.map(({ session, on, row, mayMove }, index): Planned => {
    const partsOf = ({ session: other }: (typeof held)[number]) =>
      other.activities.flatMap(({ key }) => activities.get(key) ?? []);
    const book = shelf.books.find(({ key }) => key === session.book);
    const isReserved = reservations.some((reservation) => reservation.bookKey === book?.key && isFor(reservation, on));
    const asKept = ({ key, title, keeps = '', after = [] }: ReturnType<typeof partsOf>[number]) => ({
      key,
      title,
      keeps,
      after,
    });
    const ofPlan = [
      ...(book?.borrowed
        ? bookPreparations(book.title, USUAL_LEAD_WORKING_DAYS).filter(
            ({ task }) => !(isReserved && task.id === 'reserve'),
          )
        : []),
      ...keepPreparations(
        partsOf(held[index]!).map(asKept),
        held.slice(0, index).flatMap((earlier) => partsOf(earlier).map(asKept)),
      ),
    ];
    const title = book?.title ?? (row.week.theme || 'a session');
    const prepared = plannedPreparations(
      { id: session.id, title, on, at: session.time, mayMove },
      partsOf(held[index]!).map(({ key, title: name, ahead }) => ({ id: key, title: name, ahead })),
      settings,
    );
    return {
      benchId: session.benchId,
      ofPlan,
      prepared: { ...prepared, preparations: [...prepared.preparations, ...ofPlan] },
    };
  });
}

function withPlan(
  kept: KeptSession,
  {
    sent,
    planned,
    settings,
    isPlanned,
  }: {
    sent: ReadonlyMap<string, string>;
    planned: readonly Planned[];
    settings: Person['settings'];
    isPlanned: boolean;
  },
): PreparedSession {
  const prepared = benchPreparations({ ...kept, sentAt: sent.get(kept.id) ?? null }, settings);
  const plan = isPlanned ? planned.find(({ benchId }) => benchId === kept.id) : undefined;
  if (!plan) return prepared;
  const isSent = sent.has(kept.id);
  return {
    ...prepared,
    mayMove: plan.prepared.mayMove,
    // A session that has gone out has its book; what homes are to keep is still worth a word.
    preparations: [...prepared.preparations, ...plan.ofPlan.filter(({ what }) => what.kind === 'keep' || !isSent)],
  };
}

function benchIds({ weeks }: Term): string[] {
  return weeks.flatMap(({ sessions }) => sessions.flatMap(({ benchId }) => benchId ?? []));
}
