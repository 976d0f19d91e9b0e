import { QueryTypes } from 'sequelize';
import type { Audience } from '../../../contracts/audience.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';

/** A group of homes, by its name. */
export interface HomeGroup {
  readonly id: string;
  readonly name: string;
}

/** The groups of homes of a programme, by name. One query. */
export function readHomeGroups(programmeId: string): Promise<HomeGroup[]> {
  return tables().query<HomeGroup>('SELECT id, name FROM home_groups WHERE programme_id = :programmeId ORDER BY name', {
    replacements: { programmeId },
    type: QueryTypes.SELECT,
  });
}

/** Whom a choice that is none takes in. */
const TAKES_NOBODY = 'false';

/** Whom each choice takes in, before anybody is named one by one. */
const TAKES_IN: Readonly<Record<string, string>> = {
  all: 'true',
  none: TAKES_NOBODY,
  missing: `NOT EXISTS (SELECT 1 FROM guide_links JOIN guide_copies ON guide_copies.link_id = guide_links.id
             WHERE guide_links.session_id = :sessionId AND guide_links.home_id = homes.id AND guide_links.revoked_at IS NULL)`,
  // Of those who have answered nobody asks again.
  unanswered: `NOT EXISTS (SELECT 1 FROM guide_links JOIN replies ON replies.link_id = guide_links.id
             WHERE guide_links.session_id = :sessionId AND guide_links.home_id = homes.id AND guide_links.revoked_at IS NULL)`,
};
const IN_GROUP =
  'homes.id IN (SELECT home_id FROM home_group_members WHERE group_id = :to AND programme_id = :programmeId)';

/**
 * The homes of a programme that an audience of a session is, by nickname; homes that were taken out are never among them, nor
 * those of anybody else. One query: what is shown, counted and sent goes by it.
 */
export async function readAudience(
  programmeId: string,
  { sessionId, audience }: { sessionId: string; audience: Audience },
  transaction?: Transaction,
): Promise<string[]> {
  const { to, except, also } = audience;
  if (!isUuid(sessionId)) return [];
  // Own entries only: `to` comes from a form.
  const takesIn = Object.hasOwn(TAKES_IN, to) ? TAKES_IN[to] : isUuid(to) ? IN_GROUP : TAKES_NOBODY;
  const rows = await tables().query<{ id: string }>(
    `SELECT id FROM homes
      WHERE programme_id = :programmeId AND taken_out_at IS NULL
        AND ((${takesIn}) AND NOT id = ANY(CAST(ARRAY[:except] AS uuid[])) OR id = ANY(CAST(ARRAY[:also] AS uuid[])))
      ORDER BY nickname`,
    {
      // No list is empty, which could not be written; what names no home is left out.
      replacements: { programmeId, sessionId, to, except: orNobody(except), also: orNobody(also) },
      type: QueryTypes.SELECT,
      ...(transaction && { transaction }),
    },
  );
  return rows.map(({ id }) => id);
}

const NOBODY = '00000000-0000-0000-0000-000000000000';
const orNobody = (ids: readonly string[]) => [NOBODY, ...ids.filter(isUuid)];
