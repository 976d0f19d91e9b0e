import type { Rung } from '../core/ladders/index.ts';

/** A rung in words: what an adult sees when it is there, what is seen before, and what helps then. */
interface RungWords {
  readonly sees: string;
  readonly before: string;
  readonly helps: string;
}

/** Every rung of both ladders by its skill. */
export const RUNG_WORDS: Readonly<Record<Rung, RungWords>> = {
  handle: {
    sees: 'sorts and piles the things in a way of its own',
    before: 'wants to do only one thing with them, or leaves',
    helps: 'Leave the things out and say nothing; time is what is needed.',
  },
  'same-different': {
    sees: 'shows one that is the same, and says in what',
    before: 'picks one that looks nice',
    helps: 'Hold two side by side and say yourself what is the same.',
  },
  match: {
    sees: 'gives everybody one, and sees one left over or short',
    before: 'puts two in one place',
    helps: 'Touch each place together: one for here, one for here.',
  },
  sort: {
    sees: 'sorts by one thing, then by another',
    before: 'begins by colour and goes on by shape',
    helps: 'Lay a sample at the head of each heap.',
  },
  'say-row': {
    sees: 'says the row a good way, past ten',
    before: 'leaves one out, always the same',
    helps: 'Say it together while walking, and go past the place.',
  },
  'touch-count': {
    sees: 'one word, one touch, and stops at the right one',
    before: 'the words run faster than the finger',
    helps: 'Move each thing over a line while you count it.',
  },
  'how-many': {
    sees: 'says how many without counting again',
    before: 'counts again from one when asked',
    helps: 'Say the last word louder, and circle the whole heap with a hand.',
  },
  'count-out': {
    sees: 'counts out as many as were asked for, and stops',
    before: 'hands over five when asked for three',
    helps: 'Count them into your hand together; stop at the number.',
  },
  'see-how-many': {
    sees: 'sees three, four or five without counting',
    before: 'counts every dot each time',
    helps: 'Show it for a blink, and begin with two and three.',
  },
  'numeral-quantity': {
    sees: 'finds the numeral for a heap, and the heap for a numeral',
    before: 'takes six for nine, or leaves zero out',
    helps: 'Feel the numeral with a finger, and keep the empty pot in the row.',
  },
  compare: {
    sees: 'says which has more, and how many more',
    before: 'takes the longer row for more',
    helps: 'Lay them side by side, one against one.',
  },
  order: {
    sees: 'puts first, second, last in order, and strips by length',
    before: 'orders by twos only',
    helps: 'Begin with three, and push all ends against a book.',
  },
  pattern: {
    sees: 'goes on with a pattern and says the part that repeats',
    before: 'copies the last piece over and over',
    helps: 'Say it aloud with a beat, and stop before the next.',
  },
  'parts-whole': {
    sees: 'says what is hidden when a part is covered',
    before: 'guesses any number',
    helps: 'Show both parts, cover one, uncover it, cover it.',
  },
  'count-back': {
    sees: 'counts back, and on from any number',
    before: 'starts at one each time',
    helps: 'Walk it on stairs or stones, backwards too.',
  },
  'tens-ones': {
    sees: 'says how many tens and how many more',
    before: 'counts a heap of thirty one by one',
    helps: 'Make plates of ten, and count the plates.',
  },
  steps: {
    sees: 'goes up in twos, fives and tens',
    before: 'loses the step after the third',
    helps: 'Count shoes by their owners, and hands by fives.',
  },
  coins: {
    sees: 'pays in two ways, and counts up for change',
    before: 'takes the most coins for the most money',
    helps: 'Lay the coins beside as many counters as they are worth.',
  },
  'join-separate': {
    sees: 'tells a story of coming and going, and says how many there are then',
    before: 'counts everything again after each one that comes',
    helps: 'Act it slowly with toys, and let those that go really leave the table.',
  },
  shapes: {
    sees: 'names a shape, counts its corners, and builds one from sticks',
    before: 'no longer knows it when it’s on its corner',
    helps: 'Feel it in a bag, with a thumb on the first corner.',
  },
  'size-order': {
    sees: 'puts three or more in order by height, width or weight',
    before: 'compares two, and puts the third anywhere',
    helps: 'Begin with the largest and the smallest, and look for one between them.',
  },
  'week-day': {
    sees: 'says what day it is, what was yesterday and what comes tomorrow',
    before: 'says yesterday for anything that is over',
    helps: 'Move a clip along a strip of the days every morning.',
  },
  listen: {
    sees: 'turns to a sound and says what it was',
    before: 'hears it only when it is loud',
    helps: 'Name one sound and wait for it together.',
  },
  beat: {
    sees: 'claps the parts of a name',
    before: 'claps once for the whole word',
    helps: 'Say it slowly, and step it.',
  },
  rhyme: {
    sees: 'says which two sound alike, or makes one up',
    before: 'says a word that means the same',
    helps: 'Sing the rhyme and leave its last word out.',
  },
  'first-sound': {
    sees: 'finds things that start with a sound',
    before: 'goes by the letter, or by the thing',
    helps: 'Say the sound long: sss-ock, sss-poon.',
  },
  blend: {
    sees: 'says the whole word when it hears the pieces',
    before: 'says the pieces again',
    helps: 'Begin with two pieces: c-ar, b-oat.',
  },
  'break-words': {
    sees: 'says a word in pieces',
    before: 'says its first sound only',
    helps: 'Push a lid forward for each piece.',
  },
  'letter-sound': {
    sees: 'says the sound of a letter that was met',
    before: 'says its name, or another sound',
    helps: 'Trace it while you both say the sound.',
  },
  'build-words': {
    sees: 'builds and reads short words',
    before: 'reads each letter and then guesses',
    helps: 'Slide the letters together as the sounds run together.',
  },
  'two-letters': {
    sees: 'takes two letters as one sound',
    before: 'says each of the two',
    helps: 'Put the two on one tile.',
  },
  'common-words': {
    sees: 'knows a few common words at once',
    before: 'sounds out words that cannot be',
    helps: 'Keep five at most, and meet them where they live.',
  },
  sentences: {
    sees: 'reads a sentence and stops at its end',
    before: 'runs over the full stop',
    helps: 'Clap at the stop.',
  },
  retell: {
    sees: 'tells it again with who, where and what happened',
    before: 'tells its favourite moment only',
    helps: 'Play it with toys, scene by scene, and let the toys speak.',
  },
  write: {
    sees: 'writes something for somebody, in marks, first sounds or words',
    before: 'waits for every letter to be shown',
    helps: 'Write your own beside it, and read both out.',
  },
  'by-heart': {
    sees: 'says a verse alone, just for fun',
    before: 'joins in at the ends of lines',
    helps: 'Add one line a week, and say the old ones first.',
  },
};
