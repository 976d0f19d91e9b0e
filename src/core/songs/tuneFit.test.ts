import assert from 'node:assert/strict';
import { test } from 'node:test';
import { EVERYDAY_WORDS, packedPronunciations } from '../sounds/index.ts';
import { fitLine, fitTune, sungWords } from './tuneFit.ts';

const known = packedPronunciations(EVERYDAY_WORDS)('gb');

/** Lines of our own to traditional tunes, with the syllables sung, counted by ear. */
const SUNG: readonly (readonly [number, string])[] = [
  [7, 'Roll the wheel along the lane'],
  [7, 'Up the hill and down again'],
  [7, 'Buttons in a row of four'],
  [7, 'Who is knocking at the door'],
  [7, 'Shadow, shadow on the wall'],
  [7, 'Are you big or are you small'],
  [7, 'Rain is drumming on the pane'],
  [7, 'Over goes the little train'],
  [8, 'The parcel came at half past three'],
  [8, 'It had a label just for me'],
  [6, 'We hung the socks to dry'],
  [6, 'The wind went whistling by'],
  [8, 'The goat has crossed the wooden bridge'],
  [8, 'And now he grazes on the ridge'],
  [5, 'Hush, the owl is out'],
  [6, 'One for the early train'],
  [6, 'Two for the tower clock'],
  [7, 'Three for the ferry ringing'],
  [7, 'Four for the children singing'],
  [7, 'Clap your hands and turn around'],
  [7, 'Tap your heels upon the ground'],
  [8, 'My pockets hold a piece of string'],
  [8, 'A button and a pebble ring'],
  [4, 'Fog in a jar'],
  [6, 'A puddle and a star'],
  [7, 'Yellow, orange, green and blue'],
  [7, 'Every colour came with you'],
  [6, 'The washing is outside'],
  [7, 'The bubbles go far and wide'],
  [7, 'Grandma’s kettle starts to hum'],
  [7, 'Grandpa taps it with his thumb'],
  [8, 'A letter for the lady next door'],
  [8, 'A letter for the man upstairs'],
  [7, 'Seven spoons are in the drawer'],
  [6, 'The moon is in the tree'],
  [6, 'And it looks down at me'],
  [7, 'Little hedgehog, time for bed'],
  [7, 'Leaves above your prickly head'],
  [5, 'Stamp, stamp, stamp your feet'],
  [5, 'Hear the drummer’s beat'],
  [8, 'The baker bakes a loaf of bread'],
  [8, 'The miller wears a hat of red'],
  [7, 'Sailing, sailing on the pond'],
  [7, 'To the island and beyond'],
  [6, 'The bell says ding and dong'],
  [7, 'The bus is coming along'],
  [7, 'Fingers wiggle, fingers hide'],
  [7, 'Can you find them all inside'],
  [8, 'The spider spins her silver thread'],
  [7, 'Cloudy morning, sunny noon'],
  [7, 'Snow is coming very soon'],
  [6, 'The kitten wants her tea'],
  [6, 'The puppy follows me'],
  [8, 'We built a castle out of sand'],
  [8, 'With seven shells and one wet hand'],
  [7, 'Tick and tock, the clocks agree'],
  [7, 'Dinner, supper, bath and tea'],
  [5, 'Apples in the bowl'],
  [7, 'Potatoes in the cellar'],
  [6, 'A carrot for the mole'],
];

test('at least 95 in a hundred lines of our own are counted as they are sung', () => {
  assert.ok(SUNG.length >= 60);
  const wrong = SUNG.filter(
    ([count, line]) => sungWords(line, known).reduce((sum, { stress }) => sum + stress.length, 0) !== count,
  );
  assert.ok(wrong.length <= SUNG.length * 0.05, wrong.map(([, line]) => line).join(' | '));
});

test('a line that fits, is one short, one long, or far off', () => {
  const verdict = (line: string) => fitTune({ tune: ['SwSwSwS'], lines: [line] }, known)[0]!;
  assert.equal(verdict('Roll the wheel along the lane').verdict, 'fits');
  assert.deepEqual([verdict('Roll the wheel along now').verdict, verdict('Roll the wheel along now').gap], ['tie', -1]);
  assert.equal(verdict('Roll the wheel along the garden').verdict, 'split');
  assert.equal(verdict('Roll').verdict, 'reword');
  assert.deepEqual(verdict(''), { syllables: 0, notes: 7, gap: -7, stress: [], verdict: 'reword', guessed: [] });
});

test('the main stress of a longer word on a weak beat clashes; words of one syllable take any beat', () => {
  const [line] = fitTune({ tune: ['SwSw'], lines: ['Banana now'] }, known);
  assert.deepEqual([line!.stress, line!.verdict], [['ok', 'clash', 'ok', 'ok'], 'reword']);
  assert.equal(fitLine(sungWords('The cat the dog', known), 'SwSw').verdict, 'fits');
});

test('names are sung as told, guessed ones are named, and a short tune begins again', () => {
  const fitted = fitTune(
    { tune: ['SwS', 'Sw'], lines: ['Ilvo sings', 'Zamiro', 'Ilvo sings'], names: { Ilvo: 2 } },
    known,
  );
  assert.deepEqual(
    fitted.map(({ syllables, notes }) => [syllables, notes]),
    [
      [3, 3],
      [3, 2],
      [3, 3],
    ],
  );
  assert.deepEqual(
    fitted.map(({ guessed }) => guessed),
    [[], ['Zamiro'], []],
  );
});
