import assert from 'node:assert/strict';
import { test } from 'node:test';
import { counted } from './counted.ts';
import { guideWords } from './guide.ts';

test('minutes and days are counted by the rules of each language', () => {
  const said = (language: 'en' | 'es' | 'ar') => {
    const { aboutMinutes, setupMinutes, daysBefore, leaveIt } = guideWords(language);
    return [1, 2, 5, 11, 100].map((count) => [
      aboutMinutes(count),
      setupMinutes(count),
      daysBefore(count),
      leaveIt(count),
    ]);
  };
  assert.deepEqual(
    said('en').map(([about]) => about),
    ['about 1 minute', 'about 2 minutes', 'about 5 minutes', 'about 11 minutes', 'about 100 minutes'],
  );
  assert.deepEqual(
    said('es').map(([, setup]) => setup),
    [1, 2, 5, 11, 100].map((count) => `${count} ${count === 1 ? 'minuto' : 'minutos'} para prepararlo`),
  );
  assert.deepEqual(
    said('ar').map(([about]) => about),
    ['نحو دقيقة', 'نحو دقيقتين', 'نحو 5 دقائق', 'نحو 11 دقيقة', 'نحو 100 دقيقة'],
  );
  assert.deepEqual(
    said('ar').map(([, , days]) => days),
    ['في المساء السابق', 'قبل يومين', 'قبل 5 أيام', 'قبل 11 يومًا', 'قبل 100 يوم'],
  );
  for (const language of ['en', 'es', 'ar'] as const)
    for (const words of said(language).flat()) assert.doesNotMatch(words, /undefined|#/);
});

test('a form that a language has and nobody wrote is said like the others', () => {
  assert.equal(counted(2, 'ar', { other: '# x' }), '2 x');
});
