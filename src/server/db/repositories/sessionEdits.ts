import { QueryTypes, type Transaction } from 'sequelize';
import type { Change } from '../../../core/session/index.ts';
import { tables } from '../tables.ts';
import { isUuid } from '../isUuid.ts';

/** What was kept at once: its number is the revision that it made. */
export interface KeptEdit {
  readonly number: number;
  readonly keptBy: string;
  readonly keptAt: string;
  /** What somebody named the session as it was then; empty: nothing. */
  readonly name: string;
  readonly changes: readonly Change[];
}

/** So many keepings of a session can be gone back to; older ones are forgotten. */
const MOST_EDITS = 5000;
const FORGOTTEN_AT_ONCE = 200;

interface NewEdit {
  readonly sessionId: string;
  readonly number: number;
  readonly userId: string;
  readonly keptAt: Date;
  /** What the window named it; absent: it was kept from no window. */
  readonly key?: string | undefined;
  readonly changes: readonly Change[];
  readonly back: readonly Change[];
}

/** Writes down what was kept, within the transaction that keeps it. */
export async function addEdit(edit: NewEdit, transaction: Transaction): Promise<void> {
  const { changes, back, key = null, ...fields } = edit;
  await tables().query(
    `INSERT INTO session_edits (session_id, number, kept_by, kept_at, key, changes, back)
     VALUES (:sessionId, :number, :userId, :keptAt, :key, :changes, :back)`,
    {
      replacements: { ...fields, key, changes: JSON.stringify(changes), back: JSON.stringify(back) },
      transaction,
    },
  );
  const { sessionId, number } = fields;
  if (number % FORGOTTEN_AT_ONCE !== 0) return;
  await tables().query('DELETE FROM session_edits WHERE session_id = :sessionId AND number <= :upTo', {
    replacements: { sessionId, upTo: number - MOST_EDITS },
    transaction,
  });
}

/** The revision that a keeping of this name made; null where it never arrived. One query. */
export async function revisionOfEdit(sessionId: string, key: string): Promise<number | null> {
  if (!isUuid(sessionId)) return null;
  const [row] = await tables().query<{ number: number }>(
    'SELECT number FROM session_edits WHERE session_id = :sessionId AND key = :key',
    { replacements: { sessionId, key }, type: QueryTypes.SELECT },
  );
  return row?.number ?? null;
}

/** What was done to a session of a programme, the newest first, so many at most. One query. */
export async function readEdits(programmeId: string, sessionId: string, most: number): Promise<KeptEdit[]> {
  if (!isUuid(sessionId)) return [];
  const rows = await tables().query<{
    number: number;
    by: string | null;
    kept_at: Date;
    name: string | null;
    changes: Change[];
  }>(
    `SELECT session_edits.number, users.name AS by, session_edits.kept_at, session_edits.name, session_edits.changes
       FROM session_edits JOIN sessions ON sessions.id = session_id LEFT JOIN users ON users.id = session_edits.kept_by
      WHERE session_id = :sessionId AND programme_id = :programmeId ORDER BY number DESC LIMIT :most`,
    { replacements: { sessionId, programmeId, most }, type: QueryTypes.SELECT },
  );
  return rows.map(({ number, by, kept_at: keptAt, name, changes }) => ({
    number,
    keptBy: by ?? '',
    name: name ?? '',
    keptAt: keptAt.toISOString(),
    changes,
  }));
}

/** Names a session as its newest edit left it, or takes the name away; false where nothing was changed yet. One query. */
export async function nameNewest(programmeId: string, sessionId: string, name: string | null): Promise<boolean> {
  if (!isUuid(sessionId)) return false;
  const rows = await tables().query(
    `UPDATE session_edits SET name = :name FROM sessions
      WHERE sessions.id = session_id AND programme_id = :programmeId AND session_id = :sessionId AND number = revision
      RETURNING number`,
    { replacements: { name, programmeId, sessionId }, type: QueryTypes.SELECT },
  );
  return rows.length === 1;
}

/** What takes a session back to before an edit: the changes of each keeping since, the newest first. One query. */
export async function readWayBack(programmeId: string, sessionId: string, number: number): Promise<Change[][]> {
  if (!isUuid(sessionId)) return [];
  const rows = await tables().query<{ back: Change[] }>(
    `SELECT back FROM session_edits JOIN sessions ON sessions.id = session_id
      WHERE session_id = :sessionId AND programme_id = :programmeId AND number >= :number ORDER BY number DESC`,
    { replacements: { sessionId, programmeId, number }, type: QueryTypes.SELECT },
  );
  return rows.map(({ back }) => back);
}
