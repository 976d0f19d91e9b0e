import { QueryTypes } from 'sequelize';
import type { GuideLanguage } from '../../../core/languages.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';

/** A home as far as it is told what is kept of it. */
export interface HomeOfLink {
  readonly homeId: string;
  readonly nickname: string;
  readonly contact: string;
  readonly language: GuideLanguage;
  readonly programmeId: string;
  readonly programme: string;
  /** Its guides and answers are kept so many months after their term. */
  readonly keepMonths: number;
}

const OF_HOME = `homes.id AS "homeId", homes.nickname, homes.contact, homes.language, programmes.id AS "programmeId",
  programmes.name AS programme, coalesce((programmes.settings ->> 'keepMonths')::int, 12) AS "keepMonths"`;

/** The home of a link that still opens; null otherwise. One query. */
export async function readHomeOfLink(tokenHash: string): Promise<HomeOfLink | null> {
  const [row] = await tables().query<HomeOfLink>(
    `SELECT ${OF_HOME} FROM guide_links JOIN homes ON homes.id = guide_links.home_id JOIN programmes ON programmes.id = homes.programme_id
      WHERE token_hash = :tokenHash AND revoked_at IS NULL`,
    { replacements: { tokenHash }, type: QueryTypes.SELECT },
  );
  return row ?? null;
}

/** The home that a link to delete it is for. One query. */
export async function readHomeToForget(linkId: string): Promise<HomeOfLink | null> {
  const [row] = await tables().query<HomeOfLink>(
    `SELECT ${OF_HOME} FROM person_links JOIN homes ON homes.id = person_links.home_id JOIN programmes ON programmes.id = homes.programme_id
      WHERE person_links.id = :linkId`,
    { replacements: { linkId }, type: QueryTypes.SELECT },
  );
  return row ?? null;
}

/**
 * Deletes a home with all that hangs on it: children, things, links, every edition of its guides, answers, words, letters.
 * Gives the letters that the mail stand-in may still hold, and what of the printer names it; null when it is not this
 * programme's. Four queries.
 */
export async function removeHome(
  programmeId: string,
  id: string,
  transaction: Transaction,
): Promise<{ letters: string[]; prints: string[] } | null> {
  if (!isUuid(id)) return null;
  const asked = { replacements: { programmeId, id }, transaction };
  const [left] = await tables().query<{ letters: string[]; prints: string[] }>(
    `SELECT (SELECT coalesce(array_agg(mail_id), '{}') FROM messages
              WHERE mail_id IS NOT NULL AND (link_id IN (SELECT id FROM guide_links WHERE home_id = :id)
                    OR person_link_id IN (SELECT id FROM person_links WHERE home_id = :id))) AS letters,
            (SELECT coalesce(array_agg(id::text), '{}') FROM print_jobs
              WHERE programme_id = :programmeId AND (choice ->> 'home' = CAST(:id AS text) OR choice ->> 'for' = 'all')
                AND removed_at IS NULL) AS prints`,
    { ...asked, type: QueryTypes.SELECT },
  );
  const [, removed] = (await tables().query(
    'DELETE FROM homes WHERE id = :id AND programme_id = :programmeId',
    asked,
  )) as [unknown, { rowCount: number }];
  if (removed.rowCount === 0) return null;
  await tables().query(
    `UPDATE print_jobs SET removed_at = now() WHERE id = ANY(CAST(ARRAY[:prints] AS uuid[])) AND programme_id = :programmeId`,
    { replacements: { programmeId, prints: left!.prints.length > 0 ? left!.prints : [NOBODY] }, transaction },
  );
  return left!;
}

const NOBODY = '00000000-0000-0000-0000-000000000000';

/**
 * Deletes what homes were sent and answered of sessions whose time is over: guides, answers, links and letters of up to so many
 * sessions, once the months of their programme have passed since the end of their term, or since their day where they are in
 * none, or since it was last sent where that was later. Gives the letters that the mail stand-in may still hold, and for how many sessions. Two queries.
 */
export async function removeWhatIsOver(
  today: string,
  mostSessions: number,
  transaction: Transaction,
): Promise<{ sessions: number; letters: string[] }> {
  const over = await tables().query<{ id: string; letters: string[] }>(
    `SELECT sessions.id,
            (SELECT coalesce(array_agg(mail_id) FILTER (WHERE mail_id IS NOT NULL), '{}') FROM messages
              WHERE link_id IN (SELECT id FROM guide_links WHERE session_id = sessions.id)) AS letters
       FROM sessions JOIN programmes ON programmes.id = sessions.programme_id
      WHERE EXISTS (SELECT 1 FROM guide_links WHERE session_id = sessions.id)
        AND greatest(coalesce((SELECT max(ends_on) FROM terms WHERE terms.programme_id = sessions.programme_id
                                 AND sessions.held_on BETWEEN starts_on AND ends_on), sessions.held_on),
                     (SELECT max(sent_at) FROM sendings WHERE session_id = sessions.id)::date)
            + make_interval(months => coalesce((programmes.settings ->> 'keepMonths')::int, 12)) < CAST(:today AS date)
      ORDER BY sessions.held_on LIMIT :mostSessions`,
    { replacements: { today, mostSessions }, type: QueryTypes.SELECT, transaction },
  );
  if (over.length > 0)
    await tables().query('DELETE FROM guide_links WHERE session_id IN (:ids)', {
      replacements: { ids: over.map(({ id }) => id) },
      transaction,
    });
  return { sessions: over.length, letters: over.flatMap(({ letters }) => letters) };
}
