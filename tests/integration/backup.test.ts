import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { after, before, test } from 'node:test';
import { readBackupHead } from '../../src/server/backup/backupFile.ts';
import {
  backupFolder,
  backUpBeforeChange,
  backUpNightly,
  makeBackup,
  restoreBackup,
} from '../../src/server/backup/backups.ts';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { migrate, NEWEST_SCHEMA } from '../../src/server/db/migrations/migrate.ts';
import { hearSound, keepRecording } from '../../src/server/services/soundRecordings.ts';
import { keepReply, openGuide } from '../../src/server/services/guides.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { SECRET, startTestDatabase, testEnvironment, type TestDatabase } from '../support/app.ts';
import { humFile } from '../support/humFile.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
let other: TestDatabase;
let token = '';
before(async () => {
  at = await startProgrammes();
  other = await startTestDatabase();
  const sessionId = await sendToAll('A parcel for Nim');
  token = (await listLinks(at.owner, sessionId))[0]!.token;
  await keepReply(token, reply({ note: 'Kept for years.' }));
  await keepRecording(at.owner, { sound: 'm', file: humFile({}) });
  await database().query(`UPDATE messages SET state = 'waiting' WHERE id = (SELECT id FROM messages LIMIT 1)`);
});
after(async () => {
  await at.remove();
  await other.remove();
});
const { sendToAll, reply, rows } = helpersFor(() => at);

const file = (name: string) => join(process.env.FOOTSTOOL_DATA!, name);

