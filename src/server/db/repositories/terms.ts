import { randomUUID } from 'node:crypto';
import { Op, Sequelize, type Transaction } from 'sequelize';
import { readTermBody, type Term, writeTermBody } from '../../../core/terms/index.ts';
import { now } from '../../clock.ts';
import { TermRow } from '../models.ts';
import { tables } from '../tables.ts';
import { isUuid } from '../isUuid.ts';

/** A term with the revision it is at. */
export interface KeptTerm {
  readonly id: string;
  readonly revision: number;
  readonly keptAt: string;
  readonly term: Term;
}

/** A term as it stands, and the sessions of its programme that were deleted, in the same query. */
const WITH_DELETED: { include: [ReturnType<typeof Sequelize.literal>, string][] } = {
  include: [
    [
      Sequelize.literal(
        '(SELECT coalesce(array_agg(sessions.id::text), ARRAY[]::text[]) FROM sessions WHERE sessions.programme_id = "terms"."programme_id" AND sessions.deleted_at IS NOT NULL)',
      ),
      'deletedSessions',
    ],
  ],
};

/** A programme's terms, the latest first; those that end on or after a day when one is given. */
export async function readTerms(programmeId: string, endingFrom?: string): Promise<KeptTerm[]> {
  tables();
  const rows = await TermRow.findAll({
    attributes: WITH_DELETED,
    where: { programmeId, ...(endingFrom && { endsOn: { [Op.gte]: endingFrom } }) },
    order: [['startsOn', 'DESC']],
  });
  return rows.map(toKeptTerm);
}

/** One term of a programme; null when it is not there or not the programme's. */
export async function readTerm(programmeId: string, id: string, lock?: Transaction): Promise<KeptTerm | null> {
  tables();
  if (!isUuid(id)) return null;
  const row = await TermRow.findOne({
    attributes: WITH_DELETED,
    where: { id, programmeId },
    ...(lock && { transaction: lock, lock: lock.LOCK.UPDATE }),
  });
  return row ? toKeptTerm(row) : null;
}

/** Adds a term; gives its id. */
export async function addTerm(programmeId: string, term: Term, userId: string | null): Promise<string> {
  tables();
  const id = randomUUID();
  await TermRow.create({ id, programmeId, revision: 1, ...toColumns(term), keptAt: now(), keptBy: userId });
  return id;
}

/** Keeps a term if nobody kept another since `revision`; null when somebody did, or it is gone. */
export async function replaceTerm(
  programmeId: string,
  { id, revision, term }: Pick<KeptTerm, 'id' | 'revision' | 'term'>,
  { userId, transaction }: { userId: string; transaction: Transaction },
): Promise<{ revision: number; keptAt: string } | null> {
  tables();
  if (!isUuid(id)) return null;
  const keptAt = now();
  const whole = await withDeletedSessions(programmeId, { id, term }, transaction);
  const [changed] = await TermRow.update(
    { ...toColumns(whole), revision: revision + 1, keptAt, keptBy: userId },
    { where: { id, programmeId, revision }, transaction },
  );
  return changed === 1 ? { revision: revision + 1, keptAt: keptAt.toISOString() } : null;
}

/**
 * A term as it is kept: a session that was deleted keeps its place, though whoever saves the term does not see it there, so
 * that one that is brought back is where it was. A place that got another session meanwhile has that.
 */
async function withDeletedSessions(
  programmeId: string,
  { id, term }: { id: string; term: Term },
  transaction: Transaction,
): Promise<Term> {
  const row = await TermRow.findOne({ attributes: WITH_DELETED, where: { id, programmeId }, transaction });
  if (!row) return term;
  const deleted = deletedIn(row);
  const kept = new Map(
    readTermBody(row.body).weeks.flatMap((week) =>
      week.sessions.flatMap(({ id: slot, benchId }) => (benchId && deleted.has(benchId) ? [[slot, benchId]] : [])),
    ),
  );
  const weeks = term.weeks.map((week) => ({
    ...week,
    sessions: week.sessions.map((session) => ({
      ...session,
      benchId: session.benchId ?? kept.get(session.id) ?? null,
    })),
  }));
  return { ...term, weeks };
}

function toColumns({ title, startsOn, endsOn, ...body }: Term) {
  return { title, startsOn, endsOn, body: writeTermBody(body) };
}

/** The sessions of its programme that were deleted, as `WITH_DELETED` reads them. */
function deletedIn(row: TermRow): ReadonlySet<string> {
  return new Set((row.get('deletedSessions') as readonly string[] | undefined) ?? []);
}

/** A session that was deleted is not on the bench any more, so its week asks for it anew; brought back, it is there again. */
function toKeptTerm(row: TermRow): KeptTerm {
  const { id, revision, keptAt, title, startsOn, endsOn } = row;
  const body = readTermBody(row.body);
  const deleted = deletedIn(row);
  const weeks = body.weeks.map((week) => ({
    ...week,
    sessions: week.sessions.map((session) =>
      session.benchId && deleted.has(session.benchId) ? { ...session, benchId: null } : session,
    ),
  }));
  return { id, revision, keptAt: keptAt.toISOString(), term: { title, startsOn, endsOn, ...body, weeks } };
}
