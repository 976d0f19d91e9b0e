import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { applyEdit, linesAt, plainSegment, type Segment, type Session, USUAL_SETTINGS } from '../session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { firstValues, regenerateIn, segmentFromMaker } from '../makers/index.ts';
import { findMaker, MAKERS } from '../../makers/index.ts';
import { layoutPrintSet, madeOf, type PrintSetHome, type PrintSetInput } from './printSet.ts';

const part = (id: string, values: Record<string, number | string> = {}): Segment => {
  const maker = findMaker(id)!;
  const segment = segmentFromMaker(maker, {
    values: { ...firstValues(maker), ...values },
    settings: USUAL_SETTINGS,
    id,
    speech: authorSpeech,
  });
  if (!segment.ok) throw new Error(segment.problem.code);
  return segment.value;
};
const homes: PrintSetHome[] = [
  { nickname: 'Blue door', children: ['Pip'], kit: [] },
  { nickname: 'Mill end', children: ['Tavi', 'Lo'], kit: ['12 bottle lids'] },
];
const session = (...segments: Segment[]): Session => ({
  title: 'Fives',
  on: '2027-03-18',
  ages: { fromMonths: 36, toMonths: 71 },
  aim: '',
  segments,
  accepted: [],
});
const trayOf = (change: Partial<PrintSetInput> = {}) =>
  layoutPrintSet({
    session: session(part('pair-cards'), part('tally')),
    for: 'all',
    homes,
    version: 'usual',
    makers: authorMakers,
    paper: 'a4',
    ...change,
  });
const pagesOf = (change: Partial<PrintSetInput> = {}) => trayOf(change).pages;
const wordsOf = (pages: ReturnType<typeof pagesOf>) =>
  pages.map(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'text' ? shape.text : [])).join(' '));

test('the contents name every part with the sheet it starts on', () => {
  const pages = pagesOf();
  const [contents, ...others] = wordsOf(pages);
  assert.match(contents!, /for 2 homes/);
  const entries = pages[0]!.shapes.flatMap((shape) => {
    const match = shape.kind === 'text' ? /^(\d+) (.+, for .+)$/.exec(shape.text) : null;
    return match ? [{ sheet: Number(match[1]), title: match[2]! }] : [];
  });
  assert.equal(entries.length, 4);
  for (const { sheet, title } of entries) {
    const home = title.replace(/^.*, for /, '');
    assert.equal(others[sheet - 2]!.includes(`, for ${home}`), true, title);
  }
});

test('for all homes each has its own named set; for the author there is one; a kit names what goes in', () => {
  assert.equal(wordsOf(pagesOf()).filter((words) => words.includes('Pair cards, for')).length >= 2, true);
  assert.equal(
    wordsOf(pagesOf({ for: 'author', homes: [] })).some((words) => words.includes('Blue door')),
    false,
  );
  const kits = wordsOf(pagesOf({ for: 'kit' }));
  assert.equal(kits.length, 2);
  assert.match(kits[1]!, /Kit for Mill end.*12 bottle lids/);
});

test('once something has backs, every front stands on a new sheet, with its own back or an empty one behind it', () => {
  const backed = session(part('tally'), part('pair-cards', { back: 'the-total' }));
  for (const version of ['usual', 'large'] as const) {
    const { pages, isTwoSided } = trayOf({ session: backed, version });
    assert.ok(isTwoSided && pages.length % 2 === 0);
    for (let front = 0; front < pages.length; front += 2) {
      const [title, back] = [pages[front]!.title, pages[front + 1]!.title];
      assert.doesNotMatch(title, /backs$|stays empty/);
      assert.equal(back, /^Pair cards, for/.test(title) ? `${title}, backs` : 'this side stays empty');
    }
    const words = wordsOf(pages);
    assert.match(words[0]!, /Print on both sides, turned over the long edge/);
    for (const [, page, home] of words[0]!.matchAll(/(\d+) {3}Pair cards, for (Blue door|Mill end)/g))
      assert.match(words[Number(page) - 1]!, new RegExp(`for ${home}`));
  }
  assert.equal(trayOf({}).isTwoSided, false);
  assert.match(wordsOf(pagesOf({ session: backed, version: 'by-hand' })).join(' '), /And on their backs/);
});

