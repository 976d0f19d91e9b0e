import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { EdgeError } from '../http/errors.ts';
import { SessionNews } from './sessionNews.ts';

const open = () => {
  const news = new SessionNews();
  news.setOpen(true);
  return news;
};
const isBusy = (error: EdgeError) => error.code === 'busy';

test('a window hears of its session alone, in order, until it goes', async () => {
  const news = open();
  const reader = news.listen('one', 'odile').getReader();
  const next = async () => new TextDecoder().decode((await reader.read()).value);
  assert.match(await next(), /^retry: /);
  news.tell('other', { event: 'kept', data: '9' });
  news.tell('one', { event: 'kept', data: '4' });
  news.tell('one', { event: 'here', data: '{"name":"Maren"}' });
  assert.equal(await next(), 'event: kept\ndata: 4\n\n');
  assert.equal(await next(), 'event: here\ndata: {"name":"Maren"}\n\n');
  news.close();
  assert.equal((await reader.read()).done, true);
  assert.throws(() => news.listen('one', 'odile'), isBusy);
});

test('one person has twenty windows at most, one that takes nothing is given up, and nobody listens who cannot hear', async () => {
  const news = open();
  const windows = Array.from({ length: 20 }, () => news.listen('one', 'odile'));
  assert.throws(() => news.listen('two', 'odile'), isBusy);
  news.listen('one', 'maren');
  await windows[0]!.cancel();
  const late = news.listen('two', 'odile');
  for (let told = 0; told < 200; told++) news.tell('two', { event: 'kept', data: String(told) });
  let count = 0;
  for await (const _ of late) count += 1;
  assert.ok(count < 120, `${count} messages waited`);
  news.listen('two', 'odile');
  news.setOpen(false);
  assert.throws(() => news.listen('two', 'odile'), isBusy);
  news.setOpen(true);
  for (let again = 0; again < 20; again++) news.listen('two', 'odile');
  news.close();
});
