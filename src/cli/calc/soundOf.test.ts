import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ACCENTS, SOUND_UNITS } from '../../core/sounds/index.ts';
import { firstSoundName } from '../../core/words/index.ts';
import { NEIGHBOURS } from '../../makers/sound-page/neighbours.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { CALCULATIONS } from './calculations.ts';

interface Told {
  readonly mouth: string;
  readonly model: string | null;
  readonly voiced: boolean;
  readonly words: readonly string[];
  readonly strokes: Readonly<Record<'small' | 'capital', readonly string[]>>;
  readonly chant: Told['strokes'];
}

const tell = async (grapheme: string, accent: string) =>
  (await CALCULATIONS.get('sound')!({ grapheme, accent })) as Told;

test('a mouth line belongs to one sound, and letters that stand for one sound share it, in both accents', async () => {
  for (const accent of ACCENTS) {
    const lines = new Map<string, string>();
    for (const { grapheme } of SOUND_UNITS) {
      const { mouth, model, words } = await tell(grapheme, accent);
      const sound = firstSoundName(grapheme)!;
      assert.equal(lines.get(mouth) ?? sound, sound, grapheme);
      assert.ok(![...lines].some(([line, other]) => other === sound && line !== mouth), grapheme);
      assert.ok(model, grapheme);
      assert.ok(words.length > 0, `${grapheme} has no pictured word`);
      lines.set(mouth, sound);
    }
  }
});

test('no sound with a voice is whispered, and every pair of neighbours is told apart by a sentence of its own', async () => {
  for (const { grapheme } of SOUND_UNITS) {
    const { mouth, voiced } = await tell(grapheme, 'gb');
    if (voiced) assert.doesNotMatch(mouth, /whisper|puff|breath alone|only breath/, grapheme);
    if ('bdg'.includes(grapheme)) assert.match(mouth, /short bit of voice/);
  }
  for (const accent of ACCENTS) {
    const told = NEIGHBOURS.map((pair) => authorSpeech.say(`mouths/tell.${pair.join('-')}`, { accent }));
    assert.equal(new Set(told).size, told.length);
  }
});

test('one beat of the chant for each stroke, small and capital; a vowel says which of its two sounds is meant', async () => {
  for (const { grapheme } of SOUND_UNITS)
    for (const { strokes, chant } of [await tell(grapheme, 'us')])
      for (const form of ['small', 'capital'] as const) {
        assert.ok(strokes[form].length > 0);
        assert.equal(strokes[form].length, chant[form].length, grapheme);
      }
  for (const vowel of 'aeiou') assert.match((await tell(vowel, 'gb')).model!, /^the start of “\w+”, not of “\w+”$/);
  assert.deepEqual((await tell('d', 'gb')).strokes.small, ['round to the left', 'all the way up', 'straight down']);
  assert.equal((await tell('o', 'us')).mouth.includes('round lips'), false);
});

test('what is no letter and no pair is refused at its path', async () => {
  for (const grapheme of ['7', 'zzzz', '']) await assert.rejects(() => tell(grapheme, 'gb'), /grapheme/);
});
