import type { RehearsedLine } from './rehearsal.ts';

/** A stretch of time with its words, in seconds after the start. */
interface Cue {
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

/**
 * The lines of a session as captions for somebody who films it, by their planned times: WebVTT, each line until the next begins.
 * `end` is the planned end in minutes. No lines: an empty file of that kind.
 */
export function captionsOf(lines: readonly RehearsedLine[], end: number): string {
  return webVtt(
    lines.map(({ begins, text }, at) => ({
      from: begins * 60,
      to: (lines[at + 1]?.begins ?? end) * 60,
      words: text,
    })),
  );
}

/** The parts of a session as chapters, in the same way. */
export function chaptersOf(lines: readonly RehearsedLine[], end: number): string {
  const firsts = lines.filter(({ part }, at) => lines[at - 1]?.part !== part);
  return webVtt(
    firsts.map(({ begins, title }, at) => ({
      from: begins * 60,
      to: (firsts[at + 1]?.begins ?? end) * 60,
      words: title,
    })),
  );
}

/** A cue is never without length, whatever its line was planned for. */
const LEAST_SECONDS = 0.5;

function webVtt(cues: readonly Cue[]): string {
  const blocks = cues.map(
    ({ from, to, words }, at) =>
      `${at + 1}\n${clock(from)} --> ${clock(Math.max(to, from + LEAST_SECONDS))}\n${escaped(words)}\n`,
  );
  return ['WEBVTT\n', ...blocks].join('\n');
}

function clock(seconds: number): string {
  const thousandths = Math.round(seconds * 1000);
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  const [hours, minutes] = [thousandths / 3_600_000, (thousandths / 60_000) % 60];
  return `${two(hours)}:${two(minutes)}:${two((thousandths / 1000) % 60)}.${String(thousandths % 1000).padStart(3, '0')}`;
}

/** As the format asks: its three marks, and no blank line or arrow in the words of a cue. */
function escaped(words: string): string {
  return words.replace(/\s+/g, ' ').trim().replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}
