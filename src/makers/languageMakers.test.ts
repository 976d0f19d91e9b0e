import { findMaker } from './index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { MakerValues } from '../core/session/index.ts';
import { ACCENTS, SOUND_UNITS } from '../core/sounds/index.ts';
import { strokeWays } from '../core/page/index.ts';
import { findStarts, firstSoundName, letterSupply } from '../core/words/index.ts';
import { portionDays } from './by-heart/maker.ts';
import { knownWords, type MakerOutput, soundSessionParts } from '../core/makers/index.ts';
import { spellingPictures } from './picture-spelling/maker.ts';
import { STORY_SOUNDS } from './sound-story/maker.ts';
import { authorSpeech } from '../messages/speeches.ts';
import { made, make } from '../../tests/support/makers.ts';

const why = (id: string, values: MakerValues) => {
  const answer = make(id, values);
  return answer.ok ? 'made' : 'why' in answer.problem ? answer.problem.why : answer.problem.code;
};
const said = ({ lines }: MakerOutput) => lines.right.flatMap(({ text, answer }) => [text, answer ?? '']).join('\n');
const texts = ({ printable }: MakerOutput) =>
  [...printable.cards, ...printable.sheets].flatMap(({ shapes }) =>
    shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : [])),
  );

const mouthOf = (grapheme: string) => authorSpeech.say(`mouths/made.${firstSoundName(grapheme)!}`, { accent: 'gb' });

test('every sound page says its sound, feels its mouth and shows its letters, capitals first where a programme begins so', () => {
  for (const { grapheme, spoken, word } of SOUND_UNITS) {
    const page = made('sound-page', { sound: grapheme });
    const strokes = [...grapheme].flatMap((letter) => strokeWays(letter));
    for (const part of [spoken, word, mouthOf(grapheme), authorSpeech.say(`mouths/way.${strokes[0]!}`)])
      assert.ok(said(page).includes(part), `${grapheme}: ${part}`);
    assert.ok(page.key.some((line) => line.startsWith(`${grapheme} and ${grapheme[0]!.toUpperCase()}`)));
  }
  assert.match(said(made('sound-page', { sound: 'ck' })), /What do you hear at the end of brick\?/);
  assert.match(said(made('sound-page', { sound: 'b' }, { letters: 'capitals' })), /Write B in the air/);
  const named = said(made('sound-page', { sound: 'z' }, { firstSaid: 'names' }));
  assert.match(named, /Say what it is called: zed\./);
  assert.doesNotMatch(named, /They say the name of the letter/);
  assert.match(said(made('sound-page', { sound: 'z' }, { firstSaid: 'names', accent: 'us' })), /called: zee\./);
  assert.doesNotMatch(said(made('sound-page', { sound: 'b' })), /what it is called: bee/);
  assert.match(said(made('alphabet-chart', {}, { firstSaid: 'names' })), /the name of each letter and then its sound/);
  assert.match(said(made('sound-page', { sound: 'b', sign: 'two fists, one on the other' })), /two fists/);
  assert.doesNotMatch(said(made('sound-page', { sound: 'b' })), /sign for it/);
  assert.equal(why('sound-page', { sign: 'x'.repeat(121) }), 'problem.sign');
});

test('a pattern song asks for what follows two actions, which is never in doubt', () => {
  for (const unit of ['AB', 'AAB', 'ABB', 'ABC', 'AABB', 'ABBC', 'ABCD']) {
    const song = made('pattern-song', { unit });
    const actions = ['clap', 'stamp', 'wave', 'nod'];
    const bit = [...unit].map((letter) => actions[letter.charCodeAt(0) - 65]!);
    const ask = song.lines.right.find(({ key }) => key === 'ask-1')!;
    assert.equal(ask.text.includes(`${bit[0]}, ${bit[1]}`), true, ask.text);
    const row = [...bit, ...bit, ...bit];
    const follows = new Set(
      row.flatMap((_, at) => (row[at] === bit[0] && row[at + 1] === bit[1] && row[at + 2] ? [row[at + 2]] : [])),
    );
    assert.deepEqual([...follows], [ask.answer], unit);
  }
  assert.equal(why('pattern-song', { unit: 'ABCD', actions: 'clap, stamp' }), 'problem.actions');
});

