import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { programmeSettings } from '../../contracts/programme.ts';
import { MembershipRow, ProgrammeRow, UserRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { isFirstOwnerCode } from '../http/secrets.ts';
import { hashPassword, startSignIn } from './signIn.ts';
import { countTry } from './tries.ts';

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
  if (!isFirstOwnerCode(code))
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'code', message: 'is not the one that stands in the log' }],
    });
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
