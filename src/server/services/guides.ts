import { QueryTypes, UniqueConstraintError } from 'sequelize';
import { randomUUID } from 'node:crypto';
import type { ReplyForm } from '../../contracts/reply.ts';
import type { Guide } from '../../core/script/guide.ts';
import { now } from '../clock.ts';
import { ReplyPartRow, ReplyRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken } from '../http/secrets.ts';
import { rememberGuide } from './recalledGuides.ts';

/** What a home sees by its link. */
export interface OpenedGuide {
  readonly linkId: string;
  readonly edition: number;
  readonly guide: Guide;
  readonly language: 'en' | 'es' | 'ar';
  readonly sentAt: Date;
  /** Whether this home has had an earlier copy that said something else. */
  readonly hasChanged: boolean;
  readonly reply: { readonly outcome: ReplyForm['outcome']; readonly replyKey: string } | null;
}

interface OpenedRow {
  linkId: string;
  edition: number;
  guide: Guide;
  language: OpenedGuide['language'];
  sentAt: Date;
  firstEdition: number;
  outcome: ReplyForm['outcome'] | null;
  replyKey: string | null;
}

/** The newest copy behind a link, in one query; null when the link was revoked or never was. */
export async function openGuide(token: string): Promise<OpenedGuide | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  const rows = await tables().query<OpenedRow>(
    `SELECT guide_links.id AS "linkId", copy.edition, copy.guide, copy.language, copy.sent_at AS "sentAt",
            (SELECT min(edition) FROM guide_copies WHERE link_id = guide_links.id) AS "firstEdition",
            replies.outcome, replies.reply_key AS "replyKey"
       FROM guide_links
       JOIN LATERAL (SELECT * FROM guide_copies WHERE link_id = guide_links.id ORDER BY edition DESC LIMIT 1) copy ON true
       LEFT JOIN replies ON replies.link_id = guide_links.id
      WHERE guide_links.token_hash = :hash AND guide_links.revoked_at IS NULL`,
    { replacements: { hash: hashToken(token) }, type: QueryTypes.SELECT },
  );
  const row = rows[0];
  if (!row) return null;
  const { firstEdition, outcome, replyKey, ...opened } = row;
  const guide = {
    ...opened,
    hasChanged: opened.edition > firstEdition,
    reply: outcome && replyKey ? { outcome, replyKey } : null,
  };
  rememberGuide(token, guide);
  return guide;
}

/**
 * Keeps what a home answers. A home has one reply for a guide: the same one sent twice is kept once, another one
 * takes the place of the first. Gives what was answered before this.
 */
export async function keepReply(token: string, form: ReplyForm): Promise<'kept' | 'changed' | 'same'> {
  const opened = await openGuide(token);
  if (!opened) throw new EdgeError('not-found');
  try {
    return await writeReply(opened, form);
  } catch (error) {
    if (error instanceof UniqueConstraintError) return writeReply(opened, form);
    throw error;
  }
}

async function writeReply(opened: OpenedGuide, form: ReplyForm): Promise<'kept' | 'changed' | 'same'> {
  return tables().transaction(async (transaction) => {
    const before = await ReplyRow.findOne({
      where: { linkId: opened.linkId },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (before?.replyKey === form.replyKey) return 'same';
    const answered = {
      edition: opened.edition,
      replyKey: form.replyKey,
      outcome: form.outcome,
      note: form.note.trim(),
      repliedAt: now(),
    };
    const reply = before
      ? await before.update(answered, { transaction })
      : await ReplyRow.create({ id: randomUUID(), linkId: opened.linkId, ...answered }, { transaction });
    if (before) await ReplyPartRow.destroy({ where: { replyId: reply.id }, transaction });
    const parts = opened.guide.segments.flatMap((segment) => {
      const answer = form.parts.find((part) => part.segment === segment.id);
      if (!answer || (answer.minutes == null && !answer.ease)) return [];
      return [
        {
          replyId: reply.id,
          segment: segment.id,
          shelfKey: segment.kind === 'activity' ? (segment.from ?? null) : null,
          title: segment.title,
          plannedMinutes: segment.minutes,
          minutes: answer.minutes ?? null,
          ease: answer.ease ?? null,
        },
      ];
    });
    await ReplyPartRow.bulkCreate(parts, { transaction });
    return before ? 'changed' : 'kept';
  });
}
