import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { database } from '../../src/server/db/connection.ts';
import { EdgeError } from '../../src/server/http/errors.ts';
import { firstOwnerCode, hashToken, personToken } from '../../src/server/http/secrets.ts';
import { mail } from '../../src/server/post/mail.ts';
import { postWaiting } from '../../src/server/services/letters.ts';
import { addOwner, begin, isWithoutOwner } from '../../src/server/services/firstOwner.ts';
import { askForReset, changePassword, isResetOpen, resetPassword } from '../../src/server/services/passwords.ts';
import {
  changeRole,
  invite,
  join,
  listPeople,
  openInvitation,
  withdrawInvitation,
  workIn,
} from '../../src/server/services/people.ts';
import type { Person } from '../../src/server/services/person.ts';
import { personOf, removeExpired, signIn, signOutEverywhere, startSignIn } from '../../src/server/services/signIn.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, rows } = helpersFor(() => at);

const RIGHT = 'test-password';
const codeOf = (work: Promise<unknown>) =>
  work.then(
    () => 'in',
    (error: unknown) => (error as EdgeError).code,
  );
const tries = async (email: string, from: string, count: number) =>
  (await Promise.all(Array.from({ length: count }, () => codeOf(signIn(email, 'wrong', from))))).sort();
const newest = async (kind: string) =>
  personToken(
    (
      await rows<{ id: string }>(`SELECT id FROM person_links WHERE kind = '${kind}' ORDER BY created_at DESC LIMIT 1`)
    )[0]!.id,
  );
const ADDRESS = 'https://footstool.example';

test('of thirty tries at once from one place five are looked at, and the right password has to wait there', async () => {
  const answers = await tries(at.owner.email, '192.0.2.1', 30);
  assert.equal(answers.filter((code) => code === 'wrong-sign-in').length, 5);
  assert.equal(answers.filter((code) => code === 'too-many-tries').length, 25);
  assert.equal(await codeOf(signIn(at.owner.email, RIGHT, '192.0.2.1')), 'too-many-tries');
});

test('strangers elsewhere do not lock somebody out of a place that is known, and many places together are slowed', async () => {
  assert.equal(await codeOf(signIn(at.owner.email, RIGHT, '198.51.100.7')), 'in');
  for (let place = 0; place < 10; place++) await tries(at.owner.email, `203.0.113.${place}`, 5);
  assert.equal(await codeOf(signIn(at.owner.email, 'wrong', '203.0.113.99')), 'too-many-tries');
  assert.equal(await codeOf(signIn(at.owner.email, RIGHT, '198.51.100.7')), 'in');
});

test('one place that tries many accounts is seen', async () => {
  const answers: string[] = [];
  for (let account = 0; account < 70; account++)
    answers.push(await codeOf(signIn(`nobody-${account}@test.example`, 'wrong', '192.0.2.50')));
  assert.equal(answers.filter((code) => code === 'wrong-sign-in').length, 60);
  assert.equal(answers.at(-1), 'too-many-tries');
});

test('a changed password ends the other sign-ins, signing out everywhere ends all, and old ones are cleared away', async () => {
  const first = await signIn(at.stranger.email, RIGHT, '192.0.2.9');
  const second = await signIn(at.stranger.email, RIGHT, '192.0.2.9');
  assert.notEqual(first, second);
  const place = { token: second, from: '192.0.2.9' };
  await refuses(changePassword(at.stranger, { current: 'wrong', password: 'a-better-one-now' }, place), 'wrong-input');
  await askForReset(at.stranger.email, '192.0.2.9', ADDRESS);
  const asked = await newest('reset');
  await changePassword(at.stranger, { current: RIGHT, password: 'a-better-one-now' }, place);
  assert.equal(await isResetOpen(asked), false);
  assert.equal(await personOf(first), null);
  assert.equal((await personOf(second))!.email, at.stranger.email);
  await signOutEverywhere(at.stranger.userId);
  assert.equal(await personOf(second), null);
  const third = await signIn(at.stranger.email, 'a-better-one-now', '192.0.2.9');
  await database().query(`UPDATE sign_ins SET expires_at = now() - interval '1 day'`);
  assert.equal(await personOf(third), null);
  await removeExpired();
  assert.deepEqual(await rows('SELECT * FROM sign_ins'), []);
});

test('at a desk that others use a sign-in ends after a day, in another programme too', async () => {
  const days = async (token: string) => {
    const [row] = await rows<{ days: number }>(
      `SELECT round(extract(epoch FROM expires_at - signed_in_at) / 86400)::int AS days FROM sign_ins WHERE token_hash = '${hashToken(token)}'`,
    );
    return row!.days;
  };
  const own = await startSignIn(at.owner.userId, at.owner.programmeId, '192.0.2.8');
  const shared = await startSignIn(at.owner.userId, at.owner.programmeId, '192.0.2.8', 'shared');
  assert.deepEqual([await days(own), await days(shared)], [14, 1]);
  const gone = await workIn(at.owner, at.owner.programmeId, { token: shared, from: '192.0.2.8' });
  assert.deepEqual([gone.desk, await days(gone.token), await personOf(shared)], ['shared', 1, null]);
});

