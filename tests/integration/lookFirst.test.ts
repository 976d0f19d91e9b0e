import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Segment } from '../../src/core/session/index.ts';
import { openGuide } from '../../src/server/services/guides.ts';
import { findHome, keepHome, listHomes } from '../../src/server/services/homes.ts';
import { readPost } from '../../src/server/services/post.ts';
import { listLinks } from '../../src/server/services/postLinks.ts';
import { readTray } from '../../src/server/services/printing.ts';
import { decide, takeBack } from '../../src/server/services/safety.ts';
import { readSendPage } from '../../src/server/services/sendPage.ts';
import { copySession } from '../../src/server/services/sessions.ts';
import { findEntry, keepEntry } from '../../src/server/services/shelfEntries.ts';
import { sayingFor } from './saying.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';

/** Danger is read, whoever wrote it: what words call for is looked at before it goes to a home. */
let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses } = helpersFor(() => at);
const { sessionSaying, write, homeWith, send, guideOf, questionsOf, asked } = sayingFor(() => at);

test('kettle and road: a line goes to nobody before somebody has looked, and then the guide says the caution', async () => {
  const home = await homeWith('2022-01');
  for (const [line, rule] of [
    ['Fill the bottle from the kettle.', 'heat'],
    ['Run across the road to the post box.', 'road'],
  ] as const) {
    const id = await sessionSaying([['do', line]]);
    await assert.rejects(send(id, [home]), asked);
    const [question] = await questionsOf(id);
    assert.equal(question!.rule, rule);
    await refuses(decide(at.reader, id, { question: question!.name, decided: 'caution' }), 'not-allowed');
    await refuses(decide(at.stranger, id, { question: question!.name, decided: 'caution' }), 'not-found');
    await refuses(decide(at.owner, id, { question: question!.name, decided: 'fine', why: ' ' }), 'wrong-input');
    await decide(at.owner, id, { question: question!.name, decided: 'caution' });
    await send(id, [home]);
    const { token } = (await listLinks(at.owner, id))[0]!;
    assert.ok((await openGuide(token))!.guide.segments[0]!.cautions.some((caution) => caution.rule === rule));
    const [record] = (await readPost(at.owner, id)).decisions;
    assert.deepEqual(
      [record!.rule, record!.decided, record!.by, record!.part],
      [rule, 'caution', 'quillbrook', 'The part'],
    );
  }
});

test('stairs: a caution is said by itself, and nobody is stopped', async () => {
  const home = await homeWith('2022-01');
  const id = await sessionSaying([['do', 'Go up the stairs, a step for each beat.']]);
  assert.deepEqual(await questionsOf(id), []);
  await send(id, [home]);
  assert.ok((await guideOf(id, home)).segments[0]!.cautions.some(({ rule }) => rule === 'climbing'));
});

test('grapes in a line are grapes: the part is left out under five and nobody decides that away', async () => {
  const [three, six] = [await homeWith('2023-09'), await homeWith('2020-09')];
  const id = await sessionSaying([['do', 'Eat the whole grapes one at a time.']]);
  const [question] = await questionsOf(id);
  assert.equal(question!.rule, 'choking-food');
  await decide(at.owner, id, { question: question!.name, decided: 'fine', why: 'They are cut.' });
  await send(id, [three, six]);
  assert.equal((await guideOf(id, three)).segments[0]!.leftOut, true);
  assert.equal((await guideOf(id, six)).segments[0]!.leftOut, false);
});

test('egg: a thing without ticks is taken at its name, is asked about, and never goes to a home with that allergy', async () => {
  const [egg, other] = [await homeWith('2020-09', { allergens: ['egg'] }), await homeWith('2020-09')];
  const thing = {
    key: 'an-egg',
    one: 'egg',
    many: 'eggs',
    traits: [],
    allergens: [],
    usualQty: 6,
    common: 0.5,
    givesOut: 9,
  };
  await keepEntry(at.owner, { kind: 'thing', value: thing, isNew: true });
  const id = await sessionSaying([['do', 'Roll it.']], {
    needs: [{ id: 'egg', item: 'an-egg', qty: 1, per: 'home', use: 'lasting', swaps: [] }],
  });
  const [question] = await questionsOf(id);
  assert.deepEqual([question!.kind, question!.subject], ['thing', 'an-egg']);
  await assert.rejects(send(id, [other]), asked);
  await decide(at.owner, id, { question: question!.name, decided: 'fine' });
  const { entry } = await findEntry(at.owner, 'thing', 'an-egg');
  assert.deepEqual(
    [(entry as { allergens: string[] }).allergens, (entry as { checked?: boolean }).checked],
    [['egg'], true],
  );
  await send(id, [egg, other]);
  const guide = await guideOf(id, egg);
  assert.equal(guide.segments[0]!.leftOut, true);
  assert.deepEqual(guide.fetch, [], 'and no bag is promised');
  assert.equal((await guideOf(id, other)).fetch[0]!.source, 'kit');
});

