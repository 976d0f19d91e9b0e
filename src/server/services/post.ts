import { Op, QueryTypes, type Transaction } from 'sequelize';
import { calibrate, correctionFactor, scaleQuantities } from '../../core/time/calibrate.ts';
import { roundTo, spreadOf } from '../../core/time/minutes.ts';
import type { ActivityEntry } from '../db/repositories/shelf.ts';
import { now } from '../clock.ts';
import {
  ChildRow,
  GuideCopyRow,
  GuideLinkRow,
  HomeRow,
  MessageRow,
  ReplyPartRow,
  ReplyRow,
  ShelfItemRow,
} from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { readSession, isUuid, type KeptSession } from '../db/repositories/sessions.ts';
import { evaluateMinutes } from '../../core/script/composition.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken } from '../http/secrets.ts';
import { mail, type Letter } from '../post/mail.ts';
import { requireAuthor, type Person } from './person.ts';

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
  readonly message: { readonly id: string; readonly state: string; readonly recipient: string } | null;
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

/** A correction of an activity's minutes that homes' answers call for. */
export interface Correction {
  readonly key: string;
  readonly title: string;
  readonly planned: number;
  readonly likely: number;
  readonly factor: number;
  readonly homes: number;
}

/** Everything about one sent session: a fixed number of queries, however many homes. */
export async function readPost(person: Person, sessionId: string): Promise<PostDetail> {
  const kept = await readSession(person.programmeId, sessionId);
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
  const message = (link.messages ?? []).at(-1);
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

interface TimedAnswer {
  readonly key: string;
  readonly minutes: number;
  /** What was planned for that home at the level it was done at. */
  readonly planned: number;
}

async function findCorrections(
  person: Person,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<Correction[]> {
  if (keys.length === 0) return [];
  const where = { programmeId: person.programmeId, kind: 'activity', key: { [Op.in]: [...keys] } };
  const rows = await ShelfItemRow.findAll({
    where,
    ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
  });
  // A guide that went out before the last correction was planned without it, so its plan is corrected likewise first.
  const answers = await tables().query<TimedAnswer>(
    `SELECT reply_parts.shelf_key AS key, reply_parts.minutes::float AS minutes,
            (reply_parts.planned_minutes * CASE WHEN guide_copies.sent_at < shelf_items.minutes_corrected_at
               THEN coalesce(shelf_items.corrected_factor, 1) ELSE 1 END)::float AS planned
       FROM reply_parts
       JOIN replies ON replies.id = reply_parts.reply_id
       JOIN guide_links ON guide_links.id = replies.link_id
       JOIN guide_copies ON guide_copies.link_id = replies.link_id AND guide_copies.edition = replies.edition
       JOIN shelf_items ON shelf_items.programme_id = guide_links.programme_id AND shelf_items.kind = 'activity' AND shelf_items.key = reply_parts.shelf_key
      WHERE guide_links.programme_id = :programmeId AND reply_parts.shelf_key IN (:keys)
        AND reply_parts.minutes IS NOT NULL AND reply_parts.planned_minutes > 0
        AND (shelf_items.minutes_corrected_at IS NULL OR replies.replied_at > shelf_items.minutes_corrected_at)`,
    { replacements: { programmeId: person.programmeId, keys: [...keys] }, type: QueryTypes.SELECT, transaction },
  );
  return rows.flatMap((row) => {
    const ratios = answers.filter(({ key }) => key === row.key).map((answer) => answer.minutes / answer.planned);
    const planned = plannedMinutes(row.body as unknown as ActivityEntry);
    if (ratios.length === 0 || planned === 0) return [];
    const factor = roundTo(correctionFactor(ratios, person.settings.calibrationWeight), 3);
    return [
      { key: row.key, title: row.title, planned, likely: roundTo(planned * factor, 1), factor, homes: ratios.length },
    ];
  });
}

/** What an activity on the shelf plans for a child, with its dials as they stand: minutes, one decimal. */
function plannedMinutes(activity: ActivityEntry): number {
  const { together, alone } = evaluateMinutes(activity);
  return roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1);
}

/**
 * Takes a correction into the shelf: the activity's minutes, together and alone, for every session it is put into from
 * now on. The entry is held meanwhile, so that a second press, or somebody's change, neither repeats nor undoes it.
 */
export async function adoptCorrection(person: Person, key: string): Promise<Correction> {
  requireAuthor(person);
  return tables().transaction(async (transaction) => {
    const [correction] = await findCorrections(person, [key], transaction);
    if (!correction) throw new EdgeError('not-found');
    const where = { programmeId: person.programmeId, kind: 'activity', key };
    const row = (await ShelfItemRow.findOne({ where, transaction }))!;
    const activity = row.body as unknown as ActivityEntry;
    const minutes = {
      ...activity.minutes,
      together: scaleQuantities(activity.minutes.together, correction.factor),
      alone: scaleQuantities(activity.minutes.alone, correction.factor),
    };
    await row.update(
      {
        body: { ...row.body, minutes },
        minutesCorrectedAt: now(),
        correctedFactor: correction.factor,
        revision: row.revision + 1,
      },
      { transaction },
    );
    return correction;
  });
}

/** The links of a session that are not revoked, by home. */
export async function listLinks(person: Person, sessionId: string): Promise<{ home: string; token: string }[]> {
  tables();
  const links = await GuideLinkRow.findAll({
    where: { sessionId, programmeId: person.programmeId, revokedAt: null },
    include: [{ model: HomeRow, as: 'home' }],
  });
  return links.map((link) => ({ home: link.home!.nickname, token: guideToken(link.id) }));
}

/** Ends a home's link: whoever opens it sees the page of a link that never was. */
export async function revokeLink(person: Person, linkId: string): Promise<{ sessionId: string }> {
  requireAuthor(person);
  tables();
  const link = isUuid(linkId)
    ? await GuideLinkRow.findOne({ where: { id: linkId, programmeId: person.programmeId } })
    : null;
  if (!link) throw new EdgeError('not-found');
  if (!link.revokedAt) await link.update({ revokedAt: now() });
  return { sessionId: link.sessionId };
}

export interface PostedLink {
  readonly sessionId: string;
  readonly home: string;
  readonly token: string;
  readonly revokedAt: Date | null;
  readonly letter: Letter | null;
}

/** A home's link and the letter that carried it, as the mail service has it. */
export async function readLink(person: Person, linkId: string): Promise<PostedLink> {
  tables();
  const link = isUuid(linkId)
    ? await GuideLinkRow.findOne({
        where: { id: linkId, programmeId: person.programmeId },
        include: [
          { model: HomeRow, as: 'home' },
          { model: MessageRow, as: 'messages', separate: true, order: [['sentAt', 'DESC NULLS LAST']] },
        ],
      })
    : null;
  if (!link) throw new EdgeError('not-found');
  const mailId = link.messages?.find((message) => message.mailId)?.mailId;
  return {
    sessionId: link.sessionId,
    home: link.home!.nickname,
    token: guideToken(link.id),
    revokedAt: link.revokedAt,
    letter: mailId ? await mail().read(mailId) : null,
  };
}
