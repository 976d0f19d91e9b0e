import type { Line } from './line.ts';

/** What of a line is written on the sheet. */
export type WrittenLine = Pick<Line, 'id' | 'kind' | 'text' | 'answer'>;

/** A line with an author's change; what was said from a message is the author's own once its words change. */
export function rewritten(line: Line, change: Partial<Omit<Line, 'id'>>): Line {
  const { says, ...own } = { ...line, ...change };
  return own.text === line.text && own.answer === line.answer && own.why === line.why ? { ...own, says } : own;
}

/** Lines as they were written over; what else is known of a line stays with its id. */
export function writtenOver(before: readonly Line[], lines: readonly WrittenLine[]): readonly Line[] {
  const known = new Map(before.map((line) => [line.id, line]));
  return lines.map(({ id, kind, text, answer }) => {
    const line = known.get(id);
    if (!line) return { id, kind, text, ...(answer && { answer }) };
    const isSame = line.kind === kind && line.text === text && (line.answer ?? '') === (answer ?? '');
    return isSame ? line : rewritten(line, { kind, text, answer: answer || undefined });
  });
}
