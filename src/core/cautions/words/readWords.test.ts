import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance } from '../../chance.ts';
import { ALLERGENS } from '../allergens.ts';
import { CAUTION_RULES } from '../rules.ts';
import { en } from './en.ts';
import { namesWord } from './namesWord.ts';
import { phrasesOf, slotsOf } from './phrases.ts';
import { isReadable, readWords, TEXT_KINDS } from './readWords.ts';

const rulesIn = (text: string, group: 'check' | 'notes' | 'asks', kind: (typeof TEXT_KINDS)[number] = 'do') =>
  [...new Set(readWords(text, kind)[group].map(({ rule }) => rule))].sort();

test('what can hurt is looked at: one sentence for each rule that is checked', () => {
  for (const [text, rule] of [
    ['Pour boiling water into the bowl.', 'heat'],
    ['Dry the socks on the radiator.', 'heat'],
    ['Float a lit candle in the bowl.', 'flame'],
    ['Toast marshmallows over the fire pit.', 'flame'],
    ['Push cocktail sticks into the potato.', 'blades'],
    ['Grate the cheese.', 'blades'],
    ['Play in the paddling pool with the cups.', 'deep-water'],
    ['Take the boats down to the river.', 'deep-water'],
    ['Hide behind the parked cars.', 'road'],
    ['Chase the ball into the street.', 'road'],
    ['Lean over the balcony.', 'heights'],
    ['Stand on a chair and reach the shelf.', 'heights'],
    ['Eat the whole grapes one at a time.', 'choking-food'],
    ['Throw popcorn and catch it in your mouth.', 'choking-food'],
    ['Blow up a balloon and let it go.', 'balloons'],
    ['Use two fridge magnets.', 'magnets-cells-beads'],
    ['Take the button battery out of the toy.', 'magnets-cells-beads'],
    ['Put the loop round your neck.', 'cords'],
    ['Wear the plastic bag as a cape.', 'bags'],
    ['Hide in the washing machine.', 'bags'],
    ['Mix bleach and water.', 'cleaning'],
    ['Smell the glue and the felt pens.', 'poison'],
    ['Sort grandma’s pills by colour.', 'medicine'],
    ['Pick berries from the hedge and taste one.', 'wild-food'],
    ['Stroke the dog next door.', 'strange-animals'],
    ['Look straight at the sun.', 'sun'],
    ['Mix the dough and lick the spoon.', 'raw-dough'],
    ['Use the marbles as eyes.', 'small-balls'],
    ['Shine the torch into your child’s eyes.', 'light'],
  ] as const)
    assert.ok(rulesIn(text, 'check').includes(rule), `${text} ${rulesIn(text, 'check').join()}`);
});

test('saying not to do it does not undo it, and pretending alone does not either', () => {
  assert.deepEqual(rulesIn('Don’t touch the hot pan.', 'check'), ['heat']);
  assert.deepEqual(rulesIn('Pretend that the kettle boils.', 'check'), ['heat']);
});

test('in a story, a song or a picture, and of paper or cloth, it is asked about', () => {
  assert.deepEqual(rulesIn('The candle burned all night.', 'asks', 'read'), ['flame']);
  assert.deepEqual(rulesIn('Draw a candle on the card.', 'asks'), ['flame']);
  assert.deepEqual(rulesIn('Put the toy saw to the plank.', 'check'), []);
  assert.deepEqual(readWords('Cut the wooden apple.', 'do').allergens, []);
  assert.deepEqual(rulesIn('The paper fish is hungry.', 'asks'), ['allergens']);
});

test('what only looks like it calls for nothing that is looked at', () => {
  for (const text of [
    'The fire engine goes nee-naw.',
    'Match the socks.',
    'Which box is lighter?',
    'Light as a feather!',
    'Lay a road of masking tape on the carpet.',
    'Swim like a fish around the sofa.',
    'Put the egg cup next to the plate.',
    'Chop, chop! said the knight.',
    'Who saw the moon?',
    'Press the button on the lift.',
    'Climb the number ladder with a finger.',
    'Look out of the window: what is the weather?',
    'He was boiling mad.',
    'Nuts and bolts go in the tin.',
    'Pat-a-cake, pat-a-cake.',
    'Sing about the sun and the stars.',
    'Roll a sausage of dough.',
  ])
    assert.deepEqual(rulesIn(text, 'check'), [], text);
});

test('cautions are said for what is only good to know', () => {
  assert.deepEqual(rulesIn('Go up the stairs in the dark.', 'notes'), ['climbing', 'dark']);
  assert.deepEqual(rulesIn('Cut out the shape and glue it on.', 'notes'), ['dyes', 'scissors']);
  assert.deepEqual(rulesIn('Go up the stairs.', 'notes', 'read'), [], 'in a book nobody climbs');
});

test('foods hold what they are made of, and names of other things hold nothing', () => {
  for (const [text, allergens] of [
    ['hard-boiled eggs', ['egg']],
    ['Spread the peanut butter on the toast.', ['peanuts', 'wheat']],
    ['A slice of birthday cake.', ['egg', 'milk', 'wheat']],
    ['Roll sushi with rice.', ['fish', 'sesame', 'soya']],
    ['Squid rings for tea.', ['molluscs']],
    ['Eat crab sandwiches.', ['milk', 'shellfish', 'wheat']],
    ['almond milk', ['tree-nuts']],
    ['coconut milk', []],
    ['The butterfly sits on the buttercup.', []],
    ['Bring an empty egg box.', ['egg']],
    ['Swim like a fish.', []],
    ['nutmeg', []],
  ] as const)
    assert.deepEqual([...readWords(text, 'do').allergens].sort(), allergens, text);
});

