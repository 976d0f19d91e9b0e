import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CalcBench } from './calcBench.ts';

test('what is not answered in its time is stopped and says what to make smaller', async () => {
  // A thread takes longer than this to begin.
  const bench = new CalcBench('pots', { seconds: 0.01 });
  const late = await bench.answer('{"from":0,"to":5}');
  assert.match(
    'error' in late ? late.error : '',
    /^\$: took longer than 0.01 seconds and was stopped; make the input smaller/,
  );
  await bench.end();
});
