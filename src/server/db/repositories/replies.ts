import { randomUUID } from 'node:crypto';
import { GuideLinkRow, ReplyPartRow, ReplyRow } from '../models.ts';
import { inTransaction, type Transaction } from '../transaction.ts';

/** What a home answered about one part. */
interface ReplyPart {
  readonly segment: string;
  readonly minutes: number | null;
  readonly ease: ReplyPartRow['ease'];
  readonly level: ReplyPartRow['level'];
}

/** A home's answer as it stands. */
export interface StoredReply {
  readonly id: string;
  readonly outcome: ReplyRow['outcome'];
  readonly note: string;
  readonly repliedAt: Date;
  readonly taken: readonly string[];
  readonly parts: readonly ReplyPart[];
}

/** An answer to be written, each part with what was planned for it. */
export interface NewReply {
  readonly edition: number;
  readonly outcome: ReplyRow['outcome'];
  readonly note: string;
  readonly repliedAt: Date;
  readonly taken: readonly string[];
  readonly parts: readonly (ReplyPart & {
    readonly shelfKey: string | null;
    readonly title: string;
    readonly plannedMinutes: number;
  })[];
}

/** Works on the reply of a link while it is held, so that the same press twice comes one after the other. */
export function withReply<Value>(
  linkId: string,
  work: (reply: StoredReply | null, transaction: Transaction) => Promise<Value>,
): Promise<Value> {
  return inTransaction(async (transaction) => {
    await GuideLinkRow.findByPk(linkId, { transaction, lock: transaction.LOCK.UPDATE });
    const row = await ReplyRow.findOne({
      where: { linkId },
      include: [{ model: ReplyPartRow, as: 'parts' }],
      transaction,
    });
    return work(row && toReply(row), transaction);
  });
}

function toReply({ id, outcome, note, repliedAt, taken, parts = [] }: ReplyRow): StoredReply {
  return {
    id,
    outcome,
    note,
    repliedAt,
    taken,
    parts: parts.map(({ segment, minutes, ease, level }) => ({ segment, minutes, ease, level })),
  };
}

/** Writes the reply of a link, in place of the one there was. */
export async function writeReply(
  linkId: string,
  { parts, ...reply }: NewReply,
  { replaces, transaction }: { replaces: string | undefined; transaction: Transaction },
): Promise<void> {
  const id = replaces ?? randomUUID();
  if (replaces) await ReplyRow.update(reply, { where: { id }, transaction });
  else await ReplyRow.create({ id, linkId, ...reply }, { transaction });
  await ReplyPartRow.destroy({ where: { replyId: id }, transaction });
  await ReplyPartRow.bulkCreate(
    parts.map((part) => ({ replyId: id, ...part })),
    { transaction },
  );
}
