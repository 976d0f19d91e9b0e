import { LEVELS, type LevelName } from './levelName.ts';
import { dialValues, isNumberDial } from './dial.ts';
import {
  evaluateQuantity,
  type ExpressionProblem,
  renderTemplate,
  type Scope,
  type TemplateProblem,
} from '../expressions/index.ts';
import { checkDial } from './edit.ts';
import type { EditProblem } from './edits.ts';
import { isWholeLevel, linesAt, quantityAt, valuesAt } from './levels.ts';
import type { ActivityBody, Segment } from './session.ts';

/** What is wrong with a script, as a code with what explains it. */
export type ScriptFault =
  | { readonly code: 'dial-range'; readonly dial: string }
  | { readonly code: 'dial-value'; readonly problem: EditProblem }
  | { readonly code: 'dial-unknown'; readonly dial: string }
  | { readonly code: 'name-twice'; readonly name: string }
  | { readonly code: 'expression'; readonly problem: ExpressionProblem; readonly when: string }
  | { readonly code: 'template'; readonly problem: TemplateProblem; readonly when: string }
  | { readonly code: 'swap-for-itself'; readonly item: string }
  | { readonly code: 'need-unknown'; readonly need: string }
  | { readonly code: 'level-empty' };

/** Something wrong in a script, and its place as a path from the activity or segment (`needs[0].qty`). */
export interface ScriptProblem {
  readonly path: string;
  readonly fault: ScriptFault;
}

/** An activity, which stands at its right level, or a part on the bench, which may stand at another. */
type Script = Pick<ActivityBody, 'dials' | 'lines' | 'needs' | 'minutes' | 'levels' | 'ahead'> &
  Partial<Pick<Segment, 'level' | 'rightDials'>>;

/** Hollows or places of things by key, for swaps that count by them; absent where a thing has none. */
export type PlacesByItem = Readonly<Record<string, number>>;

/** How many places things have, by key; things without any are left out. */
export function placesOf(
  things: readonly { readonly key: string; readonly places?: number | undefined }[],
): PlacesByItem {
  return Object.fromEntries(things.flatMap(({ key, places }) => (places === undefined ? [] : [[key, places]])));
}

/** How thoroughly a script is tried, and what is known of things. */
export interface CheckSettings {
  readonly places?: PlacesByItem | undefined;
  /** `every-end`: as an activity on the shelf, at both ends of every dial. `as-it-stands`: as it goes to homes now. */
  readonly reach?: 'every-end' | 'as-it-stands' | undefined;
}

/**
 * Everything that does not come out in a script: dials, quantities and lines, tried as it stands, at both ends of
 * every number dial, at each level, and with the dials that each swap sets, alone and two at a time. A script without
 * faults gives an empty list.
 */
export function checkScript(
  script: Script,
  title: string,
  { places = {}, reach = 'every-end' }: CheckSettings = {},
): ScriptProblem[] {
  const dialProblems = checkDials(script, title);
  if (dialProblems.length > 0) return dialProblems;
  const problems: ScriptProblem[] = [...checkNames(script), ...checkReferences(script)];
  const seen = new Set<string>();
  for (const setting of settingsToTry(script, reach)) {
    for (const problem of checkAt(script, setting, places)) {
      if (seen.has(problem.path)) continue;
      seen.add(problem.path);
      problems.push(problem);
    }
  }
  return problems;
}

function checkDials({ dials, levels, needs }: Script, title: string): ScriptProblem[] {
  const problems: ScriptProblem[] = [];
  dials.forEach((dial, index) => {
    const path = `dials[${index}]`;
    if (isNumberDial(dial) && dial.min > dial.max)
      problems.push({ path, fault: { code: 'dial-range', dial: dial.label } });
    const checked = checkDial(dial, dial.value, title);
    if (!checked.ok) problems.push({ path: `${path}.value`, fault: { code: 'dial-value', problem: checked.problem } });
  });
  const checkSettings = (settings: Scope, at: string) => {
    for (const [dialName, value] of Object.entries(settings)) {
      const path = `${at}.${dialName}`;
      const dial = dials.find((candidate) => candidate.name === dialName);
      if (!dial) {
        problems.push({ path, fault: { code: 'dial-unknown', dial: dialName } });
        continue;
      }
      const checked = checkDial(dial, value, title);
      if (!checked.ok) problems.push({ path, fault: { code: 'dial-value', problem: checked.problem } });
    }
  };
  for (const name of ['easier', 'harder'] as const) checkSettings(levels[name]?.dials ?? {}, `levels.${name}.dials`);
  needs.forEach(({ swaps }, need) =>
    swaps.forEach(({ sets }, swap) => checkSettings(sets ?? {}, `needs[${need}].swaps[${swap}].sets`)),
  );
  return problems;
}

function checkNames({ dials, needs, lines }: Script): ScriptProblem[] {
  return [
    ...repeats(dials.map(({ name }) => name)).map((index) => ({
      path: `dials[${index}].name`,
      name: dials[index]!.name,
    })),
    ...repeats(needs.map(({ id }) => id)).map((index) => ({ path: `needs[${index}].id`, name: needs[index]!.id })),
    ...repeats(lines.map(({ id }) => id)).map((index) => ({ path: `lines[${index}].id`, name: lines[index]!.id })),
  ].map(({ path, name }) => ({ path, fault: { code: 'name-twice', name } }));
}

