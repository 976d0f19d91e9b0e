import { randomUUID } from 'node:crypto';
import { literal, Op } from 'sequelize';
import { MembershipRow, ProgrammeRow, UserRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';

export type Role = MembershipRow['role'];

/** Somebody who can sign in. */
export interface User {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly passwordHash: string;
}

const toUser = ({ id, email, name, passwordHash }: UserRow): User => ({ id, email, name, passwordHash });

/** Whose address that is; null when nobody has it. One query. */
export async function findUserByEmail(email: string, transaction?: Transaction): Promise<User | null> {
  tables();
  const row = await UserRow.findOne({ where: { email }, ...(transaction && { transaction }) });
  return row && toUser(row);
}

/** A user by its id; null when it is gone. One query. */
export async function findUser(id: string): Promise<User | null> {
  tables();
  const row = await UserRow.findByPk(id);
  return row && toUser(row);
}

/** How many people the installation has. One query. */
export function countUsers(transaction?: Transaction): Promise<number> {
  tables();
  return UserRow.count({ ...(transaction && { transaction }) });
}

/** Adds somebody; gives the id. */
export async function addUser(user: Omit<User, 'id'>, transaction?: Transaction): Promise<string> {
  tables();
  const id = randomUUID();
  await UserRow.create({ id, ...user }, { ...(transaction && { transaction }) });
  return id;
}

/** Removes those of these addresses who work in no programme (any more). One query. */
export async function removeUsersWithoutProgramme(emails: readonly string[]): Promise<void> {
  tables();
  await UserRow.destroy({
    where: { email: [...emails], id: { [Op.notIn]: literal('(SELECT user_id FROM memberships)') } },
  });
}

/** Changes what is kept of somebody. */
export async function changeUser(
  id: string,
  change: Partial<Omit<User, 'id'>>,
  transaction?: Transaction,
): Promise<void> {
  tables();
  await UserRow.update(change, { where: { id }, ...(transaction && { transaction }) });
}

/** Who works in a programme, with names. One query. */
export async function readMembers(
  programmeId: string,
): Promise<{ userId: string; name: string; email: string; role: Role }[]> {
  tables();
  const rows = await MembershipRow.findAll({ where: { programmeId }, include: [{ model: UserRow, as: 'user' }] });
  return rows.map(({ user, role }) => ({ userId: user!.id, name: user!.name, email: user!.email, role }));
}

/** The parts that people have in a programme. One query. */
export async function readRoles(
  programmeId: string,
  transaction: Transaction,
): Promise<{ userId: string; role: Role }[]> {
  const rows = await MembershipRow.findAll({ where: { programmeId }, transaction });
  return rows.map(({ userId, role }) => ({ userId, role }));
}

/** The programmes somebody works in, with their names. One query. */
export async function readMemberships(userId: string): Promise<{ id: string; name: string; role: Role }[]> {
  tables();
  const rows = await MembershipRow.findAll({
    where: { userId },
    include: [{ model: ProgrammeRow, as: 'programme', attributes: ['id', 'name'] }],
    order: [['programmeId', 'ASC']],
  });
  return rows.map(({ programme, role }) => ({ id: programme!.id, name: programme!.name, role }));
}

/** The programme somebody is signed in to first; null without one. One query. */
export async function firstProgrammeOf(userId: string): Promise<string | null> {
  tables();
  const row = await MembershipRow.findOne({ where: { userId }, order: [['programmeId', 'ASC']] });
  return row && row.programmeId;
}

/** Whether somebody works in a programme. One query. */
export async function isMember(userId: string, programmeId: string, transaction?: Transaction): Promise<boolean> {
  tables();
  const where = { userId, programmeId };
  return (await MembershipRow.count({ where, ...(transaction && { transaction }) })) > 0;
}

/** Gives somebody a part in a programme, or another one. */
export async function setRole(
  { userId, programmeId, role }: { userId: string; programmeId: string; role: Role },
  transaction?: Transaction,
): Promise<void> {
  tables();
  await MembershipRow.upsert({ userId, programmeId, role }, { ...(transaction && { transaction }) });
}

/** Gives somebody a part in a programme, unless they have one already. */
export async function joinProgramme(
  { userId, programmeId, role }: { userId: string; programmeId: string; role: Role },
  transaction: Transaction,
): Promise<void> {
  const where = { userId, programmeId };
  await MembershipRow.findOrCreate({ where, defaults: { ...where, role }, transaction });
}

/** Takes somebody out of a programme. */
export async function leaveProgramme(userId: string, programmeId: string, transaction: Transaction): Promise<void> {
  await MembershipRow.destroy({ where: { userId, programmeId }, transaction });
}

/** The id of an owner of a programme; null without one. One query. */
export async function findOwner(programmeId: string): Promise<string | null> {
  tables();
  const row = await MembershipRow.findOne({ where: { programmeId, role: 'owner' } });
  return row && row.userId;
}
