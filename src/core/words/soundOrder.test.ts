import assert from 'node:assert/strict';
import { test } from 'node:test';
import { numberSettings } from '../../contracts/numberSettings.ts';
import { stepsOf } from '../terms/schools.ts';
import { USUAL_ORDER } from './segmentWord.ts';
import { MOST_GROUPS, readSoundOrder, unknownInOrder, writeSoundOrder } from './soundOrder.ts';

test('an order is read as it was written, and is ours where it says nothing', () => {
  assert.deepEqual(readSoundOrder(undefined), USUAL_ORDER);
  assert.deepEqual(readSoundOrder(' \n\n'), USUAL_ORDER);
  assert.deepEqual(readSoundOrder('S a t\nSH, ch\na-e'), [['s', 'a', 't'], ['sh', 'ch'], ['a_e']]);
  assert.deepEqual(readSoundOrder(writeSoundOrder(USUAL_ORDER)), USUAL_ORDER);
  assert.equal(readSoundOrder('a\n'.repeat(100)).length, MOST_GROUPS);
});

test('what is no sound is named, and a programme keeps neither it nor our own order written out', () => {
  assert.deepEqual(unknownInOrder('s a 7\nxyz'), ['7', 'xyz']);
  const field = numberSettings().soundOrder;
  assert.throws(() => field.validateSync('s a 7'), /holds “7”, for which we know no sound/);
  assert.throws(() => field.validateSync('a\n'.repeat(40) + 'b'), /at most 30 groups/);
  assert.equal(field.validateSync(writeSoundOrder(USUAL_ORDER)), undefined);
  assert.equal(field.validateSync('  '), undefined);
  assert.equal(field.validateSync('s a\r\nt p'), 's a\nt p');
});

test('a new term of sounds takes the programme’s own order; other schools keep theirs', () => {
  assert.deepEqual(stepsOf('sounds-first', 's a t\np i n'), ['s a t', 'p i n']);
  assert.deepEqual(stepsOf('own-name', 's a t'), stepsOf('own-name'));
});
