import { describeMakerProblem } from '../messages/makers.ts';
import { authorSpeech } from '../messages/speeches.ts';
import { firstValues, makerPages, type Worked, workOut } from '../core/makers/index.ts';
import { type MakerSettings, type MakerValues, USUAL_SETTINGS } from '../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { type Paper, PAPERS, USUAL_MARGIN } from '../core/page/index.ts';
import { findMaker } from './index.ts';
import { made } from '../../tests/support/makers.ts';

/** What the lines ask a home to have, to lay and to answer, against the things that are listed and printed. */
const make = (id: string, values: MakerValues, settings: Partial<MakerSettings> = {}) => {
  const maker = findMaker(id)!;
  return workOut(
    maker,
    { ...firstValues(maker), ...values },
    { settings: { ...USUAL_SETTINGS, ...settings }, speech: authorSpeech },
  );
};
const upTo = (last: number, first = 0) => Array.from({ length: last - first + 1 }, (_, index) => first + index);
const qtyOf = ({ materials }: Worked, item: string) => materials.find((entry) => entry.item === item)!.qty;
const ask = (lines: Worked['lines']['right'], asks: RegExp) => lines.find(({ text }) => asks.test(text))?.answer;
const dotsIn = (shapes: Worked['picture']['shapes']) => shapes.filter(({ kind }) => kind === 'circle').length;

test('place settings: who has one and who has not come to everybody, in every way, and one more is laid for', () => {
  for (const people of upTo(12, 2))
    for (const placed of upTo(people))
      for (const variant of ['supper', 'picnic', 'cafe']) {
        const { lines, materials } = made('place-settings', { people, placed, things: 3, variant });
        const missing = lines.right.find(({ text }) => /haven’t got|(?:more )?cups (?:do we|are we short)/.test(text));
        const put = placed > 0 ? placed : 0;
        assert.equal(put + Number(missing?.answer ?? (placed === people ? 0 : people)), people, `${variant} ${placed}`);
        assert.equal(materials.find(({ item }) => item === 'cup')!.qty, people + 1);
        assert.doesNotMatch(lines.right.map(({ text }) => text).join(' '), /\b0 /);
      }
});

test('number pots: the easier line names pots up to three, whatever the row is, with as many counters as they take', () => {
  for (const from of upTo(20))
    for (const to of upTo(20, Math.max(1, from))) {
      const answer = make('number-pots', { from, to });
      assert.ok(answer.ok);
      const { easier } = answer.value.lines;
      const [, pots, counters, said] = /^Use pots for ([\d, and]+) only, with (\d+) counters?, .+: (.+)\.$/.exec(
        easier[0]!.text,
      )!;
      const named = pots!.match(/\d+/g)!.map(Number);
      assert.ok(named.every((pot) => pot <= 3));
      assert.ok(named.length <= qtyOf(answer.value, 'cup'));
      let laid = 0;
      for (const pot of named) for (let counter = 0; counter < pot; counter++) laid++;
      assert.equal(Number(counters), laid);
      assert.equal(said!.split(', ').length, named.at(-1));
      assert.ok(laid <= qtyOf(answer.value, 'button') && ask(easier, /left over/) === undefined);
    }
});

