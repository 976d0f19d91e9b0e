import assert from 'node:assert/strict';
import { test } from 'node:test';
import { USUAL_POLICY } from '../../src/core/cautions/index.ts';
import { type Household, NOTHING_DECIDED, openQuestions, type PartQuestion } from '../../src/core/homes/index.ts';
import { MAKERS } from '../../src/makers/index.ts';
import { waysOf } from '../../src/core/makers/index.ts';
import { asKnown } from '../../src/core/materials/index.ts';
import { segmentFor, type PartSources } from '../../src/core/shelf/segmentFor.ts';
import { readSettings } from '../../src/contracts/programme.ts';
import type { ReadingPace } from '../../src/core/time/index.ts';
import { authorMakers } from '../../src/messages/authorMakers.ts';
import { activities, things as shelved } from './demo.ts';

const things = Object.fromEntries(Object.entries(shelved).map(([key, thing]) => [key, asKnown(thing)]));
const settings = readSettings(undefined);
/** A home where nothing is stopped: what is left is what somebody would have to look at. */
const SIX: Household = { youngestMonths: 72, allergens: [], children: 1, policy: USUAL_POLICY };

function questionsAbout(part: Parameters<typeof segmentFor>[0]): PartQuestion[] {
  const made = segmentFor(part, { books: [], songs: [], activities } as unknown as PartSources, {
    id: 'part',
    pace: settings.pace as unknown as ReadingPace,
    ...authorMakers,
    numbers: settings.numbers,
  });
  if (!made.ok) return [];
  return openQuestions(made.value, things, { households: [SIX], policy: USUAL_POLICY, safety: NOTHING_DECIDED });
}

const toCheck = (questions: readonly PartQuestion[]) =>
  questions.filter(({ kind }) => kind !== 'ask').map(({ rule, words }) => `${rule}: ${words.join(', ')}`);

test('nothing that a maker writes has to be looked at before it is sent, in any way of running it', () => {
  const found = MAKERS.flatMap((maker) =>
    waysOf(maker).flatMap((variant) =>
      toCheck(questionsAbout({ kind: 'maker', maker: maker.id, values: { variant } })).map(
        (what) => `${maker.id}, ${variant}: ${what}`,
      ),
    ),
  );
  assert.deepEqual(found, []);
});

test('of the demo’s activities hardly any has to be looked at, and each thing of the demo was', () => {
  const found = activities.flatMap(({ key }) =>
    toCheck(questionsAbout({ kind: 'activity', key })).map((what) => `${key}: ${what}`),
  );
  assert.ok(found.length <= 3, found.join('\n'));
  assert.deepEqual(
    Object.values(things).filter(({ isUnchecked }) => isUnchecked),
    [],
  );
});
