import assert from 'node:assert/strict';
import { test } from 'node:test';
import { composeGuide, type Guide, type GuideSegment } from '../../src/core/guide/index.ts';
import { type Printable, runMaker } from '../../src/core/makers/index.ts';
import { findMaker } from '../../src/makers/index.ts';
import type { Swap, Thing } from '../../src/core/materials/index.ts';
import {
  type Dial,
  isNumberDial,
  type LevelName,
  LEVELS,
  type MakerSource,
  type Segment,
} from '../../src/core/session/index.ts';
import { segmentFromActivity, type ShelfActivity } from '../../src/core/shelf/index.ts';
import { authorSpeech } from '../../src/messages/speeches.ts';
import { guideLanguage } from '../../src/messages/guideLanguages.ts';
import { naiveAmount, naiveText, type Values } from './naive.ts';
import { activities, things } from './demo.ts';
import { withoutWords, wordsOnPaper } from './onPaper.ts';
import { countFaults, thingsNamedIn, unfilledFaults } from './proofreading.ts';
import { FIXED_NUMBERS, NAMED_ONLY } from './reasons.ts';

/** Everything a home can be sent, at every level, at every end of a dial and with every swap. `CONTENT=all` also turns dials in pairs. */
const EVERYTHING = process.env.CONTENT === 'all';
/** Otherwise a third of the settings of each activity. */
const SHARE = EVERYTHING ? 1 : 3;
/** Stands where the script's own thing is not to be had; it is never permitted, so the swap is taken. */
const NOWHERE: Thing = {
  key: 'nowhere',
  one: 'nowhere',
  many: 'nowhere',
  traits: ['magnets-cells-beads'],
  allergens: [],
};
const PLENTY = Object.keys(things).map((item) => ({ item, qty: 100_000 }));
const BIRTHS = ['2020-01', '2019-06'];

interface Setting {
  readonly dials: readonly Dial[];
  /** The option of each need that is forced, by the index of the need. */
  readonly swaps: ReadonlyMap<number, Swap>;
  readonly children: number;
}

function dialSettings(dials: readonly Dial[]): (readonly Dial[])[] {
  const ends = dials.map((dial, index) =>
    (isNumberDial(dial) ? [dial.min, dial.max] : dial.choices).map((value) => ({
      index,
      dial: { ...dial, value } as Dial,
    })),
  );
  const single = ends.flat().map(({ index, dial }) => dials.with(index, dial));
  const pairs = EVERYTHING
    ? ends.flatMap((first, at) =>
        ends
          .slice(at + 1)
          .flatMap((second) =>
            first.flatMap((one) =>
              second.map((other) => dials.with(one.index, one.dial).with(other.index, other.dial)),
            ),
          ),
      )
    : [];
  return [dials, ...single, ...pairs];
}

function swapSettings({ needs }: ShelfActivity): ReadonlyMap<number, Swap>[] {
  const single = needs.flatMap(({ swaps }, index) => swaps.map((swap) => [index, swap] as const));
  const setting = single.filter(([, { sets }]) => sets);
  const pairs = setting.flatMap(([index, swap], at) =>
    setting
      .slice(at + 1)
      .filter(
        ([other, second]) =>
          other !== index &&
          Object.entries(second.sets!).every(([dial, value]) => (swap.sets![dial] ?? value) === value),
      )
      .map(
        ([other, second]) =>
          new Map([
            [index, swap],
            [other, second],
          ]),
      ),
  );
  return [new Map(), ...single.map((entry) => new Map([entry])), ...pairs];
}

function settingsOf(activity: ShelfActivity): Setting[] {
  // A maker’s lines are written anew at each turn of a dial, and tried with the makers.
  const turned = activity.made ? [activity.dials] : dialSettings(activity.dials);
  const settings = turned.flatMap((dials) =>
    swapSettings(activity).flatMap((swaps) => [1, 2].map((children) => ({ dials, swaps, children }))),
  );
  return settings.filter((_, index) => index === 0 || (index + activity.key.length) % SHARE === 0);
}

