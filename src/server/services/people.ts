import { randomUUID } from 'node:crypto';
import type { Role } from '../../contracts/peopleForms.ts';
import { MembershipRow, MessageRow, PersonLinkRow, ProgrammeRow, UserRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { isUuid } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { findLink, takeLink, writeLink } from './personLinks.ts';
import { checkPassword, hashPassword, signOut, startSignIn } from './signIn.ts';

const HOURS_TO_JOIN = 7 * 24;

export interface Member {
  readonly userId: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

export interface Invitation {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly role: Role;
  readonly expiresAt: Date;
  readonly letter: MessageRow['state'];
}

function requireOwner(person: Person): void {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
}

const wrong = (path: string, message: string) => new EdgeError('wrong-input', { problems: [{ path, message }] });

/** Who works in a programme and who is asked to; for its owners. */
export async function listPeople(person: Person): Promise<{ members: Member[]; invitations: Invitation[] }> {
  requireOwner(person);
  tables();
  const { programmeId } = person;
  const [members, links] = await Promise.all([
    MembershipRow.findAll({ where: { programmeId }, include: [{ model: UserRow, as: 'user' }] }),
    PersonLinkRow.findAll({ where: { programmeId, kind: 'invite', usedAt: null }, order: [['createdAt', 'ASC']] }),
  ]);
  const letters = await MessageRow.findAll({ where: { personLinkId: links.map(({ id }) => id) } });
  return {
    members: members
      .map(({ user, role }) => ({ userId: user!.id, name: user!.name, email: user!.email, role }))
      .sort((left, right) => left.name.localeCompare(right.name)),
    invitations: links.map(({ id, email, name, role, expiresAt }) => ({
      id,
      email,
      name,
      role: role!,
      expiresAt,
      letter: letters.find(({ personLinkId }) => personLinkId === id)?.state ?? 'failed',
    })),
  };
}

/** Asks somebody to join by a letter; one who was asked before gets a new link in place of the old one. */
export async function invite(
  person: Person,
  { email, name, role }: { email: string; name: string; role: Role },
  address: string,
): Promise<void> {
  requireOwner(person);
  await tables().transaction(async (transaction) => {
    await ProgrammeRow.findByPk(person.programmeId, { transaction, lock: transaction.LOCK.UPDATE });
    const user = await UserRow.findOne({ where: { email }, transaction });
    const where = { programmeId: person.programmeId };
    if (user && (await MembershipRow.count({ where: { ...where, userId: user.id }, transaction })) > 0)
      throw wrong('email', 'belongs to somebody who is in this programme already');
    await PersonLinkRow.destroy({ where: { ...where, email, kind: 'invite', usedAt: null }, transaction });
    const link = {
      kind: 'invite' as const,
      email,
      name,
      role,
      programmeId: person.programmeId,
      createdBy: person.userId,
    };
    const facts = { programme: person.programme, name, by: person.name, address };
    await writeLink(link, facts, { hours: HOURS_TO_JOIN, transaction });
  });
}

/** Takes back an invitation that was not used. */
export async function withdrawInvitation(person: Person, id: string): Promise<void> {
  requireOwner(person);
  tables();
  const where = { id, programmeId: person.programmeId, kind: 'invite', usedAt: null };
  if (!isUuid(id) || (await PersonLinkRow.destroy({ where })) === 0) throw new EdgeError('not-found');
}

/** Gives somebody another part, or none. A programme keeps an owner. */
export async function changeRole(person: Person, userId: string, role: Role | null): Promise<void> {
  requireOwner(person);
  await tables().transaction(async (transaction) => {
    const { programmeId } = person;
    await ProgrammeRow.findByPk(programmeId, { transaction, lock: transaction.LOCK.UPDATE });
    const members = await MembershipRow.findAll({ where: { programmeId }, transaction });
    const member = members.find((candidate) => candidate.userId === userId);
    if (!member) throw new EdgeError('not-found');
    const isLastOwner = member.role === 'owner' && members.filter((other) => other.role === 'owner').length === 1;
    if (isLastOwner && role !== 'owner')
      throw wrong('role', 'a programme needs an owner; make somebody else one first');
    if (role === null) await member.destroy({ transaction });
    else await member.update({ role }, { transaction });
  });
}

export interface OpenInvitation {
  readonly email: string;
  readonly name: string;
  readonly programme: string;
  /** Somebody has an account with that address: its password is asked for. */
  readonly hasAccount: boolean;
}

/** What an invitation is for; null when it ended, was used, or never was. */
export async function openInvitation(token: string): Promise<OpenInvitation | null> {
  const link = await findLink(token, 'invite');
  if (!link) return null;
  const [programme, user] = await Promise.all([
    ProgrammeRow.findByPk(link.programmeId!),
    UserRow.findOne({ where: { email: link.email } }),
  ]);
  return { email: link.email, name: link.name, programme: programme!.name, hasAccount: user !== null };
}

/** Joins by an invitation; gives a token for the cookie. The invitation works once. */
export async function join(
  token: string,
  { name, password }: { name: string; password: string },
  from: string,
): Promise<string> {
  const link = await findLink(token, 'invite');
  if (!link) throw new EdgeError('not-found');
  const known = await UserRow.findOne({ where: { email: link.email } });
  if (known) await checkPassword(link.email, password, from);
  const passwordHash = known ? known.passwordHash : await hashPassword(password);
  const userId = await tables().transaction(async (transaction) => {
    await takeLink(link, transaction);
    const id = known?.id ?? randomUUID();
    if (!known) await UserRow.create({ id, email: link.email, name, passwordHash }, { transaction });
    // Who has come in another way meanwhile keeps the part they have: an old invitation takes nothing from an owner.
    const where = { userId: id, programmeId: link.programmeId! };
    await MembershipRow.findOrCreate({ where, defaults: { ...where, role: link.role! }, transaction });
    return id;
  });
  return startSignIn(userId, link.programmeId!, from);
}

/** The programmes somebody works in, by name. */
export async function listProgrammes(person: Person): Promise<{ id: string; name: string; role: Role }[]> {
  tables();
  const rows = await MembershipRow.findAll({
    where: { userId: person.userId },
    include: [{ model: ProgrammeRow, as: 'programme', attributes: ['id', 'name'] }],
  });
  return rows
    .map(({ programme, role }) => ({ id: programme!.id, name: programme!.name, role }))
    .sort((left, right) => left.name.localeCompare(right.name));
}

/** Goes over to another programme one works in, by a fresh sign-in; gives its token. */
export async function workIn(
  person: Person,
  programmeId: string,
  { token, from }: { token: string; from: string },
): Promise<string> {
  tables();
  const isMember =
    isUuid(programmeId) && (await MembershipRow.count({ where: { userId: person.userId, programmeId } })) > 0;
  if (!isMember) throw new EdgeError('not-found');
  await signOut(token);
  return startSignIn(person.userId, programmeId, from);
}
