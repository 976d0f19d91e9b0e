import { composeGuide } from './composeGuide.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findFindings } from '../checks/index.ts';
import type { Home } from '../homes/index.ts';
import { composeSession } from './composition.ts';
import { CARTS, homeWith, SESSION, THINGS } from './session.fixture.ts';
import type { Segment, Session } from '../session/index.ts';

const guideFor = (home: Home, session: Session = SESSION) =>
  composeGuide({ ...guideLanguage('en'), session, home, things: THINGS, programme: 'Quillbrook' });
const cartsIn = (guide: ReturnType<typeof guideFor>) => {
  const segment = guide.segments.find(({ id }) => id === 'carts')!;
  return { ...segment, lines: segment.levels.right!.lines };
};
const everything = [
  { item: 'small-box', qty: 6 },
  { item: 'bottle-lid', qty: 30 },
];

test('a home that has everything gets the script as written', () => {
  const guide = guideFor(homeWith(everything));
  assert.deepEqual(
    guide.fetch.map(({ qty, name, source, insteadOf }) => [qty, name, source, insteadOf]),
    [
      [16, 'bottle lids', 'home', undefined],
      [4, 'boxs', 'home', undefined],
    ],
  );
  assert.equal(cartsIn(guide).lines[0]!.text, 'Put 4 boxs in a row. Tip the bottle lids into a bowl.');
  assert.deepEqual(
    cartsIn(guide).cautions.map(({ rule, level }) => `${level} ${rule}`),
    ['watch small-parts'],
  );
});

test('for a child under three small things are swapped, in the list and in the words', () => {
  const guide = guideFor(
    homeWith([...everything, { item: 'jar-lid', qty: 20 }], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] }),
  );
  const lids = guide.fetch.find(({ item }) => item === 'jar-lid');
  assert.equal(lids?.insteadOf, 'bottle lids');
  assert.match(cartsIn(guide).lines[0]!.text, /Tip the jar lids/);
  assert.deepEqual(cartsIn(guide).cautions, []);
});

test('an allergy withholds a thing even when it is there, and the kit brings another', () => {
  const stock = [
    { item: 'egg-carton', qty: 9 },
    { item: 'bottle-lid', qty: 30 },
  ];
  assert.match(cartsIn(guideFor(homeWith(stock))).lines[0]!.text, /egg cartons/);
  const guide = guideFor(homeWith(stock, { allergens: ['egg'] }));
  assert.equal(guide.fetch.find(({ item }) => item === 'small-box')?.source, 'kit');
});

test('a swap brings its own numbers into the lines', () => {
  const guide = guideFor(
    homeWith([
      { item: 'egg-carton', qty: 9 },
      { item: 'bottle-lid', qty: 30 },
    ]),
  );
  assert.equal(cartsIn(guide).lines[1]!.answer, '24');
});

test('what nothing may replace is named as withheld', () => {
  const onlyLids = { ...CARTS, needs: [{ ...CARTS.needs[1]!, swaps: [] }], lines: [] };
  const guide = guideFor(homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] }), {
    ...SESSION,
    segments: [onlyLids],
  });
  assert.deepEqual(
    cartsIn(guide).withheld.map(({ name }) => name),
    ['bottle lids'],
  );
  assert.equal(cartsIn(guide).leftOut, true);
  assert.equal(guide.state, 'short');
  assert.deepEqual(guide.fetch, []);
});

test('quantities are for the children of the home', () => {
  const each = { ...CARTS, needs: [{ ...CARTS.needs[0]!, per: 'child' as const }], lines: [] };
  const two = homeWith(everything, {
    children: [
      { nickname: 'Pip', birthMonth: '2023-01' },
      { nickname: 'Ada', birthMonth: '2022-01' },
    ],
  });
  assert.equal(guideFor(two, { ...SESSION, segments: [each] }).fetch[0]?.qty, 8);
});

test('easier and harder are the whole part, written with the dials of their level', () => {
  const { levels } = cartsIn(guideFor(homeWith(everything)));
  assert.deepEqual([levels.easier!.note, levels.harder!.note], ['2 boxes only.', '5 boxes.']);
  assert.deepEqual(
    (['easier', 'right', 'harder'] as const).map((level) =>
      levels[level]!.lines.map(({ text, answer }) => answer ?? text),
    ),
    [2, 4, 5].map((boxes) => [`Put ${boxes} boxs in a row. Tip the bottle lids into a bowl.`, String(boxes * 4)]),
  );
  assert.deepEqual(
    levels.harder!.more.map(({ item, qty }) => `${qty} ${item}`),
    ['4 bottle-lid', '1 small-box'],
  );
  assert.deepEqual(levels.easier!.more, []);
});

test('an easier way that is a sentence only is a tip and no level', () => {
  const tip = { ...CARTS, levels: { easier: { text: 'Fewer, with {boxes}.', dials: {} } } };
  const { levels, tips } = cartsIn(guideFor(homeWith(everything), { ...SESSION, segments: [tip] }));
  assert.equal(levels.easier, undefined);
  assert.equal(tips.easier, 'Fewer, with 4.');
});

test('a level may have lines and quantities of its own', () => {
  const own: Segment = {
    ...CARTS,
    levels: {
      harder: {
        text: '',
        dials: {},
        lines: [{ id: 'h', kind: 'do', text: 'Take {@lids|count}.' }],
        qty: { lids: 'boxes*wheels+3' },
      },
    },
  };
  const { levels } = cartsIn(guideFor(homeWith(everything), { ...SESSION, segments: [own] }));
  assert.equal(levels.harder!.lines[0]!.text, 'Take 19 bottle lids.');
  assert.deepEqual(
    levels.harder!.more.map(({ qty }) => qty),
    [3],
  );
});

