import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import {
  applyEdit,
  type Edit,
  type LevelName,
  linesAt,
  type Segment,
  type Session,
  USUAL_SETTINGS,
} from '../session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { SESSION } from '../guide/session.fixture.ts';
import { regenerateIn, segmentFromMaker } from './makerSegment.ts';
import { firstValues } from './maker.ts';
import { findMaker, MAKERS } from '../../makers/index.ts';

const partOf = (id: string): Segment => {
  const maker = findMaker(id)!;
  const made = segmentFromMaker(maker, {
    values: firstValues(maker),
    settings: USUAL_SETTINGS,
    id,
    speech: authorSpeech,
  });
  assert.ok(made.ok);
  return made.value;
};

const edited = (segment: Segment, ...edits: Edit[]): Segment =>
  edits.reduce<Session>(
    (session, edit) => {
      const next = applyEdit(session, edit, regenerateIn(authorMakers));
      assert.ok(next.ok, JSON.stringify(next));
      return next.value;
    },
    { ...SESSION, segments: [segment] },
  ).segments[0]!;

const turn = (dial: string, value: number): Edit => ({ do: 'turn-dial', segment: 'number-pots', dial, value });
const textsOf = (segment: Segment, level: LevelName = 'right') => linesAt(segment, level).map(({ text }) => text);

test('every line of a maker has an id that stays the same when a dial turns', () => {
  for (const { id } of MAKERS) {
    const segment = partOf(id);
    for (const level of ['easier', 'right', 'harder'] as const) {
      const ids = linesAt(segment, level).map((line) => line.id);
      assert.equal(new Set(ids).size, ids.length, `${id} ${level}`);
    }
  }
  const pots = partOf('number-pots');
  const without = edited(pots, turn('from', 1));
  const zero = pots.lines.filter(({ id }) => !without.lines.some((line) => line.id === id));
  assert.equal(zero.length, 1);
  assert.match(zero[0]!.text, /says 0/);
});

test('what an author rewrote, took out, added and moved stays when a dial turns, at its place', () => {
  const pots = partOf('number-pots');
  const [, first, second] = pots.lines;
  const last = pots.lines.find(({ kind }) => kind === 'notice');
  const own = { id: 'own', kind: 'say' as const, text: 'Ours alone.' };
  const changed = edited(
    pots,
    { do: 'change-line', segment: 'number-pots', line: second!.id, change: { text: '“Feed the pots!”' } },
    { do: 'remove-line', segment: 'number-pots', line: last!.id },
    { do: 'add-line', segment: 'number-pots', line: own, at: 1 },
    { do: 'move-line', segment: 'number-pots', line: pots.lines.at(-1)!.id, to: 0 },
  );
  const turned = edited(changed, turn('to', 8));
  assert.deepEqual(
    turned.lines.map(({ id }) => id),
    changed.lines.map(({ id }) => id),
  );
  assert.match(turned.lines.find(({ id }) => id === first!.id)!.text, /0 to 8/);
  assert.ok(textsOf(turned).includes('“Feed the pots!”'));
  assert.deepEqual(edited(turned, turn('to', 5)).lines, changed.lines);
});

test('a line that was rewritten is still so after its dial went where it is not written, and back', () => {
  const pots = partOf('number-pots');
  const zero = pots.lines.find(({ text }) => text.includes('says 0'))!;
  const rewritten = edited(pots, {
    do: 'change-line',
    segment: 'number-pots',
    line: zero.id,
    change: { text: '“And the empty one?”' },
  });
  const away = edited(rewritten, turn('from', 1), turn('to', 6));
  assert.equal(textsOf(away).includes('“And the empty one?”'), false);
  assert.ok(textsOf(edited(away, turn('from', 0))).includes('“And the empty one?”'));
});

test('each level keeps its own changes, and a swap taken over stays', () => {
  const pots = partOf('number-pots');
  const swap = pots.needs[1]!.swaps[0]!.item;
  const changed = edited(
    pots,
    { do: 'choose-level', segment: 'number-pots', level: 'easier' },
    { do: 'add-line', segment: 'number-pots', line: { id: 'mine', kind: 'do', text: 'Sit close.' }, at: 0 },
    { do: 'choose-level', segment: 'number-pots', level: 'right' },
    { do: 'use-swap', segment: 'number-pots', need: pots.needs[1]!.id, item: swap },
    turn('to', 7),
  );
  assert.equal(textsOf(changed, 'easier')[0], 'Sit close.');
  assert.equal(textsOf(changed).includes('Sit close.'), false);
  assert.equal(changed.needs[1]!.item, swap);
  assert.equal(changed.needs[1]!.qty, 8);
  assert.equal(changed.needs[1]!.swaps[0]!.item, pots.needs[1]!.item);
});

