import { addLink, findOpenLink, useLink, type PersonLink } from '../db/repositories/personLinks.ts';
import { type Transaction } from '../db/transaction.ts';
import { randomUUID } from 'node:crypto';
import { personLetter } from '../../messages/personLetters.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, personToken } from '../http/secrets.ts';
import { queueLetters, type PersonLetterFacts } from './letters.ts';

const MS_PER_HOUR = 3_600_000;

/** An open link of a kind by its token; null when it ended, was used, or never was. */
export async function findLink(token: string, kind: PersonLink['kind']): Promise<PersonLink | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  const link = await findOpenLink(hashToken(token), kind);
  return link && link.expiresAt > new Date() ? link : null;
}

/** Uses a link up; a second one at the same moment is refused. */
export async function takeLink(link: PersonLink, transaction: Transaction): Promise<void> {
  if (!(await useLink(link.id, transaction))) throw new EdgeError('not-found');
}

/** Makes a link and puts the letter that carries it into the outbox. */
export async function writeLink(
  link: Pick<PersonLink, 'email' | 'name' | 'role' | 'programmeId' | 'createdBy'> & {
    kind: PersonLetterFacts['kind'];
    userId?: string;
  },
  facts: Omit<PersonLetterFacts, 'kind'>,
  { hours, transaction }: { hours: number; transaction: Transaction },
): Promise<void> {
  const id = randomUUID();
  const at = new Date();
  await addLink(
    {
      userId: null,
      ...link,
      id,
      tokenHash: hashToken(personToken(id)),
      createdAt: at,
      expiresAt: new Date(at.getTime() + hours * MS_PER_HOUR),
    },
    transaction,
  );
  const whole: PersonLetterFacts = { kind: link.kind, ...facts };
  const letter = { recipient: link.email, subject: personLetter(whole, '').subject, facts: whole };
  await queueLetters([{ programmeId: link.programmeId, personLinkId: id, ...letter }], { transaction });
}