test('pair cards: what is asked is answered by the cards that are laid out', () => {
  const anyCards = fc.record({
    total: fc.integer({ min: 1, max: 12 }),
    order: fc.constantFrom('both', 'once'),
    zero: fc.constantFrom('yes', 'no'),
    set: fc.constantFrom('all-pairs-of-one-total', 'all-up-to-a-total', 'a-chain'),
    faces: fc.constantFrom('dots', 'numerals'),
    back: fc.constantFrom('nothing', 'the-total'),
  });
  fc.assert(
    fc.property(anyCards, (values) => {
      const answer = make('pair-cards', values, { stage: 'signs' });
      if (!answer.ok) return;
      const { lines, key, printable } = answer.value;
      const cards = key.map((line) => line.match(/\d+/g)!.map(Number) as [number, number, number]);
      assert.match(lines.right[0]!.text, new RegExp(`^Lay ${cards.length} cards? out, ${values.faces} up\\.$`));
      if (values.set === 'a-chain') {
        const [, a, b] = /card with (\d+) and (\d+) down/.exec(lines.right[1]!.text)!;
        assert.deepEqual([Number(a), Number(b)], cards[0]!.slice(0, 2));
        cards.slice(1).forEach(([begins], index) => assert.equal(begins, cards[index]![1]));
        assert.equal(ask(lines.right, /goes on/), `${cards[1]![0]} and ${cards[1]![1]}`);
        return;
      }
      const [, first, second] = /card with (\d+) and (\d+)\?/.exec(lines.right[1]!.text)!;
      const shown = cards.find(([a, b]) => a === Number(first) && b === Number(second))!;
      const same = cards.filter(([, , total]) => total === shown[2]);
      const others = same.filter((card) => card !== shown).map(([a, b]) => `${a} and ${b}`);
      assert.equal(lines.right[1]!.answer, String(shown[2]));
      assert.equal(ask(lines.right, /another/), others.length > 0 ? others.join('; ') : undefined);
      assert.equal(ask(lines.right, /under my hand/), String(shown[2] - shown[0]));
      assert.match(ask(lines.harder, /How many cards/)!, new RegExp(`^${same.length}:`));
      if (values.faces === 'dots')
        assert.deepEqual(
          printable.cards.map(({ shapes }) => dotsIn(shapes)),
          cards.map(([, , total]) => total),
        );
      assert.deepEqual(
        printable.backs?.map(({ shapes }) =>
          values.faces === 'dots' ? dotsIn(shapes) : shapes.map((shape) => 'text' in shape && shape.text).join(''),
        ),
        values.back === 'nothing'
          ? undefined
          : cards.map(([, , total]) => (values.faces === 'dots' ? total : String(total))),
      );
    }),
    { numRuns: 300 },
  );
});

test('every dot of a pair card is countable from two metres, however many there are', () => {
  for (const total of upTo(12, 1)) {
    const answer = make('pair-cards', { total });
    assert.ok(answer.ok);
    const dots = answer.value.printable.cards.flatMap(({ shapes }) => shapes.filter(({ kind }) => kind === 'circle'));
    assert.ok(dots.every((dot) => 'r' in dot && dot.r >= 5));
  }
});

test('volumes: what is poured never runs over, the most is the most, and cups and spoons are counted out', () => {
  let poured = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 1500 }),
      fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 4 }),
      fc.constantFrom(0, 5, 10),
      (container, shares, headroom) => {
        const answer = make('volumes', { container, shares: shares.join(' '), headroom, cup: '250' });
        if (!answer.ok) return;
        poured++;
        const { key, lines } = answer.value;
        const ml = key.map((line) => Number(/: (\d+) ml/.exec(line)![1]));
        let left = container;
        for (const share of ml) left -= share;
        assert.ok(left >= 0);
        assert.equal(ask(lines.right, /run over/), `no: ${left} ml stay empty`);
        const most = ask(lines.right, /the most/);
        if (ml.length === 1) assert.equal(most, undefined);
        else if (new Set(ml).size === 1) assert.match(most!, /^all alike/);
        else {
          const named = ['first', 'second', 'third', 'fourth'].flatMap((name, index) =>
            new RegExp(`\\b${name}\\b`).test(most!) ? [ml[index]!] : [],
          );
          assert.deepEqual(
            named,
            ml.filter((share) => share === Math.max(...ml)),
          );
        }
        let cups = 0;
        for (let water = container - left; water >= 250; water -= 250) cups++;
        if (cups > 0) assert.match(ask(lines.easier, /full cups/)!, new RegExp(`^${cups} cups?$`));
      },
    ),
  );
  assert.ok(poured > 50);
  const over = make('volumes', { container: 53, shares: '1', headroom: 0 });
  assert.match(over.ok ? 'taken' : describeMakerProblem(over.problem), /come to 55 ml/);
});

