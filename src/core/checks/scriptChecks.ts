import { own, problemMessage } from '../message.ts';
import { checkScript, isWholeLevel, type ScriptProblem } from '../session/index.ts';
import { spreadOf } from '../time/index.ts';
import type { Check } from './check.ts';

/** A line that is not finished: it is not sent, and keeps nothing else from being sent. */
const lineProblem: Check = ({ part }) =>
  part.lines.flatMap(({ line, text, answer }) => {
    const wrong = !text.ok ? text.problem : answer && !answer.ok ? answer.problem : undefined;
    if (!wrong) return [];
    return [{ id: `line:${line.id}`, weight: 'warning', line: line.id, values: { problem: problemMessage(wrong) } }];
  });

/** A line that two people wrote in at the same time, and nobody has chosen yet. */
const twoVersions: Check = ({ part }) =>
  part.lines.flatMap(({ line }) =>
    line.other ? [{ id: `versions:${line.id}`, weight: 'warning', line: line.id }] : [],
  );

/** What does not come out at another level or with the dials of a swap, though it does as the script stands. */
const scriptProblem: Check = ({ segment, places }) => {
  const isShownElsewhere = ({ fault }: ScriptProblem) =>
    (fault.code === 'expression' || fault.code === 'template') && fault.when === '';
  return checkScript(segment, segment.title, { places, reach: 'as-it-stands' })
    .filter((problem) => !isShownElsewhere(problem))
    .map(({ path, fault }) => ({
      id: `script:${segment.id}/${path}`,
      weight: 'stop',
      values: { problem: problemMessage(fault) },
    }));
};

/** Minutes that do not come out. */
const minutesProblem: Check = ({ part: { segment, minutesProblem: wrong } }) =>
  wrong
    ? [
        {
          id: `minutes:${segment.id}`,
          weight: 'stop',
          values: { part: own(wrong.part), problem: problemMessage(wrong.problem) },
        },
      ]
    : [];

/** An easier or harder way that is a sentence and cannot be done whole. */
const tip: Check = ({ segment }) =>
  (['easier', 'harder'] as const).flatMap((level) =>
    segment.levels[level] && !isWholeLevel(segment.levels[level])
      ? [{ id: `tip:${segment.id}/${level}`, weight: 'note', values: { level } }]
      : [],
  );

/** A part that needs a circle of children. */
const groupOnly: Check = ({ segment }) =>
  segment.size === 'group' ? [{ id: `group:${segment.id}`, weight: 'stop' }] : [];

/** More setting up than play, in minutes. */
const costlySetup: Check = ({ part: { segment, together, alone, setup } }) => {
  const play = spreadOf(together).mean + spreadOf(alone).mean;
  const work = spreadOf(setup).mean;
  if (play <= 0 || work <= play) return [];
  const values = { setup: Math.round(work), play: Math.round(play) };
  return [{ id: `setup:${segment.id}`, weight: 'warning', values }];
};

/** What is looked at in the script of a part. */
export const scriptChecks = {
  'line-problem': lineProblem,
  'two-versions': twoVersions,
  'script-problem': scriptProblem,
  'minutes-problem': minutesProblem,
  'group-only': groupOnly,
  'costly-setup': costlySetup,
  tip,
} as const satisfies Readonly<Record<string, Check>>;
