/** Minutes: planned, read aloud, sat through, corrected by answers. */

export { calibrate, correctionFactor, scaleQuantities } from './calibrate.ts';
export { reportSpread, spreadOf } from './minutes.ts';
export { readAloudMinutes, type ReadingPace } from './readAloud.ts';
export { runSheet, type RunSheet, type SeatedFlag, seatedRuns, sittingSpan, type TimedSegment } from './runSheet.ts';
export { wholeMinutes } from './wholeMinutes.ts';
export { evaluateMinutes, type TimesOfSegment } from './segmentMinutes.ts';
export { secondsOfWork } from './work.ts';
export { layOutTape, type Tape, type TapeSegment } from './tape.ts';