/** Rows of every table but those that are left out, as text, letters that waited aside. */
async function everything(): Promise<Record<string, string>> {
  const tables = await rows<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1`,
  );
  const content: Record<string, string> = {};
  for (const { name } of tables.filter((table) => !['sign_ins', 'tries'].includes(table.name))) {
    const [found] = await rows<{ text: string }>(
      `SELECT coalesce(string_agg(line, E'\\n' ORDER BY line), '') AS text FROM (SELECT to_jsonb(t)::text AS line FROM "${name}" t) AS all_lines`,
    );
    content[name] = name === 'messages' ? found!.text.replaceAll('"unclear"', '"waiting"') : found!.text;
  }
  return content;
}

/** Works on the other database, which is emptied first. */
async function inOther<Value>(work: () => Promise<Value>): Promise<Value> {
  const { DATABASE_URL: own } = process.env;
  await closeDatabase();
  process.env.DATABASE_URL = other.url;
  try {
    return await work();
  } finally {
    await closeDatabase();
    process.env.DATABASE_URL = own;
  }
}
const empty = () =>
  database().query('DROP SCHEMA IF EXISTS queue CASCADE; DROP SCHEMA public CASCADE; CREATE SCHEMA public');

test('a backup is restored whole into an empty database, encrypted or not, and links and recordings work there', async () => {
  const content = await everything();
  for (const passphrase of [undefined, 'seven small ducks']) {
    const path = file(`whole-${passphrase ? 'encrypted' : 'plain'}.backup`);
    const head = await makeBackup(path, { passphrase, secret: SECRET });
    assert.equal(head.encrypted, passphrase !== undefined);
    const bytes = readFileSync(path);
    assert.ok(!bytes.includes(SECRET), 'the secret is not to be read in it');
    assert.match(head.note, passphrase ? /Holds everything/ : /is NOT in it/);
    await inOther(async () => {
      await empty();
      await closeDatabase();
      const restored = await restoreBackup(path, { passphrase, secret: null });
      assert.equal(restored.secret, passphrase ? SECRET : null);
      assert.deepEqual(await everything(), content);
      const [unclear] = await rows<{ count: string }>("SELECT count(*) FROM messages WHERE state = 'unclear'");
      assert.equal(unclear!.count, '1', 'a letter that waited may have gone out since');
      assert.equal((await openGuide(token))!.reply!.note, 'Kept for years.');
      assert.ok((await hearSound(at.owner, 'm')).audio.length > 1000);
      await closeDatabase();
      await assert.rejects(restoreBackup(path, { passphrase, secret: null }), /holds something already/);
      const { replaced } = await restoreBackup(path, { passphrase, replaces: true, secret: SECRET });
      assert.equal((await readBackupHead(replaced!)).head.schema, NEWEST_SCHEMA);
    });
  }
});

test('a file that is no backup, is cut, changed or opened with another passphrase is refused in words and changes nothing', async () => {
  const passphrase = 'seven small ducks';
  const whole = readFileSync(file('whole-encrypted.backup'));
  const plain = readFileSync(file('whole-plain.backup'));
  const changed = (bytes: Buffer, place: number) => {
    const copy = Buffer.from(bytes);
    copy[place]! ^= 1;
    return copy;
  };
  const wrong: [string, Buffer, RegExp][] = [
    ['nothing', Buffer.alloc(0), /is not a backup/],
    ['words', Buffer.from('footstool-backup 1\nhello'), /is not a backup/],
    ['head', Buffer.from('footstool-backup 1\n{"schema":\nrest'), /damaged/],
    ['cut', whole.subarray(0, whole.length - 4000), /another one, or the file is damaged/],
    ['changed', changed(whole, whole.length - 3000), /another one, or the file is damaged/],
    [
      'changed-head',
      Buffer.from(whole.toString('latin1').replace('"encrypted":true', '"encrypted":true '), 'latin1'),
      /damaged/,
    ],
    ['plain-cut', plain.subarray(0, plain.length - 4000), /damaged or not whole/],
    ['plain-changed', changed(plain, plain.length - 3000), /damaged or not whole/],
    [
      'newer',
      Buffer.from(plain.toString('latin1').replace(NEWEST_SCHEMA, '9999-from-later'), 'latin1'),
      /newer version/,
    ],
  ];
  await inOther(async () => {
    await empty();
    await closeDatabase();
    for (const [name, bytes, words] of wrong) {
      writeFileSync(file(name), bytes);
      await assert.rejects(restoreBackup(file(name), { passphrase, secret: null }), words, name);
    }
    await assert.rejects(
      restoreBackup(file('whole-encrypted.backup'), { passphrase: 'eight', secret: null }),
      /passphrase/,
    );
    await assert.rejects(restoreBackup(file('whole-encrypted.backup'), { secret: null }), /passphrase is needed/);
    const tables = await rows(`SELECT 1 FROM information_schema.tables WHERE table_schema = 'public'`);
    assert.equal(tables.length, 0);
  });
});

test('a backup is made each night once, kept for fourteen days, and not before two at night', async () => {
  const began = process.env.FOOTSTOOL_NOW!;
  const at_ = (moment: string) => (process.env.FOOTSTOOL_NOW = moment);
  try {
    at_('2027-03-08T01:30:00Z');
    assert.equal(await backUpNightly(), null);
    for (let day = 8; day <= 24; day++) {
      at_(`2027-03-${String(day).padStart(2, '0')}T03:00:00Z`);
      assert.match((await backUpNightly())!, new RegExp(`night-2027-03-${String(day).padStart(2, '0')}`));
      assert.equal(await backUpNightly(), null, 'once a night');
    }
    const nights = readdirSync(backupFolder())
      .filter((name) => name.startsWith('night-'))
      .sort();
    assert.equal(nights.length, 14);
    assert.equal(nights[0], 'night-2027-03-11.backup');
  } finally {
    process.env.FOOTSTOOL_NOW = began;
  }
});

test('before tables change there is a backup; a half-made change from before is said in a sentence and changes nothing', async () => {
  await inOther(async () => {
    await empty();
    await migrate();
    // The newest that cannot be done twice.
    const halfMade = '0008-languages-are-listed-once';
    await database().query(`DELETE FROM migrations WHERE name >= '${halfMade}'`);
    const [{ name: former }] = (await rows(`SELECT max(name) AS name FROM migrations`)) as [{ name: string }];
    const schemas: string[] = [];
    const beforeChange = async (schema: string) => {
      schemas.push(schema);
      await backUpBeforeChange(schema);
    };
    await assert.rejects(migrate({ beforeChange }), /half made \(at 0008.+restore FILE/s);
    assert.deepEqual(schemas, [former]);
    const made = readdirSync(backupFolder()).filter((name) => name.startsWith('before-change-'));
    assert.equal((await readBackupHead(join(backupFolder(), made[0]!))).head.schema, former);
    const marks = await rows(`SELECT 1 FROM migrations WHERE name >= '${halfMade}'`);
    assert.equal(marks.length, 0);
  });
});

test('the commands back up and restore with a passphrase that is typed, and say what is in the file', async () => {
  const run = (url: string, words: string[], input = '') =>
    spawnSync(resolve(import.meta.dirname, '../../bin/footstool'), words, {
      input,
      encoding: 'utf8',
      env: testEnvironment(url, process.env.FOOTSTOOL_DATA!, 4321),
    });
  const path = file('typed.backup');
  rmSync(path, { force: true });
  const made = run(process.env.DATABASE_URL!, ['backup', path, '--passphrase'], 'over the bridge\n');
  assert.equal(made.status, 0, made.stderr);
  assert.match(made.stdout, /Holds everything/);
  assert.equal(run(process.env.DATABASE_URL!, ['backup', path]).status, 2);
  assert.match(
    run(other.url, ['restore', path, '--replace'], 'under the bridge\n').stderr,
    /passphrase is another one/,
  );
  const restored = run(other.url, ['restore', path, '--replace'], 'over the bridge\n');
  assert.equal(restored.status, 0, restored.stderr);
  assert.match(restored.stdout, /is restored/);
  assert.match(restored.stdout, /secret of links is the one that is set/);
});