test('a part made before a dial was there is still printed and turned', () => {
  const made = part('pair-cards');
  const { back: _, ...values } = made.made!.values;
  const older = {
    ...made,
    dials: made.dials.filter(({ name }) => name !== 'back'),
    made: { ...made.made!, values },
  };
  assert.equal(madeOf(older, authorMakers)!.printable.cards.length, 6);
  const turned = applyEdit(
    session(older),
    { do: 'turn-dial', segment: 'pair-cards', dial: 'total', value: 7 },
    regenerateIn(authorMakers),
  );
  assert.ok(turned.ok);
  const texts = turned.value.segments[0]!.lines.map(({ text }) => text);
  assert.equal(texts.filter((text) => text.startsWith('Lay 8 cards out')).length, 1);
});

test('a part that its maker refuses is not left out in silence', () => {
  const strips = part('strips');
  const older = { ...strips, made: { ...strips.made!, values: { from: 1, to: 2 } } };
  assert.equal(madeOf(older, authorMakers), null);
  const [contents] = wordsOf(pagesOf({ session: session(older, part('tally')) }));
  assert.match(contents!, /Not printed: “Strips” doesn’t work with its dials like this/);
  assert.doesNotMatch(wordsOf(pagesOf())[0]!, /Not printed/);
});

test('large print is larger, by hand is a small picture with how to draw it, and an empty session says so', () => {
  const widest = (version: PrintSetInput['version']) =>
    Math.max(
      ...pagesOf({ version, for: 'author', homes: [] }).flatMap(({ shapes }) =>
        shapes.flatMap((shape) => (shape.kind === 'rect' ? shape.w : 0)),
      ),
    );
  assert.equal(Math.round(widest('large')), 126);
  assert.match(wordsOf(pagesOf({ version: 'by-hand' })).join(' '), /Cut 6 cards of 90 × 50 mm/);
  assert.match(
    wordsOf(
      pagesOf({ session: session(plainSegment('a', 'opening', 'Hello', [1, 2, 3])), for: 'author', homes: [] }),
    )[0]!,
    /Nothing in this session is printed/,
  );
});

test('on the bench a dial of a made part writes its lines and needs anew, a level changes them, and what was written beside them stays', () => {
  const made = part('number-pots');
  const own = { id: 'own', kind: 'say' as const, text: 'Mine.' };
  const start = session({ ...made, lines: [...made.lines, own] });
  const turned = applyEdit(
    start,
    { do: 'turn-dial', segment: 'number-pots', dial: 'to', value: 6 },
    regenerateIn(authorMakers),
  );
  assert.ok(turned.ok);
  const [segment] = turned.value.segments;
  const laid = segment!.lines.find(({ text }) => text.startsWith('Stand'))!;
  assert.match(laid.text, /^Stand 7 pots in a row, 0 to 6, and lay 21 counters/);
  assert.equal(segment!.needs[0]!.qty, 21);
  assert.deepEqual(segment!.lines.at(-1), own);
  assert.equal(madeOf(segment!, authorMakers)!.printable.cards.length, 7);
  const easier = applyEdit(
    turned.value,
    { do: 'choose-level', segment: 'number-pots', level: 'easier' },
    regenerateIn(authorMakers),
  );
  assert.ok(easier.ok);
  const few = linesAt(easier.value.segments[0]!, 'easier').find(({ text }) => text.startsWith('Use pots'))!;
  assert.match(few.text, /^Use pots for 0, 1, 2 and 3 only, with 6 counters/);
  const refused = applyEdit(
    turned.value,
    { do: 'turn-dial', segment: 'number-pots', dial: 'from', value: 9 },
    regenerateIn(authorMakers),
  );
  assert.ok(!refused.ok && refused.problem.code === 'maker-refuses');
});

test('every maker can be put into a session, and its lines stand for every level', () => {
  for (const { id } of MAKERS) {
    const segment = part(id);
    assert.ok(segment.lines.length > 0 && segment.levels.easier && segment.levels.harder, id);
    assert.ok(
      segment.needs.every(({ swaps, item }) => swaps.every((swap) => swap.item !== item)),
      id,
    );
  }
});
