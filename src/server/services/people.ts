import type { MessageState } from '../db/repositories/messages.ts';
import {
  addUser,
  findUserByEmail,
  isMember,
  joinProgramme,
  leaveProgramme,
  readMembers,
  readMemberships,
  readRoles,
  setRole,
} from '../db/repositories/people.ts';
import { dropInvitations, readInvitations } from '../db/repositories/personLinks.ts';
import { findProgramme, holdProgramme } from '../db/repositories/programmes.ts';
import { inTransaction } from '../db/transaction.ts';
import type { Role } from '../../contracts/peopleForms.ts';
import { isUuid } from '../db/isUuid.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { findLink, takeLink, writeLink } from './personLinks.ts';
import { deskOf, type Desk, checkPassword, hashPassword, signOut, startSignIn } from './signIn.ts';

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
  readonly letter: MessageState;
}

function requireOwner(person: Person): void {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
}

const wrong = (path: string, message: string) => new EdgeError('wrong-input', { problems: [{ path, message }] });

/** Who works in a programme and who is asked to; for its owners. */
export async function listPeople(person: Person): Promise<{ members: Member[]; invitations: Invitation[] }> {
  requireOwner(person);
  const [members, invitations] = await Promise.all([
    readMembers(person.programmeId),
    readInvitations(person.programmeId),
  ]);
  return {
    members: members.sort((left, right) => left.name.localeCompare(right.name)),
    invitations: invitations.map(({ role, ...invitation }) => ({ ...invitation, role: role! })),
  };
}

/** Asks somebody to join by a letter; one who was asked before gets a new link in place of the old one. */
export async function invite(
  person: Person,
  { email, name, role }: { email: string; name: string; role: Role },
  address: string,
): Promise<void> {
  requireOwner(person);
  await inTransaction(async (transaction) => {
    await holdProgramme(person.programmeId, transaction);
    const user = await findUserByEmail(email, transaction);
    if (user && (await isMember(user.id, person.programmeId, transaction)))
      throw wrong('email', 'belongs to somebody who is in this programme already');
    await dropInvitations(person.programmeId, { email }, transaction);
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
  if (!isUuid(id) || (await dropInvitations(person.programmeId, { id })) === 0) throw new EdgeError('not-found');
}

/** Gives somebody another part, or none. A programme keeps an owner. */
export async function changeRole(person: Person, userId: string, role: Role | null): Promise<void> {
  requireOwner(person);
  await inTransaction(async (transaction) => {
    const { programmeId } = person;
    await holdProgramme(programmeId, transaction);
    const members = await readRoles(programmeId, transaction);
    const member = members.find((candidate) => candidate.userId === userId);
    if (!member) throw new EdgeError('not-found');
    const isLastOwner = member.role === 'owner' && members.filter((other) => other.role === 'owner').length === 1;
    if (isLastOwner && role !== 'owner')
      throw wrong('role', 'a programme needs an owner; make somebody else one first');
    if (role === null) await leaveProgramme(userId, programmeId, transaction);
    else await setRole({ userId, programmeId, role }, transaction);
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
  const [programme, user] = await Promise.all([findProgramme(link.programmeId!), findUserByEmail(link.email)]);
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
  const known = await findUserByEmail(link.email);
  if (known) await checkPassword(link.email, password, from);
  const passwordHash = known ? known.passwordHash : await hashPassword(password);
  const userId = await inTransaction(async (transaction) => {
    await takeLink(link, transaction);
    const id = known?.id ?? (await addUser({ email: link.email, name, passwordHash }, transaction));
    // Who has come in another way meanwhile keeps the part they have: an old invitation takes nothing from an owner.
    await joinProgramme({ userId: id, programmeId: link.programmeId!, role: link.role! }, transaction);
    return id;
  });
  return startSignIn(userId, link.programmeId!, from);
}

/** The programmes somebody works in, by name. */
export async function listProgrammes(person: Person): Promise<{ id: string; name: string; role: Role }[]> {
  const programmes = await readMemberships(person.userId);
  return programmes.sort((left, right) => left.name.localeCompare(right.name));
}

/** Goes over to another programme one works in, by a fresh sign-in at the same desk; gives its token. */
export async function workIn(
  person: Person,
  programmeId: string,
  { token, from }: { token: string; from: string },
): Promise<{ token: string; desk: Desk }> {
  if (!isUuid(programmeId) || !(await isMember(person.userId, programmeId))) throw new EdgeError('not-found');
  const desk = await deskOf(token);
  await signOut(token);
  return { token: await startSignIn(person.userId, programmeId, from, desk), desk };
}