function guideFor(activity: ShelfActivity, { dials, swaps, children }: Setting): { guide: Guide; segment: Segment } {
  const start = segmentFromActivity({ ...activity, dials }, 'part');
  const needs = start.needs.map((need, index) => {
    const swap = swaps.get(index);
    return swap ? { ...need, item: NOWHERE.key, swaps: [swap] } : need;
  });
  const segment = { ...start, needs };
  const guide = composeGuide({
    ...guideLanguage('en'),
    session: {
      title: 'Try',
      on: '2027-03-31',
      ages: { fromMonths: 24, toMonths: 96 },
      aim: '',
      segments: [segment],
      accepted: [],
    },
    home: {
      id: 'home',
      nickname: 'Here',
      allergens: [],
      children: BIRTHS.slice(0, children).map((birthMonth, index) => ({ nickname: `Kid ${index}`, birthMonth })),
      stock: PLENTY,
    },
    things: { ...things, nowhere: NOWHERE },
    programme: 'Try',
  });
  return { guide, segment };
}

/** What each need is served with, by a second reckoning. */
function chosenThings(activity: ShelfActivity, setting: Setting, level: LevelName, values: Values) {
  return activity.needs.map((need, index) => {
    const option = setting.swaps.get(index) ?? { item: need.item };
    const change = level === 'right' ? undefined : activity.levels[level]?.qty?.[need.id];
    const qty = naiveAmount(need, option, { values, children: setting.children, qty: change ?? need.qty, things });
    const { one, many } = things[option.item]!;
    return { id: need.id, item: option.item, one, many, qty };
  });
}

function valuesAt(activity: ShelfActivity, setting: Setting, level: LevelName): Values {
  const standing = Object.fromEntries(setting.dials.map(({ name, value }) => [name, value]));
  const sets = Object.assign({}, ...[...setting.swaps.values()].map((swap) => swap.sets ?? {})) as Values;
  return { ...standing, ...(level === 'right' ? {} : activity.levels[level]?.dials), ...sets };
}

/** Everything wrong with one level of an activity in one setting. */
function faultsAt(activity: ShelfActivity, setting: Setting, level: LevelName, part: GuideSegment): string[] {
  const written = part.levels[level];
  if (!written) return level === 'right' ? ['has no lines'] : [];
  const values = valuesAt(activity, setting, level);
  const chosen = chosenThings(activity, setting, level, values);
  const byNeed = Object.fromEntries(chosen.map((thing) => [thing.id, thing]));
  const isTwo = setting.children > 1;
  const source = ((level === 'right' ? undefined : activity.levels[level]?.lines) ?? activity.lines).filter(
    ({ role }) => !role || isTwo,
  );
  const faults: string[] = [];
  source.forEach((line, index) => {
    const { text, answer } = written.lines[index] ?? { text: '', answer: undefined };
    const expected = naiveText(line.text, values, byNeed, '');
    if (text !== expected) faults.push(`“${text}” is not “${expected}”`);
    const expectedAnswer = line.answer === undefined ? undefined : naiveText(line.answer, values, byNeed, '');
    if (answer !== expectedAnswer) faults.push(`the answer “${answer}” is not “${expectedAnswer}”`);
  });
  const said = written.lines.flatMap(({ text, answer }) => [text, ...(answer ? [answer] : [])]);
  const all = [...said, ...(written.note ? [written.note] : [])];
  faults.push(...all.flatMap(unfilledFaults), ...all.flatMap((text) => countFaults(text, Object.values(things))));
  const used = chosen.filter(({ qty }) => qty > 0);
  // A maker’s lines are finished words: they name the things it lists, whatever a home takes instead.
  const allowed = new Set([
    ...used.map(({ item }) => item),
    ...(activity.made ? activity.needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]) : []),
  ]);
  const onPaper = activity.made ? wordsOnPaper(paperOf(activity.made)) : [];
  const namedOnly = NAMED_ONLY[activity.key]?.words ?? [];
  for (const text of all)
    for (const thing of thingsNamedIn(withoutWords(text, onPaper), Object.values(things)))
      if (
        !allowed.has(thing.key) &&
        !namedOnly.includes(thing.one) &&
        !namedOnly.includes(thing.key.replaceAll('-', ' ')) &&
        !namedOnly.includes(thing.key)
      )
        faults.push(`names ${thing.many}, which are not in its list: “${text}”`);
  if (activity.made) return faults;
  const mentions = source.map(({ text, answer }) => `${text} ${answer ?? ''}`).join(' ');
  for (const { id, item, qty } of used)
    if (!mentions.includes(`{@${id}`)) faults.push(`lists ${item} (${qty}) and never names it`);
  return faults;
}

