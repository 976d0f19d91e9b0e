import assert from 'node:assert/strict';
import { test } from 'node:test';
import { guessKind } from './guessKind.ts';

test('the words of a line say what kind it is', () => {
  const kinds = {
    '“Off we go.”': 'say',
    '"Who is there?"': 'ask',
    '“Where did it go?” ': 'ask',
    'How many wheels are left?': 'ask',
    'If they grab them all, count what they hold.': 'if',
    'When your child stops, wait.': 'if',
    'Notice whether they stop at three.': 'notice',
    'See if they touch each one.': 'notice',
    'Sing it once more.': 'sing',
    'Read the first page.': 'read',
    'Pour the water slowly.': 'do',
    'If possible, sit on the floor.': 'do',
    '': 'do',
  };
  for (const [words, kind] of Object.entries(kinds)) assert.equal(guessKind(words), kind, words);
});
