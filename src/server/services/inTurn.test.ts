import assert from 'node:assert/strict';
import { test } from 'node:test';
import { EdgeError } from '../http/errors.ts';
import { inTurn, oneAtATime } from './inTurn.ts';

/** Work that is held until it is let go, and tells how much of it is under way. */
function held() {
  const goes: (() => void)[] = [];
  let running = 0;
  let most = 0;
  const work = async () => {
    most = Math.max(most, ++running);
    await new Promise<void>((go) => goes.push(go));
    running -= 1;
  };
  const letGo = async (count: number) => {
    for (let done = 0; done < count; done++) {
      while (goes.length === 0) await new Promise((next) => setImmediate(next));
      goes.shift()!();
    }
  };
  return { work, letGo, most: () => most, started: () => running };
}

test('presses of one session run one after the other, those of another beside them', async () => {
  const [one, other] = [held(), held()];
  const presses = Array.from({ length: 100 }, () => oneAtATime('one', one.work));
  const beside = oneAtATime('other', other.work);
  await other.letGo(1);
  await beside;
  await one.letGo(100);
  await Promise.all(presses);
  assert.equal(one.most(), 1);
});

test('a press that fails lets the next one in', async () => {
  const failed = oneAtATime('one', () => Promise.reject(new Error('no')));
  const next = oneAtATime('one', () => Promise.resolve('sent'));
  await assert.rejects(failed, /no/);
  assert.equal(await next, 'sent');
});

test('presses without end are refused, and those that wait come through', async () => {
  const { work, letGo } = held();
  const presses = Array.from({ length: 200 }, () => oneAtATime('one', work));
  await assert.rejects(oneAtATime('one', work), EdgeError);
  await letGo(200);
  await Promise.all(presses);
});

test('two long imports run at once, sixteen wait, one more is refused', async () => {
  const { work, letGo, most } = held();
  const imports = Array.from({ length: 18 }, () => inTurn(work));
  await new Promise((next) => setImmediate(next));
  await assert.rejects(inTurn(work), EdgeError);
  await letGo(18);
  await Promise.all(imports);
  assert.equal(most(), 2);
});
