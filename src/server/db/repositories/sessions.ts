import { randomUUID } from 'node:crypto';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import type { Surroundings } from '../../../core/checks/index.ts';
import { notesOfTune } from '../../../core/songs/index.ts';
import { changesBetween, readScript, type Session, writeScript } from '../../../core/session/index.ts';
import { now } from '../../clock.ts';
import { isUuid } from '../isUuid.ts';
import { GuideLinkRow, SessionRow, UserRow } from '../models.ts';
import { tables } from '../tables.ts';
import { inTransaction } from '../transaction.ts';
import { addEdit } from './sessionEdits.ts';

/** A session with the revision it is at and when it was kept. */
export interface KeptSession {
  readonly id: string;
  readonly revision: number;
  readonly keptAt: string;
  readonly session: Session;
}

/** A programme's sessions by day; from a day on when one is given. */
export async function readSessions(programmeId: string, from?: string): Promise<KeptSession[]> {
  tables();
  const rows = await SessionRow.findAll({
    where: { programmeId, deletedAt: null, ...(from && { heldOn: { [Op.gte]: from } }) },
    order: [
      ['heldOn', 'ASC'],
      ['title', 'ASC'],
    ],
  });
  return rows.map(toKeptSession);
}

/** One session of a programme; null when it is not there or not the programme's. */
export async function readSession(
  programmeId: string,
  id: string,
  lock?: Transaction,
  { withDeleted = false } = {},
): Promise<KeptSession | null> {
  tables();
  if (!isUuid(id)) return null;
  const row = await SessionRow.findOne({
    where: { id, programmeId, ...(!withDeleted && { deletedAt: null }) },
    ...(lock && { transaction: lock, lock: lock.LOCK.UPDATE }),
  });
  return row ? toKeptSession(row) : null;
}

/** What lies around a session: which activities were played when shortly before it, and the tunes of its songs. One query. */
export async function readAround(
  programmeId: string,
  { on, segments }: Session,
  days: number,
): Promise<Pick<Surroundings, 'lately' | 'tunes'>> {
  const songs = segments.flatMap(({ kind, from }) => (kind === 'song' && from ? [from] : []));
  const rows = await tables().query<{
    of: 'activity' | 'song';
    key: string;
    last: string | null;
    body: SongTune | null;
  }>(
    `SELECT 'activity' AS of, coalesce(part ->> 'from', part ->> 'title') AS key, max(held_on)::text AS last, NULL::jsonb AS body
       FROM sessions, jsonb_array_elements(script -> 'segments') AS part
      WHERE programme_id = :programmeId AND deleted_at IS NULL
        AND held_on < :on AND held_on >= :on::date - :days::int AND part ->> 'kind' = 'activity'
      GROUP BY 2
     UNION ALL
     SELECT 'song', key, NULL, jsonb_build_object('tune', body -> 'tune', 'melody', body -> 'melody')
       FROM shelf_items WHERE programme_id = :programmeId AND kind = 'song' AND key = ANY (ARRAY[:songs]::text[])`,
    { type: QueryTypes.SELECT, replacements: { programmeId, on, days, songs: songs.length > 0 ? songs : [''] } },
  );
  const of = <Value>(kind: 'activity' | 'song', value: (row: (typeof rows)[number]) => Value) =>
    Object.fromEntries(rows.filter((row) => row.of === kind).map((row) => [row.key, value(row)]));
  return {
    lately: of('activity', ({ last }) => last!),
    tunes: of('song', ({ body }) => notesOfTune({ tune: body!.tune, melody: body!.melody ?? undefined })),
  };
}

interface SongTune {
  readonly tune: string;
  readonly melody: readonly string[] | null;
}

/** How many homes said of a session's guide that they have no book at hand; revoked links do not count. One query. */
export async function countWithoutBook(programmeId: string, sessionId: string): Promise<number> {
  tables();
  if (!isUuid(sessionId)) return 0;
  return GuideLinkRow.count({
    where: { programmeId, sessionId, revokedAt: null, withoutBookAt: { [Op.ne]: null } },
  });
}

/** Adds a session; gives its id. */
export async function addSession(
  programmeId: string,
  session: Session,
  userId: string | null,
  transaction?: Transaction,
): Promise<string> {
  tables();
  const id = randomUUID();
  await SessionRow.create(
    { id, programmeId, revision: 1, ...toColumns(session), keptAt: now(), keptBy: userId },
    { transaction },
  );
  return id;
}

/**
 * Keeps a session if nobody kept another since `revision`, and writes down what that changed; null when somebody did, or it
 * is gone.
 */
