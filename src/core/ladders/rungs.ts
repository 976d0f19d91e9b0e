import { LANGUAGE_SKILLS, NUMBER_SKILLS } from './skills.ts';

/** A rung: what an adult sees when it is there, what is seen before, and what helps then. */
export interface Rung {
  readonly skill: string;
  readonly sees: string;
  readonly before: string;
  readonly helps: string;
}

const NUMBER: readonly (readonly [sees: string, before: string, helps: string])[] = [
  [
    'sorts and piles the things in a way of its own',
    'wants to do only one thing with them, or leaves',
    'Leave the things out and say nothing; time is what is needed.',
  ],
  [
    'shows one that is the same, and says in what',
    'picks one that looks nice',
    'Hold two side by side and say yourself what is the same.',
  ],
  [
    'gives everybody one, and sees one left over or short',
    'puts two in one place',
    'Touch each place together: one for here, one for here.',
  ],
  [
    'sorts by one thing, then by another',
    'begins by colour and goes on by shape',
    'Lay a sample at the head of each heap.',
  ],
  [
    'says the row a good way, past ten',
    'leaves one out, always the same',
    'Say it together while walking, and go past the place.',
  ],
  [
    'one word, one touch, and stops at the right one',
    'the words run faster than the finger',
    'Move each thing over a line as it is counted.',
  ],
  [
    'says how many without counting again',
    'counts again from one when asked',
    'Say the last word louder, and circle the whole heap with a hand.',
  ],
  [
    'counts out as many as were asked for, and stops',
    'hands over five when asked for three',
    'Count them into your hand together; stop at the number.',
  ],
  [
    'sees three, four or five without counting',
    'counts every dot each time',
    'Show it for a blink, and begin with two and three.',
  ],
  [
    'finds the numeral for a heap, and the heap for a numeral',
    'takes six for nine, or leaves zero out',
    'Feel the numeral with a finger, and keep the empty pot in the row.',
  ],
  [
    'says which has more, and how many more',
    'takes the longer row for more',
    'Lay them side by side, one against one.',
  ],
  [
    'puts first, second, last in order, and strips by length',
    'orders by twos only',
    'Begin with three, and push all ends against a book.',
  ],
  [
    'goes on with a pattern and says the part that repeats',
    'copies the last piece over and over',
    'Say it aloud with a beat, and stop before the next.',
  ],
  [
    'says what is hidden when a part is covered',
    'guesses any number',
    'Show both parts, cover one, uncover it, cover it.',
  ],
  ['counts back, and on from any number', 'starts at one each time', 'Walk it on stairs or stones, backwards too.'],
  [
    'says how many tens and how many more',
    'counts a heap of thirty one by one',
    'Make plates of ten, and count the plates.',
  ],
  [
    'goes up in twos, fives and tens',
    'loses the step after the third',
    'Count shoes by their owners, and hands by fives.',
  ],
  [
    'pays in two ways, and counts up for change',
    'takes the most coins for the most money',
    'Lay the coins beside as many counters as they are worth.',
  ],
  [
    'tells a story of coming and going, and says how many there are then',
    'counts everything again after each one that comes',
    'Act it slowly with toys, and let those that go really leave the table.',
  ],
  [
    'names a shape, counts its corners, and builds one from sticks',
    'no longer knows it when it stands on a corner',
    'Feel it in a bag, with a thumb on the first corner.',
  ],
  [
    'puts three or more in order by height, width or weight',
    'compares two, and puts the third anywhere',
    'Begin with the largest and the smallest, and look for one between them.',
  ],
  [
    'says what day it is, what was yesterday and what comes tomorrow',
    'says yesterday for anything that is over',
    'Move a clip along a strip of the days every morning.',
  ],
];

const LANGUAGE: readonly (readonly [sees: string, before: string, helps: string])[] = [
  [
    'turns to a sound and says what it was',
    'hears it only when it is loud',
    'Name one sound and wait for it together.',
  ],
  ['claps the parts of a name', 'claps once for the whole word', 'Say it slowly, and step it.'],
  [
    'says which two sound alike, or makes one up',
    'says a word that means the same',
    'Sing the rhyme and leave its last word out.',
  ],
  [
    'finds things that start with a sound',
    'goes by the letter, or by the thing',
    'Say the sound long: sss-ock, sss-poon.',
  ],
  ['says the whole word when it hears the pieces', 'says the pieces again', 'Begin with two pieces: c-ar, b-oat.'],
  ['says a word in pieces', 'says its first sound only', 'Push a lid forward for each piece.'],
  [
    'says the sound of a letter that was met',
    'says its name, or another sound',
    'Trace it while you both say the sound.',
  ],
  [
    'builds and reads short words',
    'reads each letter and then guesses',
    'Slide the letters together as the sounds run together.',
  ],
  ['takes two letters as one sound', 'says each of the two', 'Put the two on one tile.'],
  [
    'knows a few common words at once',
    'sounds out words that cannot be',
    'Keep five at most, and meet them where they live.',
  ],
  ['reads a sentence and stops at its end', 'runs over the full stop', 'Clap at the stop.'],
  [
    'tells it again with who, where and what happened',
    'tells its favourite moment only',
    'Play it with toys, scene by scene, and let the toys speak.',
  ],
  [
    'writes something for somebody, in marks, first sounds or words',
    'waits for every letter to be shown',
    'Write your own beside it, and read both out.',
  ],
  [
    'says a verse alone, for the joy of it',
    'joins in at the ends of lines',
    'Add one line a week, and say the old ones first.',
  ],
];

const rungsOf = (skills: readonly string[], words: typeof NUMBER): Rung[] =>
  skills.map((skill, index) => {
    const [sees, before, helps] = words[index]!;
    return { skill, sees, before, helps };
  });

/** Both ladders, each in its order. */
export const LADDERS: readonly { readonly name: 'number' | 'language'; readonly rungs: readonly Rung[] }[] = [
  { name: 'number', rungs: rungsOf(NUMBER_SKILLS, NUMBER) },
  { name: 'language', rungs: rungsOf(LANGUAGE_SKILLS, LANGUAGE) },
];
