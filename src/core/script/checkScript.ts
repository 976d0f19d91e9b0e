import { evaluateQuantity, type ExpressionProblem, type Scope } from './expression.ts';
import { checkDial, type EditProblem } from './edit.ts';
import { dialValues, isNumberDial, type ActivityBody } from './session.ts';
import { renderTemplate, type TemplateProblem } from './template.ts';

export type ScriptFault =
  | { readonly code: 'dial-range'; readonly dial: string }
  | { readonly code: 'dial-value'; readonly problem: EditProblem }
  | { readonly code: 'dial-unknown'; readonly dial: string }
  | { readonly code: 'name-twice'; readonly name: string }
  | { readonly code: 'expression'; readonly problem: ExpressionProblem; readonly when: string }
  | { readonly code: 'template'; readonly problem: TemplateProblem; readonly when: string }
  | { readonly code: 'swap-for-itself'; readonly item: string };

/** Something wrong in a script, and its place as a path from the activity or segment (`needs[0].qty`). */
export interface ScriptProblem {
  readonly path: string;
  readonly fault: ScriptFault;
}

type Script = Pick<ActivityBody, 'dials' | 'lines' | 'needs' | 'minutes' | 'levels'>;

/**
 * Everything that does not come out in a script: dials, quantities and lines, tried as it stands, at both ends of
 * every number dial and at each level. A script without faults gives an empty list.
 */
export function checkScript(script: Script, title: string): ScriptProblem[] {
  const dialProblems = checkDials(script, title);
  if (dialProblems.length > 0) return dialProblems;
  const problems: ScriptProblem[] = [...checkNames(script)];
  const seen = new Set<string>();
  for (const { values, when } of settingsToTry(script)) {
    for (const problem of checkAt(script, values, when)) {
      if (seen.has(problem.path)) continue;
      seen.add(problem.path);
      problems.push(problem);
    }
  }
  return problems;
}

function checkDials({ dials, levels }: Script, title: string): ScriptProblem[] {
  const problems: ScriptProblem[] = [];
  dials.forEach((dial, index) => {
    const path = `dials[${index}]`;
    if (isNumberDial(dial) && dial.min > dial.max)
      problems.push({ path, fault: { code: 'dial-range', dial: dial.label } });
    const checked = checkDial(dial, dial.value, title);
    if (!checked.ok) problems.push({ path: `${path}.value`, fault: { code: 'dial-value', problem: checked.problem } });
  });
  for (const name of ['easier', 'harder'] as const) {
    for (const [dialName, value] of Object.entries(levels[name]?.dials ?? {})) {
      const path = `levels.${name}.dials.${dialName}`;
      const dial = dials.find((candidate) => candidate.name === dialName);
      if (!dial) {
        problems.push({ path, fault: { code: 'dial-unknown', dial: dialName } });
        continue;
      }
      const checked = checkDial(dial, value, title);
      if (!checked.ok) problems.push({ path, fault: { code: 'dial-value', problem: checked.problem } });
    }
  }
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

function repeats(names: readonly string[]): number[] {
  return names.flatMap((name, index) => (names.indexOf(name) < index ? [index] : []));
}

/** The dials as they stand, each number dial at either end, and both levels. */
function settingsToTry({ dials, levels }: Script): { values: Scope; when: string }[] {
  const standing = dialValues(dials);
  const ends = dials.filter(isNumberDial).flatMap(({ name, label, min, max }) => [
    { values: { ...standing, [name]: min }, when: `${label} ${min}` },
    { values: { ...standing, [name]: max }, when: `${label} ${max}` },
  ]);
  const byLevel = (['easier', 'harder'] as const).flatMap((level) =>
    levels[level] ? [{ values: { ...standing, ...levels[level].dials }, when: level }] : [],
  );
  return [{ values: standing, when: '' }, ...ends, ...byLevel];
}

function checkAt({ lines, needs, minutes, levels }: Script, values: Scope, when: string): ScriptProblem[] {
  const problems: ScriptProblem[] = [];
  const names = Object.fromEntries(needs.map(({ id, item }) => [id, { one: item, many: item }]));
  const tryQuantity = (quantity: number | string, path: string) => {
    const evaluation = evaluateQuantity(quantity, values);
    if (!evaluation.ok) problems.push({ path, fault: { code: 'expression', problem: evaluation.problem, when } });
  };
  const tryTemplate = (text: string, path: string) => {
    const rendered = renderTemplate(text, { values, things: names });
    if (!rendered.ok) problems.push({ path, fault: { code: 'template', problem: rendered.problem, when } });
  };
  needs.forEach((need, index) => {
    tryQuantity(need.qty, `needs[${index}].qty`);
    need.swaps.forEach(({ item }, swapIndex) => {
      if (item === need.item)
        problems.push({ path: `needs[${index}].swaps[${swapIndex}].item`, fault: { code: 'swap-for-itself', item } });
    });
  });
  for (const part of ['setup', 'together', 'alone', 'tidy'] as const) {
    minutes[part].forEach((quantity, index) => tryQuantity(quantity, `minutes.${part}[${index}]`));
  }
  lines.forEach((line, index) => {
    tryTemplate(line.text, `lines[${index}].text`);
    if (line.answer) tryTemplate(line.answer, `lines[${index}].answer`);
  });
  for (const level of ['easier', 'harder'] as const) {
    if (levels[level]) tryTemplate(levels[level].text, `levels.${level}.text`);
  }
  return problems;
}
