import { type GeneratedParts, generatedParts } from './generatedParts.ts';
import { dialValues, type Dial } from '../session/dial.ts';
import { plainSegment } from '../session/plainSegment.ts';
import type { MakerProblem } from '../session/makerProblem.ts';
import type { MakerSource, MakerSettings, MakerValues } from '../session/makerSource.ts';
import { ok, type Outcome } from '../outcome.ts';
import type { Segment } from '../session/session.ts';
import { changesOf, withChanges } from './authorChanges.ts';
import type { Maker } from './maker.ts';
const USUAL_MINUTES = { setup: [1, 2, 4], together: [4, 7, 12], alone: [0, 3, 8], tidy: [0, 1, 2] } as const;

/** A part of a session that a maker writes; its number and choice dials can be turned on the bench. */
export function segmentFromMaker(
  maker: Maker,
  { values, settings, id }: { values: MakerValues; settings: MakerSettings; id: string },
): Outcome<Segment, MakerProblem> {
  const made: MakerSource = { maker: maker.id, values, settings };
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
  return ok(withGenerated(segment, generated.value));
}

/**
 * The part as its maker writes it for the dials as they stand. What the author rewrote, took out, added or moved since,
 * and a swap that was taken over, is done again on what is written now, and remembered where it does not apply.
 */
export function regenerateSegment(segment: Segment): Outcome<Segment, MakerProblem> {
  const made = segment.made as MakerSource;
  const before = generatedParts(made);
  const values = { ...made.values, ...dialValues(segment.dials) };
  const after = generatedParts({ ...made, values });
  if (!after.ok) return after;
  const changes = before.ok ? changesOf(segment, before.value, made.changes) : made.changes;
  const regenerated = withGenerated(
    { ...segment, rightDials: dialValues(segment.dials), made: { ...made, values, changes } },
    changes ? withChanges(after.value, changes) : after.value,
  );
  return ok(regenerated);
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
