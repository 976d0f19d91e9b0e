import type { GuideLanguage } from '../../../core/languages.ts';
import { QueryTypes } from 'sequelize';
import type { LevelName } from '../../../core/session/index.ts';
import type { Versioned } from '../../../core/contentVersion.ts';
import type { Guide } from '../../../core/guide/index.ts';
import { latestBirthMonth } from '../../../core/calendar/index.ts';
import { MONTHS_FOR_WORDS } from '../../../core/words/index.ts';
import { now, today } from '../../clock.ts';
import { GuideLinkRow, HomeRow, MessageRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { toMessage, type OutboxMessage } from './messages.ts';
import { isUuid } from '../isUuid.ts';

/** What stands behind a link: the newest copy, and what the home answered. */
export interface OpenedCopy {
  readonly linkId: string;
  readonly edition: number;
  /** As it was stored. */
  readonly guide: Guide & Versioned;
  readonly language: GuideLanguage;
  readonly sentAt: Date;
  readonly earlier: number | null;
  readonly newer: number | null;
  readonly isWithoutBook: boolean;
  /** What the home said it has not got. */
  readonly lacks: readonly { readonly item: string; readonly name: string }[];
  /** The sounds that the programme has recorded and lets homes hear. */
  readonly recorded: readonly string[];
  /** Whether homes of the programme write down which words were read. */
  readonly asksWords: boolean;
  readonly reply: {
    readonly outcome: 'done' | 'partly' | 'not';
    readonly note: string;
    readonly repliedAt: string;
    readonly parts: readonly {
      readonly segment: string;
      readonly minutes: number | null;
      readonly ease: string | null;
      readonly level: LevelName | null;
    }[];
  } | null;
}

/** The newest copy behind a link that opens, by its token's hash, or the one of an edition that it has; null otherwise. One query. */
export async function openCopy(tokenHash: string, edition: number | null = null): Promise<OpenedCopy | null> {
  const rows = await tables().query<OpenedCopy>(
    `SELECT guide_links.id AS "linkId", copy.edition, copy.guide, copy.language, copy.sent_at AS "sentAt",
            (SELECT max(edition) FROM guide_copies WHERE link_id = guide_links.id AND edition < copy.edition) AS earlier,
            (SELECT max(edition) FROM guide_copies WHERE link_id = guide_links.id AND edition > copy.edition) AS newer,
            guide_links.without_book_at IS NOT NULL AS "isWithoutBook",
            (SELECT coalesce(jsonb_agg(jsonb_build_object('item', item, 'name', name) ORDER BY said_at, item), '[]')
               FROM guide_lacks WHERE link_id = guide_links.id) AS lacks,
            CASE WHEN programmes.settings ->> 'screens' = 'none' THEN '[]'::jsonb
                 ELSE (SELECT coalesce(jsonb_agg(sound), '[]') FROM sound_recordings WHERE programme_id = programmes.id)
            END AS recorded,
            coalesce(programmes.settings #>> '{words,keptBy}', '') = 'homes'
              AND EXISTS (SELECT 1 FROM children WHERE children.home_id = guide_links.home_id AND birth_month <= :bornBy
                            UNION ALL SELECT 1 FROM word_readings WHERE word_readings.home_id = guide_links.home_id) AS "asksWords",
            (SELECT jsonb_build_object('outcome', replies.outcome, 'note', replies.note, 'repliedAt', replies.replied_at,
                      'parts', (SELECT coalesce(jsonb_agg(jsonb_build_object('segment', segment, 'minutes', minutes, 'ease', ease, 'level', level)), '[]')
                                  FROM reply_parts WHERE reply_id = replies.id))
               FROM replies WHERE replies.link_id = guide_links.id) AS reply
       FROM guide_links
       JOIN programmes ON programmes.id = guide_links.programme_id
       JOIN LATERAL (SELECT * FROM guide_copies WHERE link_id = guide_links.id
                            ORDER BY (edition = CAST(:edition AS integer)) IS TRUE DESC, edition DESC LIMIT 1) copy ON true
      WHERE guide_links.token_hash = :tokenHash AND guide_links.revoked_at IS NULL`,
    {
      replacements: { tokenHash, edition, bornBy: latestBirthMonth(MONTHS_FOR_WORDS, today()) },
      type: QueryTypes.SELECT,
    },
  );
  return rows[0] ?? null;
}

/** Writes down that a home has no book at hand, or that it has it after all. */
export async function markWithoutBook(linkId: string, isThere: boolean, transaction: Transaction): Promise<void> {
  tables();
  await GuideLinkRow.update({ withoutBookAt: isThere ? null : now() }, { where: { id: linkId }, transaction });
}

/** The links of a session that still open, with the names of their homes. One query. */
export async function readLinksOf(programmeId: string, sessionId: string): Promise<{ id: string; home: string }[]> {
  tables();
  const rows = await GuideLinkRow.findAll({
    where: { sessionId, programmeId, revokedAt: null },
    include: [{ model: HomeRow, as: 'home' }],
  });
  return rows.map(({ id, home }) => ({ id, home: home!.nickname }));
}

/** Ends a link; gives its session, or null when it is not this programme's. */
export async function endLink(programmeId: string, id: string): Promise<string | null> {
  tables();
  const row = isUuid(id) ? await GuideLinkRow.findOne({ where: { id, programmeId } }) : null;
  if (row && !row.revokedAt) await row.update({ revokedAt: now() });
  return row && row.sessionId;
}

/** A link with its home and the newest letter that carried it; null when it is not this programme's. Two queries. */
export async function readLinkWithLetter(
  programmeId: string,
  id: string,
): Promise<{
  id: string;
  sessionId: string;
  home: string;
  revokedAt: Date | null;
  message: OutboxMessage | null;
} | null> {
  tables();
  if (!isUuid(id)) return null;
  const row = await GuideLinkRow.findOne({
    where: { id, programmeId },
    include: [
      { model: HomeRow, as: 'home' },
      { model: MessageRow, as: 'messages', separate: true, order: [['changedAt', 'DESC']] },
    ],
  });
  const message = row?.messages?.[0];
  return (
    row && {
      id: row.id,
      sessionId: row.sessionId,
      home: row.home!.nickname,
      revokedAt: row.revokedAt,
      message: message ? toMessage(message) : null,
    }
  );
}
