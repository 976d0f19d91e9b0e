import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { test } from 'node:test';
import addFormatsModule from 'ajv-formats';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { publishedSchema } from '../../tests/tools/jsonSchema.ts';
import { CAUTION_RULES, TRAITS } from '../core/cautions/index.ts';
import { checkScript } from '../core/session/index.ts';
import { RULE_NAMES } from '../messages/cautions.ts';
import { SKILL_WORDS } from '../messages/skills.ts';
import { CALCULATIONS } from '../cli/calc/calculations.ts';
import { CalcInputError } from '../cli/calc/calculation.ts';
import { checkForm, checkShape } from './problems.ts';
import { programmeSettings, readSettings } from './programme.ts';
import { replyForm } from './reply.ts';
import { shelfFile } from './shelfFile.ts';
import { starterFile } from './starterFile.ts';
import { framing as englishFraming } from '../messages/languages/en.ts';
import { demoEntries } from '../../tests/support/demoFile.ts';

/** What homes of the demo did; no part of the open format. */
const OF_HOMES = ['replies.json', 'readings.json'];

const addFormats = addFormatsModule as unknown as (ajv: Ajv2020) => void;
const ROOT = join(import.meta.dirname, '../..');
const CASES = join(ROOT, 'tests/contract/cases');
/** The files of the starter collection and of the demo that hold entries of the shelf. */
const shelfFiles = () =>
  ['starter', 'demo'].flatMap((folder) =>
    readdirSync(join(ROOT, folder))
      .filter((name) => name.endsWith('.json') && !OF_HOMES.includes(name) && name !== 'collection.json')
      .map((name) => [`${folder}/${name}`, join(ROOT, folder, name)] as const),
  );