test('an invitation works once, is stored only as a hash, and can be taken back', async () => {
  const wanted = { email: 'ada@test.example', name: 'Ada', role: 'author' as const };
  await refuses(invite({ ...at.owner, role: 'author' }, wanted, ADDRESS), 'not-allowed');
  await invite(at.owner, wanted, ADDRESS);
  const former = await newest('invite');
  await invite(at.owner, wanted, ADDRESS);
  const token = await newest('invite');
  assert.equal(await openInvitation(former), null, 'asked again, the former link ended');
  await postWaiting();
  const [{ mail_id: mailId }] = (await rows<{ mail_id: string }>(
    `SELECT mail_id FROM messages WHERE recipient = 'ada@test.example' AND state = 'sent' ORDER BY changed_at DESC LIMIT 1`,
  )) as [{ mail_id: string }];
  assert.match((await mail().read(mailId))!.text, new RegExp(`${ADDRESS}/join/${token}`));
  const stored = await Promise.all(['person_links', 'messages'].map((table) => rows(`SELECT * FROM ${table}`)));
  assert.ok(!JSON.stringify(stored).includes(token));
  const joined = await Promise.all(
    [1, 2, 3].map(() => codeOf(join(token, { name: 'Ada', password: 'words-in-a-row' }, '192.0.2.77'))),
  );
  assert.equal(joined.filter((code) => code === 'in').length, 1);
  const ada = (await listPeople(at.owner)).members.find(({ email }) => email === wanted.email)!;
  assert.equal(ada.role, 'author');
  await refuses(invite(at.owner, wanted, ADDRESS), 'wrong-input');
  await invite(at.owner, { ...wanted, email: 'ben@test.example' }, ADDRESS);
  const [ben] = (await listPeople(at.owner)).invitations;
  await refuses(withdrawInvitation(at.stranger, ben!.id), 'not-found');
  await withdrawInvitation(at.owner, ben!.id);
  assert.deepEqual((await listPeople(at.owner)).invitations, []);
});

test('an old invitation takes nothing from somebody who became an owner meanwhile', async () => {
  const email = 'cleo@test.example';
  await invite(at.owner, { email, name: 'Cleo', role: 'reader' }, ADDRESS);
  const token = await newest('invite');
  await addOwner(
    { programme: at.owner.programme, name: 'Cleo', email, password: 'owner-by-now-too' },
    { onlyFirst: false },
  );
  await join(token, { name: 'Cleo', password: 'owner-by-now-too' }, '192.0.2.79');
  const cleo = (await listPeople(at.owner)).members.find((member) => member.email === email)!;
  assert.equal(cleo.role, 'owner');
  await changeRole(at.owner, cleo.userId, null);
});

test('a programme keeps an owner; who is taken out is signed out; a stranger changes nobody', async () => {
  const member = async () => (await listPeople(at.owner)).members.find(({ email }) => email === 'ada@test.example');
  const ada = (await member())!;
  await refuses(changeRole(at.owner, at.owner.userId, 'reader'), 'wrong-input');
  await refuses(changeRole(at.owner, at.owner.userId, null), 'wrong-input');
  await refuses(changeRole(at.stranger, ada.userId, null), 'not-found');
  await refuses(changeRole(at.reader, ada.userId, 'owner'), 'not-allowed');
  const token = await signIn('ada@test.example', 'words-in-a-row', '192.0.2.78');
  await changeRole(at.owner, ada.userId, 'reader');
  assert.equal((await personOf(token))!.role, 'reader');
  await changeRole(at.owner, ada.userId, null);
  assert.equal(await personOf(token), null);
  assert.equal(await member(), undefined);
});

test('a new password by letter: the same answer whoever asks, one link once, all sign-ins ended', async () => {
  await askForReset('nobody@test.example', '192.0.2.90', ADDRESS);
  assert.deepEqual(await rows(`SELECT * FROM person_links WHERE kind = 'reset'`), []);
  const { email, userId } = at.owner as Person;
  await askForReset(email, '192.0.2.90', ADDRESS);
  const token = await newest('reset');
  const signedIn = await signIn(email, RIGHT, '198.51.100.7');
  assert.equal(await isResetOpen(token), true);
  await resetPassword(token, 'quite-another-one');
  assert.equal(await isResetOpen(token), false);
  await refuses(resetPassword(token, 'and-once-more-now'), 'not-found');
  assert.equal(await personOf(signedIn), null);
  assert.equal(await codeOf(signIn(email, 'quite-another-one', '198.51.100.7')), 'in');
  await askForReset(email, '192.0.2.91', ADDRESS);
  await database().query(
    `UPDATE person_links SET expires_at = now() - interval '1 minute' WHERE user_id = '${userId}'`,
  );
  assert.equal(await isResetOpen(await newest('reset')), false);
  await askForReset(email, '192.0.2.92', ADDRESS);
  const waits = await newest('reset');
  for (const place of ['192.0.2.93', '192.0.2.94']) await askForReset(email, place, ADDRESS);
  assert.deepEqual([await newest('reset'), await isResetOpen(waits)], [waits, true], 'a stranger shuts nobody out');
});

test('the first owner is made by the code of the log, once, while there is nobody', async () => {
  const first = { programme: 'Fernbank', name: 'Fern', email: 'fern@test.example', password: 'leaves-and-more' };
  await refuses(begin(firstOwnerCode(), { ...first, starter: '' }, '192.0.2.120'), 'not-found');
  await refuses(begin('AAAAA-AAAAA-AAAAA-AAAAA', { ...first, starter: '' }, '192.0.2.120'), 'wrong-input');
  assert.equal(await isWithoutOwner(), false);
  const { programmeId } = await addOwner(first, { onlyFirst: false });
  const again = await addOwner({ ...first, email: 'moss@test.example' }, { onlyFirst: false });
  assert.equal(again.programmeId, programmeId, 'the same name is the same programme');
  assert.equal(await codeOf(signIn('moss@test.example', 'leaves-and-more', '192.0.2.121')), 'in');
});
