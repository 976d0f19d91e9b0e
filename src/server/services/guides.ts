import type { OpenedGuide, KeptReply } from './openedGuide.ts';
import { QueryTypes } from 'sequelize';
import { randomUUID } from 'node:crypto';
import type { ReplyForm } from '../../contracts/reply.ts';
import type { Guide } from '../../core/guide/guide.ts';
import { readGuideCopy } from '../../core/guide/guideCopy.ts';
import { now } from '../clock.ts';
import { GuideLinkRow, ReplyPartRow, ReplyRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import type { RecalledGuides } from './recalledGuides.ts';

interface OpenedRow {
  linkId: string;
  edition: number;
  guide: Guide;
  language: OpenedGuide['language'];
  sentAt: Date;
  firstEdition: number;
  isWithoutBook: boolean;
  reply: (Omit<KeptReply, 'repliedAt'> & { repliedAt: string }) | null;
}

/** The newest copy behind a link, in one query; null when the link was revoked or never was. */
export async function openGuide(token: string, recalled?: RecalledGuides): Promise<OpenedGuide | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  const rows = await tables().query<OpenedRow>(
    `SELECT guide_links.id AS "linkId", copy.edition, copy.guide, copy.language, copy.sent_at AS "sentAt",
            (SELECT min(edition) FROM guide_copies WHERE link_id = guide_links.id) AS "firstEdition",
            guide_links.without_book_at IS NOT NULL AS "isWithoutBook",
            (SELECT jsonb_build_object('outcome', replies.outcome, 'note', replies.note, 'repliedAt', replies.replied_at,
                      'parts', (SELECT coalesce(jsonb_agg(jsonb_build_object('segment', segment, 'minutes', minutes, 'ease', ease, 'level', level)), '[]')
                                  FROM reply_parts WHERE reply_id = replies.id))
               FROM replies WHERE replies.link_id = guide_links.id) AS reply
       FROM guide_links
       JOIN LATERAL (SELECT * FROM guide_copies WHERE link_id = guide_links.id ORDER BY edition DESC LIMIT 1) copy ON true
      WHERE guide_links.token_hash = :hash AND guide_links.revoked_at IS NULL`,
    { replacements: { hash: hashToken(token) }, type: QueryTypes.SELECT },
  );
  const row = rows[0];
  if (!row) return null;
  const { firstEdition, reply, ...opened } = row;
  const guide = {
    ...opened,
    guide: readGuideCopy(opened.guide),
    hasChanged: opened.edition > firstEdition,
    reply: reply && { ...reply, repliedAt: new Date(reply.repliedAt) },
  };
  recalled?.remember(token, guide);
  return guide;
}

/**
 * Keeps what a home answers. A home has one reply for a guide: one that says the same is kept once, another one takes
 * the place of the first. What was written without the first in sight adds to it: fields left empty keep what they
 * had. Gives what was answered before this.
 */
export async function keepReply(token: string, form: ReplyForm): Promise<'kept' | 'changed' | 'same'> {
  const opened = await openGuide(token);
  if (!opened) throw new EdgeError('not-found');
  return tables().transaction(async (transaction) => {
    // The link is held, so that the same press twice comes one after the other.
    await GuideLinkRow.findByPk(opened.linkId, { transaction, lock: transaction.LOCK.UPDATE });
    const row = await ReplyRow.findOne({
      where: { linkId: opened.linkId },
      include: [{ model: ReplyPartRow, as: 'parts' }],
      transaction,
    });
    const before = row && asKeptReply(row);
    const wasSeen = before !== null && form.answered === before.repliedAt.toISOString();
    const answer = answerFrom(opened.guide, form, wasSeen ? null : before);
    if (row && before && isSameAnswer(answer, before)) return 'same';
    const answered = { edition: opened.edition, outcome: answer.outcome, note: answer.note, repliedAt: now() };
    const reply = row
      ? await row.update(answered, { transaction })
      : await ReplyRow.create({ id: randomUUID(), linkId: opened.linkId, ...answered }, { transaction });
    await ReplyPartRow.destroy({ where: { replyId: reply.id }, transaction });
    await ReplyPartRow.bulkCreate(
      answer.parts.map((part) => ({ replyId: reply.id, ...part, ...partFacts(opened.guide, part) })),
      { transaction },
    );
    return row ? 'changed' : 'kept';
  });
}

type Answer = Omit<KeptReply, 'repliedAt'>;

function asKeptReply({ outcome, note, repliedAt, parts = [] }: ReplyRow): KeptReply {
  return {
    outcome,
    note,
    repliedAt,
    parts: parts.map(({ segment, minutes, ease, level }) => ({ segment, minutes, ease, level })),
  };
}

/** What a form answers; where it was written without an earlier reply in sight, its empty fields keep what that one said. */
function answerFrom(guide: Guide, form: ReplyForm, earlier: KeptReply | null): Answer {
  const parts = guide.segments.flatMap((segment) => {
    const given = form.parts.find((part) => part.segment === segment.id);
    const known = earlier?.parts.find((part) => part.segment === segment.id);
    const minutes = given?.minutes ?? known?.minutes ?? null;
    const ease = given?.ease ?? known?.ease ?? null;
    if (minutes === null && ease === null) return [];
    const level =
      given?.minutes != null || given?.ease ? (given.level ?? null) : (known?.level ?? given?.level ?? null);
    return [{ segment: segment.id, minutes, ease, level: level ?? segment.level }];
  });
  return { outcome: form.outcome, note: form.note.trim() || (earlier?.note ?? ''), parts };
}

function isSameAnswer(answer: Answer, before: KeptReply): boolean {
  const parts = (list: Answer['parts']) =>
    list
      .map(({ segment, minutes, ease, level }) => [segment, minutes, ease, level].join())
      .sort()
      .join(';');
  return (
    answer.outcome === before.outcome && answer.note === before.note && parts(answer.parts) === parts(before.parts)
  );
}

/** What is kept beside an answered part: its name, where it came from, and what was planned at the level it was done at. */
function partFacts(guide: Guide, { segment: id, level }: Answer['parts'][number]) {
  const segment = guide.segments.find((candidate) => candidate.id === id)!;
  return {
    shelfKey: segment.kind === 'activity' ? (segment.from ?? null) : null,
    title: segment.title,
    plannedMinutes: (level && segment.levels[level]?.minutes) ?? segment.minutes,
  };
}

/** Takes down that a home has no book at hand, or that it has one after all. */
export async function markBook(token: string, isThere: boolean): Promise<void> {
  const opened = await openGuide(token);
  if (!opened) throw new EdgeError('not-found');
  await GuideLinkRow.update({ withoutBookAt: isThere ? null : now() }, { where: { id: opened.linkId } });
}
