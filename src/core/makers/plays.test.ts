import assert from 'node:assert/strict';
import { test } from 'node:test';
import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { MAKERS } from '../../makers/index.ts';
import type { Say } from '../message.ts';
import { applyEdit, USUAL_SETTINGS, type Segment, type Session } from '../session/index.ts';
import { firstValues, waysOf } from './maker.ts';
import { regenerateIn, segmentFromMaker } from './makerSegment.ts';
import { playLines, readPlays, type WrittenPlay } from './plays.ts';

const written = (right: string): Readonly<Record<string, WrittenPlay>> => ({
  trip: { title: 'A trip', where: 'anywhere', posture: 'free', easier: 'do Sit.', right, harder: 'do Sit still.' },
});
const said = (right: string, holds: Record<string, boolean>, each: Record<string, { n: number }[]> = {}) => {
  const { plays, words } = readPlays(written(right));
  const say: Say = (key, values = {}) =>
    words[key]!.replace(/\{(\w+)\}/g, (_, name: string) => String(values[name as keyof typeof values]));
  return playLines(plays[0]!, { values: { all: 9 }, holds, each }, say).right.map(({ kind, text, answer, role }) =>
    [role ?? kind, text, ...(answer === undefined ? [] : [answer])].join(' | '),
  );
};

test('a script is read line by line: kinds, answers, what is said only sometimes, and what is said for each', () => {
  const script = `
    say “Off we go!”
    [wet] do Take a hat.
    [not wet, far] do Take a drink.
    [each stop] ask “Stop {n} of {all}?” → {n}
    [each stop] do Hop.
    older carries it.
    ask “What did you see?”
  `;
  const stops = { stop: [{ n: 1 }, { n: 2 }] };
  assert.deepEqual(said(script, { wet: false, far: true }, stops), [
    'say | “Off we go!”',
    'do | Take a drink.',
    'ask | “Stop 1 of 9?” | 1',
    'do | Hop.',
    'ask | “Stop 2 of 9?” | 2',
    'do | Hop.',
    'older | carries it.',
    'ask | “What did you see?”',
  ]);
  assert.deepEqual(said('[wet] do Take a hat.\ndo Walk.', { wet: true }), ['do | Take a hat.', 'do | Walk.']);
});

test('what is no line, what nobody says holds, and what nobody counted is a fault that is told', () => {
  assert.throws(() => readPlays(written('shout “Hey!”')), /trip, right: “shout “Hey!”” is no line/);
  assert.throws(() => said('[wet] do Take a hat.', {}), /whether “wet” holds/);
  assert.throws(() => said('[each stop] do Hop.', {}), /what each “stop” is/);
});

test('a part from before its maker’s scripts were written whole turns into one of them, and what the author wrote stays', () => {
  for (const maker of MAKERS.filter(({ plays }) => plays)) {
    const made = segmentFromMaker(maker, {
      values: firstValues(maker),
      settings: USUAL_SETTINGS,
      id: 'part',
      speech: authorSpeech,
    });
    assert.ok(made.ok);
    const own = { id: 'mine', kind: 'say' as const, text: 'And mind the cat.' };
    const formerLine = { id: 'made-do-1', kind: 'do' as const, text: 'As it was.', says: { key: `${maker.id}/do-1` } };
    const ways = ['sitting', 'moving-about', 'as-a-game', 'two-children', 'during-the-day', 'five-minutes'];
    const former: Segment = {
      ...made.value,
      lines: [formerLine, own],
      dials: made.value.dials.map((dial) =>
        dial.name === 'variant' && 'choices' in dial ? { ...dial, choices: ways, value: 'two-children' } : dial,
      ),
      made: { ...made.value.made!, edition: 2, values: { ...made.value.made!.values, variant: 'two-children' } },
    };
    const session: Session = {
      title: 'x',
      on: '2027-03-18',
      ages: { fromMonths: 36, toMonths: 60 },
      aim: '',
      accepted: [],
      segments: [former],
    };
    const turned = applyEdit(
      session,
      { do: 'turn-dial', segment: 'part', dial: 'variant', value: 'moving-about' },
      regenerateIn(authorMakers),
    );
    assert.ok(turned.ok, maker.id);
    const [part] = turned.value.segments;
    const way = part!.dials.find(({ name }) => name === 'variant')!;
    assert.equal(way.value, maker.formerWays!['moving-about']);
    assert.deepEqual('choices' in way && way.choices, waysOf(maker));
    const texts = part!.lines.map(({ text }) => text);
    assert.ok(texts.includes('And mind the cat.') && !texts.includes('As it was.'), maker.id);
    assert.ok(texts.length > 10, maker.id);
  }
});
