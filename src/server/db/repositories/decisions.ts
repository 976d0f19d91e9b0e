import { randomUUID } from 'node:crypto';
import type { CautionDecision } from '../../../core/homes/index.ts';
import { now } from '../../clock.ts';
import { SessionDecisionRow } from '../decisionTables.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';

/** A decision with its reason, and who made it when. */
export interface StoredDecision extends CautionDecision {
  readonly id: string;
  readonly words: readonly string[];
  readonly why: string;
  readonly by: string;
  readonly at: Date;
}

/** More than anybody decides about one session; the newest count. */
const MOST_DECISIONS = 1000;

/** What was decided about a session, the newest last. One query. */
export async function readDecisions(
  programmeId: string,
  sessionId: string,
  transaction?: Transaction,
): Promise<StoredDecision[]> {
  tables();
  if (!isUuid(sessionId)) return [];
  const rows = await SessionDecisionRow.findAll({
    where: { programmeId, sessionId },
    order: [['decidedAt', 'DESC']],
    limit: MOST_DECISIONS,
    ...(transaction && { transaction }),
  });
  return rows.reverse().map((row) => ({
    id: row.id,
    segment: row.segment,
    rule: row.rule,
    subject: row.subject,
    text: row.text,
    decided: row.decided,
    youngestMonths: row.youngestMonths,
    allergens: row.allergens,
    words: row.words.split('\n'),
    why: row.why,
    by: row.decidedByName,
    at: row.decidedAt,
  }));
}

/** Writes a decision down. One query. */
export async function addDecision(
  { programmeId, sessionId }: { programmeId: string; sessionId: string },
  decision: Omit<StoredDecision, 'id' | 'at'> & { readonly userId: string },
): Promise<void> {
  tables();
  const { words, by, userId, ...rest } = decision;
  await SessionDecisionRow.create({
    id: randomUUID(),
    programmeId,
    sessionId,
    ...rest,
    allergens: [...rest.allergens],
    words: words.join('\n').slice(0, 4000),
    decidedBy: userId,
    decidedByName: by,
    decidedAt: now(),
  });
}

/** Takes a decision back; whether there was one. One query. */
export async function removeDecision(programmeId: string, sessionId: string, id: string): Promise<boolean> {
  tables();
  if (!isUuid(sessionId) || !isUuid(id)) return false;
  return (await SessionDecisionRow.destroy({ where: { id, programmeId, sessionId } })) > 0;
}
