import type { Triple } from '../numbers/index.ts';
import type { Posture } from '../session/index.ts';
import { addSpreads, EIGHT_IN_TEN, reportSpread, spreadOf, type ReportedSpread } from './minutes.ts';

/** A part as the tape draws it, in minutes from the start. */
export interface TapeSegment {
  readonly id: string;
  readonly posture: Posture;
  /** Minutes from the start of the session. */
  readonly start: number;
  readonly end: number;
  /** From here on the segment may already be over: its end less its own spread. */
  readonly fadeFrom: number;
}

/** A stretch of sitting on the tape, and where it passes what the youngest can. */
interface TapeSit {
  readonly from: string;
  readonly to: string;
  readonly start: number;
  readonly end: number;
  /** Where the youngest child's sitting span ends. */
  readonly notch: number;
  readonly isTooLong: boolean;
}

/** What dries, rises or freezes beside the parts that come after; nobody sits for it. */
interface TapeWait {
  /** The part that it belongs to. */
  readonly of: string;
  /** From the end of that part, in minutes from the start. */
  readonly start: number;
  /** Where it is most likely over; may lie behind the end of the session. */
  readonly end: number;
  /** Whether the session is most likely over before it is. */
  readonly isLonger: boolean;
}

/** The minute tape: a session laid out to scale. All figures are minutes from its start. */
export interface Tape {
  readonly segments: readonly TapeSegment[];
  readonly sits: readonly TapeSit[];
  readonly waits: readonly TapeWait[];
  readonly total: ReportedSpread;
  /** The end of the tape: whole minutes that hold the longest likely session, at least 5. */
  readonly length: number;
  readonly ticks: readonly number[];
}

interface TapeInput {
  readonly id: string;
  readonly posture: Posture;
  readonly parts: readonly Triple[];
  /** Minutes that something of it waits after it. */
  readonly wait?: Triple | undefined;
}

/** Lays segments end to end at their mean minutes and marks how long the youngest sits. No segments: a bare tape of 5 minutes. */
export function layOutTape(inputs: readonly TapeInput[], sittingSpanMinutes: number): Tape {
  let at = 0;
  const spreads = inputs.map(({ parts }) => addSpreads(parts.map(spreadOf)));
  const segments = inputs.map(({ id, posture }, index) => {
    const { mean, variance } = spreads[index]!;
    const start = at;
    at += mean;
    return { id, posture, start, end: at, fadeFrom: Math.max(start, at - EIGHT_IN_TEN * Math.sqrt(variance)) };
  });
  const total = reportSpread(addSpreads(spreads));
  const length = Math.max(5, Math.ceil(total.high));
  return {
    segments,
    sits: sitsOf(segments, sittingSpanMinutes),
    waits: segments.flatMap(({ id, end: start }, index) => waitOf({ of: id, start, over: at }, inputs[index]!.wait)),
    total,
    length,
    ticks: Array.from({ length: length + 1 }, (_, minute) => minute),
  };
}

function sitsOf(segments: readonly TapeSegment[], sittingSpanMinutes: number): TapeSit[] {
  const sits: TapeSit[] = [];
  segments.forEach((segment, index) => {
    if (segment.posture !== 'seated' || segments[index - 1]?.posture === 'seated') return;
    let last = index;
    while (segments[last + 1]?.posture === 'seated') last += 1;
    const end = segments[last]!.end;
    const notch = segment.start + sittingSpanMinutes;
    sits.push({
      from: segment.id,
      to: segments[last]!.id,
      start: segment.start,
      end,
      notch,
      isTooLong: end > notch + 1e-9,
    });
  });
  return sits;
}

function waitOf(
  { of, start, over }: { of: string; start: number; over: number },
  wait: Triple | undefined,
): TapeWait[] {
  if (!wait || wait[2] <= 0) return [];
  const end = start + spreadOf(wait).mean;
  return [{ of, start, end, isLonger: end > over + 1e-9 }];
}
