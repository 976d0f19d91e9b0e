import { formatPieces } from '../expressions/index.ts';
import type { Line } from '../session/index.ts';
import type { ComposedSession } from './composition.ts';

/** A line as it is rehearsed: what is said, and when it is planned to begin. */
export interface RehearsedLine {
  readonly part: string;
  readonly title: string;
  readonly line: string;
  readonly kind: Line['kind'];
  readonly text: string;
  readonly answer: string;
  /** Minutes after the start. */
  readonly begins: number;
}

/** A part that is rehearsed, with its likely minutes together. */
export interface RehearsedPart {
  readonly id: string;
  readonly title: string;
  readonly planned: number;
  readonly mayBeTimed: boolean;
}

/**
 * The lines of a session in their order, each with the minute it is planned for: those of a part share its likely minutes by their
 * words. Lines that don't come out are left out. No lines: nothing.
 */
export function rehearsalOf({ segments }: Pick<ComposedSession, 'segments'>): {
  readonly parts: readonly RehearsedPart[];
  readonly lines: readonly RehearsedLine[];
} {
  let begins = 0;
  const lines: RehearsedLine[] = [];
  for (const { segment, lines: composed, together } of segments) {
    const said = composed.flatMap(({ line, text, answer }) =>
      text.ok && !line.role
        ? [{ line, text: formatPieces(text.value), answer: answer?.ok ? formatPieces(answer.value) : '' }]
        : [],
    );
    const all = said.reduce((sum, { text }) => sum + weightOf(text), 0);
    let at = begins;
    for (const { line, text, answer } of said) {
      lines.push({ part: segment.id, title: segment.title, line: line.id, kind: line.kind, text, answer, begins: at });
      at += (together[1] * weightOf(text)) / all;
    }
    begins += together[1];
  }
  const parts = segments.map(({ segment: { id, title }, together }) => ({
    id,
    title,
    planned: together[1],
    mayBeTimed: together[1] > 0,
  }));
  return { parts, lines };
}

/** A line takes a while, however short. */
const LEAST_WORDS = 4;
const weightOf = (text: string) => Math.max(LEAST_WORDS, text.split(/\s+/).length);
