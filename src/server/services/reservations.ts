import { addReservation, endReservation, holdReservation } from '../db/repositories/reservations.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { addDays, isCalendarDate, weekdayOf } from '../../core/calendar/index.ts';
import { reserveForm } from '../../contracts/forms.ts';
import { checkForm } from '../../contracts/problems.ts';
import { today } from '../clock.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { catalogue, type CatalogueCopy } from '../post/catalogue.ts';
import { requireAuthor, type Person } from './person.ts';

/** What the catalogue has of a book's title, free copies and short waits first. */
export async function findCopies(title: string): Promise<CatalogueCopy[]> {
  const copies = await catalogue().search(title);
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
  const [found, shelf] = await Promise.all([catalogue().find(copy), readShelf(person.programmeId, ['book'])]);
  const book = shelf.books.find(({ key }) => key === bookKey);
  if (!found || !book) throw new EdgeError('not-found');
  const lead = leadWorkingDays ?? found.leadWorkingDays;
  if (lead === null) throw withoutLead();
  // Ours and the catalogue's change together: if either refuses, both stay as they were.
  await inTransaction(async (transaction) => {
    const former = await holdReservation(person.programmeId, { bookKey, neededOn }, transaction);
    if (former) await letGo(former, transaction);
    if (!found.isFree || !(await catalogue().reserve(copy))) throw notFree();
    const isOurs = await addReservation(
      person.programmeId,
      {
        bookKey,
        title: book.title,
        copy,
        leadWorkingDays: lead,
        neededOn,
        reservedOn: today(),
        arrivesOn: addOpenDays(today(), lead, person),
      },
      transaction,
    ).catch(async (error: unknown) => {
      await catalogue().release(copy);
      throw error;
    });
    if (isOurs) return;
    await catalogue().release(copy);
    throw notFree();
  });
}

function notFree(): EdgeError {
  return new EdgeError('wrong-input', {
    problems: [{ path: 'copy', message: 'is not free any more; choose another copy' }],
  });
}

/** Ends a reservation and gives its copy back to the catalogue; if that fails, it stands as it was. */
async function letGo(row: { id: string; copy: string }, transaction: Transaction): Promise<void> {
  await endReservation(row.id, transaction);
  await catalogue().release(row.copy);
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
    await letGo(row, transaction);
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
