import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { readBackupHead } from '../server/backup/backupFile.ts';
import { makeBackup, restoreBackup } from '../server/backup/backups.ts';
import { DATA, withDatabase } from './ownDatabase.ts';

const ENCRYPT = '--passphrase';
const REPLACE = '--replace';

/** `footstool backup FILE [--passphrase]`: everything that is kept, in one file. */
export async function runBackup(words: readonly string[]): Promise<number> {
  const [path] = words.filter((word) => !word.startsWith('--'));
  if (!path) return say('footstool backup FILE [--passphrase] (asked for, or taken from FOOTSTOOL_BACKUP_PASSPHRASE)');
  if (existsSync(path)) return say(`there is a file ${path} already; nothing was written over it`);
  const passphrase = await passphraseFor(words.includes(ENCRYPT));
  return withDatabase(async () => {
    const head = await makeBackup(resolve(path), { passphrase, secret: ownSecret() });
    process.stdout.write(`${path} is written. ${head.note}\n`);
    return 0;
  });
}

/** `footstool restore FILE [--replace]`: puts a backup into an empty database, or in place of what is there. */
export async function runRestore(words: readonly string[]): Promise<number> {
  const [path] = words.filter((word) => !word.startsWith('--'));
  if (!path) return say('footstool restore FILE [--replace]');
  if (!existsSync(path)) return say(`there is no file ${path}`);
  try {
    const { head } = await readBackupHead(path);
    const passphrase = await passphraseFor(head.encrypted);
    return await withDatabase(async () => {
      const replaces = words.includes(REPLACE);
      const restored = await restoreBackup(resolve(path), { passphrase, replaces, secret: ownSecret() });
      process.stdout.write(`${path}, made ${head.madeAt}, is restored.\n`);
      if (restored.replaced) process.stdout.write(`What was there before is kept in ${restored.replaced}.\n`);
      process.stdout.write(`${secretWords(restored.secret)}\n`);
      process.stdout.write(
        'Letters that waited then are marked as perhaps sent: look at Sent before you post them again.\n',
      );
      return 0;
    });
  } catch (error) {
    return say(`${path} ${(error as Error).message}`, 1);
  }
}

/** The secret of this installation; null where none was made yet. */
function ownSecret(): string | null {
  const file = join(DATA, 'secret');
  return process.env.FOOTSTOOL_SECRET ?? (existsSync(file) ? readFileSync(file, 'utf8').trim() : null);
}

/** Brings the secret of a backup to its place and says what is to be done about it. */
function secretWords(secret: string | null): string {
  if (!secret)
    return 'The secret of links is not in this file: links sent before open only where FOOTSTOOL_SECRET is what it was then.';
  if (process.env.FOOTSTOOL_SECRET)
    return process.env.FOOTSTOOL_SECRET === secret
      ? 'The secret of links is the one that is set.'
      : 'The secret of links in this file is another one than FOOTSTOOL_SECRET: set that to it, or links sent before do not open.';
  const file = join(DATA, 'secret');
  if (existsSync(file) && readFileSync(file, 'utf8').trim() !== secret) renameSync(file, `${file}.before-restore`);
  writeFileSync(file, secret, { mode: 0o600 });
  return `The secret of links is in ${file}; links sent before open again.`;
}

async function passphraseFor(isWanted: boolean): Promise<string | undefined> {
  const set = process.env.FOOTSTOOL_BACKUP_PASSPHRASE;
  if (set || !isWanted) return set || undefined;
  const lines = createInterface({ input: process.stdin, output: process.stdin.isTTY ? process.stderr : undefined });
  try {
    const typed = process.stdin.isTTY
      ? await lines.question('Passphrase: ')
      : ((await lines[Symbol.asyncIterator]().next()).value as string | undefined);
    if (!typed) throw new Error('a passphrase is needed, and none was given');
    return typed;
  } finally {
    lines.close();
  }
}

function say(text: string, code = 2): number {
  process.stderr.write(`${text}\n`);
  return code;
}
