import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { personLetter } from '../../messages/personLetters.ts';
import { MessageRow, PersonLinkRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, personToken } from '../http/secrets.ts';
import { queueLetters, type PersonLetterFacts } from './letters.ts';

const MS_PER_HOUR = 3_600_000;

/** An open link of a kind by its token; null when it ended, was used, or never was. */
export async function findLink(token: string, kind: PersonLinkRow['kind']): Promise<PersonLinkRow | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  tables();
  const link = await PersonLinkRow.findOne({ where: { tokenHash: hashToken(token), kind, usedAt: null } });
  return link && link.expiresAt > new Date() ? link : null;
}

/** Uses a link up; a second one at the same moment is refused. */
export async function takeLink(link: PersonLinkRow, transaction: Transaction): Promise<void> {
  const [taken] = await PersonLinkRow.update(
    { usedAt: new Date() },
    { where: { id: link.id, usedAt: null }, transaction },
  );
  if (taken === 0) throw new EdgeError('not-found');
}

/** Makes a link and puts the letter that carries it into the outbox. */
export async function writeLink(
  link: Pick<PersonLinkRow, 'kind' | 'email' | 'name' | 'role' | 'programmeId' | 'createdBy'> & { userId?: string },
  facts: Omit<PersonLetterFacts, 'kind'>,
  { hours, transaction }: { hours: number; transaction: Transaction },
): Promise<void> {
  const id = randomUUID();
  const at = new Date();
  await PersonLinkRow.create(
    {
      userId: null,
      ...link,
      id,
      tokenHash: hashToken(personToken(id)),
      createdAt: at,
      expiresAt: new Date(at.getTime() + hours * MS_PER_HOUR),
      usedAt: null,
    },
    { transaction },
  );
  const messageId = randomUUID();
  const whole: PersonLetterFacts = { kind: link.kind, ...facts };
  await MessageRow.create(
    {
      id: messageId,
      programmeId: link.programmeId,
      personLinkId: id,
      recipient: link.email,
      subject: personLetter(whole, '').subject,
      state: 'waiting',
      facts: whole,
      mailId: null,
      sentAt: null,
    },
    { transaction },
  );
  await queueLetters([messageId], transaction);
}
