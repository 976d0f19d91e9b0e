import type { LevelName } from '../session/levelName.ts';
import { escapeBraces } from '../expressions/template.ts';
import type { MakerOutput, MakerLine } from './makerOutput.ts';
import { runMaker } from './maker.ts';
import { findMaker } from './makers.ts';
import type { MakerProblem } from '../session/makerProblem.ts';
import { type Outcome, err, ok } from '../outcome.ts';
import type { MakerSource } from '../session/makerSource.ts';
import type { Need } from '../materials/need.ts';
import type { Line } from '../session/line.ts';

export const MADE = 'made-';

/** What a maker writes for a part, before the author's changes: lines at each level, needs and actions. */
export interface GeneratedParts {
  readonly lines: Readonly<Record<LevelName, readonly Line[]>>;
  readonly needs: readonly Need[];
  readonly actions: readonly string[];
}

/** What the maker of a part writes for its values. */
export function generatedParts({ maker: id, values, settings }: MakerSource): Outcome<GeneratedParts, MakerProblem> {
  const maker = findMaker(id);
  if (!maker) return err({ code: 'breaks-level', reason: `there is no maker “${id}” any more` });
  const answer = runMaker(maker, values, settings);
  return answer.ok ? ok(partsOf(answer.value)) : answer;
}

export function partsOf(made: MakerOutput): GeneratedParts {
  return {
    lines: {
      easier: withKeys(made.lines.easier),
      right: withKeys(made.lines.right),
      harder: withKeys(made.lines.harder),
    },
    needs: made.materials
      .filter(({ qty }) => qty > 0)
      .map(({ item, qty, use, swaps }): Need => ({ id: `${MADE}${item}`, item, qty, per: 'home', use, swaps })),
    actions: made.actions,
  };
}

/** Lines under the keys of their maker; one that is written several times is numbered from the second on. */
export function withKeys(lines: readonly MakerLine[]): Line[] {
  const seen = new Map<string, number>();
  return lines.map(({ key, kind, text, answer }): Line => {
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    const id = `${MADE}${key}${times > 1 ? `-${times}` : ''}`;
    return { id, kind, text: escapeBraces(text), answer: answer && escapeBraces(answer) };
  });
}