export async function replaceSession(
  programmeId: string,
  {
    id,
    revision,
    session,
    key,
  }: Pick<KeptSession, 'id' | 'revision' | 'session'> & { readonly key?: string | undefined },
  userId: string,
): Promise<{ revision: number; keptAt: string } | null> {
  if (!isUuid(id)) return null;
  const keptAt = now();
  return inTransaction(async (transaction) => {
    const former = await readSession(programmeId, id, transaction);
    if (former?.revision !== revision) return null;
    await SessionRow.update(
      { ...toColumns(session), revision: revision + 1, keptAt, keptBy: userId },
      { where: { id, programmeId }, transaction },
    );
    await addEdit(
      {
        sessionId: id,
        number: revision + 1,
        userId,
        keptAt,
        key,
        changes: changesBetween(former.session, session),
        back: changesBetween(session, former.session),
      },
      transaction,
    );
    return { revision: revision + 1, keptAt: keptAt.toISOString() };
  });
}

/** Tells every process about the windows of a session; false when the programme has none of that id. One query. */
export async function tellWindows(programmeId: string, id: string, told: object): Promise<boolean> {
  if (!isUuid(id)) return false;
  const rows = await tables().query(
    `SELECT pg_notify('session_here', :words) FROM sessions
      WHERE id = :id AND programme_id = :programmeId AND deleted_at IS NULL`,
    { replacements: { words: JSON.stringify(told), id, programmeId }, type: QueryTypes.SELECT },
  );
  return rows.length === 1;
}

/** The name of whoever kept a session last; empty when that person is gone. */
export async function lastKeptBy(id: string): Promise<string> {
  tables();
  const row = await SessionRow.findByPk(id, { attributes: ['keptBy'] });
  const user = row?.keptBy ? await UserRow.findByPk(row.keptBy, { attributes: ['name'] }) : null;
  return user?.name ?? '';
}

/** The id of the session that was kept last; undefined when there is none. One query. */
export async function findNewestSession(programmeId: string): Promise<string | undefined> {
  tables();
  const row = await SessionRow.findOne({
    where: { programmeId, deletedAt: null },
    attributes: ['id'],
    order: [['keptAt', 'DESC']],
  });
  return row?.id;
}

/** Deletes a session or brings it back; false when there is none of that id. */
export async function markDeleted(programmeId: string, id: string, isDeleted: boolean): Promise<boolean> {
  tables();
  if (!isUuid(id)) return false;
  const [changed] = await SessionRow.update({ deletedAt: isDeleted ? now() : null }, { where: { id, programmeId } });
  return changed === 1;
}

/** Sessions that were deleted and may come back, the last first. */
export async function readDeletedSessions(programmeId: string): Promise<{ id: string; title: string; on: string }[]> {
  tables();
  const rows = await SessionRow.findAll({
    where: { programmeId, deletedAt: { [Op.ne]: null } },
    order: [['deletedAt', 'DESC']],
    limit: 50,
  });
  return rows.map(({ id, title, heldOn }) => ({ id, title, on: heldOn }));
}

function toColumns(session: Session) {
  return {
    title: session.title,
    heldOn: session.on,
    heldAt: session.at ?? null,
    ageFromMonths: session.ages.fromMonths,
    ageToMonths: session.ages.toMonths,
    aim: session.aim,
    script: writeScript(session),
  };
}

function toKeptSession(row: SessionRow): KeptSession {
  return {
    id: row.id,
    revision: row.revision,
    keptAt: row.keptAt.toISOString(),
    session: {
      title: row.title,
      on: row.heldOn,
      at: row.heldAt ?? undefined,
      ages: { fromMonths: row.ageFromMonths, toMonths: row.ageToMonths },
      aim: row.aim,
      ...readScript(row.script),
    },
  };
}

/**
 * Sessions that take another day or time: they count as changed, so that one that has been sent asks to be sent again.
 * One query, however many.
 */
export async function moveSessions(
  programmeId: string,
  places: readonly { readonly id: string; readonly on: string; readonly at: string }[],
  { userId, transaction }: { userId: string; transaction: Transaction },
): Promise<void> {
  await tables().query(
    `UPDATE sessions SET held_on = place.held_on, held_at = place.held_at, revision = revision + 1, kept_at = :keptAt, kept_by = :userId
       FROM jsonb_to_recordset(CAST(:places AS jsonb)) AS place(id uuid, held_on date, held_at text)
      WHERE sessions.id = place.id AND sessions.programme_id = :programmeId
        AND (sessions.held_on, coalesce(sessions.held_at, '')) IS DISTINCT FROM (place.held_on, place.held_at)`,
    {
      replacements: {
        places: JSON.stringify(places.map(({ id, on, at }) => ({ id, held_on: on, held_at: at }))),
        programmeId,
        userId,
        keptAt: now(),
      },
      type: QueryTypes.UPDATE,
      transaction,
    },
  );
}
