import { roundTo } from '../../core/numbers/rounding.ts';
import { QueryTypes } from 'sequelize';
import { calibrate } from '../../core/time/calibrate.ts';
import { ChildRow, GuideCopyRow, GuideLinkRow, HomeRow, MessageRow, ReplyPartRow, ReplyRow } from '../db/models.ts';
import { readSession, type KeptSession } from '../db/repositories/sessions.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { findCorrections, type Correction } from './corrections.ts';
import type { Person } from './person.ts';

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
export async function listPost(programmeId: string): Promise<PostLine[]> {
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
  readonly message: { readonly id: string; readonly state: MessageRow['state']; readonly recipient: string } | null;
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

export interface PostDetail {
  readonly kept: KeptSession;
  readonly homes: readonly PostHome[];
  /** Planned beside real minutes, in the order of the session, for parts that homes timed. */
  readonly timed: readonly { title: string; planned: number; real: number; homes: number }[];
  readonly corrections: readonly Correction[];
}

/** Everything about one sent session: a fixed number of queries, however many homes. */
export async function readPost(person: Person, sessionId: string): Promise<PostDetail> {
  const kept = await readSession(person.programmeId, sessionId, undefined, { withDeleted: true });
  if (!kept) throw new EdgeError('not-found');
  const links = await GuideLinkRow.findAll({
    where: { sessionId, programmeId: person.programmeId },
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
  const homes = links.map(toPostHome);
  const keys = [
    ...new Set(kept.session.segments.flatMap(({ kind, from }) => (kind === 'activity' && from ? [from] : []))),
  ];
  return { kept, homes, timed: timedParts(kept, homes), corrections: await findCorrections(person, keys) };
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
    reply: link.reply
      ? {
          outcome: link.reply.outcome,
          note: link.reply.note,
          repliedAt: link.reply.repliedAt,
          parts: (link.reply.parts ?? []).map(({ title, segment, plannedMinutes, minutes, ease, level }) => ({
            title,
            segment,
            planned: plannedMinutes,
            minutes,
            ease,
            level,
          })),
        }
      : null,
  };
}

function timedParts({ session }: KeptSession, homes: readonly PostHome[]): PostDetail['timed'] {
  const parts = homes.flatMap(({ reply }) => reply?.parts ?? []);
  const order = [...new Set([...session.segments.map(({ id }) => id), ...parts.map(({ segment }) => segment)])];
  return order.flatMap((segment) => {
    const answers = parts.filter((part) => part.segment === segment && part.minutes !== null);
    if (answers.length === 0) return [];
    const { title } = answers.at(-1)!;
    const planned = roundTo(answers.reduce((sum, answer) => sum + answer.planned, 0) / answers.length, 1);
    const real = spreadOfAnswers(answers.map(({ minutes }) => minutes!));
    return [{ title, planned, real, homes: answers.length }];
  });
}

/** What planned minutes become when they are corrected by what was answered, with nothing held back. */
function spreadOfAnswers(minutes: readonly number[]): number {
  return calibrate(1, minutes, 0).likely;
}
