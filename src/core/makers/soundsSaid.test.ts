import assert from 'node:assert/strict';
import { test } from 'node:test';
import { USUAL_SETTINGS } from '../session/index.ts';
import { recordableSounds, USUAL_ORDER } from '../words/index.ts';
import { findMaker } from '../../makers/index.ts';
import { soundsSaid } from './soundsSaid.ts';

const said = (maker: string, values: Record<string, string>) =>
  soundsSaid({ maker, values, settings: USUAL_SETTINGS }).map(({ letters, sound }) => `${letters} ${sound}`);

test('a part about one sound says that one; words are said sound by sound, each once', () => {
  assert.deepEqual(said('sound-page', { sound: 'ck' }), ['ck k']);
  assert.deepEqual(said('sound-boxes', { words: 'ship, shop, cake' }), [
    'sh sh',
    'i ih',
    'p p',
    'o aa',
    'c k',
    'a-e ey',
  ]);
});

test('no more than eight, none for words that nobody reads, none for other makers', () => {
  assert.equal(said('word-cards', { words: 'cat, dog, ship, fun, leg, zip, jam' }).length, 8);
  assert.deepEqual(said('word-cards', { words: '12, ??' }), []);
  assert.deepEqual(said('number-pots', {}), []);
});

test('every sound that a maker can be set to is one that can be recorded', () => {
  const recordable = new Set(recordableSounds(USUAL_ORDER).map(({ sound }) => sound));
  for (const maker of ['sound-page', 'sound-pot', 'sound-story']) {
    const dial = findMaker(maker)!.dials.find(({ name }) => name === 'sound')!;
    assert.ok(dial.kind === 'choice');
    for (const sound of dial.choices) {
      const [only] = soundsSaid({ maker, values: { sound }, settings: USUAL_SETTINGS });
      assert.ok(only && recordable.has(only.sound), `${maker} ${sound}`);
    }
  }
});
