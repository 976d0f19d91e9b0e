import { hold } from '../db/hold.ts';
import { addUser, changeUser, countUsers, findUserByEmail, setRole } from '../db/repositories/people.ts';
import { addProgrammeRow, findProgrammeBy } from '../db/repositories/programmes.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { randomUUID } from 'node:crypto';
import { programmeSettings } from '../../contracts/programme.ts';
import { EdgeError } from '../http/errors.ts';
import { isFirstOwnerCode } from '../http/secrets.ts';
import { hashPassword, startSignIn } from './signIn.ts';
import { takeStarter } from './starter.ts';
import { countTry } from './tries.ts';

/** Whether the installation has nobody yet. */
export async function isWithoutOwner(): Promise<boolean> {
  return (await countUsers()) === 0;
}

export interface FirstOwner {
  readonly programme: string;
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

/** Makes the first owner and a programme, with the starter collection if that is wanted, for the code that the log shows; works while there is nobody, and once. */
export async function begin(
  code: string,
  { starter, ...owner }: FirstOwner & { readonly starter: string },
  from: string,
): Promise<string> {
  await countTry('begin', from);
  if (!isFirstOwnerCode(code))
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'code', message: 'isn’t the one in the log' }],
    });
  const { userId, programmeId } = await addOwner(owner, { onlyFirst: true });
  if (starter !== '') await takeStarter({ programmeId, role: 'owner' }, 'all');
  return startSignIn(userId, programmeId, from);
}

/** Makes somebody the owner of a programme, new or there already, as `footstool owner` does. */
export async function addOwner(
  { programme: name, name: person, email, password }: FirstOwner,
  { onlyFirst }: { onlyFirst: boolean },
): Promise<{ userId: string; programmeId: string; isNew: boolean }> {
  const passwordHash = await hashPassword(password);
  return inTransaction(async (transaction) => {
    // Two first owners at once come one after the other, and the second is refused.
    await hold('first-owner', transaction);
    if (onlyFirst && (await countUsers(transaction)) > 0) throw new EdgeError('not-found');
    const known = await findUserByEmail(email, transaction);
    const userId = known?.id ?? (await addUser({ email, name: person, passwordHash }, transaction));
    if (known) await changeUser(userId, { passwordHash, name: person }, transaction);
    const programme = await findProgrammeBy({ name }, transaction);
    const settings = programmeSettings.getDefault();
    const programmeId =
      programme?.id ??
      (await addProgrammeRow({ slug: await freeSlug(name, transaction), name, settings }, transaction));
    await setRole({ userId, programmeId, role: 'owner' }, transaction);
    return { userId, programmeId, isNew: programme === null };
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
  const isTaken = (await findProgrammeBy({ slug }, transaction)) !== null;
  return isTaken ? `${slug}-${randomUUID().slice(0, 8)}` : slug;
}
