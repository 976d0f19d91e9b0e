import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Role } from '../../contracts/peopleForms.ts';
import { programmeSettings } from '../../contracts/programme.ts';
import { personLetter } from '../../messages/personLetters.ts';
import { MembershipRow, MessageRow, PersonLinkRow, ProgrammeRow, UserRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { isUuid } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, isFirstOwnerCode, personToken } from '../http/secrets.ts';
import { queueLetters, type PersonLetterFacts } from './letters.ts';
import type { Person } from './person.ts';
import { checkPassword, hashPassword, isPassword, signOut, signOutEverywhere, startSignIn } from './signIn.ts';
import { countTry } from './tries.ts';

const MS_PER_HOUR = 3_600_000;
const HOURS_TO_RESET = 1;
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
    await MembershipRow.upsert({ userId: id, programmeId: link.programmeId!, role: link.role! }, { transaction });
    return id;
  });
  return startSignIn(userId, link.programmeId!, from);
}

/** Sends a link to choose a new password, if somebody has the address; says never whether. */
export async function askForReset(email: string, from: string, address: string): Promise<void> {
  await countTry('letterPlace', from);
  await countTry('letter', email.slice(0, 240));
  tables();
  const user = await UserRow.findOne({ where: { email } });
  if (!user) return;
  await tables().transaction((transaction) =>
    writeLink(
      { kind: 'reset', email, name: user.name, role: null, programmeId: null, createdBy: null, userId: user.id },
      { programme: '', name: user.name, by: '', address },
      { hours: HOURS_TO_RESET, transaction },
    ),
  );
}

/** Whether a link to choose a new password still works. */
export async function isResetOpen(token: string): Promise<boolean> {
  return (await findLink(token, 'reset')) !== null;
}

/** Takes a new password by a link; every sign-in and every other such link of that person ends. */
export async function resetPassword(token: string, password: string): Promise<void> {
  const link = await findLink(token, 'reset');
  if (!link) throw new EdgeError('not-found');
  const passwordHash = await hashPassword(password);
  await tables().transaction(async (transaction) => {
    await takeLink(link, transaction);
    await UserRow.update({ passwordHash }, { where: { id: link.userId! }, transaction });
    await PersonLinkRow.destroy({ where: { userId: link.userId!, kind: 'reset', usedAt: null }, transaction });
  });
  await signOutEverywhere(link.userId!);
}

/** Changes one's own password; all other sign-ins end. */
export async function changePassword(
  person: Person,
  { current, password }: { current: string; password: string },
  { token, from }: { token: string; from: string },
): Promise<void> {
  await countTry('pair', `${person.email}|${from}`.slice(0, 240));
  tables();
  const user = await UserRow.findByPk(person.userId);
  if (!user || !(await isPassword(current, user.passwordHash))) throw wrong('current', 'is not your password');
  await user.update({ passwordHash: await hashPassword(password) });
  await signOutEverywhere(person.userId, token);
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

/** Whether the installation has nobody yet. */
export async function isWithoutOwner(): Promise<boolean> {
  tables();
  return (await UserRow.count()) === 0;
}

export interface FirstOwner {
  readonly programme: string;
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

/** Makes the first owner and a programme, for the code that the log shows; works while there is nobody, and once. */
export async function begin(code: string, owner: FirstOwner, from: string): Promise<string> {
  await countTry('begin', from);
  if (!isFirstOwnerCode(code)) throw wrong('code', 'is not the one that stands in the log');
  const { userId, programmeId } = await addOwner(owner, { onlyFirst: true });
  return startSignIn(userId, programmeId, from);
}

/** Makes somebody the owner of a programme, new or there already, as `footstool owner` does. */
export async function addOwner(
  { programme: name, name: person, email, password }: FirstOwner,
  { onlyFirst }: { onlyFirst: boolean },
): Promise<{ userId: string; programmeId: string }> {
  const passwordHash = await hashPassword(password);
  return tables().transaction(async (transaction) => {
    // Two first owners at once come one after the other, and the second is refused.
    await tables().query('SELECT pg_advisory_xact_lock(4711)', { transaction });
    if (onlyFirst && (await UserRow.count({ transaction })) > 0) throw new EdgeError('not-found');
    const known = await UserRow.findOne({ where: { email }, transaction });
    const user =
      known ?? (await UserRow.create({ id: randomUUID(), email, name: person, passwordHash }, { transaction }));
    if (known) await known.update({ passwordHash, name: person }, { transaction });
    const programme =
      (await ProgrammeRow.findOne({ where: { name }, transaction })) ??
      (await ProgrammeRow.create(
        { id: randomUUID(), slug: await freeSlug(name, transaction), name, settings: programmeSettings.getDefault() },
        { transaction },
      ));
    await MembershipRow.upsert({ userId: user.id, programmeId: programme.id, role: 'owner' }, { transaction });
    return { userId: user.id, programmeId: programme.id };
  });
}

async function freeSlug(name: string, transaction: Transaction): Promise<string> {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 40)
    .replace(/^-+|-+$/g, '');
  const slug = plain || 'programme';
  const isTaken = (await ProgrammeRow.count({ where: { slug }, transaction })) > 0;
  return isTaken ? `${slug}-${randomUUID().slice(0, 8)}` : slug;
}

async function findLink(token: string, kind: PersonLinkRow['kind']): Promise<PersonLinkRow | null> {
  if (!/^[A-Za-z0-9_-]{43}$/.test(token)) return null;
  tables();
  const link = await PersonLinkRow.findOne({ where: { tokenHash: hashToken(token), kind, usedAt: null } });
  return link && link.expiresAt > new Date() ? link : null;
}

/** Uses a link up; a second one at the same moment is refused. */
async function takeLink(link: PersonLinkRow, transaction: Transaction): Promise<void> {
  const [taken] = await PersonLinkRow.update(
    { usedAt: new Date() },
    { where: { id: link.id, usedAt: null }, transaction },
  );
  if (taken === 0) throw new EdgeError('not-found');
}

async function writeLink(
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
