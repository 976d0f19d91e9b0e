import assert from 'node:assert/strict';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { findUserByEmail } from '../../src/server/db/repositories/people.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { printJob, startPrinting } from '../../src/server/services/printing.ts';
import { readWhatGoes, removeProgramme } from '../../src/server/services/removeProgramme.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { sendToAll, refuses, rows } = helpersFor(() => at);

test('an owner deletes a programme with everything in it, by its name; nothing of it is left, and others stay whole', async () => {
  const sessionId = await sendToAll('A parcel for Nim');
  const { token } = (await listLinks(at.owner, sessionId))[0]!;
  await printJob(await startPrinting(at.owner, sessionId, { for: 'author', version: 'usual' }));
  const files = (folder: string) => readdirSync(join(process.env.FOOTSTOOL_DATA!, folder));
  assert.ok(files('mail').length > 10 && files('printer').length === 1);
  assert.equal((await readWhatGoes(at.owner)).homes, 12);

  await refuses(readWhatGoes(at.reader), 'not-allowed');
  await refuses(removeProgramme(at.reader, at.owner.programme), 'not-allowed');
  await refuses(removeProgramme(at.owner, 'another name'), 'wrong-input');
  assert.ok(await openGuide(token));

  await removeProgramme(at.owner, ` ${at.owner.programme} `);
  assert.equal(await openGuide(token), null);
  assert.deepEqual([files('mail'), files('printer')], [[], []]);
  const tables = await rows<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'programme_id'`,
  );
  assert.ok(tables.length > 10);
  for (const { name } of tables) {
    const left = await rows(`SELECT 1 FROM "${name}" WHERE programme_id = '${at.owner.programmeId}'`);
    assert.equal(left.length, 0, name);
  }
  assert.equal(await findUserByEmail(at.owner.email), null);
  assert.ok(await findUserByEmail(at.stranger.email));
  assert.equal((await rows('SELECT 1 FROM programmes')).length, 1);
});