test('a story comes back to its sound at least three times, and a rhyme begins with it', () => {
  for (const sound of STORY_SOUNDS) {
    const story = made('sound-story', { sound })
      .lines.right.find(({ key }) => key === 'say-1')!
      .text.toLowerCase();
    const { spoken } = SOUND_UNITS.find(({ grapheme }) => grapheme === sound)!;
    assert.ok(
      story.split(new RegExp(`\\b${spoken[0]}${spoken.slice(1)}[a-z]*\\b|\\b${sound}\\b`)).length > 3,
      `${sound}: ${story}`,
    );
    const rhyme = made('sound-story', { sound, told: 'as-a-rhyme' }).lines.right.find(
      ({ key }) => key === 'say-1',
    )!.text;
    const words = rhyme.toLowerCase().match(/[a-z’]+/g)!;
    assert.ok(words.filter((word) => word.startsWith(sound)).length >= 4, `${sound}: ${rhyme}`);
  }
});

test('sound boxes have a box a sound, and answer with the one that is asked for', () => {
  const at = (place: string) =>
    made('sound-boxes', { place, words: 'ship, cake, moon' }).key.map((line) => line.split(': ').at(-1));
  assert.deepEqual(at('first'), ['sh', 'c', 'm']);
  assert.deepEqual(at('last'), ['p', 'k', 'n']);
  assert.deepEqual(at('middle').length, 3);
  assert.equal(why('sound-boxes', { words: 'strawberry, cat' }), 'problem.sounds');
  assert.equal(why('sound-boxes', { words: 'frog, cat', place: 'middle' }), 'problem.middle');
  assert.equal(made('sound-boxes', { words: 'box, cat' }).materials.find(({ item }) => item === 'bottle-lid')!.qty, 4);
});

test('pictures that spell a word start with its letters and with their first sound, in both accents', () => {
  for (const accent of ACCENTS) {
    const { known } = knownWords({ accent });
    for (const word of ['sun', 'frog', 'map', 'bed', 'tent', 'drum', 'hill'])
      for (let seed = 1; seed <= 20; seed++) {
        const pictures = spellingPictures(word, accent, seed);
        assert.ok(!('lacks' in pictures));
        assert.equal(pictures.map((entry) => entry.word[0]).join(''), word);
        assert.equal(new Set(pictures.map((entry) => entry.word)).size, word.length);
        const hard = pictures.filter((entry) => /^[cg][eiy]/.test(entry.word));
        assert.deepEqual(
          findStarts(
            'S',
            hard.map((entry) => entry.word),
            known,
            accent,
          ).yes,
          [],
        );
      }
  }
  assert.equal(why('picture-spelling', { words: 'xx' }), 'problem.letter');
  assert.equal(why('picture-spelling', { words: 'elephants' }), 'problem.long');
});

test('letters are as scarce as they come: pages grow with what is asked for, and e is found at once', () => {
  const all = [...'abcdefghijklmnopqrstuvwxyz'];
  const capitals = letterSupply(all, { of: 'capitals' });
  assert.deepEqual(capitals.scarce.slice(0, 2), ['z', 'q']);
  assert.ok(capitals.pages > letterSupply(all, { of: 'small' }).pages);
  assert.equal(letterSupply(['e', 'a'], { of: 'small' }).pages, 1);
  assert.ok(letterSupply(all, { of: 'small', each: 3 }).pages > letterSupply(all, { of: 'small' }).pages);
  assert.deepEqual(letterSupply([], { of: 'small' }), { pages: 0, scarce: [] });
  assert.equal(why('letter-hunt', { only: 'ä b' }), 'problem.letter');
  assert.equal(why('letter-hunt', { only: 'b' }), 'problem.few');
  assert.deepEqual(texts(made('letter-hunt', { only: 'b d p' })), ['B', 'P', 'D']);
});

