import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { countingQueries } from '../../src/server/db/connection.ts';
import { readBench } from '../../src/server/services/benchPage.ts';
import { findSession } from '../../src/server/services/sessions.ts';
import { SOUND_SESSION_ROLES } from '../../src/core/makers/index.ts';
import { soundOfTheWeek, startSoundSession } from '../../src/server/services/soundSession.ts';
import { frameNewTerm } from '../../src/server/services/terms.ts';
import { printWeekSounds, readTermSounds } from '../../src/server/services/termSounds.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

let at: TestProgrammes;
let term: string;
const FRAME = {
  title: 'Spring',
  startsOn: '2027-03-01',
  endsOn: '2027-05-21',
  weekday: '4',
  time: '10:00',
  minutes: '20',
  themes: 'wheels',
  school: 'sounds-first',
};
before(async () => {
  at = await startProgrammes();
  term = await frameNewTerm(at.owner, FRAME);
});
after(() => at.remove());
const { refuses } = helpersFor(() => at);

test('a term’s sounds by day are its own programme’s, in one query, and come out as paper week by week', async () => {
  const { value, queries } = await countingQueries(() => readTermSounds(at.owner, term));
  assert.deepEqual([value.title, queries], ['Spring', 1]);
  const { weeks, next } = await readTermSounds(at.reader, term);
  assert.deepEqual(
    weeks.slice(0, 2).map(({ on, step, pages }) => [on, step, pages.length]),
    [
      ['2027-03-04', 'm a s t', 4],
      ['2027-03-11', 'i n p o', 4],
    ],
  );
  assert.ok(next && next.opens.length > 0);
  assert.equal((await printWeekSounds(at.reader, term, '1')).subarray(0, 5).toString(), '%PDF-');
  for (const week of ['99', '__proto__', null]) await refuses(printWeekSounds(at.owner, term, week), 'not-found');
  await refuses(readTermSounds(at.stranger, term), 'not-found');
  await refuses(printWeekSounds(at.stranger, term, '1'), 'not-found');
  const words = await frameNewTerm(at.owner, { ...FRAME, school: 'whole-words' });
  await refuses(readTermSounds(at.owner, words), 'not-found');
});

test('the bench and the sound of the week go by the term around the day, and by no other programme’s', async () => {
  assert.equal(await soundOfTheWeek(at.owner, '2027-03-12'), 'i');
  assert.equal(await soundOfTheWeek(at.owner, '2027-03-01'), 'm');
  assert.equal(await soundOfTheWeek(at.owner, '2028-03-12'), 'm');
  const id = await startSoundSession(at.owner, { sound: 'p', on: '2027-03-18', parts: [...SOUND_SESSION_ROLES] });
  const { session } = await findSession(at.owner, id);
  assert.equal(session.title, 'The sound of the week: p');
  // What comes back is the latest sound that was taught before and has a pot.
  const again = session.segments.find(({ title }) => title.startsWith('Again: '))!;
  assert.ok(['m', 's', 't', 'n'].includes(String(again.made!.values.sound)), String(again.made!.values.sound));
  const { soundSteps } = await readBench(at.owner, id);
  assert.deepEqual(soundSteps[0], { on: '2027-03-04', graphemes: ['m', 'a', 's', 't'] });
  await refuses(
    startSoundSession(at.reader, { sound: 'p', on: '2027-03-18', parts: [...SOUND_SESSION_ROLES] }),
    'not-allowed',
  );
  await refuses(findSession(at.stranger, id), 'not-found');
  const theirs = await startSoundSession(at.stranger, {
    sound: 'p',
    on: '2027-03-18',
    parts: [...SOUND_SESSION_ROLES],
  });
  const other = await findSession(at.stranger, theirs);
  assert.equal(
    other.session.segments.some(({ title }) => title.startsWith('Again: ')),
    false,
  );
});
