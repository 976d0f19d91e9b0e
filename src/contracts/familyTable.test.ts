import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { type CellNote, guessColumns, readFamilies } from '../core/families/index.ts';
import { readTable, writeHomesCsv } from './familyTable.ts';

const TODAY = '2026-12-01';
const THINGS = [
  { key: 'bottle-lid', one: 'bottle lid', many: 'bottle lids', usualQty: 12 },
  { key: 'torch', one: 'torch', many: 'torches', usualQty: 1 },
];
const nameFor = (names: readonly string[]) => (names.length === 0 ? '' : `${names.join(' and ')}’s home`);
const read = (text: string) => {
  const table = readTable(text);
  assert.ok(table.ok);
  const { hasHeadings, roles } = guessColumns(table.rows, TODAY);
  const reading = readFamilies(hasHeadings ? table.rows.slice(1) : table.rows, roles, {
    today: TODAY,
    things: THINGS,
    nameFor,
    headings: hasHeadings ? table.rows[0] : undefined,
  });
  return { roles, ...reading, homes: reading.families.map(({ family }) => family) };
};
const codes = (notes: readonly CellNote[]) => notes.map(({ row, column, code }) => [row, column, code]);

test('a table from a spreadsheet is understood by its headings, and surnames and grown-ups stay out', () => {
  const { roles, homes, notes } = read(
    [
      'Family\tMum\tChildren\tBorn\tAllergies\tLanguage\tE-mail',
      'Ortega\tInés\tAva & Tom\tMarch 2024 & 06/2021\tegg, dairy, kiwi\tSpanish\tines@post.example',
      'Miller\t\tLena Miller\t4 years\tnone\t\t07700 900 123',
    ].join('\n'),
  );
  assert.deepEqual(roles, ['leave', 'leave', 'child', 'born', 'avoids', 'language', 'contact']);
  assert.deepEqual(homes, [
    {
      nickname: 'Ava and Tom’s home',
      children: [
        { nickname: 'Ava', birthMonth: '2024-03' },
        { nickname: 'Tom', birthMonth: '2021-06' },
      ],
      language: 'es',
      contact: 'ines@post.example',
      allergens: ['egg', 'milk'],
      alsoAvoids: ['kiwi'],
    },
    {
      nickname: 'Lena’s home',
      children: [{ nickname: 'Lena', birthMonth: '2022-11' }],
      language: 'en',
      contact: '',
      allergens: [],
      alsoAvoids: [],
    },
  ]);
  assert.deepEqual(codes(notes), [
    [1, 2, 'surname'],
    [1, 3, 'youngest'],
    [1, 6, 'phone'],
  ]);
  assert.doesNotMatch(JSON.stringify(homes), /Miller|Ortega|Inés/);
});

test('without headings columns are guessed by what stands in them; what is not understood is marked and keeps its home back', () => {
  const { roles, families, notes } = read('Bo, soon, b@x.example\nNim, 2021, \nUma & Kit, 4 & 5 & 6, no mail\n, ,');
  assert.deepEqual(roles, ['child', 'born', 'contact']);
  assert.deepEqual(
    families.map(({ isReady }) => isReady),
    [false, true, false],
  );
  assert.deepEqual(codes(notes), [
    [0, 1, 'born-unread'],
    [1, 1, 'youngest'],
    [2, 1, 'counts-differ'],
    [2, 1, 'youngest'],
    [2, 1, 'youngest'],
    [2, 2, 'contact-unread'],
  ]);
});

test('months and ages in the ways people write them, the youngest that an age can mean', () => {
  const WAYS: Readonly<Record<string, string>> = {
    'March 2024': '2024-03',
    'Sept. 2023': '2023-09',
    '06/2021': '2021-06',
    '2021-06-30': '2021-06',
    '12/06/2021': '2021-06',
    '06/25/2021': '2021-06',
    'Mar-24': '2024-03',
    'June 12, 2021': '2021-06',
    '3rd of May 2022': '2022-05',
    '44352': '2021-06',
    '4': '2022-11',
    '3½ years': '2023-05',
    '3y 6m': '2023-05',
    '18 months': '2025-05',
    'nearly 4': '2023-11',
    '2026': '2026-12',
  };
  for (const [written, month] of Object.entries(WAYS)) {
    const { homes } = read(`child;born\nAva;${written}`);
    assert.equal(homes[0]!.children[0]!.birthMonth, month, written);
  }
  for (const [written, code] of [
    ['May', 'born-unread'],
    ['March 2027', 'not-born-yet'],
    ['1988', 'not-a-child'],
    ['31/31/2021', 'born-unread'],
    ['', 'no-birth'],
  ])
    assert.deepEqual(codes(read(`child;born\nAva;${written}`).notes), [[0, 1, code]], written);
});

