import type { Speech } from '../message.ts';
import { ok, type Outcome } from '../outcome.ts';
import { dialValues, type Dial } from '../session/dial.ts';
import type { Regenerate } from '../session/edit.ts';
import type { MakerProblem } from '../session/makerProblem.ts';
import type { MakerSettings, MakerSource, MakerValues } from '../session/makerSource.ts';
import { plainSegment } from '../session/plainSegment.ts';
import type { Segment } from '../session/session.ts';
import { changesOf, withChanges } from './authorChanges.ts';
import { generatedParts, type GeneratedParts } from './generatedParts.ts';
import { sayFor, type Maker } from './maker.ts';

const USUAL_MINUTES = { setup: [1, 2, 4], together: [4, 7, 12], alone: [0, 3, 8], tidy: [0, 1, 2] } as const;

/** A part of a session that a maker writes; its number and choice dials can be turned on the bench. */
export function segmentFromMaker(
  maker: Maker,
  { values, settings, id, speech }: { values: MakerValues; settings: MakerSettings; id: string; speech: Speech },
): Outcome<Segment, MakerProblem> {
  const made: MakerSource = { maker: maker.id, values, settings };
  const generated = generatedParts(made, speech);
  if (!generated.ok) return generated;
  const say = sayFor(maker.id, speech);
  const dials = maker.dials.flatMap((dial): Dial[] => {
    const value = values[dial.name] ?? dial.value;
    const label = say(`dial.${dial.name}`);
    if (dial.kind === 'number')
      return [{ name: dial.name, label, min: dial.min, max: dial.max, value: value as number }];
    return dial.kind === 'choice' ? [{ name: dial.name, label, choices: dial.choices, value: String(value) }] : [];
  });
  const segment: Segment = {
    ...plainSegment(id, 'activity', say('title'), USUAL_MINUTES.together),
    minutes: USUAL_MINUTES,
    aim: say('about'),
    skills: maker.skills,
    where: say('makers/part.where'),
    dials,
    rightDials: dialValues(dials),
    made,
    access: say('makers/part.access'),
  };
  return ok(withGenerated(segment, generated.value));
}

/**
 * Writes parts as their makers write them for the dials as they stand. What the author rewrote, took out, added or moved
 * since, and a swap that was taken over, is done again on what is written now, and remembered where it does not apply.
 */
export function regenerateIn(speech: Speech): Regenerate {
  return (segment) => {
    const made = segment.made as MakerSource;
    const before = generatedParts(made, speech);
    const values = { ...made.values, ...dialValues(segment.dials) };
    const after = generatedParts({ ...made, values }, speech);
    if (!after.ok) return after;
    const changes = before.ok ? changesOf(segment, before.value, made.changes) : made.changes;
    const regenerated = withGenerated(
      { ...segment, rightDials: dialValues(segment.dials), made: { ...made, values, changes } },
      changes ? withChanges(after.value, changes) : after.value,
    );
    return ok(regenerated);
  };
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
