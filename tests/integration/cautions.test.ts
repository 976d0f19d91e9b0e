import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { programmeSettings } from '../../src/contracts/programme.ts';
import { changeCautions } from '../../src/server/services/cautionRules.ts';
import { importFile } from '../../src/server/services/importShelf.ts';
import { keepProgramme } from '../../src/server/services/programme.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

/** What a programme decides about cautions. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);

const change = (fields: [string, string][]) => changeCautions(at.owner, new URLSearchParams(fields));

test('a rule of one’s own needs words, something known to be about, and months that exist', async () => {
  const rule: [string, string][] = [
    ['do', 'add-own'],
    ['words', 'No nuts, whatever a home says.'],
    ['level', 'stop'],
    ['underMonths', ''],
  ];
  await refuses(change(rule), 'wrong-input');
  await refuses(change([...rule, ['things', 'unicorn']]), 'wrong-input');
  await refuses(change([...rule, ['allergens', 'pea-nuts']]), 'wrong-input');
  await refuses(change([...rule, ['allergens', 'peanuts'], ['underMonths', '0']]), 'wrong-input');
  await refuses(change([['do', 'undo'], ...rule.slice(1)]), 'wrong-form');
  const { own } = await change([...rule, ['allergens', 'peanuts'], ['things', 'jar-lid']]);
  assert.deepEqual(own, [
    {
      name: 'own-1',
      things: ['jar-lid'],
      allergens: ['peanuts'],
      level: 'stop',
      words: 'No nuts, whatever a home says.',
    },
  ]);
  assert.deepEqual(
    (await change([...rule, ['actions', 'water']])).own.map(({ name }) => name),
    ['own-1', 'own-2'],
  );
  assert.deepEqual(
    (
      await change([
        ['do', 'drop-own'],
        ['name', 'own-1'],
      ])
    ).own.map(({ name }) => name),
    ['own-2'],
  );
  await change([
    ['do', 'drop-own'],
    ['name', 'own-2'],
  ]);
});

test('only what is stricter counts as stricter, and a stop for everybody cannot be hidden', async () => {
  const stricter = (rule: string, level: string, underMonths = '') =>
    change([
      ['do', 'add-stricter'],
      ['rule', rule],
      ['level', level],
      ['underMonths', underMonths],
    ]);
  await refuses(stricter('small-parts', 'note'), 'wrong-input');
  await refuses(stricter('small-parts', 'stop', '36'), 'wrong-input');
  await refuses(stricter('smal-parts', 'stop'), 'wrong-input');
  assert.equal((await stricter('small-parts', 'stop', '48')).stricter.length, 1);
  assert.equal((await stricter('small-parts', 'hold', '48')).stricter.length, 1);
  assert.equal((await stricter('balloons', 'note')).stricter.length, 2);
  const hide = (rule: string, why = 'We say it aloud.') =>
    change([
      ['do', 'hide'],
      ['rule', rule],
      ['by', 'Odile'],
      ['why', why],
    ]);
  await refuses(hide('cleaning'), 'wrong-input');
  await refuses(hide('sound', ' '), 'wrong-input');
  assert.deepEqual((await hide('sound')).hidden, [
    { rule: 'sound', by: 'Odile', on: '2027-03-08', why: 'We say it aloud.' },
  ]);
});

test('other settings and cautions do not undo each other, even at once', async () => {
  const form = new URLSearchParams({
    weekend: '7',
    closed: '',
    seatedMinutesPerYear: '4',
    screens: 'listen',
    wordsAtOnce: '5',
    restAfter: '3',
    wordsKeptBy: 'author',
    sendWorkingDays: '3',
    stage: 'objects',
    currency: 'pence',
    paper: 'a4',
  });
  const [settings, cautions] = await Promise.all([
    keepProgramme(at.owner, form),
    change([
      ['do', 'hide'],
      ['rule', 'light'],
      ['by', 'Odile'],
      ['why', 'Lamps only.'],
    ]),
  ]);
  const last = await change([
    ['do', 'show'],
    ['rule', 'sound'],
  ]);
  assert.equal(settings.seatedMinutesPerYear, 4);
  assert.equal(cautions.hidden.at(-1)!.rule, 'light');
  assert.deepEqual(
    last.hidden.map(({ rule }) => rule),
    ['light'],
  );
  assert.equal(last.stricter.length, 2);
});

test('a file with settings leaves what was decided about cautions since its owner signed in', async () => {
  const settings = { ...programmeSettings.getDefault(), seatedMinutesPerYear: 5 };
  const { cautions: _cautions, ...withoutCautions } = settings;
  await importFile(at.owner, { format: 'footstool', version: 1, programme: { settings: withoutCautions } });
  const kept = await change([
    ['do', 'show'],
    ['rule', 'sound'],
  ]);
  assert.deepEqual(
    kept.hidden.map(({ rule }) => rule),
    ['light'],
  );
  assert.equal(kept.stricter.length, 2);
});

test('somebody else’s programme is not touched', async () => {
  const other = await changeCautions(
    at.stranger,
    new URLSearchParams([
      ['do', 'show'],
      ['rule', 'light'],
    ]),
  );
  assert.deepEqual(other, { own: [], stricter: [], hidden: [] });
});
