import assert from 'node:assert/strict';
import { readdirSync } from 'node:fs';
import type { Socket } from 'node:net';
import { after, before, test } from 'node:test';
import { SMTPServer } from 'smtp-server';
import { database } from '../../src/server/db/connection.ts';
import { mail } from '../../src/server/post/mail.ts';
import { postLetter, postWaiting, recoverLetters, tryAgain, tryAllAgain } from '../../src/server/services/letters.ts';
import { readPost } from '../../src/server/services/post.ts';
import { testPort } from '../support/ports.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(async () => {
  delete process.env.FOOTSTOOL_SMTP;
  await at.remove();
});
const { sendToAll, rows, refuses } = helpersFor(() => at);
const one = async (id: string) =>
  (await rows<{ state: string; tries: number }>(`SELECT state, tries FROM messages WHERE id = '${id}'`))[0]!;
const anyLetter = async () =>
  (await rows<{ id: string }>(`SELECT id FROM messages WHERE recipient <> '' LIMIT 1`))[0]!.id;
const setState = (id: string, state: string) =>
  database().query(
    `UPDATE messages SET state = '${state}', tries = 0, next_try_at = NULL, first_tried_at = NULL,
            changed_at = '2027-03-01' WHERE id = '${id}'`,
  );

test('the mail stand-in takes a key once', async () => {
  const key = '0c5a3d3e-0000-4000-8000-000000000001';
  const letter = { to: 'one@homes.example', subject: 'Once', text: 'Only once.' };
  await Promise.all([
    mail().send(letter, key),
    mail().send(letter, key),
    mail().send({ ...letter, text: 'Twice?' }, key),
  ]);
  assert.equal(readdirSync(at.mailFolder).filter((name) => name.includes(key)).length, 1);
  assert.equal((await mail().read(key))!.subject, 'Once');
});

/** A mail server that behaves as it is told for each letter, and counts what it took. */
async function smtp(onLetter: (count: number) => Error | 'hang-up' | undefined) {
  let taken = 0;
  const sockets = new Set<Socket>();
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData(stream, _session, done) {
      stream.resume();
      stream.on('end', () => {
        taken += 1;
        const answer = onLetter(taken);
        if (answer === 'hang-up') for (const socket of sockets) socket.destroy();
        else done(answer);
      });
    },
  });
  server.on('error', () => undefined);
  server.server.on('connection', (socket: Socket) => sockets.add(socket));
  const port = await testPort();
  await new Promise<void>((ready) => server.listen(port, '127.0.0.1', ready));
  return {
    url: `smtp://127.0.0.1:${port}`,
    taken: () => taken,
    end: () => new Promise<void>((gone) => server.close(gone)),
  };
}

test('with a real server a letter is posted once; one whose fate is unclear is marked and never sent again by itself', async () => {
  const sessionId = await sendToAll('A parcel for Nim');
  const id = await anyLetter();
  const server = await smtp((count) => (count === 2 ? 'hang-up' : undefined));
  process.env.FOOTSTOOL_SMTP = server.url;
  await setState(id, 'waiting');
  await Promise.all([postLetter(id), postLetter(id), postLetter(id)]);
  assert.deepEqual([(await one(id)).state, server.taken()], ['sent', 1]);
  await setState(id, 'waiting');
  await postLetter(id);
  assert.deepEqual([(await one(id)).state, server.taken()], ['unclear', 2]);
  await postLetter(id);
  await recoverLetters();
  assert.deepEqual([(await one(id)).state, server.taken()], ['unclear', 2]);
  // Somebody began and a crash ended it: nobody knows, so it is not handed over again.
  await setState(id, 'posting');
  await postLetter(id);
  assert.deepEqual([(await one(id)).state, server.taken()], ['unclear', 2]);
  const { homes } = await readPost(at.owner, sessionId);
  assert.equal(homes.filter(({ message }) => message?.state === 'unclear').length, 1);
  await server.end();
});

test('a server that is away is asked again, a refusal is final, and trying again is an author’s decision', async () => {
  const id = await anyLetter();
  process.env.FOOTSTOOL_SMTP = `smtp://127.0.0.1:${await testPort()}`;
  await setState(id, 'waiting');
  await postLetter(id);
  assert.deepEqual(await one(id), { state: 'waiting', tries: 1 });
  await postLetter(id);
  assert.deepEqual(await one(id), { state: 'waiting', tries: 1 }, 'its next try has not come');
  const tries = await tryForADay(id);
  assert.equal((await one(id)).state, 'failed');
  assert.ok(tries >= 12 && tries <= 24, `${tries} tries`);
  const refusing = await smtp(() => Object.assign(new Error('no such mailbox'), { responseCode: 550 }));
  process.env.FOOTSTOOL_SMTP = refusing.url;
  await refuses(tryAgain(at.reader, id), 'not-allowed');
  await refuses(tryAgain(at.stranger, id), 'not-found');
  await tryAgain(at.owner, id);
  await refuses(tryAgain(at.owner, id), 'not-found');
  await postLetter(id);
  assert.deepEqual([(await one(id)).state, refusing.taken()], ['failed', 1]);
  await refusing.end();
  delete process.env.FOOTSTOOL_SMTP;
  await tryAgain(at.owner, id);
  await postLetter(id);
  assert.equal((await one(id)).state, 'sent');
});

