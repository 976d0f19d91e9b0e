import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ALL_SKILLS, LANGUAGE_SKILLS, NUMBER_SKILLS } from './skills.ts';
import { proposeNext } from './proposeNext.ts';
import { RUNG_WORDS } from '../../messages/rungs.ts';
import { LADDERS } from './rungs.ts';

const activity = (key: string, skill: string, lastUsed?: string) => ({ key, title: key, skills: [skill], lastUsed });

test('what is there leads to the next rung, what is not yet stays with help, and an easier neighbour stands beside', () => {
  const next = proposeNext({ skill: 'say-row', isThere: true }, []);
  assert.deepEqual([next!.offer, next!.easier], ['touch-count', 'say-row']);
  const stay = proposeNext({ skill: 'count-out', isThere: false }, []);
  assert.deepEqual([stay!.offer, stay!.easier], ['count-out', 'how-many']);
  assert.equal(proposeNext({ skill: 'handle', isThere: false }, [])!.easier, null);
  assert.equal(proposeNext({ skill: 'coins', isThere: true }, [])!.offer, 'join-separate');
  assert.equal(proposeNext({ skill: 'week-day', isThere: true }, [])!.offer, 'week-day');
  assert.equal(proposeNext({ skill: 'unheard-of', isThere: true }, []), null);
});

test('of the activities two come that were never used, then those used longest ago', () => {
  const shelf = [
    activity('lately', 'sort', '2027-03-01'),
    activity('long-ago', 'sort', '2026-09-01'),
    activity('never', 'sort'),
    activity('other', 'rhyme'),
  ];
  assert.deepEqual(
    proposeNext({ skill: 'sort', isThere: false }, shelf)!.activities.map(({ key }) => key),
    ['never', 'long-ago'],
  );
});

test('both ladders have a rung for each skill, each with words of its own', () => {
  const rungs = LADDERS.flatMap(({ rungs: list }) => list);
  assert.deepEqual(rungs, [...NUMBER_SKILLS, ...LANGUAGE_SKILLS]);
  const words = rungs.flatMap((rung) => Object.values(RUNG_WORDS[rung]));
  assert.equal(new Set(words).size, rungs.length * 3);
  assert.ok(rungs.every((skill) => ALL_SKILLS.includes(skill)));
});