test('an allergen in a line stops the part for that home; in what is only said somebody is asked', async () => {
  const [home, other] = [await homeWith('2020-09', { allergens: ['peanuts'] }), await homeWith('2020-09')];
  const spread = await sessionSaying([['do', 'Spread the peanut butter on the toast.']], { actions: ['choking-food'] });
  await send(spread, [home, other]);
  assert.equal((await guideOf(spread, home)).segments[0]!.leftOut, true);
  assert.equal((await guideOf(spread, other)).segments[0]!.leftOut, false);
  const said = await sessionSaying([['say', 'The elephant likes groundnut stew.']]);
  await send(said, [other]);
  await assert.rejects(send(said, [home]), asked);
  assert.equal((await guideOf(said, home)).segments[0]!.leftOut, true, 'until somebody has said so');
  const [question] = await questionsOf(said);
  await decide(at.owner, said, { question: question!.name, decided: 'fine', why: 'Only a story.' });
  await send(said, [home]);
  assert.equal((await guideOf(said, home)).segments[0]!.leftOut, false);
});

test('an allergy beyond the fourteen is kept as it was written, and whatever names it is a stop for that home', async () => {
  const home = await homeWith('2020-09', { alsoAvoids: ['Kiwi', 'dairy'] });
  assert.deepEqual((await findHome(at.owner, home)).home.alsoAvoids, ['Kiwi', 'dairy']);
  const id = await sessionSaying([['do', 'Count the kiwis in the bowl.']]);
  await send(id, [home]);
  assert.equal((await guideOf(id, home)).segments[0]!.leftOut, true);
  const milk = await sessionSaying([['do', 'Pour the milk.']]);
  assert.equal((await guideOf(milk, home)).segments[0]!.leftOut, true, 'dairy is milk');
  await keepEntry(at.owner, {
    kind: 'thing',
    value: {
      key: 'kiwi',
      one: 'kiwi',
      many: 'kiwis',
      traits: ['countable'],
      allergens: [],
      usualQty: 2,
      common: 0.4,
      checked: true,
    },
    isNew: true,
  });
  const needs: Segment['needs'] = [{ id: 'k', item: 'kiwi', qty: 2, per: 'home', use: 'lasting', swaps: [] }];
  const withThing = await sessionSaying([['do', 'Weigh the {@k} in your hands.']], { needs });
  assert.equal((await guideOf(withThing, home)).segments[0]!.leftOut, true);
  await refuses(
    keepHome(at.owner, 'new', {
      home: { nickname: 'Misspelt', language: 'en', allergens: [], alsoAvoids: ['peenuts'], children: [], things: [] },
    }),
    'wrong-input',
  );
});

test('every level is read: what a home can reach by its own tap is looked at too', async () => {
  const id = await sessionSaying([['do', 'Clap once.']], {
    levels: { harder: { text: '', dials: {}, lines: [{ id: 'h1', kind: 'do', text: 'Light the candle and clap.' }] } },
  });
  assert.deepEqual([...new Set((await questionsOf(id)).map(({ rule }) => rule))], ['flame']);
});

test('a decision belongs to its text and its rooms: another text, a younger child, another session ask again', async () => {
  const home = await homeWith('2021-01');
  const id = await sessionSaying([['do', 'Boil the water.']]);
  const answer = async () => {
    const [question] = await questionsOf(id);
    await decide(at.owner, id, { question: question!.name, decided: 'fine', why: 'I do it at the desk.' });
  };
  await answer();
  assert.deepEqual(await questionsOf(id), []);
  assert.equal(
    (await questionsOf(await copySession(at.owner, id, { title: 'Once more', on: '2027-04-01' }))).length,
    1,
  );
  await write(id, [['do', 'Boil the water twice.']]);
  assert.equal((await questionsOf(id)).length, 1);
  await answer();
  const { homes } = await listHomes(at.owner);
  assert.ok(homes.some((entry) => entry.id === home));
  await homeWith(null);
  assert.equal((await questionsOf(id)).length, 1, 'a home with a baby has come');
  await answer();
  await homeWith('2020-01', { alsoAvoids: ['lychee'] });
  assert.equal((await questionsOf(id)).length, 1, 'an allergy has come');
  await answer();
  const { decisions } = await readSendPage(at.owner, id);
  await refuses(takeBack(at.stranger, id, decisions[0]!.id), 'not-found');
  await takeBack(at.owner, id, decisions[0]!.id);
  assert.equal((await questionsOf(id)).length, 1);
});

