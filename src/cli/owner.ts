import { createInterface } from 'node:readline/promises';
import { beginForm } from '../contracts/peopleForms.ts';
import { checkForm } from '../contracts/problems.ts';
import { addOwner } from '../server/services/firstOwner.ts';
import { backUpBeforeChange } from '../server/backup/backups.ts';
import { holdingInstallation } from '../server/db/hold.ts';
import { migrate } from '../server/db/migrations/migrate.ts';
import { takeStarter } from '../server/services/starter.ts';
import { withDatabase } from './ownDatabase.ts';

/** `footstool owner EMAIL NAME PROGRAMME`: makes somebody an owner, a new programme with the starter collection; the password is asked for, or read from standard input. */
export async function runOwner([email, name, programme]: readonly string[]): Promise<number> {
  if (!email || !name || !programme) {
    process.stderr.write(
      'footstool owner EMAIL NAME PROGRAMME (the password is asked for, or read from standard input)\n',
    );
    return 2;
  }
  const password = await readPassword();
  const form = checkForm(beginForm, { code: 'none', programme, name, email, password, again: password });
  if (!form.ok) {
    for (const { path, message } of form.problem) process.stderr.write(`${path} ${message}\n`);
    return 2;
  }
  return withDatabase(async () => {
    await holdingInstallation(() => migrate({ beforeChange: backUpBeforeChange }));
    const { code: _code, again: _again, starter: _starter, ...owner } = form.value;
    const { programmeId, isNew } = await addOwner(owner, { onlyFirst: false });
    if (isNew) await takeStarter({ programmeId, role: 'owner' }, 'all');
    process.stdout.write(`${owner.name} is an owner of ${owner.programme} and signs in as ${owner.email}\n`);
    return 0;
  });
}

async function readPassword(): Promise<string> {
  const lines = createInterface({ input: process.stdin, output: process.stdin.isTTY ? process.stderr : undefined });
  try {
    return process.stdin.isTTY
      ? await lines.question('Password (at least 10 characters): ')
      : ((await lines[Symbol.asyncIterator]().next()).value ?? '');
  } finally {
    lines.close();
  }
}