test('the chart has every letter once, and neighbours at both ends', () => {
  const chart = made('alphabet-chart', { letter: 'a' });
  assert.equal(chart.printable.cards.length, 26);
  assert.match(said(chart), /b, and nobody before it/);
  assert.match(said(made('alphabet-chart', { letter: 'z' })), /y, and nobody after it/);
  assert.match(said(made('alphabet-chart', { letter: 'm' })), /l and n/);
  assert.ok(texts(made('alphabet-chart', {}, { letters: 'capitals' })).includes('M m'));
});

test('strips hold whole sentences and all their pieces; one without a stop is named', () => {
  const strips = made('sentence-strips', { sentences: 'The cat is up. Can I see it?' });
  const written = texts(strips);
  for (const piece of ['The cat is up.', 'Can I see it?', 'cat', 'up', '.', '?'])
    assert.ok(written.includes(piece), piece);
  assert.deepEqual(strips.key, ['The cat is up. (4 words)', 'Can I see it? (4 words)']);
  assert.equal(why('sentence-strips', { sentences: 'The cat is up' }), 'problem.open');
  assert.equal(why('sentence-strips', { sentences: 'Up.' }), 'problem.words');
  assert.equal(why('sentence-strips', { sentences: 'Go up. '.repeat(7) }), 'problem.count');
});

test('stops to clap are counted in our texts and in one’s own; a text with too few says so', () => {
  assert.match(made('clap-the-full-stops').key[0]!, /^7 stops/);
  const own = { text: 'my-own', own: 'One. “Two?” he said. Mr. Fenn came! Who? Four.' };
  assert.match(made('clap-the-full-stops', own).key[0]!, /^5 stops/);
  assert.match(made('clap-the-full-stops', { ...own, marks: 'every-mark' }).key[0]!, /^6 stops/);
  assert.equal(why('clap-the-full-stops', { text: 'my-own', own: 'Only one.' }), 'problem.few');
  assert.equal(why('clap-the-full-stops', { text: 'my-own' }), 'problem.empty');
});

test('portions return at growing distances, and the table has a row a child', () => {
  assert.deepEqual(portionDays(0, 3), [1, 2, 4, 8, 16]);
  assert.deepEqual(portionDays(2, 5), [11, 12, 14, 18, 26]);
  const verse = made('by-heart', { verse: 'one / two / three', lines: 2, apart: 7, names: 'Mo, Tilda, Fern' });
  assert.deepEqual(verse.key, [
    'one, two: day 1, day 2, day 4, day 8, day 16',
    'three: day 8, day 9, day 11, day 15, day 23',
  ]);
  assert.equal(texts(verse).filter((text) => text === 'Fern').length, 2);
  assert.equal(why('by-heart', { verse: 'only one line' }), 'problem.lines');
});

test('steps to read name what cannot be read yet, and fewer the more is taught', () => {
  const later = (taught: number) =>
    /picture: (.*)\./.exec(made('instructions', { taught }).facts[1] ?? '')?.[1]?.length ?? 0;
  assert.ok(later(1) > later(4) && later(4) >= later(8));
  assert.equal(made('instructions', { thing: 'kite' }).actions.includes('cords'), true);
});

test('a session on any sound has its page, a tip for home and one for outside, and every part can be made', () => {
  for (const { grapheme } of SOUND_UNITS)
    for (const before of [[], ['m', 'a', 's', 't'], ['ng', 'x']]) {
      const parts = soundSessionParts(findMaker, grapheme, before);
      const roles = parts.map(({ role }) => role);
      for (const role of ['page', 'song', 'home', 'world'] as const) assert.ok(roles.includes(role), grapheme);
      assert.equal(new Set(roles).size, roles.length);
      for (const { maker, values } of parts) made(maker.id, values);
      // What comes back is a sound from before, never the new one.
      const again = parts.find(({ role }) => role === 'again');
      if (again) assert.ok(before.includes(String(again.values.sound)) && again.values.sound !== grapheme);
      else
        assert.ok(
          before.length === 0 || before.every((earlier) => earlier === grapheme || ['ng', 'x', 'a'].includes(earlier)),
        );
    }
});