test('money table: there are coins for the purse, for the till where change is given, and for the easier level', () => {
  for (const [purse, till, prices, coins, pennies] of [
    ['50', '10 5', '35', 3, 5],
    ['1 1 2 2 5 10', '1 1 2 5', '3 6 8 14', 6, 3],
    ['2 2 5', '', '4 7', 3, 4],
    ['5 10', '1 1', '4', 4, 4],
  ] as const) {
    const { lines, materials } = made('money-table', { purse, till, prices });
    const ones = purse
      .split(' ')
      .concat(till.split(' '))
      .filter((coin) => coin === '1').length;
    const has = materials.find(({ item }) => item === 'coin')!.qty;
    const isChanged = lines.right.some(({ text }) => text.includes('That’s the till'));
    assert.equal(
      materials.some(({ item }) => item === 'bowl'),
      isChanged,
    );
    assert.equal(
      has,
      coins +
        Math.max(
          0,
          pennies - (isChanged || till === '' ? ones : purse.split(' ').filter((coin) => coin === '1').length),
        ),
    );
    assert.match(lines.easier[1]!.text, new RegExp(`^Put ${pennies} pennies in the purse`));
  }
});

test('money table: coins are called by their faces, in the words of the country', () => {
  const said = (values: MakerValues, settings: Partial<MakerSettings> = {}) =>
    Object.values(made('money-table', values, settings).lines)
      .flatMap((level) => level.flatMap(({ text, answer = '' }) => [text, answer]))
      .join(' ');
  const pence = said({ purse: '1 1 2 2 8 50 100'.replace('8 ', ''), till: '', prices: '4 52 104' });
  assert.match(pence, /two pennies, two 2ps, a 50p,? and a pound coin/);
  assert.doesNotMatch(pence, /£0|\d × /);
  assert.match(
    said({ purse: '1 5 25', till: '', prices: '6' }, { currency: 'dollars' }),
    /a penny, a nickel,? and a quarter/,
  );
  assert.match(
    said({ purse: '1 2', till: '', prices: '3' }, { currency: 'cents' }),
    /a one-cent coin and a two-cent coin/,
  );
});

test('paper is listed as many sheets as come out of the printer, on A4 and on Letter', () => {
  const sheetsOn = (made: Worked, paper: Paper) =>
    makerPages(
      '',
      { ...made, printable: { ...made.printable, backs: undefined } },
      { paper, margin: USUAL_MARGIN, speech: authorSpeech },
      {
        withKey: false,
      },
    ).length;
  const papers = Object.keys(PAPERS) as Paper[];
  for (const [id, dial, values] of [
    ['strips', 'to', upTo(12, 3)],
    ['pair-cards', 'total', upTo(12, 1)],
    ['length-pairs', 'colours', upTo(5, 2)],
  ] as const)
    for (const value of values) {
      const answer = make(id, { [dial]: value, back: 'the-total' });
      assert.ok(answer.ok, `${id} ${value}`);
      assert.equal(
        qtyOf(answer.value, 'paper'),
        Math.max(...papers.map((paper) => sheetsOn(answer.value, paper))),
        `${id} ${value}`,
      );
    }
});

test('frames are filled from the side that the lines say', () => {
  const firstDot = (isLeftHanded: boolean) => {
    const answer = make('frame', { first: 1 }, { isLeftHanded });
    assert.ok(answer.ok);
    const { picture, lines } = answer.value;
    const dot = picture.shapes.find(({ kind }) => kind === 'circle')!;
    return [/from the (left|right)/.exec(lines.right[0]!.text)![1], 'x' in dot && dot.x > picture.width / 2];
  };
  assert.deepEqual(
    [firstDot(false), firstDot(true)],
    [
      ['left', false],
      ['right', true],
    ],
  );
});

test('pair cards shown in small steps: one dot is one dot', () => {
  for (const total of upTo(3, 1)) {
    const { lines } = made('pair-cards', { total }, { school: 'small-steps' });
    const said = Object.values(lines).flatMap((level) => level.map(({ answer = '' }) => answer));
    assert.deepEqual(
      said.filter((answer) => /\b1 dots\b|\b[023] dot\b/.test(answer)),
      [],
      `total ${total}`,
    );
    assert.ok(said.some((answer) => answer.startsWith('any card with')));
  }
});
