import assert from 'node:assert/strict';
import { test } from 'node:test';
import { upgradeFrom, withVersion, type Upgrade } from './contentVersion.ts';
import { readGuideCopy, writeGuideCopy, type Guide } from './guide/index.ts';
import { SESSION } from './guide/session.fixture.ts';
import { readScript, readWholeSession, USUAL_SETTINGS, writeScript, writeWholeSession } from './session/index.ts';
import { readStoredEntry, writeStoredEntry } from './shelf/index.ts';

const UPGRADES: readonly Upgrade[] = [
  ({ name }: { name: string }) => ({ names: [name] }),
  ({ names }: { names: string[] }) => ({ names, count: names.length }),
];

test('a stored document goes through the upgrades from its version on, and is stored with today’s', () => {
  const today = { names: ['Nim'], count: 1 };
  assert.deepEqual(upgradeFrom({ name: 'Nim' } as object, UPGRADES), today);
  assert.deepEqual(upgradeFrom({ names: ['Nim'], contentVersion: 1 } as object, UPGRADES), today);
  assert.deepEqual(withVersion(today, UPGRADES), { ...today, contentVersion: 2 });
  assert.deepEqual(upgradeFrom(withVersion(today, UPGRADES), UPGRADES), today);
});

test('a script comes back as it was stored; one of before gets ids of its own and nothing accepted', () => {
  const { segments, accepted } = SESSION;
  assert.deepEqual(
    readScript(JSON.parse(JSON.stringify(writeScript({ segments, accepted })))),
    JSON.parse(JSON.stringify({ segments, accepted })),
  );
  const twins = { segments: [segments[0]!, segments[0]!] };
  const read = readScript(twins as object);
  assert.equal(new Set(read.segments.map(({ id }) => id)).size, 2);
  assert.deepEqual(read.accepted, []);
});

test('a copy of a guide says nothing of versions once it is read', () => {
  const guide = { title: 'Carts', state: 'swaps', books: [], songs: [], segments: [] } as unknown as Guide;
  assert.deepEqual(readGuideCopy(writeGuideCopy(guide)), guide);
  assert.deepEqual(readGuideCopy({ title: 'Carts', segments: [] } as object), { ...guide, state: 'ready' });
});

test('an entry and a sent session from before choices had ids are read with them, and keep what else they hold', () => {
  const dials = [{ name: 'frame', label: 'frame', choices: ['ten', 'two tens'], value: 'two tens' }];
  const made = { maker: 'frame', values: { frame: 'two tens', first: 3 }, settings: USUAL_SETTINGS };
  const entry = { key: 'frames', idea: 'two tens', dials, made };
  const read = readStoredEntry<typeof entry>(entry as object);
  assert.deepEqual(read.made.values, { frame: 'two-tens', first: 3 });
  assert.deepEqual([read.idea, read.dials[0]!.value], ['two tens', 'two-tens']);
  assert.deepEqual(readStoredEntry(writeStoredEntry(entry)), read);
  const part = { ...SESSION.segments[0]!, dials, rightDials: { frame: 'two tens' }, made };
  const sent = readWholeSession({ ...SESSION, segments: [part] } as never);
  assert.deepEqual([sent.title, sent.segments[0]!.rightDials], [SESSION.title, { frame: 'two-tens' }]);
  assert.deepEqual(readWholeSession(writeWholeSession(sent)), sent);
});
