import { bad, good, type Outcome } from '../outcome.ts';
import { plainSegment } from '../script/fromShelf.ts';
import { dialValues, type Dial, type LevelName, type Line, type Need, type Segment } from '../script/session.ts';
import { changesOf, withChanges } from './madeChanges.ts';
import {
  runMaker,
  type Made,
  type MadeFrom,
  type MadeLine,
  type Maker,
  type MakerProblem,
  type MakerSettings,
  type MakerValues,
} from './maker.ts';
import { findMaker } from './makers.ts';

const MADE = 'made-';
const USUAL_MINUTES = { setup: [1, 2, 4], together: [4, 7, 12], alone: [0, 3, 8], tidy: [0, 1, 2] } as const;

/** What a maker writes for a part, before the author's changes: lines at each level, needs and actions. */
export interface GeneratedParts {
  readonly lines: Readonly<Record<LevelName, readonly Line[]>>;
  readonly needs: readonly Need[];
  readonly actions: readonly string[];
}

/** A part of a session that a maker writes; its number and choice dials can be turned on the bench. */
export function segmentFromMaker(
  maker: Maker,
  { values, settings, id }: { values: MakerValues; settings: MakerSettings; id: string },
): Outcome<Segment, MakerProblem> {
  const made: MadeFrom = { maker: maker.id, values, settings };
  const generated = generatedParts(made);
  if (!generated.ok) return generated;
  const dials = maker.dials.flatMap((dial): Dial[] => {
    const value = values[dial.name] ?? dial.value;
    if (dial.kind === 'number')
      return [{ name: dial.name, label: dial.label, min: dial.min, max: dial.max, value: value as number }];
    return dial.kind === 'choice'
      ? [{ name: dial.name, label: dial.label, choices: dial.choices, value: String(value) }]
      : [];
  });
  const segment: Segment = {
    ...plainSegment(id, 'activity', maker.title, USUAL_MINUTES.together),
    minutes: USUAL_MINUTES,
    aim: maker.about,
    skills: maker.skills,
    where: 'at the table',
    dials,
    rightDials: dialValues(dials),
    made,
    access: 'Every number can be felt, pointed to or said: one of the three is enough.',
  };
  return good(withGenerated(segment, generated.value));
}

/** What the maker of a part writes for its values. */
export function generatedParts({ maker: id, values, settings }: MadeFrom): Outcome<GeneratedParts, MakerProblem> {
  const maker = findMaker(id);
  if (!maker) return bad({ code: 'breaks-level', reason: `there is no maker “${id}” any more` });
  const answer = runMaker(maker, values, settings);
  return answer.ok ? good(partsOf(answer.value)) : answer;
}

/**
 * The part as its maker writes it for the dials as they stand. What the author rewrote, took out, added or moved since,
 * and a swap that was taken over, is done again on what is written now, and remembered where it does not apply.
 */
export function regenerateSegment(segment: Segment): Outcome<Segment, MakerProblem> {
  const made = segment.made as MadeFrom;
  const before = generatedParts(made);
  const values = { ...made.values, ...dialValues(segment.dials) };
  const after = generatedParts({ ...made, values });
  if (!after.ok) return after;
  const changes = before.ok ? changesOf(segment, before.value, made.changes) : made.changes;
  const regenerated = withGenerated(
    { ...segment, rightDials: dialValues(segment.dials), made: { ...made, values, changes } },
    changes ? withChanges(after.value, changes) : after.value,
  );
  return good(regenerated);
}

function withGenerated(segment: Segment, { lines, needs, actions }: GeneratedParts): Segment {
  return {
    ...segment,
    lines: lines.right,
    needs,
    actions,
    levels: {
      easier: { text: '', dials: {}, lines: lines.easier },
      harder: { text: '', dials: {}, lines: lines.harder },
    },
  };
}

function partsOf(made: Made): GeneratedParts {
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
function withKeys(lines: readonly MadeLine[]): Line[] {
  const seen = new Map<string, number>();
  return lines.map(({ key, kind, text, answer }): Line => {
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    const id = `${MADE}${key}${times > 1 ? `-${times}` : ''}`;
    return { id, kind, text: escapeBraces(text), answer: answer && escapeBraces(answer) };
  });
}

function escapeBraces(text: string): string {
  return text.replaceAll('{', '{{');
}