test('minutes follow the way of running, unless the author set them; the order they come back in from the store is no change', () => {
  const pots = partOf('number-pots');
  const { setup, together, alone, tidy } = pots.minutes;
  const kept: Segment = { ...pots, minutes: { tidy, alone, together, setup } };
  const variant: Edit = { do: 'turn-dial', segment: 'number-pots', dial: 'variant', value: 'moving-about' };
  const moving = edited(kept, variant);
  assert.equal(moving.posture, 'moving');
  assert.notDeepEqual(moving.minutes.together, together);
  const timed = edited(
    kept,
    { do: 'time-segment', segment: 'number-pots', part: 'together', minutes: [20, 30, 40] },
    variant,
  );
  assert.deepEqual(timed.minutes.together, [20, 30, 40]);
  assert.equal(timed.posture, 'moving');
});

test('a part with an earlier edition of the words is written anew: what the author wrote and took out stays so', () => {
  const pots = partOf('number-pots');
  const { variant: _, ...values } = pots.made!.values;
  const laid = pots.lines.find(({ id }) => id === 'made-do-1')!;
  const asked = pots.lines.find(({ id }) => id === 'made-ask-2')!;
  const own = { id: 'own', kind: 'say' as const, text: 'Ours alone.' };
  const former: Segment = {
    ...pots,
    dials: pots.dials.filter(({ name }) => name !== 'variant'),
    lines: [
      { ...laid, text: 'Six pots, in the words of before.' },
      { ...asked, text: '“Our own question?”', says: undefined },
      { ...laid, id: 'made-gone-1', says: { key: 'number-pots/gone-1' } },
      own,
    ],
    made: {
      maker: 'number-pots',
      values,
      settings: USUAL_SETTINGS,
      changes: { lines: [{ level: 'right', rewritten: {}, removed: ['made-notice-1'], added: [] }] },
    },
  };
  const turned = edited(former, turn('to', 8));
  const texts = textsOf(turned);
  assert.ok(texts.some((text) => text.startsWith('Stand 9 pots')));
  assert.ok(texts.includes('“Our own question?”') && texts.includes('Ours alone.'));
  assert.ok(
    turned.lines.some(({ id }) => id === 'made-in-1'),
    'what was not yet written then is there now',
  );
  assert.equal(
    turned.lines.some(({ id }) => id === 'made-notice-1' || id === 'made-gone-1'),
    false,
  );
  assert.ok(turned.dials.some(({ name }) => name === 'variant'));
  assert.deepEqual(textsOf(edited(turned, turn('to', 5), turn('to', 8))), texts);
});

test('what an author changed in the needs stays when a dial turns: amounts, what was taken out, what was added', () => {
  const pots = partOf('number-pots');
  const [first, second] = pots.needs;
  const segment = 'number-pots';
  const changed = edited(
    pots,
    { do: 'change-need', segment, need: second!.id, change: { qty: 'to+3', per: 'child', optional: true } },
    { do: 'remove-need', segment, need: first!.id },
    { do: 'add-need', segment, item: 'tray' },
    { do: 'change-need', segment, need: 'tray', change: { use: 'used-up' } },
  );
  const facts = (part: Segment) =>
    part.needs.map(({ id, item, qty, per, use, optional }) => [id, item, qty, per, use, optional ?? false]);
  const turned = edited(changed, turn('to', 8));
  assert.deepEqual(facts(turned), facts(changed));
  assert.ok(facts(changed).some(([id, , qty, per]) => id === second!.id && qty === 'to+3' && per === 'child'));
  const kept = JSON.parse(JSON.stringify(turned)) as Segment;
  const again = edited(kept, turn('to', 6));
  assert.deepEqual(facts(again), facts(changed));
  const plain = edited(
    again,
    { do: 'change-need', segment, need: second!.id, change: { optional: undefined } },
    turn('to', 7),
  );
  assert.equal(plain.needs.find(({ id }) => id === second!.id)!.optional, undefined);
});
