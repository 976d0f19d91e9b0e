import { authorSpeech } from '../../messages/speeches.ts';
import { plainSegment } from '../session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { segmentFromActivity, segmentFromBook, segmentFromSong } from './fromShelf.ts';
import { formatPieces, renderTemplate } from '../expressions/index.ts';

const asWritten = (text: string) => {
  const pieces = renderTemplate(text, { values: {}, things: {} });
  return pieces.ok ? formatPieces(pieces.value) : pieces.problem.code;
};

const PACE = {
  wordsPerMinute: [140, 120, 95],
  pageSeconds: [2, 3, 5],
  pauseSeconds: [6, 12, 25],
} as const;

test('a book becomes its fetching, its reading and a question for each pause, with the minutes of the programme’s pace', () => {
  const pauses = [
    { page: 3, question: 'Who is behind the door?', why: 'A guess is made before the page turns.' },
    { page: 9, question: 'What was in {the box}?', why: 'It is remembered.' },
  ];
  const book = { key: 'door', title: 'The blue door', words: 240, pages: 12, pauses, skills: ['listening'] };
  const segment = segmentFromBook(book, 'p1', { pace: PACE, speech: authorSpeech });
  assert.deepEqual(
    segment.lines.map(({ kind }) => kind),
    ['do', 'read', 'ask', 'ask'],
  );
  assert.equal(segment.lines[2]!.text, 'After page 3: Who is behind the door?');
  assert.equal(asWritten(segment.lines[3]!.text), 'After page 9: What was in {the box}?');
  assert.equal(segment.lines[2]!.why, 'A guess is made before the page turns.');
  // 240 words at 120 a minute, twelve pages of 3 s, two pauses of 12 s: three minutes.
  assert.deepEqual(
    segment.minutes.together.map((minutes) => Math.round(Number(minutes) * 10) / 10),
    [2.3, 3, 4.4],
  );
  assert.deepEqual([segment.kind, segment.from, segment.posture], ['book', 'door', 'seated']);
  const ids = segment.lines.map(({ id }) => id);
  assert.equal(new Set(ids).size, ids.length);
});

test('braces in a song are words, not dials', () => {
  const song = {
    key: 'round',
    title: 'Round it goes',
    tune: 'a {round} tune',
    verses: [['Round it goes', 'and {round} again'], ['Down it goes']],
    actions: 'Turn your hands.',
    skills: ['beat'],
    minutes: [1, 2, 3] as const,
  };
  const segment = segmentFromSong(song, 'p2', authorSpeech);
  assert.deepEqual(
    segment.lines.map(({ text }) => asWritten(text)),
    ['Sing to the tune of “a {round} tune”. Turn your hands.', 'Round it goes / and {round} again', 'Down it goes'],
  );
  assert.deepEqual([segment.posture, segment.minutes.together], ['moving', [1, 2, 3]]);
});

test('an activity is copied under an id of the session, and its dials stand at just right', () => {
  const plain = plainSegment('x', 'activity', '', [4, 5, 6]);
  const dials = [{ name: 'n', label: 'how many', value: 4, min: 1, max: 9 }];
  const segment = segmentFromActivity({ ...plain, dials, key: 'pots', title: 'Pots' }, 'p3');
  assert.deepEqual(
    [segment.id, segment.kind, segment.title, segment.from, segment.level],
    ['p3', 'activity', 'Pots', 'pots', 'right'],
  );
  assert.deepEqual(segment.rightDials, { n: 4 });
  assert.ok(!('key' in segment));
});

test('whatever an activity holds goes into a session, but for what it is found and planned by', () => {
  const { id: _id, kind: _kind, title, ...body } = plainSegment('a', 'activity', 'Carts', [1, 2, 3]);
  const ofShelf = {
    themes: ['wheels'],
    idea: 'Carts.',
    ages: {},
    mess: 1,
    noise: 1,
    effort: 1,
    keeps: '',
    after: [],
    seasons: [],
  };
  const activity = { ...body, title, key: 'carts', surface: 'the floor', ...ofShelf, addedNextYear: 'kept' };
  const segment: object = segmentFromActivity(activity, 'p1');
  assert.deepEqual(
    [(segment as { addedNextYear?: string }).addedNextYear, (segment as { surface?: string }).surface],
    ['kept', 'the floor'],
  );
  for (const name of [...Object.keys(ofShelf), 'key']) assert.ok(!Object.hasOwn(segment, name), name);
});