test('a caution that the part bears is settled; an ordinary bowl of water stops nobody; a hidden one settles nothing', async () => {
  const water = await sessionSaying([['do', 'Float the lids in the bowl of water.']], { actions: ['water'] });
  assert.deepEqual(await questionsOf(water), []);
  const borne = await sessionSaying([['do', 'Cross the road hand in hand.']], { actions: ['road'] });
  assert.deepEqual(await questionsOf(borne), []);
  const hidden = {
    ...at.owner,
    settings: {
      ...at.owner.settings,
      cautions: {
        own: [],
        stricter: [],
        hidden: [{ rule: 'road', by: 'Odile', on: '2027-03-01', why: 'We have none.' }],
      },
    },
  };
  assert.equal((await readSendPage(hidden, borne)).questions.length, 1);
});

test('a text in a language without a list is unread until somebody has read it', async () => {
  const home = await homeWith('2020-09');
  const id = await sessionSaying([['do', 'Pon el agua hirviendo en la taza y ponla en la mesa.']]);
  assert.deepEqual(
    (await questionsOf(id)).map(({ kind }) => kind),
    ['unread'],
  );
  await assert.rejects(send(id, [home]), asked);
  const arabic = await sessionSaying([['do', 'صبّ الماء في الكوب']]);
  assert.deepEqual(
    (await questionsOf(arabic)).map(({ kind }) => kind),
    ['unread'],
  );
});

test('no guide is printed before somebody has looked, and a bag is promised only for what is given out', async () => {
  const id = await sessionSaying([['do', 'Strike a match.']]);
  const choice = { for: 'all', version: 'usual' } as unknown as Parameters<typeof readTray>[2];
  const tray = await readTray(at.owner, id, choice);
  assert.ok(tray.unseen > 0);
  const home = await homeWith('2020-09');
  const needs: Segment['needs'] = [
    {
      id: 'lid',
      item: 'jar-lid',
      qty: 4,
      per: 'home',
      use: 'lasting',
      swaps: [{ item: 'egg-carton', fit: 0.5, why: 'flat' }],
    },
  ];
  const lids = await sessionSaying([['do', 'Stack {@lid|count}.']], { needs });
  const { entry, revision } = await findEntry(at.owner, 'thing', 'jar-lid');
  // Not so common that it counts as there.
  const { givesOut: _, ...without } = { ...(entry as { givesOut?: number }), common: 0.5 };
  await keepEntry(at.owner, { kind: 'thing', value: without, isNew: false, revision });
  const guide = await guideOf(lids, home);
  assert.deepEqual([guide.fetch[0]!.source, guide.fetch[0]!.elseDo], ['missing', ['egg cartons']]);
  assert.equal(guide.segments[0]!.missing![0]!.name, 'jar lids');
  await keepEntry(at.owner, {
    kind: 'thing',
    value: { ...without, givesOut: 3 },
    isNew: false,
    revision: revision + 1,
  });
  assert.equal((await guideOf(lids, home)).fetch[0]!.source, 'missing', 'three do not reach for four');
  await keepEntry(at.owner, {
    kind: 'thing',
    value: { ...without, givesOut: 4 },
    isNew: false,
    revision: revision + 2,
  });
  assert.equal((await guideOf(lids, home)).fetch[0]!.source, 'kit');
});

test('a home with no child named is treated as one with a baby', async () => {
  const home = await homeWith(null);
  const id = await sessionSaying([['do', 'Taste a spoon of honey.']]);
  assert.equal((await guideOf(id, home)).segments[0]!.leftOut, true);
});

test('what a thing holds settles no other word: a swapped carton leaves “crack an egg” a stop, ice leaves grapes one', async () => {
  const [egg, three] = [await homeWith('2020-09', { allergens: ['egg'] }), await homeWith('2023-09')];
  const carton = { item: 'muffin-tray', fit: 0.9, why: 'twelve places' };
  const id = await sessionSaying([['do', 'Crack an egg into the {@c|one}.']], {
    needs: [{ id: 'c', item: 'egg-carton', qty: 1, per: 'home', use: 'lasting', swaps: [carton] }],
  });
  assert.equal((await guideOf(id, egg)).segments[0]!.leftOut, true);
  const ice = await sessionSaying([['do', 'Put {@i|count} beside the whole grapes and eat those.']], {
    needs: [{ id: 'i', item: 'ice-cube', qty: 1, per: 'home', use: 'used-up', swaps: [] }],
  });
  assert.equal((await guideOf(ice, three)).segments[0]!.leftOut, true);
});
