import { QueryTypes } from 'sequelize';
import { ChildRow, GuideCopyRow, GuideLinkRow, HomeRow, MessageRow, ReplyPartRow, ReplyRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { MessageState } from './messages.ts';

/** One session that went out, with how many homes have it and how many answered. */
export interface PostLine {
  readonly sessionId: string;
  readonly title: string;
  readonly on: string;
  readonly edition: number;
  readonly sentAt: Date;
  readonly homes: number;
  readonly replies: number;
  readonly revoked: number;
}

/** What went out, newest first, in one query. */
export function listPost(programmeId: string): Promise<PostLine[]> {
  return tables().query<PostLine>(
    `SELECT sessions.id AS "sessionId", sessions.title, sessions.held_on::text AS "on", latest.edition, latest.sent_at AS "sentAt",
            count(guide_links.id) FILTER (WHERE guide_links.revoked_at IS NULL)::int AS homes,
            count(guide_links.id) FILTER (WHERE guide_links.revoked_at IS NOT NULL)::int AS revoked,
            count(replies.id)::int AS replies
       FROM sessions
       JOIN LATERAL (SELECT edition, sent_at FROM sendings WHERE session_id = sessions.id ORDER BY edition DESC LIMIT 1) latest ON true
       LEFT JOIN guide_links ON guide_links.session_id = sessions.id
       LEFT JOIN replies ON replies.link_id = guide_links.id
      WHERE sessions.programme_id = :programmeId
      GROUP BY sessions.id, latest.edition, latest.sent_at
      ORDER BY sessions.held_on DESC, sessions.title`,
    { replacements: { programmeId }, type: QueryTypes.SELECT },
  );
}

/** A session with answers, and when the latest came. */
export interface AnswerLine {
  readonly sessionId: string;
  readonly title: string;
  readonly sentAt: Date;
  readonly homes: number;
  readonly replies: number;
  readonly latest: Date | null;
}

/** Sessions that went out, newest answer first; at most 40. One query. */
export function readAnswers(programmeId: string): Promise<AnswerLine[]> {
  return tables().query<AnswerLine>(
    `SELECT sessions.id AS "sessionId", sessions.title,
            (SELECT max(sent_at) FROM sendings WHERE session_id = sessions.id) AS "sentAt",
            count(guide_links.id) FILTER (WHERE guide_links.revoked_at IS NULL)::int AS homes,
            count(replies.id)::int AS replies, max(replies.replied_at) AS latest
       FROM sessions
       JOIN guide_links ON guide_links.session_id = sessions.id
       LEFT JOIN replies ON replies.link_id = guide_links.id
      WHERE sessions.programme_id = :programmeId
      GROUP BY sessions.id
      ORDER BY latest DESC NULLS LAST
      LIMIT 40`,
    { replacements: { programmeId }, type: QueryTypes.SELECT },
  );
}

/** One home's link to one session, with what went out and what came back. */
export interface PostHome {
  readonly linkId: string;
  readonly home: string;
  readonly children: readonly string[];
  readonly createdAt: Date;
  readonly revokedAt: Date | null;
  /** The home said that it has no book at hand. */
  readonly isWithoutBook: boolean;
  readonly edition: number;
  readonly message: { readonly id: string; readonly state: MessageState; readonly recipient: string } | null;
  readonly reply: {
    readonly outcome: 'done' | 'partly' | 'not';
    readonly note: string;
    readonly repliedAt: Date;
    readonly parts: readonly {
      title: string;
      segment: string;
      planned: number;
      minutes: number | null;
      ease: string | null;
      level: string | null;
    }[];
  } | null;
}

/** How a sent session stands with all its homes. */
export interface PostCounts {
  readonly links: number;
  /** Homes whose link still opens. */
  readonly open: number;
  readonly answered: number;
  readonly withoutBook: number;
  /** Letters to open links, by how they stand; one without an address is not among the failed. */
  readonly failed: number;
  readonly unclear: number;
  readonly onTheirWay: number;
}

/** Counts the homes of a sent session by how their links, letters and answers stand. One query. */
export async function countPost(programmeId: string, sessionId: string): Promise<PostCounts> {
  const [row] = await tables().query<PostCounts>(
    `SELECT count(*)::int AS links, count(*) FILTER (WHERE links.revoked_at IS NULL)::int AS open, count(replies.id)::int AS answered,
            count(*) FILTER (WHERE without_book_at IS NOT NULL AND links.revoked_at IS NULL)::int AS "withoutBook",
            count(*) FILTER (WHERE state = 'failed' AND recipient <> '' AND links.revoked_at IS NULL)::int AS failed,
            count(*) FILTER (WHERE state = 'unclear' AND recipient <> '' AND links.revoked_at IS NULL)::int AS unclear,
            count(*) FILTER (WHERE state IN ('waiting', 'posting'))::int AS "onTheirWay"
       FROM guide_links links
       LEFT JOIN replies ON replies.link_id = links.id
       LEFT JOIN LATERAL (SELECT state, recipient FROM messages WHERE link_id = links.id ORDER BY changed_at DESC LIMIT 1) letter ON true
      WHERE links.session_id = :sessionId AND links.programme_id = :programmeId`,
    { replacements: { sessionId, programmeId }, type: QueryTypes.SELECT },
  );
  return row!;
}

/** What homes answered of one part's minutes, with what was planned for them. */
export interface TimedPart {
  readonly segment: string;
  readonly title: string;
  readonly planned: number;
  readonly minutes: readonly number[];
}

/** Each part of a session that homes timed, with all their minutes. One query. */
export function readTimedParts(programmeId: string, sessionId: string): Promise<TimedPart[]> {
  return tables().query<TimedPart>(
    `SELECT segment, (array_agg(title ORDER BY replied_at DESC))[1] AS title, avg(planned_minutes)::float AS planned,
            array_agg(reply_parts.minutes::float ORDER BY replied_at) AS minutes
       FROM reply_parts JOIN replies ON replies.id = reply_id JOIN guide_links links ON links.id = replies.link_id
      WHERE links.session_id = :sessionId AND links.programme_id = :programmeId AND reply_parts.minutes IS NOT NULL
      GROUP BY segment`,
    { replacements: { sessionId, programmeId }, type: QueryTypes.SELECT },
  );
}

/** So many links of a session by the names of their homes, from one on (the first is 0): a fixed number of queries. */
export async function readPostHomes(
  programmeId: string,
  sessionId: string,
  { from, most }: { from: number; most: number },
): Promise<PostHome[]> {
  const links = await GuideLinkRow.findAll({
    where: { sessionId, programmeId },
    include: [
      {
        model: HomeRow,
        as: 'home',
        include: [{ model: ChildRow, as: 'children', separate: true, order: [['position', 'ASC']] }],
      },
      { model: GuideCopyRow, as: 'copies', separate: true, attributes: ['linkId', 'edition'] },
      { model: MessageRow, as: 'messages', separate: true },
      { model: ReplyRow, as: 'reply', include: [{ model: ReplyPartRow, as: 'parts' }] },
    ],
    order: [
      [{ model: HomeRow, as: 'home' }, 'nickname', 'ASC'],
      ['createdAt', 'ASC'],
    ],
    offset: from,
    limit: most,
  });
  return links.map(toPostHome);
}

function toPostHome(link: GuideLinkRow): PostHome {
  const newest = Math.max(0, ...(link.copies ?? []).map(({ edition }) => edition));
  const message = [...(link.messages ?? [])]
    .sort((left, right) => left.changedAt.getTime() - right.changedAt.getTime())
    .at(-1);
  return {
    linkId: link.id,
    home: link.home!.nickname,
    children: (link.home!.children ?? []).map(({ nickname }) => nickname),
    createdAt: link.createdAt,
    revokedAt: link.revokedAt,
    isWithoutBook: link.withoutBookAt !== null,
    edition: newest,
    message: message ? { id: message.id, state: message.state, recipient: message.recipient } : null,
    reply: link.reply ? toPostReply(link.reply) : null,
  };
}

function toPostReply({ outcome, note, repliedAt, parts = [] }: ReplyRow): PostHome['reply'] {
  return {
    outcome,
    note,
    repliedAt,
    parts: parts.map(({ title, segment, plannedMinutes, minutes, ease, level }) => ({
      title,
      segment,
      planned: plannedMinutes,
      minutes,
      ease,
      level,
    })),
  };
}