for (const file of readdirSync(CASES)) {
  const name = file.replace('.jsonl', '');
  test(`calc ${name} answers its cases`, async () => {
    const cases = readFileSync(join(CASES, file), 'utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { in: unknown; out: Record<string, unknown> });
    for (const { in: input, out } of cases) {
      const answer = (await CALCULATIONS.get(name)!(input)) as Record<string, unknown>;
      assert.deepEqual(likeExpected(answer, out), out);
    }
  });
}

/** An answer with only what is expected: further fields, and further parts of a session, are welcome and not compared. */
function likeExpected(answer: unknown, expected: unknown): unknown {
  if (Array.isArray(answer) && Array.isArray(expected)) {
    const titles = expected.map((entry) => (entry as { title?: unknown } | null)?.title);
    const compared = titles.every((title) => typeof title === 'string')
      ? answer.filter((entry) => titles.some((title) => title === (entry as { title?: unknown }).title))
      : answer;
    return compared.map((entry, index) => likeExpected(entry, expected[index]));
  }
  if (typeof answer !== 'object' || answer === null || typeof expected !== 'object' || expected === null) return answer;
  return Object.fromEntries(
    Object.entries(answer)
      .filter(([key]) => Object.hasOwn(expected, key))
      .map(([key, value]) => [key, likeExpected(value, (expected as Record<string, unknown>)[key])]),
  );
}

const WRONG: readonly [string, unknown, RegExp][] = [
  ['pots', { from: 3, to: 1 }, /^to: /],
  ['pots', { from: '3', to: 5 }, /^from: /],
  [
    'run-sheet',
    {
      children: [],
      seatedMinutesPerYear: 3,
      segments: [{ id: 'a', posture: 'seated', who: 'together', minutes: [5, 3, 9] }],
    },
    /^segments\[0\]\.minutes: /,
  ],
  [
    'run-sheet',
    {
      children: [],
      seatedMinutesPerYear: 3,
      segments: [{ id: 'a', posture: 'lying', who: 'together', minutes: [1, 2, 3] }],
    },
    /^segments\[0\]\.posture: /,
  ],
  [
    'materials',
    {
      children: 1,
      segments: [{ id: 'a', dials: { n: 1 }, needs: [{ item: 'lid', qty: 'n/0', per: 'home', use: 'lasting' }] }],
    },
    /^segments\[0\]\.needs\[0\]\.qty: .*lid/,
  ],
  [
    'swaps',
    {
      youngestMonths: 30,
      needs: [{ id: 'a', segment: 's', qty: 1, use: 'lasting', options: [{ item: 'x', fit: 2 }] }],
      stock: [],
    },
    /^needs\[0\]\.options\[0\]\.fit: /,
  ],
  ['coins', { purse: { '0': 3 }, pay: 5 }, /^purse\["0"\]: /],
  ['coins', { purse: { '5': 1_000_000 }, pay: 5 }, /^purse\["5"\]: /],
  ['change', { price: 50, tender: 20, till: {} }, /^tender: /],
  ['back-plan', { on: '2027-02-30', weekend: [], closed: [], today: '2027-01-01', tasks: [] }, /^on: /],
  [
    'back-plan',
    {
      on: '2027-02-03',
      weekend: [1, 2, 3, 4, 5, 6, 7],
      closed: [],
      today: '2027-01-01',
      tasks: [{ id: 'a', workingDays: 1 }],
    },
    /^weekend: /,
  ],
  ['read-aloud', [], /^\$: /],
];
for (const [name, input, message] of WRONG) {
  test(`calc ${name} refuses ${JSON.stringify(input).slice(0, 70)} and names the place`, async () => {
    await assert.rejects(
      async () => CALCULATIONS.get(name)!(input),
      (error: Error) => error instanceof CalcInputError && message.test(error.message),
    );
  });
}

test('the demo files are in the open format, and every script in them comes out', () => {
  for (const [file, path] of shelfFiles()) {
    const content = JSON.parse(readFileSync(path, 'utf8')) as Record<string, unknown>;
    const checked = checkShape(shelfFile, content);
    assert.ok(checked.ok, `${file}: ${JSON.stringify(checked)}`);
    for (const activity of (content.activities ?? []) as Parameters<typeof checkScript>[0][]) {
      assert.deepEqual(checkScript(activity, file), []);
    }
  }
});

test('a wrong field of a file is named with its place', () => {
  const thing = { key: 'lid', one: 'lid', many: 'lids', traits: [], allergens: [], usualQty: 3, common: 1 };
  const problems = (change: object) => {
    const checked = checkShape(shelfFile, {
      format: 'footstool',
      version: 1,
      things: [thing, { ...thing, ...change }],
    });
    assert.ok(!checked.ok);
    return checked.problem.map(({ path, message }) => `${path} ${message}`);
  };
  assert.deepEqual(problems({ colour: 'red' }), ['things[1] has fields that are not known: colour']);
  assert.match(problems({ common: 'often' })[0]!, /^things\[1\]\.common must be a number/);
  assert.match(problems({ traits: ['shiny'] })[0]!, /^things\[1\]\.traits\[0\] “.+” is not a trait; the nearest is “/);
});

test('a reply may leave everything out but whether it was done', () => {
  const key = '7a561a4b-172c-4ef4-a14b-234ebf4a5305';
  const empty = checkForm(replyForm, {
    replyKey: key,
    outcome: 'done',
    note: '',
    parts: [{ segment: 'a', minutes: '', ease: '' }],
  });
  assert.ok(empty.ok);
  assert.deepEqual(empty.value.parts, [{ segment: 'a', minutes: null, ease: null }]);
  assert.equal(checkForm(replyForm, { replyKey: key, outcome: '', note: '' }).ok, false);
  assert.equal(
    checkForm(replyForm, { replyKey: key, outcome: 'done', parts: [{ segment: 'a', minutes: '900', ease: '' }] }).ok,
    false,
  );
});

test('the published JSON Schema is the one that follows from the schemas of the import', () => {
  const published = JSON.parse(readFileSync(join(ROOT, 'docs/schema/footstool.schema.json'), 'utf8')) as object;
  assert.deepEqual(published, publishedSchema(), 'npm run generate writes it anew');
});

test('the published JSON Schema takes the demo and refuses what the import refuses', () => {
  const schema = JSON.parse(readFileSync(join(ROOT, 'docs/schema/footstool.schema.json'), 'utf8')) as object;
  const ajv = new Ajv2020({ allErrors: true });
  addFormats(ajv);
  const validate = ajv.compile(schema);
  for (const [file, path] of shelfFiles())
    assert.ok(
      validate(JSON.parse(readFileSync(path, 'utf8'))),
      `${file}: ${JSON.stringify(validate.errors?.slice(0, 3))}`,
    );
  const activities = demoEntries<Record<string, unknown>>('activities');
  const thing = { key: 'lid', one: 'lid', many: 'lids', traits: [], allergens: [], usualQty: 3, common: 1 };
  const wrong: object[] = [
    { things: [{ ...thing, colour: 'red' }] },
    { things: [{ ...thing, key: 'Not A Key' }] },
    { things: [{ ...thing, common: 2 }] },
    { activities: [{ ...activities[0], posture: 'lying' }] },
    { activities: [{ ...activities[0], levels: { easier: { text: '' } } }] },
    { sessions: [{ title: 'x', on: '2027-02-30', ages: { fromMonths: 1, toMonths: 2 }, aim: '', parts: [] }] },
    { version: 2 },
  ];
  for (const change of wrong) {
    const file = { format: 'footstool', version: 1, ...change };
    assert.equal(validate(file), false, JSON.stringify(change).slice(0, 80));
    assert.equal(checkShape(shelfFile, file).ok, false, JSON.stringify(change).slice(0, 80));
  }
});

test('every name of the closed lists stands in the description of the format, and in words for authors', () => {
  const described = readFileSync(join(ROOT, 'docs/formats.md'), 'utf8');
  for (const name of TRAITS) assert.ok(described.includes(`\`${name}\``), name);
  assert.deepEqual(Object.keys(RULE_NAMES).sort(), Object.keys(CAUTION_RULES).sort());
});

test('the demo’s shelf has things enough, and at least three activities of their own idea for every skill', () => {
  const activities = demoEntries<{
    skills: string[];
    idea: string;
    title: string;
    size: string;
    access: string;
    lines: { kind: string }[];
  }>('activities');
  for (const skill of Object.keys(SKILL_WORDS)) {
    assert.ok(activities.filter(({ skills }) => skills.includes(skill)).length >= 3, skill);
  }
  assert.ok(activities.length >= 80 && demoEntries('things').length >= 120 && demoEntries('homes').length === 12);
  assert.equal(new Set(activities.map(({ idea }) => idea)).size, activities.length);
  for (const { title, size, access, lines } of activities.filter((activity) => activity.size === 'home')) {
    assert.ok(access.length > 10, `${title}: another way`);
    assert.ok(
      lines.some(({ kind }) => kind === 'if') && lines.some(({ kind }) => kind === 'notice'),
      `${title}: if and notice (${size})`,
    );
  }
  const unknown = activities.flatMap(({ skills }) => skills).filter((skill) => !(skill in SKILL_WORDS));
  assert.deepEqual(unknown, []);
});

test('the starter collection stands by itself: things, every skill with things that are common, nothing of Quillbrook', () => {
  const read = <Entry>(name: string) =>
    (JSON.parse(readFileSync(join(ROOT, 'starter', `${name}.json`), 'utf8')) as Record<string, Entry[]>)[name]!;
  const collection: unknown = JSON.parse(readFileSync(join(ROOT, 'starter/collection.json'), 'utf8'));
  assert.ok(starterFile.validateSync(collection, { strict: true }).patterns.length > 0);
  const things = new Map(read<{ key: string; common: number }>('things').map(({ key, common }) => [key, common]));
  assert.ok(things.size >= 130);
  const activities = read<{
    key: string;
    skills: string[];
    after?: string[];
    needs: { item: string; optional?: boolean; swaps: { item: string }[] }[];
  }>('activities');
  const isCommon = (item: string) => things.get(item)! >= 0.8;
  const common = activities.filter(({ needs }) =>
    needs.every(({ item, optional, swaps }) => optional || [item, ...swaps.map((swap) => swap.item)].some(isCommon)),
  );
  assert.ok(common.length >= 50, `${common.length} need only common things`);
  for (const skill of Object.keys(SKILL_WORDS))
    assert.ok(
      common.some(({ skills }) => skills.includes(skill)),
      skill,
    );
  const keys = new Set(activities.map(({ key }) => key));
  for (const { key, needs, after = [] } of activities) {
    for (const { item, swaps } of needs)
      for (const name of [item, ...swaps.map((swap) => swap.item)]) assert.ok(things.has(name), `${key}: ${name}`);
    for (const name of after) assert.ok(keys.has(name), `${key} comes after ${name}`);
  }
  const songs = new Set(read<{ key: string }>('songs').map(({ key }) => key));
  const { openings, closings } = starterFile.validateSync(collection);
  for (const { song, framing } of [...openings, ...closings])
    assert.ok(song ? songs.has(song) : framing! in englishFraming, song ?? framing);
  for (const file of readdirSync(join(ROOT, 'starter')))
    assert.doesNotMatch(readFileSync(join(ROOT, 'starter', file), 'utf8'), /quillbrook|lantern room/i, file);
});

test('settings of a file that was saved before there were screens and words to choose are taken in, with the usual ones', () => {
  const { screens: _screens, words: _words, ...before } = programmeSettings.getDefault();
  programmeSettings.validateSync(before, { strict: true });
  const { screens, words } = readSettings(before);
  assert.deepEqual([screens, words], ['listen', { atOnce: 5, restAfter: 3, keptBy: 'author' }]);
  assert.throws(() => programmeSettings.validateSync({ ...before, screens: 'often' }, { strict: true }), /screens/);
  assert.throws(() => programmeSettings.validateSync({ ...before, words: { atOnce: 0 } }, { strict: true }), /words/);
});
