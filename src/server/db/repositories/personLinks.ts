import { Op } from 'sequelize';
import { MessageRow, PersonLinkRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import type { Role } from './people.ts';

/** A link by which somebody joins a programme, chooses a new password, or has everything deleted that is kept of a home. */
export interface PersonLink {
  readonly id: string;
  readonly kind: 'invite' | 'reset' | 'forget';
  /** The home that is deleted by it. */
  readonly homeId?: string | null;
  readonly tokenHash: string;
  readonly programmeId: string | null;
  readonly userId: string | null;
  readonly email: string;
  readonly name: string;
  readonly role: Role | null;
  readonly createdAt: Date;
  readonly createdBy: string | null;
  readonly expiresAt: Date;
}

/** An unused link of a kind by the hash of its token; null when it was used or never was. One query. */
export async function findOpenLink(tokenHash: string, kind: PersonLink['kind']): Promise<PersonLink | null> {
  tables();
  const row = await PersonLinkRow.findOne({ where: { tokenHash, kind, usedAt: null } });
  return row && (row.get({ plain: true }) as PersonLink);
}

/** Uses a link up; false when somebody did before. */
export async function useLink(id: string, transaction: Transaction): Promise<boolean> {
  const [taken] = await PersonLinkRow.update({ usedAt: new Date() }, { where: { id, usedAt: null }, transaction });
  return taken > 0;
}

/** Adds a link. */
export async function addLink(link: PersonLink, transaction: Transaction): Promise<void> {
  await PersonLinkRow.create({ ...link, usedAt: null }, { transaction });
}

/** Ends open links to choose a new password. */
export async function dropResets(userId: string, transaction: Transaction): Promise<void> {
  await PersonLinkRow.destroy({ where: { userId, kind: 'reset', usedAt: null }, transaction });
}

/** Ends open invitations of a programme, by id or by address; gives how many. */
export function dropInvitations(
  programmeId: string,
  which: { id: string } | { email: string },
  transaction?: Transaction,
): Promise<number> {
  tables();
  const where = { programmeId, ...which, kind: 'invite', usedAt: null };
  return PersonLinkRow.destroy({ where, ...(transaction && { transaction }) });
}

/** Open invitations of a programme, oldest first, with what became of their letters. Two queries. */
export async function readInvitations(
  programmeId: string,
): Promise<(Pick<PersonLink, 'id' | 'email' | 'name' | 'role' | 'expiresAt'> & { letter: MessageRow['state'] })[]> {
  tables();
  const links = await PersonLinkRow.findAll({
    where: { programmeId, kind: 'invite', usedAt: null },
    order: [['createdAt', 'ASC']],
  });
  const letters = await MessageRow.findAll({ where: { personLinkId: links.map(({ id }) => id) } });
  return links.map(({ id, email, name, role, expiresAt }) => ({
    id,
    email,
    name,
    role,
    expiresAt,
    letter: letters.find(({ personLinkId }) => personLinkId === id)?.state ?? 'failed',
  }));
}

/** Deletes links that ended before a moment. */
export async function removeLinksBefore(moment: Date): Promise<void> {
  tables();
  await PersonLinkRow.destroy({ where: { expiresAt: { [Op.lt]: moment } } });
}
