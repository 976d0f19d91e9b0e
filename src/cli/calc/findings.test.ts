import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CALCULATIONS } from './calculations.ts';
import { demoFile } from '../../../tests/support/demoFile.ts';

const file = Object.assign(
  {},
  ...['things', 'books', 'songs', 'activities', 'homes', 'sessions'].map(demoFile),
) as object;
const calcFindings = CALCULATIONS.get('findings')!;

test('the findings of a session name their rule, their part and line, how much they weigh and what mends them', async () => {
  const { findings } = (await calcFindings({ file, session: 'The cart with no wheels' })) as {
    findings: Record<string, unknown>[];
  };
  assert.deepEqual(
    findings.map(({ rule, segment, line, weight, remedies }) => [rule, segment, line, weight, remedies]),
    [
      ['computed', 'Carts and lids', 0, 'note', []],
      ['homes-lack', 'Carts and lids', 0, 'warning', []],
      ['caution', 'Carts and lids', 0, 'warning', ['Write it with jar lids']],
      ['seated-too-long', 'Carts and lids', null, 'warning', ['Put Wheel hunt in between']],
      ['only-closed', 'Carts and lids', 4, 'note', ['Add “How do you know?”']],
    ],
  );
});

test('a session that is not in the file, and a file that is not sound, are refused at their path', async () => {
  const refusal = async (input: object) =>
    String(await Promise.resolve(calcFindings(input)).catch(({ message }: Error) => message));
  assert.match(await refusal({ file, session: 'None' }), /^session: no session of the file/);
  assert.match(await refusal({ file: { ...file, activities: [{}] }, session: 'None' }), /^file\.activities\[0\]/);
});