const signature = ({ lines }: NonNullable<GuideSegment['levels'][LevelName]>) =>
  lines.map(({ kind, text, answer }) => `${kind} ${text} ${answer ?? ''}`).join('\n');

for (const activity of activities) {
  test(`${activity.key}: what homes receive holds at every level, dial end and swap`, () => {
    const faults = new Map<string, string>();
    for (const setting of settingsOf(activity)) {
      const { guide } = guideFor(activity, setting);
      const part = guide.segments[0]!;
      const at = `${setting.dials.map(({ name, value }) => `${name}=${value}`).join(' ')} ${[...setting.swaps.values()].map(({ item }) => `with ${item}`).join(' ')} ${setting.children} children`;
      for (const level of LEVELS)
        for (const fault of faultsAt(activity, setting, level, part))
          if (!faults.has(fault)) faults.set(fault, `${level}: ${at}`);
      const isTurned = setting.dials.some((dial, index) => dial.value !== activity.dials[index]!.value);
      if (!isTurned)
        for (const level of ['easier', 'harder'] as const) {
          const own = part.levels[level];
          if (own && signature(own) === signature(part.levels.right!)) faults.set(`${level} is the same as right`, at);
          if (own && level === 'harder' && part.levels.easier && signature(own) === signature(part.levels.easier))
            faults.set('harder is the same as easier', at);
        }
    }
    assert.deepEqual(
      [...faults].slice(0, 8).map(([fault, where]) => `${fault} [${where}]`),
      [],
    );
  });
}

test('every easier and harder way of the demo is a whole level, and none is a tip', () => {
  const tips = activities.flatMap(({ key, levels }) =>
    (['easier', 'harder'] as const).flatMap((level) => {
      const change = levels[level];
      return change && (Object.keys(change.dials).length > 0 || change.lines) ? [] : [`${key} ${level}`];
    }),
  );
  assert.deepEqual(tips, []);
});

test('numbers in scripts come from dials and sums, but for those with a reason', () => {
  const WORDS =
    'two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|hundred|tens';
  const faults = activities
    .filter(({ made }) => !made)
    .flatMap(({ key, lines, levels }) => {
      const allowed = FIXED_NUMBERS[key]?.words ?? [];
      const texts = [
        ...[lines, levels.easier?.lines ?? [], levels.harder?.lines ?? []]
          .flat()
          .flatMap(({ text, answer }) => [text, answer ?? '']),
        levels.easier?.text ?? '',
        levels.harder?.text ?? '',
      ];
      const articles = texts.flatMap((text) =>
        [...text.matchAll(/\ban? \{(?!@|loves|\{)[^}]*\}/gi)].map(
          ([found]) => `${key}: an article before a number, ${found}`,
        ),
      );
      const numbers = texts.flatMap((text) =>
        [...text.replace(/\{[^}]*\}/g, ' ').matchAll(new RegExp(`\\d+|\\b(?:${WORDS})\\b`, 'gi'))]
          .map(([found]) => found.toLowerCase())
          .filter((found) => !allowed.includes(found))
          .map((found) => `${key}: ${found} in “${text}”`),
      );
      return [...numbers, ...articles];
    });
  assert.deepEqual(faults, []);
});

test('at least ten swaps set a dial and five say how many of them', () => {
  const swaps = activities.flatMap(({ needs }) => needs.flatMap((need) => need.swaps));
  assert.ok(swaps.filter(({ sets }) => sets).length >= 10);
  assert.ok(swaps.filter(({ qty }) => qty !== undefined).length >= 5);
});

/** What is printed for a part that a maker wrote. */
function paperOf({ maker, values, settings }: MakerSource): Printable {
  const made = runMaker(findMaker(maker)!, values, { settings, speech: authorSpeech });
  assert.ok(made.ok, maker);
  return made.value.printable;
}