test('lines, fetch list and readiness are counted from the dials that a swap sets', () => {
  const cartons = { item: 'egg-carton', qty: 9 };
  const enough = guideFor(homeWith([cartons, { item: 'bottle-lid', qty: 24 }]));
  assert.equal(cartsIn(enough).lines[1]!.answer, '24');
  assert.equal(enough.fetch.find(({ item }) => item === 'bottle-lid')!.qty, 24);
  assert.equal(enough.state, 'swaps');
  const eightShort = guideFor(homeWith([cartons, { item: 'bottle-lid', qty: 16 }]));
  assert.notEqual(eightShort.state, 'ready');
  assert.equal(eightShort.state, 'short');
});

test('a swap may say how many of it, by the places it has', () => {
  const tray = { key: 'tray', one: 'muffin tray', many: 'muffin trays', traits: [], places: 12, allergens: [] };
  const pots: Segment = {
    ...CARTS,
    needs: [
      {
        ...CARTS.needs[0]!,
        swaps: [{ item: 'tray', fit: 0.6, why: 'a hollow each', qty: 'ceil(need/places)' }],
      },
    ],
    lines: [{ id: 'l', kind: 'do', text: 'Stand {@boxes|count} ready.' }],
  };
  const guide = composeGuide({
    ...guideLanguage('en'),
    session: { ...SESSION, segments: [pots] },
    home: homeWith([{ item: 'tray', qty: 1 }]),
    things: { ...THINGS, tray },
    programme: 'Quillbrook',
  });
  assert.deepEqual([guide.state, guide.fetch[0]!.qty, guide.fetch[0]!.name], ['swaps', 1, 'muffin tray']);
  assert.equal(guide.segments[0]!.levels.right!.lines[0]!.text, 'Stand 1 muffin tray ready.');
});

test('what is prepared before the day is told only to homes that use it from what they have', () => {
  const ahead = [{ who: 'home' as const, days: 7, text: 'Save lids.', for: { need: 'lids' } }];
  const session = { ...SESSION, segments: [{ ...CARTS, ahead }] };
  assert.equal(guideFor(homeWith(everything), session).before.length, 1);
  const swapped = homeWith([
    { item: 'small-box', qty: 6 },
    { item: 'jar-lid', qty: 30 },
  ]);
  assert.equal(guideFor(swapped, session).before.length, 0);
  assert.equal(guideFor(homeWith([]), session).before.length, 0);
});

test('a thing that nobody knows is refused to every home and stops the session', () => {
  const { 'bottle-lid': _, ...fewer } = THINGS;
  const guide = composeGuide({
    ...guideLanguage('en'),
    session: SESSION,
    home: homeWith(everything),
    things: fewer,
    programme: '',
  });
  assert.equal(
    guide.fetch.some(({ item }) => item === 'bottle-lid'),
    false,
  );
  assert.equal(guide.state, 'short');
  const composed = composeSession(SESSION, fewer, { seatedMinutesPerYear: 3, youngestMonths: 36 });
  const codes = findFindings(SESSION, composed, [], { things: fewer }).map(({ code, weight }) => `${weight} ${code}`);
  assert.ok(codes.includes('stop thing-unknown'), codes.join());
});

test('a child who still mouths things is kept from small parts at any age, and from what is not for eating', () => {
  const mouthing = homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2021-01', mouthing: true }] });
  assert.equal(
    guideFor(mouthing).fetch.some(({ item }) => item === 'bottle-lid'),
    false,
  );
  const things = { ...THINGS, 'jar-lid': { ...THINGS['jar-lid'], traits: ['not-for-eating'] } };
  const guide = composeGuide({ ...guideLanguage('en'), session: SESSION, home: mouthing, things, programme: '' });
  assert.equal(cartsIn(guide).leftOut, true);
});

test('what is done at a home that goes without a part is not asked for', () => {
  const stopped = { ...CARTS, actions: ['cords'] };
  const toddler = homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  const guide = guideFor(toddler, { ...SESSION, segments: [stopped] });
  assert.equal(cartsIn(guide).leftOut, true);
  assert.deepEqual(guide.fetch, []);
});

test('a book stands among what is fetched, with another that shares most of its skills', () => {
  const book = {
    ...SESSION.segments[0]!,
    from: 'cart',
    title: 'The cart',
    skills: ['listen', 'order'],
    retold: 'A cart rolls off.',
  };
  const books = [
    { key: 'cart', title: 'The cart', skills: ['listen', 'order'] },
    { key: 'half', title: 'Half', skills: ['listen'] },
    { key: 'both', title: 'Both', skills: ['order', 'listen', 'rhyme'] },
  ];
  const guide = composeGuide({
    ...guideLanguage('en'),
    session: { ...SESSION, segments: [book] },
    home: homeWith([]),
    things: THINGS,
    programme: '',
    books,
  });
  assert.deepEqual(guide.books, [{ title: 'The cart', retold: 'A cart rolls off.', another: 'Both' }]);
});

test('a line without words does not reach a home', () => {
  const blank = { ...CARTS, lines: [{ id: 'blank', kind: 'say' as const, text: '  ' }, ...CARTS.lines] };
  const guide = guideFor(homeWith(everything), { ...SESSION, segments: [blank] });
  assert.equal(cartsIn(guide).lines.length, CARTS.lines.length);
});
