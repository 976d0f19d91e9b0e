import type { Speech } from '../message.ts';
import { ok, type Outcome } from '../outcome.ts';
import {
  type Dial,
  dialValues,
  type MakerProblem,
  type MakerSource,
  type MakerValues,
  plainSegment,
  type Regenerate,
  type Segment,
  WORDS_EDITION,
} from '../session/index.ts';
import { changesOf, withChanges } from './authorChanges.ts';
import { generatedParts, type GeneratedParts } from './generatedParts.ts';
import { choiceIn, dialLabelKey, dialsOf, sayFor, type Maker, type MakersInWords, valuesOfToday } from './maker.ts';

/** What a part is made with. */
interface MakerPart extends Pick<MakerSource, 'values' | 'settings' | 'paces'> {
  /** Unique in the session. */
  readonly id: string;
  readonly speech: Speech;
}

/** A part of a session that a maker writes; its number and choice dials can be turned on the bench. */
export function segmentFromMaker(
  maker: Maker,
  { values: given, settings, paces, id, speech }: MakerPart,
): Outcome<Segment, MakerProblem> {
  const values = valuesOfToday(maker, given);
  const made: MakerSource = { maker: maker.id, values, settings, edition: editionOf(maker), ...(paces && { paces }) };
  const generated = generatedParts(made, { findMaker: () => maker, speech });
  if (!generated.ok) return generated;
  const say = sayFor(maker.id, speech);
  const dials = benchDials(maker, values, speech);
  const segment: Segment = {
    ...plainSegment(id, 'activity', say('title'), [0, 0, 0]),
    aim: say('about'),
    skills: maker.skills,
    dials,
    rightDials: dialValues(dials),
    made,
    access: speech.find(`${maker.id}/access`) ?? say('makers/part.access'),
  };
  return ok(withGenerated(segment, generated.value));
}

/** The edition of a maker's words: those that are written whole came later. */
function editionOf(maker: Maker | undefined): number {
  return maker?.plays ? WORDS_EDITION + 1 : WORDS_EDITION;
}

/** The dials that are turned on the bench: numbers and choices. */
function benchDials(maker: Maker, values: MakerValues, speech: Speech): Dial[] {
  return dialsOf(maker).flatMap((dial): Dial[] => {
    const { name } = dial;
    const value = values[name] ?? dial.value;
    const label = speech.say(dialLabelKey(maker, name));
    if (dial.kind === 'number') return [{ name, label, min: dial.min, max: dial.max, value: value as number }];
    if (dial.kind === 'list') return [];
    const { choices } = dial;
    const named = choices.map((choice) => [choice, choiceIn(maker.id, choice, speech)] as const);
    const words = Object.fromEntries(named.filter(([choice, word]) => word !== choice));
    return [{ name, label, choices, value: String(value), ...(Object.keys(words).length > 0 && { words }) }];
  });
}

/**
 * Writes parts as their makers write them for the dials as they stand. What the author rewrote, took out, added or moved
 * since, and a swap that was taken over, is done again on what is written now, and remembered where it does not apply.
 */
export function regenerateIn(makers: MakersInWords): Regenerate {
  return (segment) => {
    const made = segment.made as MakerSource;
    const before = generatedParts(made, makers);
    const maker = makers.findMaker(made.maker);
    const given = { ...made.values, ...dialValues(segment.dials) };
    const values = maker ? valuesOfToday(maker, given) : given;
    const after = generatedParts({ ...made, values }, makers);
    if (!after.ok) return after;
    const edition = editionOf(maker);
    const isFormer = (made.edition ?? 1) !== edition;
    const changes = before.ok ? changesOf(segment, before.value, { former: made.changes, isFormer }) : made.changes;
    const dials = maker ? benchDials(maker, values, makers.speech) : segment.dials;
    const source: MakerSource = { ...made, values, edition, changes };
    const regenerated = withGenerated(
      { ...segment, dials, rightDials: dialValues(dials), made: source },
      changes ? withChanges(after.value, changes) : after.value,
    );
    const isOwnTime = !isFormer && before.ok && !isSameTime(before.value.minutes, segment.minutes);
    return ok(isOwnTime ? { ...regenerated, minutes: segment.minutes } : regenerated);
  };
}

const TIMES = ['setup', 'together', 'alone', 'tidy', 'wait'] as const;

/** Minutes that an author set stay when a dial turns. Kept ones come back with their names in another order. */
function isSameTime(one: Segment['minutes'], other: Segment['minutes']): boolean {
  return TIMES.every((name) => one[name]?.join() === other[name]?.join());
}

function withGenerated(segment: Segment, generated: GeneratedParts): Segment {
  const { lines, needs, actions, minutes, posture, where, waitAfter } = generated;
  return {
    ...segment,
    minutes,
    posture,
    where,
    waitAfter,
    lines: lines.right,
    needs,
    actions,
    levels: {
      easier: { text: '', dials: {}, lines: lines.easier },
      harder: { text: '', dials: {}, lines: lines.harder },
    },
  };
}
