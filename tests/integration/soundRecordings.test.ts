import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { RECORDING_RATE } from '../../src/core/sounds/index.ts';
import { readWav, writeWav } from '../../src/server/audio/wav.ts';
import { countingQueries } from '../../src/server/db/connection.ts';
import { audioAnswer } from '../../src/server/http/audioAnswer.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { listLinks, revokeLink } from '../../src/server/services/postLinks.ts';
import { SOUND_SESSION_ROLES } from '../../src/core/makers/index.ts';
import { startSoundSession } from '../../src/server/services/soundSession.ts';
import {
  forgetRecording,
  hearByLink,
  hearSound,
  keepRecording,
  listSounds,
} from '../../src/server/services/soundRecordings.ts';
import { humFile } from '../support/humFile.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
before(async () => {
  at = await startProgrammes();
});
after(() => at.remove());
const { refuses, sendToAll, rows } = helpersFor(() => at);

const lengthOf = async (sound: string) =>
  (await listSounds(at.owner)).find((known) => known.sound === sound)!.milliseconds;

test('a sound is recorded once, cut and levelled, and heard by its own programme only', async () => {
  assert.equal(await lengthOf('m'), null);
  const milliseconds = await keepRecording(at.owner, {
    sound: 'm',
    file: humFile({ before: 900, hum: 500, loud: 0.05 }),
  });
  assert.ok(milliseconds >= 500 && milliseconds < 650, String(milliseconds));
  assert.equal(await lengthOf('m'), milliseconds);
  const heard = readWav((await hearSound(at.reader, 'm')).audio);
  assert.ok(heard.ok && heard.value.samples.length === Math.round((milliseconds * RECORDING_RATE) / 1000));
  assert.ok(heard.value.samples.some((sample) => sample > 0.15));
  await refuses(hearSound(at.stranger, 'm'), 'not-found');
  assert.equal((await listSounds(at.stranger)).find(({ sound }) => sound === 'm')!.milliseconds, null);
  assert.equal((await countingQueries(() => listSounds(at.owner))).queries, 1);
});

test('what is no recording is refused in words, and the one from before stays', async () => {
  const before = await lengthOf('m');
  const silence = writeWav({ samples: new Float32Array(RECORDING_RATE), rate: RECORDING_RATE });
  for (const [file, message] of [
    [silence, /no sound in it/],
    [humFile({ hum: 3000 }), /lasts 3\.\d seconds/],
    [new Uint8Array([1, 2, 3]), /is not a WAV file/],
  ] as const)
    await assert.rejects(keepRecording(at.owner, { sound: 'm', file }), (error: unknown) => {
      const { code, details } = error as { code: string; details: { problems: { message: string }[] } };
      return code === 'wrong-input' && message.test(details.problems[0]!.message);
    });
  assert.equal(await lengthOf('m'), before);
  await refuses(keepRecording(at.reader, { sound: 'm', file: humFile({}) }), 'not-allowed');
  await refuses(forgetRecording(at.reader, 'm'), 'not-allowed');
  for (const odd of ['', '__proto__', 'zzzz', 'M', "m'--"])
    await refuses(keepRecording(at.owner, { sound: odd, file: humFile({}) }), 'not-found');
});

test('homes hear what is recorded of their guide’s sounds, by their link, until it is taken back', async () => {
  await startSoundSession(at.owner, { sound: 'm', on: '2027-03-18', parts: [...SOUND_SESSION_ROLES] });
  const id = await sendToAll('The sound of the week: m');
  const { token } = (await listLinks(at.owner, id))[0]!;
  const { value: opened, queries } = await countingQueries(() => openGuide(token));
  assert.equal(queries, 1);
  assert.deepEqual(opened!.recorded, ['m']);
  assert.ok(opened!.guide.segments.some(({ sounds }) => sounds?.some(({ sound }) => sound === 'm')));
  assert.ok((await hearByLink(token, 'm')).audio.length > 44);
  await refuses(hearByLink(token, 's'), 'not-found');
  await refuses(hearByLink('x'.repeat(43), 'm'), 'not-found');
  await rows(`UPDATE programmes SET settings = settings || '{"screens":"none"}' WHERE id = '${at.owner.programmeId}'`);
  assert.deepEqual((await openGuide(token))!.recorded, []);
  await rows(`UPDATE programmes SET settings = settings - 'screens' WHERE id = '${at.owner.programmeId}'`);
  await revokeLink(at.owner, opened!.linkId);
  await refuses(hearByLink(token, 'm'), 'not-found');
  await forgetRecording(at.owner, 'm');
  await refuses(hearSound(at.owner, 'm'), 'not-found');
});

test('a player gets the part of a recording that it asks for', async () => {
  const recording = { audio: Buffer.from('0123456789'), hash: 'h'.repeat(64) };
  const ask = async (headers: Record<string, string>) => {
    const answer = audioAnswer(recording, new Request('http://here/', { headers }));
    return [answer.status, await answer.text(), answer.headers.get('content-range')];
  };
  assert.deepEqual(await ask({}), [200, '0123456789', null]);
  assert.deepEqual(await ask({ range: 'bytes=2-4' }), [206, '234', 'bytes 2-4/10']);
  assert.deepEqual(await ask({ range: 'bytes=8-' }), [206, '89', 'bytes 8-9/10']);
  assert.deepEqual(await ask({ range: 'bytes=20-30' }), [416, '', 'bytes */10']);
  for (const odd of ['bytes=0-1,4-5', 'lines=1-2', 'x']) assert.equal((await ask({ range: odd }))[0], 200);
  assert.deepEqual(await ask({ 'if-none-match': `"${recording.hash}"` }), [304, '', null]);
});

test('the database itself refuses odd names and lengths', async () => {
  const insert = (sound: string, milliseconds: number) =>
    rows(
      `INSERT INTO sound_recordings VALUES ('${at.owner.programmeId}', '${sound}', decode(repeat('00', 50), 'hex'), repeat('a', 64), ${milliseconds}, now(), NULL)`,
    );
  await assert.rejects(insert('M!', 100), /check/i);
  await assert.rejects(insert('m', 2001), /check/i);
});
