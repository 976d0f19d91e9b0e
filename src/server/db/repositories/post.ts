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

/** The links of a session by the names of their homes: a fixed number of queries, however many homes. */
export async function readPostHomes(programmeId: string, sessionId: string): Promise<PostHome[]> {
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