/** What names a need that is not there, or a level that says nothing at all. */
function checkReferences({ needs, levels, ahead }: Script): ScriptProblem[] {
  const problems: ScriptProblem[] = [];
  const expectNeed = (need: string, path: string) => {
    if (!needs.some(({ id }) => id === need)) problems.push({ path, fault: { code: 'need-unknown', need } });
  };
  ahead.forEach((entry, index) => entry.for && expectNeed(entry.for.need, `ahead[${index}].for.need`));
  for (const name of ['easier', 'harder'] as const) {
    const level = levels[name];
    if (!level) continue;
    Object.keys(level.qty ?? {}).forEach((need) => expectNeed(need, `levels.${name}.qty.${need}`));
    const isWhole: boolean = isWholeLevel(level);
    if (!isWhole && level.text.trim() === '') problems.push({ path: `levels.${name}`, fault: { code: 'level-empty' } });
  }
  return problems;
}

function repeats(names: readonly string[]): number[] {
  const first = new Map<string, number>();
  names.forEach((name, index) => !first.has(name) && first.set(name, index));
  return names.flatMap((name, index) => (first.get(name)! < index ? [index] : []));
}

interface Setting {
  readonly values: Scope;
  readonly when: string;
  readonly level: LevelName;
}

/** The script as it stands, each number dial at either end, the other levels; and each of these with what swaps set. */
function settingsToTry(script: Script, reach: 'every-end' | 'as-it-stands'): Setting[] {
  const { dials, levels, needs, level: here = 'right', rightDials = {} } = script;
  const standing = dialValues(dials);
  const turned = reach === 'every-end' ? dials.filter(isNumberDial) : [];
  const ends = turned.flatMap(({ name, label, min, max }): Setting[] => [
    { values: { ...standing, [name]: min }, when: `${label} ${min}`, level: here },
    { values: { ...standing, [name]: max }, when: `${label} ${max}`, level: here },
  ]);
  const others = LEVELS.filter((level) => level !== here && (level === 'right' || levels[level]));
  const byLevel = others.map((level): Setting => ({
    values: valuesAt({ dials, levels, level: here, rightDials }, level),
    when: level === 'right' ? 'just right' : level,
    level,
  }));
  const bare: Setting[] = [{ values: standing, when: '', level: here }, ...ends, ...byLevel];
  const swapSets = needs.flatMap(({ swaps }, need) =>
    swaps.flatMap(({ item, sets }) => (sets && Object.keys(sets).length > 0 ? [{ need, item, sets }] : [])),
  );
  const sets = [
    ...swapSets.map(({ item, sets: one }) => ({ values: one as Scope, when: `with ${item}` })),
    ...swapSets.flatMap((first, index) =>
      swapSets
        .slice(index + 1)
        .filter((second) => second.need !== first.need && !clash(first.sets, second.sets))
        .map((second) => ({
          values: { ...first.sets, ...second.sets } as Scope,
          when: `with ${first.item} and ${second.item}`,
        })),
    ),
  ].slice(0, MOST_SETS_TRIED);
  return [
    ...bare,
    ...sets.flatMap((set) =>
      bare.map(({ values, when, level }) => ({
        values: { ...values, ...set.values },
        when: [when, set.when].filter(Boolean).join(', '),
        level,
      })),
    ),
  ];
}

const MOST_SETS_TRIED = 60;

function clash(one: Scope, other: Scope): boolean {
  return Object.entries(other).some(([dial, value]) => Object.hasOwn(one, dial) && one[dial] !== value);
}

function checkAt(script: Script, { values, when, level }: Setting, places: PlacesByItem): ScriptProblem[] {
  const { needs, minutes, levels } = script;
  const problems: ScriptProblem[] = [];
  const names = Object.fromEntries(needs.map(({ id, item }) => [id, { one: item, many: item, qty: 1 }]));
  const tryQuantity = (quantity: number | string, path: string, scope = values) => {
    const evaluation = evaluateQuantity(quantity, scope);
    if (!evaluation.ok) problems.push({ path, fault: { code: 'expression', problem: evaluation.problem, when } });
    return evaluation.ok ? evaluation.value : null;
  };
  const tryTemplate = (text: string, path: string) => {
    const rendered = renderTemplate(text, { values, things: names });
    if (!rendered.ok) problems.push({ path, fault: { code: 'template', problem: rendered.problem, when } });
  };
  needs.forEach((need, index) => {
    const own = level !== 'right' && levels[level]?.qty && Object.hasOwn(levels[level].qty, need.id);
    const amount = tryQuantity(
      quantityAt(script, need, level),
      own ? `levels.${level}.qty.${need.id}` : `needs[${index}].qty`,
    );
    const withPlaces = (item: string): Scope => ({
      ...values,
      ...(Object.hasOwn(places, item) && { places: places[item]! }),
    });
    if (need.taken?.qty !== undefined && amount !== null)
      tryQuantity(need.taken.qty, `needs[${index}].taken.qty`, { ...withPlaces(need.item), need: amount });
    need.swaps.forEach(({ item, qty }, swapIndex) => {
      const path = `needs[${index}].swaps[${swapIndex}]`;
      if (item === need.item) problems.push({ path: `${path}.item`, fault: { code: 'swap-for-itself', item } });
      if (qty !== undefined && amount !== null) tryQuantity(qty, `${path}.qty`, { ...withPlaces(item), need: amount });
    });
  });
  for (const part of ['setup', 'together', 'alone', 'tidy', 'wait'] as const) {
    minutes[part]?.forEach((quantity, index) => tryQuantity(quantity, `minutes.${part}[${index}]`));
  }
  const own = level === 'right' ? undefined : levels[level]?.lines;
  const at = own ? `levels.${level}.lines` : 'lines';
  linesAt(script, level).forEach((line, index) => {
    tryTemplate(line.text, `${at}[${index}].text`);
    if (line.answer) tryTemplate(line.answer, `${at}[${index}].answer`);
  });
  if (level !== 'right' && levels[level]) tryTemplate(levels[level].text, `levels.${level}.text`);
  return problems;
}
