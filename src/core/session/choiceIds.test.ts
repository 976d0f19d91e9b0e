import assert from 'node:assert/strict';
import { test } from 'node:test';
import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { MAKERS } from '../../makers/index.ts';
import { choiceIn, dialsOf, firstValues, regenerateIn, segmentFromMaker } from '../makers/index.ts';
import { answersKeyWithId, FORMER_CHOICES, partWithChoiceIds, withChoiceIds } from './choiceIds.ts';
import { USUAL_SETTINGS } from './makerSource.ts';
import { applyEdit } from './edit.ts';
import { readScript, writeScript } from './storedScript.ts';
import type { Segment } from './session.ts';

const choicesOf = MAKERS.flatMap((maker) =>
  dialsOf(maker).flatMap((dial) => (dial.kind === 'choice' ? [{ maker: maker.id, ...dial }] : [])),
);
/** Dials that there were not yet when choices were stored in words. */
const LATER = ['story', 'by'];
const wordOf = (maker: string, choice: string) => choiceIn(maker, choice, authorSpeech);
/** The things of a basket were named by their keys. */
const formerOf = (maker: string, choice: string) =>
  (maker === 'basket-for-the-week' ? sharedOf : wordOf)(maker, choice);
const sharedOf = (_: string, choice: string) => wordOf('makers', choice);

const isLater = (maker: string, dial: string) =>
  LATER.includes(dial) || (dial === 'variant' && authorMakers.findMaker(maker)?.plays !== undefined);

/** A part as it was stored when choices were the words on the screen. */
function asFormerly(segment: Segment): Segment {
  const made = segment.made!;
  const inWords = (values: Readonly<Record<string, number | string>>) =>
    Object.fromEntries(
      Object.entries(values).map(([dial, value]) => {
        const isChoice =
          !isLater(made.maker, dial) && choicesOf.some(({ maker, name }) => maker === made.maker && name === dial);
        return [dial, isChoice ? formerOf(made.maker, String(value)) : value];
      }),
    );
  return {
    ...segment,
    dials: segment.dials.map((dial) => {
      if (!('choices' in dial) || isLater(made.maker, dial.name)) return dial;
      const { words: _words, ...former } = dial;
      const choices = dial.choices.map((choice) => formerOf(made.maker, choice));
      return { ...former, choices, value: formerOf(made.maker, dial.value) };
    }),
    rightDials: inWords(segment.rightDials),
    made: { ...made, values: inWords(made.values), paces: { 'five minutes': 1.2 } },
  };
}

const partOf = (id: string) => {
  const maker = authorMakers.findMaker(id)!;
  const paces = { 'five-minutes': 1.2 };
  const made = segmentFromMaker(maker, {
    values: firstValues(maker),
    settings: USUAL_SETTINGS,
    paces,
    id,
    speech: authorSpeech,
  });
  assert.ok(made.ok, id);
  return made.value;
};

test('what a choice is called has no hyphen of an id, and no id has a blank or a capital but signs', () => {
  for (const { maker, name, choices } of choicesOf)
    for (const choice of choices) {
      assert.doesNotMatch(wordOf(maker, choice), /[a-z]-[a-z]/, `${maker}, ${name}`);
      assert.match(choice, /^([a-z0-9-]+|[A-D]{2,4}|[a-z]_[a-z])$/, `${maker}, ${name}`);
    }
});

test('every former choice leads to one of today', () => {
  for (const [maker, dials] of Object.entries(FORMER_CHOICES))
    for (const [dial, former] of Object.entries(dials))
      for (const words of former) {
        const id = withChoiceIds(maker, { [dial]: words })[dial]!;
        const today = choicesOf.find((choice) => choice.maker === maker && choice.name === dial)!;
        assert.ok(today.choices.includes(String(id)), `${maker}, ${dial}: ${words}`);
        assert.equal(wordOf(maker, String(id)), words);
      }
});

test('a part of any maker that was stored with words is, once read, the part that is made today, and turns', () => {
  for (const { id } of MAKERS) {
    const today = partOf(id);
    const { contentVersion: _today, ...stored } = writeScript({ segments: [today], accepted: [] });
    const read = readScript({ ...stored, segments: [asFormerly(today)] } as never).segments[0]!;
    const named = (segment: Segment) => segment.dials.map((dial) => ({ ...dial, words: undefined }));
    assert.deepEqual({ ...read, dials: named(read) }, { ...today, dials: named(today) }, id);
    assert.deepEqual(partWithChoiceIds(read), read);
    const session = { title: 'x', on: '2027-03-18', ages: { fromMonths: 36, toMonths: 60 }, aim: '', accepted: [] };
    const ways = read.dials.find(({ name }) => name === 'variant')!;
    assert.ok('choices' in ways, id);
    const turned = applyEdit(
      { ...session, segments: [read] },
      { do: 'turn-dial', segment: id, dial: 'variant', value: ways.choices.at(-1)! },
      regenerateIn(authorMakers),
    );
    assert.ok(turned.ok, id);
  }
});

test('what is typed, and what no maker wrote, stays as it is', () => {
  assert.deepEqual(withChoiceIds('word-sheet', { words: 'missing word', kind: 'missing word', count: 3 }), {
    words: 'missing word',
    kind: 'missing-word',
    count: 3,
  });
  const { made: _made, ...own } = partOf('frame');
  const written = { ...own, dials: [{ name: 'x', label: 'x', choices: ['two tens', 'ten'], value: 'two tens' }] };
  assert.equal(partWithChoiceIds(written), written);
  assert.deepEqual(['maker:frame:two children', 'maker:frame', 'carts', 'maker:frame:sitting'].map(answersKeyWithId), [
    'maker:frame:two-children',
    'maker:frame',
    'carts',
    'maker:frame:sitting',
  ]);
});
