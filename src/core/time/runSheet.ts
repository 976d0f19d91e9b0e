import { roundTo, type Triple } from '../numbers/index.ts';
import type { Posture } from '../session/index.ts';
import { addSpreads, reportSpread, spreadOf, type ReportedSpread } from './minutes.ts';

/** A part with its minutes, as the run sheet counts it. */
export interface TimedSegment {
  readonly id: string;
  readonly posture: Posture;
  readonly who: 'together' | 'alone';
  readonly minutes: Triple;
  readonly setup?: Triple | undefined;
  readonly tidy?: Triple | undefined;
}

/** Parts in a row that ask a child to sit longer than it can. */
export interface SeatedFlag {
  readonly rule: 'seated-too-long';
  /** First and last segment of the run, by id. */
  readonly from: string;
  readonly to: string;
  readonly minutes: number;
  readonly allowed: number;
}

/** How long a session takes the child and the adult, and where it sits too long. */
export interface RunSheet {
  readonly child: ReportedSpread;
  readonly setup: ReportedSpread;
  readonly tidy: ReportedSpread;
  /** Minutes of play bought by a minute of the adult's work; null where there is no such work. */
  readonly payback: number | null;
  readonly flags: readonly SeatedFlag[];
}

/** Parts in order, children by age in months, and how long a child sits per year of age. */
export interface RunSheetInput {
  readonly children: readonly { readonly ageMonths: number }[];
  readonly seatedMinutesPerYear: number;
  readonly segments: readonly TimedSegment[];
}

const NOTHING: Triple = [0, 0, 0];

/**
 * Adds up a session: the child's minutes, the adult's set-up and tidying, and where children sit too long.
 * No segments give zeros; no children give no flags, since nobody's sitting span is known.
 */
export function runSheet({ children, seatedMinutesPerYear, segments }: RunSheetInput): RunSheet {
  const child = addSpreads(segments.map((segment) => spreadOf(segment.minutes)));
  const setup = addSpreads(segments.map((segment) => spreadOf(segment.setup ?? NOTHING)));
  const tidy = addSpreads(segments.map((segment) => spreadOf(segment.tidy ?? NOTHING)));
  const work = setup.mean + tidy.mean;
  return {
    child: reportSpread(child),
    setup: reportSpread(setup),
    tidy: reportSpread(tidy),
    payback: work === 0 ? null : roundTo(child.mean / work, 1),
    flags: children.length === 0 ? [] : flagLongSits(segments, sittingSpan(children, seatedMinutesPerYear)),
  };
}

/** How long the youngest child sits, in minutes: years of age × minutes per year. Needs at least one child. */
export function sittingSpan(children: readonly { readonly ageMonths: number }[], seatedMinutesPerYear: number): number {
  const youngestMonths = children.reduce((least, { ageMonths }) => Math.min(least, ageMonths), Infinity);
  return (youngestMonths * seatedMinutesPerYear) / 12;
}

/** The longest runs of neighbouring seated segments, in order, with their summed mean minutes. */
export function seatedRuns(segments: readonly TimedSegment[]): { from: string; to: string; minutes: number }[] {
  const runs: { from: string; to: string; minutes: number }[] = [];
  let run: { from: string; to: string; minutes: number } | undefined;
  for (const { id, posture, minutes } of segments) {
    if (posture !== 'seated') {
      run = undefined;
      continue;
    }
    const { mean } = spreadOf(minutes);
    if (run) {
      run.to = id;
      run.minutes += mean;
    } else {
      run = { from: id, to: id, minutes: mean };
      runs.push(run);
    }
  }
  return runs;
}

function flagLongSits(segments: readonly TimedSegment[], allowed: number): SeatedFlag[] {
  return seatedRuns(segments)
    .filter(({ minutes }) => minutes > allowed + 1e-9)
    .map(({ from, to, minutes }) => ({
      rule: 'seated-too-long',
      from,
      to,
      minutes: roundTo(minutes, 1),
      allowed: roundTo(allowed, 1),
    }));
}