test('places are characters of the text, whatever is before them', () => {
  const text = '“Oh!” Fill the kettle — it’s hot.';
  const [found] = readWords(text, 'do').check;
  assert.equal(text.slice(found!.from, found!.to), 'kettle');
});

test('every entry has a reason and a rule that is known; phrases are found by themselves', () => {
  const known = new Set([...Object.keys(CAUTION_RULES), ...ALLERGENS]);
  const phrases = en.entries.filter(({ group }) => group !== 'harmless').flatMap((entry) => phrasesOf(entry.phrases));
  assert.ok(phrases.length >= 250, String(phrases.length));
  for (const { group, rules, why, phrases: text } of en.entries) {
    assert.match(why, /^[A-Z].{10,}\.$/);
    if (group !== 'harmless') for (const rule of rules) assert.ok(known.has(rule), rule);
    for (const phrase of phrasesOf(text)) assert.ok(slotsOf(phrase)[0] !== null, `${phrase} begins with a gap`);
  }
});

test('every phrase of a danger or an allergen is found in a sentence of its own words, or is harmless by another', () => {
  const missed: string[] = [];
  for (const { group, rules, phrases } of en.entries.filter((entry) => ['check', 'allergen'].includes(entry.group)))
    for (const phrase of phrasesOf(phrases)) {
      const text = slotsOf(phrase)
        .flatMap((slot) => (slot ? [[...slot][0]!] : []))
        .join(' ');
      const read = readWords(text, 'do');
      const found =
        group === 'check'
          ? read.check.map(({ rule }) => rule)
          : [...read.allergens, ...read.asks.map(({ allergen }) => allergen)];
      if (!rules.some((rule) => found.includes(rule)) && read.asks.length === 0)
        missed.push(`${rules.join()}: ${text}`);
    }
  assert.deepEqual(missed.slice(0, 20), []);
});

test('any text is read in a number of steps that its length bounds, and nothing throws', () => {
  const chance = seededChance(7);
  const words = en.entries
    .flatMap(({ phrases }) => phrasesOf(phrases))
    .join(' ')
    .replace(/[*!/…]/g, ' ')
    .split(/\s+/);
  for (let round = 0; round < 200; round++) {
    const text = Array.from({ length: 60 }, () => words[Math.floor(chance() * words.length)]).join(
      [' ', ', ', '. ', '“'][round % 4],
    );
    for (const { from, to, word } of readWords(text, TEXT_KINDS[round % TEXT_KINDS.length]!).check)
      assert.equal(text.slice(from, to), word);
  }
  assert.deepEqual(readWords('', 'do'), { check: [], notes: [], asks: [], holding: [], allergens: [] });
  assert.throws(() => readWords('x', 'do', 'xx'), /no list/);
});

test('English is read; other scripts and other languages are not', () => {
  for (const text of ['Clap once.', 'Say it in Spanish: hola.', 'Tip the lids into a bowl', 'café au lait', ''])
    assert.ok(isReadable(text), text);
  for (const text of [
    'صبّ الماء',
    'Налей воду',
    'Pon el agua en la taza y ponla en la mesa.',
    'Gieß das Wasser in die Tasse und stell sie auf den Tisch.',
  ])
    assert.ok(!isReadable(text), text);
});

test('a home’s own word is found in the singular and the plural, and not inside another', () => {
  assert.ok(
    namesWord('Two kiwis in a bowl', 'Kiwi') &&
      namesWord('a kiwi', 'kiwis') &&
      namesWord('Strawberries!', 'strawberry'),
  );
  assert.ok(namesWord('passion fruits', 'passion fruit') && !namesWord('figure', 'fig') && !namesWord('x', ''));
});

test('a food that can choke holds its allergen all the same', () => {
  for (const [text, rule, allergen] of [
    ['Use celery sticks as little boats.', 'choking-food', 'celery'],
    ['Melt the butter in a pan.', 'heat', 'milk'],
    ['Lick the spoon with the cake mix.', 'raw-dough', 'egg'],
  ] as const) {
    const read = readWords(text, 'do');
    assert.ok(
      read.check.some((found) => found.rule === rule),
      text,
    );
    assert.ok(read.allergens.includes(allergen), text);
  }
  assert.deepEqual(readWords('A drink of coconut milk.', 'do').allergens, [], 'a name that holds none');
});

test('what is broken, swung, shut in, drunk or put up a nose is looked at; what only sounds like it is not', () => {
  const rulesOf = (text: string) => readWords(text, 'do').check.map(({ rule }) => rule);
  for (const [text, rule] of [
    ['Smash the old jam jar in a towel.', 'blades'],
    ['Make a swing from the washing line.', 'cords'],
    ['Lock the cupboard with your brother inside.', 'bags'],
    ['Blow the bubbles and drink the mixture.', 'poison'],
    ['Put the beads in your nose and sneeze.', 'small-parts'],
    ['Open the battery flap on the torch.', 'magnets-cells-beads'],
    ['Dip the dummy in honey.', 'honey'],
    ['Let go of the pram at the top of the hill.', 'movement'],
    ['Walk along the top of the wall.', 'heights'],
    ['Stir the soup while it bubbles.', 'heat'],
  ] as const)
    assert.ok(rulesOf(text).includes(rule), text);
  for (const text of [
    'Put the plug in the sink.',
    'We burn through the story in a minute.',
    'Whisper the word in your ear and point to your nose.',
    'Swing your arms and throw the sock.',
    'A shadow walks along the wall.',
  ])
    assert.deepEqual(rulesOf(text), [], text);
});
