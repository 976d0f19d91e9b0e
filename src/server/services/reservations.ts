import { reservedCopies } from '../db/repositories/catalogueReserved.ts';
import {
  addReservation,
  endReservation,
  endReservationsBefore,
  findReservedCopy,
  holdReservation,
  readUnheldCopies,
} from '../db/repositories/reservations.ts';
import { log } from '../log.ts';
import { inTransaction } from '../db/transaction.ts';
import { addDays, isCalendarDate, weekdayOf } from '../../core/calendar/index.ts';
import { reserveForm } from '../../contracts/forms.ts';
import { checkForm } from '../../contracts/problems.ts';
import { today } from '../clock.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { catalogueOver, type CatalogueCopy } from '../post/catalogue.ts';
import { requireAuthor, type Person } from './person.ts';

const catalogue = catalogueOver(reservedCopies);

/** What the catalogue has of a book's title, free copies and short waits first. */
export async function findCopies(title: string): Promise<CatalogueCopy[]> {
  const copies = await catalogue.search(title);
  return copies.sort(
    (left, right) =>
      Number(right.isFree) - Number(left.isFree) || (left.leadWorkingDays ?? 999) - (right.leadWorkingDays ?? 999),
  );
}

/** Reserves a copy of a book for a day. The lead time is the catalogue's, or the author's where the catalogue has none. */
export async function reserveBook(person: Person, bookKey: string, fields: Record<string, unknown>): Promise<void> {
  requireAuthor(person);
  const checked = checkForm(reserveForm, fields);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { copy, neededOn, leadWorkingDays } = checked.value;
  const [found, shelf] = await Promise.all([catalogue.find(copy), readShelf(person.programmeId, ['book'])]);
  const book = shelf.books.find(({ key }) => key === bookKey);
  if (!found || !book) throw new EdgeError('not-found');
  const lead = leadWorkingDays ?? found.leadWorkingDays;
  if (lead === null) throw withoutLead();
  // The new copy first: whatever fails then, the one there was still stands.
  const former = await findReservedCopy(person.programmeId, { bookKey, neededOn });
  const isOther = former !== copy;
  if (isOther && (!found.isFree || !(await catalogue.reserve(copy)))) throw notFree();
  const reservation = {
    bookKey,
    title: book.title,
    copy,
    leadWorkingDays: lead,
    neededOn,
    reservedOn: today(person.settings),
    arrivesOn: addOpenDays(today(person.settings), lead, person),
  };
  try {
    const replaced = await inTransaction(async (transaction) => {
      const held = await holdReservation(person.programmeId, { bookKey, neededOn }, transaction);
      if (held) await endReservation(held.id, transaction);
      if (!(await addReservation(person.programmeId, reservation, transaction))) throw notFree();
      return held;
    });
    if (replaced && replaced.copy !== copy) await giveBack(replaced.copy);
  } catch (error) {
    if (isOther) await giveBack(copy);
    throw error;
  }
}

/** Gives a copy back to the catalogue; one that it does not take now is tried again by `endPastReservations`. */
async function giveBack(copy: string): Promise<void> {
  await catalogue.release(copy).catch((error: unknown) => log.warn({ err: error, copy }, 'a copy was not given back'));
}

function notFree(): EdgeError {
  return new EdgeError('wrong-input', {
    problems: [{ path: 'copy', message: 'is not free any more; choose another copy' }],
  });
}

/** A session may slip by some days before its book goes back. */
const DAYS_AFTER_ITS_DAY = 7;

/** Ends reservations whose day is long past, and gives back every copy that no reservation holds. Gives how many ended. */
export async function endPastReservations(): Promise<number> {
  const ended = await endReservationsBefore(addDays(today(), -DAYS_AFTER_ITS_DAY));
  for (const copy of await readUnheldCopies()) await giveBack(copy);
  return ended;
}

function withoutLead(): EdgeError {
  return new EdgeError('wrong-input', {
    problems: [
      {
        path: 'lead time',
        message: 'is not known to the catalogue for this copy; ask the branch and write how many open days it takes',
      },
    ],
  });
}

/** Lets the reservation of a book for a day go. */
export async function cancelReservation(person: Person, bookKey: string, neededOn: string): Promise<void> {
  requireAuthor(person);
  if (!isCalendarDate(neededOn)) throw new EdgeError('not-found');
  await inTransaction(async (transaction) => {
    const row = await holdReservation(person.programmeId, { bookKey, neededOn }, transaction);
    if (!row) throw new EdgeError('not-found');
    await endReservation(row.id, transaction);
    await catalogue.release(row.copy);
  });
}

/** The day so many open days from a day, over weekends and closures. */
function addOpenDays(from: string, openDays: number, { settings }: Person): string {
  let day = from;
  for (let left = openDays; left > 0;) {
    day = addDays(day, 1);
    if (!settings.weekend.includes(weekdayOf(day)) && !settings.closed.includes(day)) left -= 1;
  }
  return day;
}