test('a six in a column of months is a baby, and what is not known is not nothing', () => {
  for (const heading of ['Age in months', 'months', 'Age (mths)'])
    assert.equal(read(`child;${heading}\nAva;6`).homes[0]!.children[0]!.birthMonth, '2026-05', heading);
  assert.equal(read('child;age\nAva;6').homes[0]!.children[0]!.birthMonth, '2020-11');
  assert.deepEqual(codes(read('child;month of birth\nAva;March').notes), [[0, 1, 'born-unread']]);
  assert.deepEqual(read('child;born;allergies\nAva;2022-01;unknown').homes[0]!.alsoAvoids, ['unknown']);
  assert.deepEqual(read('child;born;allergies\nAva;2022-01;none known').homes[0]!.alsoAvoids, []);
});

test('rows of one home are one, by its name or its address; two homes of one made name are told apart', () => {
  const { homes } = read(
    'home;child;born;must not have;mail\nBlue door;Ava;2022-01;egg;\nBlue door;Tom;2023-01;kiwi;\n;Bo;2022-02;;b@x.example\n;Kit;2020-02;;b@x.example\n;Bo;2021-02;;\n;Bo;2021-03;;',
  );
  assert.deepEqual(
    homes.map(({ nickname, children }) => [nickname, children.length]),
    [
      ['Blue door', 2],
      ['Bo and Kit’s home', 2],
      ['Bo’s home', 1],
      ['Bo’s home 2', 1],
    ],
  );
  assert.deepEqual([homes[0]!.allergens, homes[0]!.alsoAvoids], [['egg'], ['kiwi']]);
});

test('things are counted by their names; an unknown one is marked', () => {
  const { homes, notes } = read(
    'home;has;has not\nMill;12 bottle lids, torch;\nDike;bottle lids: 3; torch\nHill;a drum;',
  );
  assert.deepEqual(homes[0]!.things, [
    { item: 'bottle-lid', qty: 12 },
    { item: 'torch', qty: 1 },
  ]);
  assert.deepEqual([homes[1]!.things, homes[1]!.hasNot], [[{ item: 'bottle-lid', qty: 3 }], ['torch']]);
  assert.deepEqual(codes(notes), [[2, 1, 'thing-unknown']]);
});

test('homes that go out as CSV come back the same, whatever is written in them', () => {
  const words = fc
    .string({ minLength: 1, maxLength: 20, unit: fc.constantFrom(...'abcÄé ’&;,+=-@|()1'.split('')) })
    .map((text) => text.trim())
    .filter((text) => text !== '');
  const child = fc.record({
    nickname: words.filter((text) => !text.includes('"')),
    birthMonth: fc.constantFrom('2019-01', '2022-12', '2026-11'),
    loves: fc.oneof(fc.constant(''), words),
    mouthing: fc.boolean(),
    leftHanded: fc.boolean(),
    needs: fc.oneof(fc.constant(''), words),
  });
  const home = fc.record({
    children: fc.uniqueArray(child, { maxLength: 3, selector: ({ nickname }) => nickname }),
    language: fc.constantFrom('en' as const, 'es' as const, 'ar' as const),
    contact: fc.constantFrom('', 'a.b@post.example'),
    allergens: fc.uniqueArray(fc.constantFrom('egg', 'tree-nuts', 'dairy', 'kiwi fruit'), { maxLength: 3 }),
    stock: fc.uniqueArray(
      fc.record({ item: fc.constantFrom('bottle-lid', 'torch'), qty: fc.integer({ min: 1, max: 99 }) }),
      {
        maxLength: 1,
        selector: ({ item }) => item,
      },
    ),
  });
  fc.assert(
    fc.property(fc.array(home, { minLength: 1, maxLength: 4 }), (homes) => {
      // Plain objects, as they are kept.
      const plain = JSON.parse(JSON.stringify(homes)) as typeof homes;
      const out = plain.map((one, index) => ({ ...one, nickname: `Home ${index} & co`, hasNot: [] }));
      const text = writeHomesCsv(out, {
        thing: (key) => THINGS.find((thing) => thing.key === key)!.many,
        language: (id) => ({ en: 'English', es: 'Spanish', ar: 'Arabic' })[id]!,
      });
      const { families, notes } = read(text);
      assert.deepEqual(notes, []);
      assert.deepEqual(
        families.map(({ family: { allergens = [], alsoAvoids = [], things, ...rest } }) => ({
          ...rest,
          stock: things,
          allergens: [...allergens, ...alsoAvoids].sort(),
        })),
        out.map(({ allergens, ...rest }) => ({ ...rest, allergens: [...allergens].sort() })),
      );
    }),
    { numRuns: 200 },
  );
});

test('what is no table, and what is too long, is said', () => {
  assert.deepEqual(readTable('  \n '), { ok: false, code: 'empty' });
  assert.deepEqual(readTable('Ava\n'.repeat(2001)), { ok: false, code: 'too-long' });
  assert.deepEqual(readTable('x'.repeat(2_000_001)), { ok: false, code: 'too-long' });
  const wide = readTable(`${'a\t'.repeat(100)}b`);
  assert.ok(wide.ok && wide.rows[0]!.length === 40);
});