/** Moves the clock from try to try until the letter waits no more, queueing and posting what is due; gives the tries made. */
async function tryForADay(id: string): Promise<number> {
  const began = process.env.FOOTSTOOL_NOW!;
  for (let tries = 0; tries < 100 && (await one(id)).state === 'waiting'; tries++) {
    const [row] = await rows<{ next: Date }>(`SELECT next_try_at AS next FROM messages WHERE id = '${id}'`);
    process.env.FOOTSTOOL_NOW = new Date(row!.next.getTime() - 1000).toISOString();
    assert.equal(await recoverLetters(), 0, 'not before its time');
    process.env.FOOTSTOOL_NOW = row!.next.toISOString();
    assert.equal(await recoverLetters(), 1);
    await postLetter(id);
  }
  process.env.FOOTSTOOL_NOW = began;
  return (await one(id)).tries;
}

test('a server that says 451 for two hours gets every letter in the end, each once, and a try is one job', async () => {
  await setState(await anyLetter(), 'sent');
  const ids = (await rows<{ id: string }>(`SELECT id FROM messages WHERE recipient <> '' LIMIT 5`)).map(({ id }) => id);
  await database().query(`UPDATE messages SET state = 'sent' WHERE state = 'waiting'`);
  const began = process.env.FOOTSTOOL_NOW!;
  const opensAt = Date.parse(began) + 120 * 60_000;
  const busy = () => Date.parse(process.env.FOOTSTOOL_NOW!) < opensAt;
  const server = await smtp(() => (busy() ? Object.assign(new Error('try later'), { responseCode: 451 }) : undefined));
  process.env.FOOTSTOOL_SMTP = server.url;
  for (const id of ids) await setState(id, 'waiting');
  const jobs = async () =>
    Number((await rows<{ count: string }>(`SELECT count(*) FROM queue.job WHERE name = 'letters'`))[0]!.count);
  for (let minute = 0; minute <= 300; minute += minute < 20 ? 1 : 10) {
    process.env.FOOTSTOOL_NOW = new Date(Date.parse(began) + minute * 60_000).toISOString();
    const before = await jobs();
    const due = await recoverLetters();
    await recoverLetters();
    assert.ok((await jobs()) - before <= due, 'asked twice, a try is one job all the same');
    if (due > 0) for (const id of ids) await postLetter(id);
  }
  for (const id of ids) assert.equal((await one(id)).state, 'sent');
  const took = await rows<{ count: string }>(
    `SELECT count(*) FROM messages WHERE state = 'sent' AND mail_id LIKE '<%'`,
  );
  assert.ok(Number(took[0]!.count) >= ids.length);
  process.env.FOOTSTOOL_NOW = began;
  delete process.env.FOOTSTOOL_SMTP;
  await server.end();
});

test('a letter that has gone is not sent again because the word of it could not be kept', async () => {
  const id = await anyLetter();
  const server = await smtp(() => undefined);
  process.env.FOOTSTOOL_SMTP = server.url;
  await setState(id, 'waiting');
  // Whoever writes down that it went is cut off from the records.
  await database().query(`CREATE FUNCTION refuse() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
      IF NEW.state = 'sent' THEN RAISE EXCEPTION 'cut off' USING ERRCODE = '57P01'; END IF; RETURN NEW; END $$;
    CREATE TRIGGER refuse BEFORE UPDATE ON messages FOR EACH ROW EXECUTE FUNCTION refuse()`);
  await assert.rejects(postLetter(id));
  await database().query('DROP TRIGGER refuse ON messages; DROP FUNCTION refuse()');
  assert.deepEqual([(await one(id)).state, server.taken()], ['posting', 1]);
  await postLetter(id);
  assert.deepEqual([(await one(id)).state, server.taken()], ['unclear', 1], 'in doubt, and left to the author');
  await server.end();
  delete process.env.FOOTSTOOL_SMTP;
});

test('all letters of a session that no server took are tried again by one press; those in doubt are left', async () => {
  const sessionId = (await rows<{ id: string }>(`SELECT session_id AS id FROM sendings LIMIT 1`))[0]!.id;
  const letters = await rows<{ id: string }>(`SELECT id FROM messages WHERE recipient <> '' ORDER BY id`);
  await database().query(`UPDATE messages SET state = 'failed'`);
  await setState(letters[0]!.id, 'unclear');
  await refuses(tryAllAgain(at.reader, sessionId), 'not-allowed');
  assert.equal(await tryAllAgain(at.stranger, sessionId), 0);
  assert.equal(await tryAllAgain(at.owner, sessionId), letters.length - 1);
  await postWaiting();
  const { homes } = await readPost(at.owner, sessionId);
  const states = homes.flatMap(({ message }) => (message?.recipient ? [message.state] : []));
  assert.deepEqual([...new Set(states)].sort(), ['sent', 'unclear']);
  assert.equal(states.filter((state) => state === 'unclear').length, 1);
});

test('a letter whose link was taken back meanwhile does not go out', async () => {
  const id = await anyLetter();
  await setState(id, 'waiting');
  await database().query(
    `UPDATE guide_links SET revoked_at = now() WHERE id = (SELECT link_id FROM messages WHERE id = '${id}')`,
  );
  await postLetter(id);
  assert.equal((await one(id)).state, 'failed');
});

test('no secret of a link stands in the outbox', async () => {
  const stored = JSON.stringify(await rows('SELECT * FROM messages'));
  assert.doesNotMatch(stored, /\/g\/[A-Za-z0-9_-]{43}/);
});
