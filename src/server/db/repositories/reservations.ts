import { randomUUID } from 'node:crypto';
import { Op, UniqueConstraintError } from 'sequelize';
import { now } from '../../clock.ts';
import { ReservationRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';

/** A copy of a book that is asked for, for a day. */
export interface Reservation {
  readonly id: string;
  readonly bookKey: string;
  readonly title: string;
  readonly leadWorkingDays: number;
  readonly reservedOn: string;
  readonly arrivesOn: string;
  readonly neededOn: string;
}

/** A programme's reservations that stand, by the day they are for. One query. */
export async function readReservations(programmeId: string): Promise<Reservation[]> {
  tables();
  const rows = await ReservationRow.findAll({
    where: { programmeId, cancelledAt: null },
    order: [['neededOn', 'ASC']],
  });
  return rows.map(({ id, bookKey, title, leadWorkingDays, reservedOn, arrivesOn, neededOn }) => ({
    id,
    bookKey,
    title,
    leadWorkingDays,
    reservedOn,
    arrivesOn,
    neededOn,
  }));
}

/** The copy that is reserved of a book for a day, held; null when none is. One query. */
export async function holdReservation(
  programmeId: string,
  { bookKey, neededOn }: { bookKey: string; neededOn: string },
  transaction: Transaction,
): Promise<{ id: string; copy: string } | null> {
  const row = await ReservationRow.findOne({
    where: { programmeId, bookKey, neededOn, cancelledAt: null },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  return row && { id: row.id, copy: row.copy };
}

/** The copy that is reserved of a book for a day; null when none is. One query. */
export async function findReservedCopy(
  programmeId: string,
  { bookKey, neededOn }: { bookKey: string; neededOn: string },
): Promise<string | null> {
  tables();
  const row = await ReservationRow.findOne({ where: { programmeId, bookKey, neededOn, cancelledAt: null } });
  return row?.copy ?? null;
}

/** Ends the reservations for days before one, of every programme. Gives how many. One query. */
export async function endReservationsBefore(day: string): Promise<number> {
  tables();
  const [ended] = await ReservationRow.update(
    { cancelledAt: now() },
    { where: { cancelledAt: null, neededOn: { [Op.lt]: day } } },
  );
  return ended;
}

/** Copies that the catalogue stand-in has given away for a while and that no reservation holds. One query. */
export async function readUnheldCopies(): Promise<string[]> {
  const [rows] = await tables().query(
    `SELECT copy FROM catalogue_reserved WHERE reserved_at < now() - interval '1 hour'
       AND copy NOT IN (SELECT copy FROM reservations WHERE cancelled_at IS NULL)`,
  );
  return (rows as { copy: string }[]).map(({ copy }) => copy);
}

/** Ends a reservation. */
export async function endReservation(id: string, transaction: Transaction): Promise<void> {
  await ReservationRow.update({ cancelledAt: now() }, { where: { id }, transaction });
}

/** Adds a reservation; false when its copy was taken meanwhile. */
export async function addReservation(
  programmeId: string,
  reservation: Omit<Reservation, 'id'> & { readonly copy: string },
  transaction: Transaction,
): Promise<boolean> {
  try {
    await ReservationRow.create({ id: randomUUID(), programmeId, ...reservation }, { transaction });
    return true;
  } catch (error) {
    if (error instanceof UniqueConstraintError) return false;
    throw error;
  }
}
