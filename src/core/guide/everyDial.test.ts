import { type Dial, type Segment, templateScope } from '../session/index.ts';
import { segmentFromActivity, type ShelfActivity } from '../shelf/index.ts';
import { evaluateMinutes } from '../time/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { composeSegment, writeNote } from './composition.ts';
import { evaluateQuantity, formatPieces } from '../expressions/index.ts';
import { demoEntries } from '../../../tests/support/demoFile.ts';

const activities = demoEntries<ShelfActivity & { levels: Segment['levels'] }>('activities');

const placesOf = (dial: Dial): Dial[] =>
  'choices' in dial
    ? dial.choices.map((value) => ({ ...dial, value }))
    : Array.from({ length: dial.max - dial.min + 1 }, (_, index) => ({ ...dial, value: dial.min + index }));

/** A segment for every setting of all its dials. A maker’s lines are written anew at each turn, and tried with the makers. */
function everySetting(segment: Segment): Segment[] {
  if (segment.made) return [segment];
  return segment.dials.reduce<Segment[]>(
    (settings, _, index) =>
      settings.flatMap((setting) =>
        placesOf(setting.dials[index]!).map((dial) => ({ ...setting, dials: setting.dials.with(index, dial) })),
      ),
    [segment],
  );
}

for (const activity of activities) {
  test(`${activity.title}: whatever its dials say, lines, things and minutes come out in whole, possible numbers`, () => {
    const start = segmentFromActivity(activity, 'a');
    for (const segment of everySetting(start)) {
      const at = JSON.stringify(segment.dials.map(({ name, value }) => [name, value]));
      const scope = templateScope(segment, {});
      for (const { line, text, answer } of composeSegment(segment, scope).lines) {
        for (const written of [text, answer ?? text]) {
          assert.ok(written.ok, `${at} ${line.text}: ${JSON.stringify(written)}`);
          assert.doesNotMatch(formatPieces(written.value), /\d\.\d|-\d/, `${at} ${line.text}`);
        }
      }
      for (const { item, qty } of segment.needs) {
        const amount = evaluateQuantity(qty, scope.values);
        assert.ok(amount.ok && Number.isInteger(amount.value), `${at} ${item} ${qty}: ${JSON.stringify(amount)}`);
      }
      assert.equal(evaluateMinutes(segment).minutesProblem, undefined, at);
    }
    for (const [name, level] of Object.entries(activity.levels)) {
      if (level?.text) assert.ok(writeNote(level, templateScope(start, {}, name as 'easier')), name);
      for (const [dial, value] of Object.entries(level.dials)) {
        const turned = start.dials.find((entry) => entry.name === dial)!;
        assert.ok(
          placesOf(turned).some((place) => place.value === value),
          `${name}: ${dial} ${value}`,
        );
      }
    }
  });
}

test('one thing never stands without an article or another word before it', () => {
  const beforeOne = /(?:^|\W)(?:an?|the|one|any|each|every|this)(?: [\w-]+)? $/i;
  for (const { title, lines } of activities)
    for (const { text } of lines)
      for (const { index } of text.matchAll(/\{@\w+\|one\}/g))
        assert.match(text.slice(0, index), beforeOne, `${title}: ${text}`);
});
