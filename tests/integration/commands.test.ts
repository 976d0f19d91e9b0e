import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { after, before, test } from 'node:test';
import { freePort, postgresFolder } from '../../src/cli/postgres.ts';
import { startDemoDatabase, testEnvironment, type TestDatabase } from '../support/app.ts';

const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');
let database: TestDatabase;
let folder = '';

before(async () => {
  folder = mkdtempSync(join(tmpdir(), 'footstool-commands-'));
  database = await startDemoDatabase();
});
after(async () => {
  await database.remove();
  rmSync(folder, { recursive: true, force: true });
});

const run = (words: string[], input = '') =>
  spawnSync(FOOTSTOOL, words, {
    input,
    encoding: 'utf8',
    env: testEnvironment(database.url, folder, 4321),
    maxBuffer: 64 * 1024 * 1024,
  });

test('calc answers one object without a database', () => {
  const { DATABASE_URL: _, ...without } = process.env;
  const answer = spawnSync(FOOTSTOOL, ['calc', 'pots'], { input: '{"from":0,"to":5}', encoding: 'utf8', env: without });
  assert.deepEqual(JSON.parse(answer.stdout), { counters: 15, pots: 6 });
  assert.equal(answer.status, 0);
});

test('calc refuses with one line that starts with the path, and nothing on standard output', () => {
  for (const [words, input, line] of [
    [['calc', 'strips'], '{"from":4,"to":"7"}', /^to: .+\n$/],
    [['calc', 'strips'], 'four to seven', /^\$: not JSON.+\n$/],
    [['calc', 'strips'], '[1]', /^\$: .+\n$/],
    [['calc', 'unheard-of'], '{}', /^\$: no calculation is called "unheard-of".+\n$/],
    [['calc', 'coins'], '{"purse":{"1":2},"pay":-3}', /^pay: .+\n$/],
  ] as const) {
    const answer = run([...words], input);
    assert.equal(answer.status, 2, line.source);
    assert.equal(answer.stdout, '');
    assert.match(answer.stderr, line);
  }
});

test('calc --lines answers in order, and a bad line does not stop the rest', () => {
  const answer = run(
    ['calc', 'strips', '--lines'],
    '{"from":4,"to":7}\nnonsense\n{"from":9,"to":7}\n{"from":1,"to":3}\n',
  );
  const lines = answer.stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  assert.equal(answer.status, 0);
  assert.deepEqual(lines[0], { strips: 4, marks: 22 });
  assert.match(String(lines[1]!.error), /^\$: not JSON/);
  assert.match(String(lines[2]!.error), /^to: /);
  assert.deepEqual(lines[3], { strips: 3, marks: 6 });
});

test('calc --lines answers ten thousand lines', () => {
  const input = Array.from({ length: 10_000 }, (_, index) => JSON.stringify({ from: index, to: index + 2 })).join('\n');
  const lines = run(['calc', 'strips', '--lines'], input).stdout.trim().split('\n');
  assert.equal(lines.length, 10_000);
  assert.deepEqual(JSON.parse(lines[9_999]!), { strips: 3, marks: 3 * 10_000 });
});

test('numbers that a double cannot hold are written out in full', () => {
  const purse = Object.fromEntries(Array.from({ length: 80 }, (_, index) => [String(index + 1), 500]));
  const answer = run(['calc', 'coins'], JSON.stringify({ purse, pay: 500, list: 0 }));
  assert.match(/"ways":(\d+)/.exec(answer.stdout)![1]!, /^\d{18,}$/);
});

test('seed loads the demo once; what is saved with export is taken in by import, and a wrong file is refused by place', () => {
  // It was loaded before, by the same command.
  assert.equal(run(['seed']).status, 0);
  const saved = run(['export', 'quillbrook', '--homes']);
  const file = JSON.parse(saved.stdout) as { homes: unknown[]; things: { key: string }[] };
  assert.equal(file.homes.length, 12);
  const path = join(folder, 'shelf.json');
  writeFileSync(path, saved.stdout);
  assert.match(run(['import', 'quillbrook', path]).stdout, /replaced/);
  writeFileSync(
    path,
    JSON.stringify({ format: 'footstool', version: 1, things: [{ ...file.things[0], colour: 'red' }] }),
  );
  const refused = run(['import', 'quillbrook', path]);
  assert.equal(refused.status, 2);
  assert.match(refused.stderr, /^things\[0\]: has fields that are not known: colour\nnothing was imported\n/);
  assert.match(run(['import', 'nobody', path]).stderr, /there is no programme "nobody"/);
});

test('a port in use is not taken for free, and PostgreSQL is found', async () => {
  const taken: Server = createServer().listen(0, '127.0.0.1');
  await new Promise((up) => taken.once('listening', up));
  const { port } = taken.address() as { port: number };
  await assert.rejects(freePort(port));
  taken.close();
  assert.ok((await freePort()) > 1024);
  assert.match(postgresFolder()!, /postgres/);
});
