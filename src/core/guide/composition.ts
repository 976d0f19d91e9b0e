import {
  amountAtLevel,
  dialValues,
  type LevelChange,
  type LevelName,
  type Line,
  linesAt,
  type Segment,
  type Session,
  templateScope,
} from '../session/index.ts';
import {
  evaluateMinutes,
  layOutTape,
  runSheet,
  type RunSheet,
  sittingSpan,
  type Tape,
  type TimedSegment,
  type TimesOfSegment,
} from '../time/index.ts';
import { type MaterialTotal, type ThingsByKey, totalMaterials } from '../materials/index.ts';
import type { Outcome } from '../outcome.ts';
import {
  formatPieces,
  renderTemplate,
  type TemplateProblem,
  type TemplateScope,
  type TextPiece,
} from '../expressions/index.ts';

/** A line as it stands in the script, with its words written out or why they cannot be. */
export interface ComposedLine {
  readonly line: Line;
  readonly text: Outcome<TextPiece[], TemplateProblem>;
  readonly answer?: Outcome<TextPiece[], TemplateProblem> | undefined;
}

/** A part written out: its lines and its minutes. */
export interface ComposedSegment extends TimesOfSegment {
  readonly segment: Segment;
  readonly lines: readonly ComposedLine[];
}

/** A session worked out: parts, minutes, tape and what to fetch. */
export interface ComposedSession {
  readonly segments: readonly ComposedSegment[];
  readonly runSheet: RunSheet;
  readonly tape: Tape;
  /** For a home with one child; quantities without a value make it a problem. */
  readonly materials: ReturnType<typeof totalMaterials>;
}

/** What minutes are judged by: sitting per year of age, and the youngest child. */
export interface TimeSettings {
  readonly seatedMinutesPerYear: number;
  /** Ages in whole months of those it is for; the youngest decides. */
  readonly youngestMonths: number;
}

/** Works a whole session out: lines, minutes, tape and materials. An empty session has zero minutes and needs nothing. */
export function composeSession(session: Session, things: ThingsByKey, settings: TimeSettings): ComposedSession {
  const segments = session.segments.map((segment) => composedOnce(segment, things));
  const timed = segments.flatMap(timedParts);
  const children = [{ ageMonths: settings.youngestMonths }];
  const { seatedMinutesPerYear } = settings;
  return {
    segments,
    runSheet: runSheet({ children, seatedMinutesPerYear, segments: timed }),
    tape: layOutTape(
      segments.map(({ segment, together, alone, wait }) => ({
        id: segment.id,
        posture: segment.posture,
        parts: [together, alone],
        wait,
      })),
      sittingSpan(children, seatedMinutesPerYear),
    ),
    materials: totalMaterials({
      children: 1,
      segments: session.segments.map((segment) => ({
        id: segment.id,
        dials: dialValues(segment.dials),
        needs: segment.needs.map((need) => ({
          ...amountAtLevel(segment, need, segment.level, things),
          item: need.item,
          use: need.use,
        })),
      })),
    }),
  };
}

const composed = new WeakMap<Segment, { readonly things: ThingsByKey; readonly part: ComposedSegment }>();

/** A part that is the same value as before is not written out again, and is the same value then. */
function composedOnce(segment: Segment, things: ThingsByKey): ComposedSegment {
  const known = composed.get(segment);
  if (known?.things === things) return known.part;
  const part = composeSegment(segment, templateScope(segment, things));
  composed.set(segment, { things, part });
  return part;
}

/** Writes the lines of a segment at its level (or another) and works its minutes out. */
export function composeSegment(
  segment: Segment,
  scope: TemplateScope,
  level: LevelName = segment.level,
): ComposedSegment {
  const lines = linesAt(segment, level).map((line) => ({
    line,
    text: renderTemplate(line.text, scope),
    answer: line.answer ? renderTemplate(line.answer, scope) : undefined,
  }));
  return { segment, lines, ...evaluateMinutes({ ...segment, values: scope.values }) };
}

/** What a level or a tip says beside its lines, for the scope of that level; nothing where it says nothing or does not come out. */
export function writeNote(level: LevelChange | undefined, scope: TemplateScope): string | undefined {
  if (!level?.text) return undefined;
  const text = renderTemplate(level.text, scope);
  return text.ok ? formatPieces(text.value) : undefined;
}

/** A segment as the run sheet counts it: with the adult, then alone where it holds a child further. */
export function timedParts({ segment, together, alone, setup, tidy }: ComposedSegment): TimedSegment[] {
  const { id, posture } = segment;
  const parts: TimedSegment[] = [{ id, posture, who: 'together', minutes: together, setup, tidy }];
  if (alone[2] > 0) parts.push({ id, posture, who: 'alone', minutes: alone });
  return parts;
}

/** Materials that came out, or none while a quantity has no value. */
export function materialsOrNone(materials: ComposedSession['materials']): readonly MaterialTotal[] {
  return materials.ok ? materials.value : [];
}
