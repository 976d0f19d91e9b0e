import assert from 'node:assert/strict';
import { test } from 'node:test';
import { object, string } from 'yup';
import { checked, takeAction } from './actions.ts';
import { EdgeError } from './errors.ts';

const page = (fields?: Record<string, string>) => {
  const answer: ResponseInit = {};
  const request = new Request(
    'https://footstool.example/page',
    fields && { method: 'POST', body: new URLSearchParams(fields) },
  );
  const redirect = (to: string, status?: number) => new Response(null, { status: status!, headers: { location: to } });
  return { request, redirect, response: answer };
};
const named = checked(object({ name: string().required('is needed') }), ({ name }) => Promise.resolve(`/${name}`));
const leads = async (taken: ReturnType<typeof takeAction>) => {
  const response = await taken;
  return response instanceof Response && [response.status, response.headers.get('location')];
};

test('a page does what its form is named for and leads on; where nothing was sent it does nothing', async () => {
  assert.equal(await takeAction(page(), { named }), null);
  assert.deepEqual(await leads(takeAction(page({ do: 'named', name: 'one' }), { named })), [303, '/one']);
  assert.deepEqual(await leads(takeAction(page({ name: 'one' }), { '': () => Promise.resolve('/two') })), [
    303,
    '/two',
  ]);
});

test('what no action is named for is refused, whatever it is called, and never done as another', async () => {
  const refused = (thrown: unknown) => thrown instanceof EdgeError && thrown.code === 'wrong-form';
  for (const name of ['', 'other', 'constructor', '__proto__', 'Named'])
    await assert.rejects(takeAction(page({ do: name, name: 'one' }), { named }), refused);
});

test('a checked form that does not fit keeps what was written, says where, and sets the status', async () => {
  const at = page({ do: 'named', name: '' });
  const taken = await takeAction(at, { named });
  assert.ok(taken && !(taken instanceof Response));
  assert.deepEqual([taken.did, taken.written.name, taken.problems[0]?.path], ['named', '', 'name']);
  assert.equal(at.response.status, 422);
  const fails = { named: { ...named, act: () => Promise.reject(new EdgeError('not-found')) } };
  await assert.rejects(takeAction(page({ do: 'named' }), fails), /not-found/);
});
