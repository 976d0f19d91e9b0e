import { QueryTypes } from 'sequelize';
import type { Guide } from '../../../core/guide/index.ts';
import type { Versioned } from '../../../core/contentVersion.ts';
import { readWholeSession, type Session } from '../../../core/session/index.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';

/** A link with what its newest guide was written from. */
export interface HeldGuide {
  readonly linkId: string;
  readonly homeId: string;
  readonly programmeId: string;
  readonly programme: string;
  readonly settings: object;
  readonly sessionId: string;
  readonly sendingId: string;
  readonly edition: number;
  readonly session: Session;
  /** As it was stored. */
  readonly guide: Guide & Versioned;
  readonly isWithoutBook: boolean;
  /** What the home said it has not got, by key. */
  readonly lacks: readonly string[];
}

/** The newest guide behind a link that opens, held while there is a transaction; null when it does not open. One query. */
export async function holdGuide(tokenHash: string, transaction?: Transaction): Promise<HeldGuide | null> {
  const [row] = await tables().query<HeldGuide>(
    `SELECT guide_links.id AS "linkId", guide_links.home_id AS "homeId", programmes.id AS "programmeId",
            programmes.name AS programme, programmes.settings, guide_links.session_id AS "sessionId",
            copy.sending_id AS "sendingId", copy.edition, copy.guide, sendings.session,
            guide_links.without_book_at IS NOT NULL AS "isWithoutBook",
            ARRAY(SELECT item FROM guide_lacks WHERE link_id = guide_links.id ORDER BY said_at, item) AS lacks
       FROM guide_links
       JOIN programmes ON programmes.id = guide_links.programme_id
       JOIN LATERAL (SELECT * FROM guide_copies WHERE link_id = guide_links.id ORDER BY edition DESC LIMIT 1) copy ON true
       JOIN sendings ON sendings.id = copy.sending_id
      WHERE guide_links.token_hash = :tokenHash AND guide_links.revoked_at IS NULL
      ${transaction ? 'FOR UPDATE OF guide_links' : ''}`,
    { replacements: { tokenHash }, type: QueryTypes.SELECT, ...(transaction && { transaction }) },
  );
  return row ? { ...row, session: readWholeSession(row.session) } : null;
}

/** Writes down that a home has not got a thing: for its guide, and among what is known of the home. Three queries. */
export async function addLack(
  { linkId, homeId, programmeId }: Pick<HeldGuide, 'linkId' | 'homeId' | 'programmeId'>,
  { item, name }: { item: string; name: string },
  transaction: Transaction,
): Promise<void> {
  const replacements = { linkId, homeId, programmeId, item, name };
  await tables().query(
    `INSERT INTO guide_lacks (link_id, item, name, had)
     VALUES (:linkId, :item, :name,
             (SELECT nullif(qty, 0) FROM home_things JOIN shelf_items ON shelf_items.id = thing_id
               WHERE home_id = :homeId AND shelf_items.key = :item))
     ON CONFLICT (link_id, item) DO NOTHING`,
    { replacements, transaction },
  );
  await tables().query(
    `INSERT INTO home_things (home_id, thing_id, programme_id, qty)
     SELECT :homeId, id, programme_id, 0 FROM shelf_items
      WHERE programme_id = :programmeId AND kind = 'thing' AND key = :item
     ON CONFLICT (home_id, thing_id) DO UPDATE SET qty = 0`,
    { replacements, transaction },
  );
  await nextRevision(homeId, transaction);
}

/** Whoever has the home open is told that it changed. */
async function nextRevision(homeId: string, transaction: Transaction): Promise<void> {
  await tables().query('UPDATE homes SET revision = revision + 1 WHERE id = :homeId', {
    replacements: { homeId },
    transaction,
  });
}

/** Takes that back: the home has as many again as it was known to have, or as homes usually have. Three queries. */
export async function removeLack(
  { linkId, homeId }: Pick<HeldGuide, 'linkId' | 'homeId'>,
  { item, usualQty }: { item: string; usualQty: number },
  transaction: Transaction,
): Promise<void> {
  const replacements = { linkId, homeId, item, usualQty };
  await tables().query(
    `UPDATE home_things SET qty = coalesce((SELECT had FROM guide_lacks WHERE link_id = :linkId AND item = :item), :usualQty)
       FROM shelf_items WHERE shelf_items.id = thing_id AND shelf_items.key = :item AND home_id = :homeId`,
    { replacements, transaction },
  );
  await tables().query('DELETE FROM guide_lacks WHERE link_id = :linkId AND item = :item', {
    replacements,
    transaction,
  });
  await nextRevision(homeId, transaction);
}

/** How the guide of a link stands, and what its home said of it. */
export interface LinkState {
  readonly edition: number;
  readonly isWithoutBook: boolean;
  readonly lacks: readonly string[];
  /** The newest guide as it was stored; null before the first. */
  readonly guide: (Guide & Versioned) | null;
}

/** How the guides of some links stand; 0 is before the first. The links are held while there is a transaction. Two queries. */
export async function holdLinkStates(
  linkIds: readonly string[],
  transaction: Transaction,
): Promise<ReadonlyMap<string, LinkState>> {
  if (linkIds.length === 0) return new Map();
  const replacements = { linkIds: [...linkIds] };
  await tables().query('SELECT id FROM guide_links WHERE id IN (:linkIds) ORDER BY id FOR UPDATE', {
    replacements,
    transaction,
  });
  const rows = await tables().query<LinkState & { linkId: string }>(
    `SELECT id AS "linkId", without_book_at IS NOT NULL AS "isWithoutBook",
            coalesce((SELECT max(edition) FROM guide_copies WHERE link_id = guide_links.id), 0) AS edition,
            ARRAY(SELECT item FROM guide_lacks WHERE link_id = guide_links.id) AS lacks,
            (SELECT guide FROM guide_copies WHERE link_id = guide_links.id ORDER BY edition DESC LIMIT 1) AS guide
       FROM guide_links WHERE id IN (:linkIds)`,
    { replacements, type: QueryTypes.SELECT, transaction },
  );
  return new Map(rows.map(({ linkId, ...state }) => [linkId, state]));
}
