import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance, shuffle } from '../chance.ts';
import { isRude } from './rudeWords.ts';
import { BOOK_WORDS, littleBook, NEW_PAGES, type BookPage } from './littleBook.ts';

const wordsOn = ({ sentences }: BookPage) =>
  sentences.flatMap(({ pieces }) => pieces.flatMap((piece) => ('word' in piece ? [piece.word.toLowerCase()] : [])));

test('every book uses only words that are known, its new one and pictures, and reads all of them again', () => {
  const chance = seededChance(3);
  let made = 0;
  for (let round = 0; round < 4000; round++) {
    const mixed = [...BOOK_WORDS];
    shuffle(mixed, chance);
    const known = round % 3 === 0 ? ['a', 'I', 'the', 'see'] : ['a', 'I'];
    const words = mixed
      .filter((word) => !known.some((one) => one.toLowerCase() === word))
      .slice(0, 1 + (round % NEW_PAGES));
    const book = littleBook(words, { known, seed: round });
    if (!book.ok) continue;
    made += 1;
    const readable = new Set(known.map((word) => word.toLowerCase()));
    assert.deepEqual(
      book.value.slice(0, words.length).map(({ newWord }) => newWord),
      words,
    );
    assert.equal(book.value.length, 7);
    const later = new Map(words.map((word) => [word, 0]));
    for (const page of book.value) {
      for (const word of wordsOn(page))
        if (later.has(word) && page.newWord !== word) later.set(word, later.get(word)! + 1);
      if (page.newWord !== null) readable.add(page.newWord);
      assert.ok(page.sentences.length >= 1 && page.sentences.length <= 3);
      for (const word of wordsOn(page)) {
        assert.ok(readable.has(word), `${word} in ${words.join()}`);
        assert.equal(isRude(word), false);
      }
      if (page.newWord !== null) assert.ok(wordsOn(page).includes(page.newWord));
      for (const { pieces } of page.sentences) {
        const nouns = pieces.flatMap((piece) => ('picture' in piece ? [piece.picture.word] : []));
        assert.equal(new Set(nouns).size, nouns.length);
        // “a” stands before pictures that begin with a consonant only.
        pieces.forEach((piece, at) => {
          const next = pieces[at + 1];
          if ('word' in piece && piece.word.toLowerCase() === 'a' && next && 'picture' in next)
            assert.match(next.picture.word, /^[^aeiou]/);
        });
      }
    }
    for (const [word, times] of later) assert.ok(times >= 1, `${word} is never read again: ${words.join()}`);
  }
  assert.ok(made > 300, `${made}`);
});

test('the same seed makes the same book; a word that no sentence can hold yet says what it needs', () => {
  const usual = ['the', 'and', 'my', 'see', 'go'];
  assert.deepEqual(littleBook(usual, { known: ['a'], seed: 5 }), littleBook(usual, { known: ['a'], seed: 5 }));
  assert.notDeepEqual(littleBook(usual, { known: ['a'], seed: 5 }), littleBook(usual, { known: ['a'], seed: 6 }));
  const alone = littleBook(['said'], { known: [], seed: 1 });
  assert.equal(alone.ok, false);
  assert.deepEqual(alone.ok ? null : alone.problem.code, 'alone');
  assert.deepEqual(littleBook(['xylem'], { known: ['a'], seed: 1 }), {
    ok: false,
    problem: { code: 'no-sentence', word: 'xylem' },
  });
  for (const count of [0, NEW_PAGES + 1])
    assert.deepEqual(littleBook(BOOK_WORDS.slice(0, count), { known: ['a', 'I', 'the'], seed: 1 }), {
      ok: false,
      problem: { code: 'count', most: NEW_PAGES },
    });
});
