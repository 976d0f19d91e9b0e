import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  generatedParts,
  type Maker,
  type MakerLine,
  type MakerOutput,
  runMaker,
  waysOf,
} from '../../src/core/makers/index.ts';
import { MAKERS } from '../../src/makers/index.ts';
import {
  type LevelName,
  LEVELS,
  type Line,
  type MakerValues,
  NUMBER_SCHOOLS,
  type NumberSchool,
  USUAL_SETTINGS,
} from '../../src/core/session/index.ts';
import { authorMakers } from '../../src/messages/authorMakers.ts';
import { authorSpeech } from '../../src/messages/speeches.ts';
import { makerSettings } from './makerSettings.ts';
import { activities, things } from './demo.ts';
import { withoutWords, wordsOnPaper } from './onPaper.ts';
import { countFaults, thingsNamedIn, unfilledFaults } from './proofreading.ts';

/** `CONTENT=all` takes every run of every maker, after each school; otherwise a third of them, another third for the next maker. */
const EVERYTHING = process.env.CONTENT === 'all';
const SHARE = EVERYTHING ? 1 : 3;

/** Settings of a maker in each way of running it, and as it starts after each school. */
function runsOf(maker: Maker): { values: MakerValues; school: NumberSchool }[] {
  const schools = EVERYTHING ? NUMBER_SCHOOLS : (['hands-first'] as const);
  const runs = makerSettings(maker).flatMap((values) =>
    waysOf(maker).flatMap((variant) => schools.map((school) => ({ values: { ...values, variant }, school }))),
  );
  return [
    ...runs.filter((_, index) => (index + MAKERS.indexOf(maker)) % SHARE === 0),
    ...waysOf(maker).flatMap((variant) => NUMBER_SCHOOLS.map((school) => ({ values: { variant }, school }))),
  ];
}

/** Everything wrong with the lines of a maker in one run. */
function makerFaults({ lines, materials, variant, printable }: MakerOutput, isWhole: boolean): string[] {
  const faults: string[] = [];
  const said = ({ text, answer }: MakerLine) => [text, ...(answer === undefined ? [] : [answer])];
  const texts = (level: LevelName) => lines[level].flatMap(said);
  const onPaper = wordsOnPaper(printable);
  const listed = new Set(materials.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]));
  for (const level of LEVELS) {
    for (const text of texts(level)) {
      faults.push(
        ...[...unfilledFaults(text), ...countFaults(text, Object.values(things))].map((fault) => `${level}: ${fault}`),
      );
    }
    // What is done during the day is done with what is in hand anyway; nothing is fetched for it.
    for (const line of variant === 'during-the-day' ? [] : lines[level].filter(({ key }) => key !== 'daily'))
      for (const text of said(line))
        for (const thing of thingsNamedIn(withoutWords(text, onPaper), Object.values(things)))
          if (!listed.has(thing.key)) faults.push(`${level}: names ${thing.many}, not in its list: “${text}”`);
    if (level !== 'right' && texts(level).join() === texts('right').join())
      faults.push(`${level} is the same as right`);
  }
  if (isWhole) {
    faults.push(...wholeFaults(lines));
  } else if (variant !== 'five-minutes') {
    const cases = lines.right.filter(({ kind }) => kind === 'if');
    if (cases.length < 2) faults.push('fewer than two cases of what may go otherwise');
    for (const { text } of cases) if (!text.includes(': ')) faults.push(`a case without what to do: “${text}”`);
  } else if (lines.right.length !== 3) faults.push('a short run has three lines');
  return faults;
}

/** What a script that is written whole lacks: two cases and an ending at each level, questions, and sentences short enough. */
function wholeFaults(lines: MakerOutput['lines']): string[] {
  return LEVELS.flatMap((level) => {
    const said = lines[level];
    const cases = said.filter(({ kind }) => kind === 'if');
    const last = said.filter(({ kind, role }) => kind !== 'if' && kind !== 'notice' && !role).at(-1);
    const questions = said.filter(({ kind }) => kind === 'ask');
    return [
      ...(cases.length < 2 ? [`${level}: fewer than two cases`] : []),
      ...cases.flatMap(({ text }) => (/[:!?.] ./.test(text) ? [] : [`${level}: a case without what to do: “${text}”`])),
      ...(last === undefined || last.kind === 'ask' ? [`${level}: no ending`] : []),
      ...(questions.length === 0 ? [`${level}: no question`] : []),
      ...questions.flatMap(({ text, answer }) =>
        answer === undefined || /^0\b/.test(answer) ? [`${level}: “${text}” has no answer: ${answer}`] : [],
      ),
      ...said.flatMap(({ text }) => (/\bLet your child\b|\b1 [a-z]+s\b/.test(text) ? [`${level}: “${text}”`] : [])),
    ];
  });
}

for (const maker of MAKERS) {
  test(`${maker.id}: what it writes holds in every way of running it, at every level and dial end, after every school`, () => {
    const faults: string[] = [];
    const bySchool = new Map<NumberSchool, string>();
    let written = 0;
    for (const { values, school } of runsOf(maker)) {
      const made = runMaker(maker, values, { settings: { ...USUAL_SETTINGS, school }, speech: authorSpeech });
      if (!made.ok) continue;
      written += 1;
      faults.push(
        ...makerFaults(made.value, maker.plays !== undefined).map(
          (fault) => `${fault} [${school} ${JSON.stringify(values)}]`,
        ),
      );
      if (Object.keys(values).length === 1 && values.variant === waysOf(maker)[0])
        bySchool.set(school, made.value.lines.right.map(({ text }) => text).join());
    }
    assert.ok(written > 1);
    const seen = new Set<string>();
    const first = faults.filter((fault) => {
      const words = fault.replace(/^\w+: | \[.*/g, '');
      return !seen.has(words) && seen.add(words);
    });
    assert.deepEqual(first.slice(0, 12), []);
    assert.equal(new Set(bySchool.values()).size, NUMBER_SCHOOLS.length, 'reads alike for two schools');
  });
}

test('activities that a maker made hold what it writes for them now', () => {
  const made = activities.filter((activity) => activity.made);
  assert.ok(made.length >= 12);
  for (const { key, made: source, lines, levels, needs } of made) {
    const written = generatedParts(source!, authorMakers);
    assert.ok(written.ok, key);
    const texts = (list: readonly Line[] = []) => list.map(({ id, text, answer }) => [id, text, answer]);
    assert.deepEqual(texts(lines), texts(written.value.lines.right), key);
    assert.deepEqual(texts(levels.easier?.lines), texts(written.value.lines.easier), key);
    assert.deepEqual(texts(levels.harder?.lines), texts(written.value.lines.harder), key);
    assert.deepEqual(needs, JSON.parse(JSON.stringify(written.value.needs)), key);
  }
});
