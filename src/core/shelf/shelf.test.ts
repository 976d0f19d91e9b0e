import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readMelodyLine } from '../songs/index.ts';
import { countWordsIn, fullStopsByPage } from '../words/index.ts';
import { effortOf } from './effort.ts';
import { matchesFilter, type FilterableActivity } from './filterActivities.ts';

const activity: FilterableActivity = {
  skills: ['sort'],
  ages: { fromMonths: 36, toMonths: 71 },
  likelyMinutes: 8,
  themes: ['wheels'],
  mess: 1,
  where: 'on the floor',
  surface: 'Smooth',
  seasons: ['summer'],
};

test('a filter takes what fits all that is asked, and everything when nothing is asked', () => {
  assert.ok(matchesFilter(activity, {}));
  assert.ok(
    matchesFilter(activity, {
      skill: 'sort',
      ageMonths: 71,
      minutes: 8,
      theme: 'wheels',
      messAtMost: 1,
      surface: 'smooth',
      season: 'summer',
    }),
  );
  for (const filter of [
    { skill: 'rhyme' },
    { ageMonths: 35 },
    { minutes: 7 },
    { theme: 'bridges' },
    { messAtMost: 0 },
    { surface: 'table' },
    { season: 'winter' as const },
  ])
    assert.equal(matchesFilter(activity, filter), false, JSON.stringify(filter));
  assert.ok(matchesFilter({ ...activity, seasons: undefined }, { season: 'winter' }));
});

test('work for the adult grows with set-up and mess', () => {
  const effort = (setup: number, mess: number) =>
    effortOf({
      mess,
      dials: [],
      minutes: { setup: [setup, setup, setup], together: [1, 1, 1], alone: [0, 0, 0], tidy: [0, 0, 0] },
    });
  assert.deepEqual([effort(0, 0), effort(2, 0), effort(0, 1), effort(4, 0), effort(0, 2)], [1, 2, 2, 3, 3]);
});

test('full stops are counted where a sentence ends, not inside a number or a word', () => {
  assert.deepEqual(fullStopsByPage(['“Over,” said the goat. “Under!”', 'It cost 3.50. Really?! Yes…', '']), [2, 3, 0]);
  const speech = [
    '“Who is it?” he said. “Me!” “Come in … slowly.”',
    'Mr. Pell met Dr. Vale at St. Ives. “Oh!” they said.',
  ];
  assert.deepEqual(fullStopsByPage(speech), [3, 2]);
  assert.deepEqual(fullStopsByPage(speech, 'every'), [5, 3]);
  assert.deepEqual(fullStopsByPage(['No. No. Yes.', 'She lives at No. 7. Ring twice.', 'No. 7 come back!']), [3, 2, 1]);
  assert.equal(countWordsIn('It isn’t wet, it’s rain-soaked — 3 times.'), 7);
});

test('notes come one after the other, and what is not a note is left out', () => {
  assert.deepEqual(readMelodyLine('C4:1 F#4:0.5 X9:1 Bb3:2'), [
    { pitch: 48, name: 'C', at: 0, beats: 1 },
    { pitch: 54, name: 'F#', at: 1, beats: 0.5 },
    { pitch: 46, name: 'Bb', at: 1.5, beats: 2 },
  ]);
  assert.deepEqual(readMelodyLine(''), []);
});
