import type { BookEntry } from '../../contracts/shelfFile.ts';
import { heldSessions, weekRows } from '../../core/terms/index.ts';
import { today } from '../clock.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import { readTerms } from '../db/repositories/terms.ts';
import type { CatalogueCopy } from '../post/catalogue.ts';
import type { Person } from './person.ts';
import { readReservations, type Reservation } from '../db/repositories/reservations.ts';
import { findCopies } from './reservations.ts';

export interface BookPage {
  readonly book: BookEntry;
  /** For a story about nature: a true-to-life book on one of its themes. */
  readonly partner: BookEntry | null;
  /** Those that stand, by the day they are for. */
  readonly reservations: readonly Reservation[];
  readonly copies: readonly CatalogueCopy[];
  /** The next session of a term that reads it; empty when there is none. */
  readonly suggestedDay: string;
}

/** What the page of a book shows beside its text: three queries and the catalogue. Null when it is not on the shelf. */
export async function readBookPage(person: Person, key: string): Promise<BookPage | null> {
  const [{ books }, reservations, terms] = await Promise.all([
    readShelf(person.programmeId, ['book']),
    readReservations(person.programmeId),
    readTerms(person.programmeId, today(person.settings)),
  ]);
  const book = books.find((entry) => entry.key === key);
  if (!book) return null;
  const held = terms.flatMap(({ term }) => heldSessions(weekRows(term, person.settings.weekend).rows));
  return {
    book,
    partner: book.features.includes('nature')
      ? (books.find(
          (other) =>
            other.key !== key &&
            other.features.includes('true-to-life') &&
            other.themes.some((theme) => book.themes.includes(theme)),
        ) ?? null)
      : null,
    reservations: reservations.filter(({ bookKey }) => bookKey === key),
    copies: book.borrowed ? await findCopies(book.title) : [],
    suggestedDay:
      held.find(
        ({ session, on }) =>
          session.book === key &&
          on >= today(person.settings) &&
          !reservations.some(({ bookKey, neededOn }) => bookKey === key && neededOn === on),
      )?.on ?? '',
  };
}
