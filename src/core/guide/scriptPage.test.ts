import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { demoEntries } from '../../../tests/support/demoFile.ts';
import { escapeBraces, formatPieces } from '../expressions/index.ts';
import { thingIndex } from '../materials/index.ts';
import { LINE_KINDS, plainSegment, readPasted, type Segment } from '../session/index.ts';
import { segmentFromActivity } from '../shelf/index.ts';
import { composeSession } from './composition.ts';
import { htmlOf, markdownOf, paragraphsOfMarkdown, scriptPage } from './scriptPage.ts';
import { SESSION } from './session.fixture.ts';

const WORDS = {
  title: 'Who is on the wall?',
  about: ['Thursday 11 March.', 'Aim: * looks * and says.'],
  heading: (title: string, minutes: number) => `${title} (${minutes} minutes)`,
};
const TIMES = { seatedMinutesPerYear: 3, youngestMonths: 36 };

/** What is written out of parts, as it should come back. */
function expected(segments: readonly Segment[]) {
  const composed = composeSession({ ...SESSION, segments }, {}, TIMES);
  return composed.segments.map(({ segment, lines }) => ({
    title: segment.title,
    lines: lines.flatMap(({ line, text, answer }) =>
      text.ok
        ? [
            {
              kind: line.kind,
              text: escapeBraces(formatPieces(text.value).trim()),
              ...(answer?.ok &&
                formatPieces(answer.value).trim() && { answer: escapeBraces(formatPieces(answer.value).trim()) }),
              isGuessed: false,
            },
          ]
        : [],
    ),
  }));
}

function back(segments: readonly Segment[]) {
  const composed = composeSession({ ...SESSION, segments }, {}, TIMES);
  const { parts } = readPasted(paragraphsOfMarkdown(markdownOf(scriptPage(composed.segments, WORDS))), thingIndex({}));
  return parts.map(({ title, lines }) => ({ title, lines }));
}

test('a script comes back from Markdown as it was, for each activity of the shelf', () => {
  const all = demoEntries<Parameters<typeof segmentFromActivity>[0]>('activities').map((activity, index) =>
    segmentFromActivity(activity, `part-${index}`),
  );
  for (let at = 0; at < all.length; at += 12)
    assert.deepEqual(back(all.slice(at, at + 12)), expected(all.slice(at, at + 12)));
});

test('whatever stands in a line comes back from Markdown, and is text in HTML', () => {
  const mark = fc.constantFrom(
    '*',
    '_',
    '**',
    '`',
    '# ',
    '- ',
    '1. ',
    '[a](b)',
    '<b>',
    '&amp;',
    '→',
    '\\',
    '!',
    '|',
    '~',
  );
  const words = fc
    .array(fc.oneof(mark, fc.constantFrom('one', 'two', ' ', '“Yes.”', 'say:', '{{', '3')), {
      minLength: 1,
      maxLength: 8,
    })
    .map((some) => some.join('').replace(/\s+/g, ' ').trim())
    .filter((text) => text !== '' && !/[{}]/.test(text.replaceAll('{{', '')));
  const line = fc.record({
    kind: fc.constantFrom(...LINE_KINDS),
    text: words,
    answer: fc.option(words, { nil: undefined }),
  });
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
      const part = {
        ...plainSegment('own', 'activity', 'Own', [1, 2, 3]),
        lines: lines.map((one, index) => ({ id: `l${index}`, ...one })),
      };
      assert.deepEqual(
        back([part, { ...part, id: 'again', title: 'Again' }]),
        expected([part, { ...part, id: 'again', title: 'Again' }]),
      );
      const page = htmlOf(scriptPage(composeSession({ ...SESSION, segments: [part] }, {}, TIMES).segments, WORDS), {
        title: '</title><script>',
        language: 'en-GB',
      });
      assert.doesNotMatch(page, /<script|<b>/);
    }),
    { seed: 25, numRuns: 400 },
  );
});

test('a file that a parser would take minutes over is read as plain text', () => {
  for (const mark of ['> ', '[', '![a](', '>', '> - '])
    assert.ok(paragraphsOfMarkdown(mark.repeat(30_000)).every(({ line }) => line === undefined));
});
