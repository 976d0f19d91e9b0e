import { pino } from 'pino';

/**
 * The server's log: one JSON line an event, on standard output. LOG_LEVEL sets how much. What goes wrong is named by its
 * kind and place; links, addresses and what families wrote never stand in it.
 */
export const log = pino({
  level: process.env.LOG_LEVEL ?? 'info',
  base: { app: 'footstool', process: process.pid },
  serializers: { err: errorFacts },
});

const MOST_LETTERS = 300;
const MOST_CAUSES = 4;

/** What may be written down of something thrown: of what a database refused, its code and table, never the values in it. */
export function errorFacts(thrown: unknown, depth = 0): object {
  if (!(thrown instanceof Error))
    return typeof thrown === 'object' && thrown !== null ? thrown : { kind: typeof thrown };
  const { code, table, constraint, routine } = thrown as Error & Record<string, unknown>;
  const cause = (thrown as { parent?: unknown }).parent ?? thrown.cause;
  const isOfRecords = 'sql' in thrown || 'parent' in thrown || 'routine' in thrown;
  return {
    kind: thrown.name,
    code,
    table,
    constraint,
    routine,
    message: isOfRecords ? undefined : withoutSecrets(thrown.message),
    at: thrown.stack
      ?.split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 8)
      .map((line) => line.trim()),
    cause: cause instanceof Error && depth < MOST_CAUSES ? errorFacts(cause, depth + 1) : undefined,
  };
}

/** Text without addresses, and without anything that could be a link's secret. */
function withoutSecrets(text: string): string {
  return text
    .slice(0, MOST_LETTERS)
    .replace(/[^\s@<>"]+@[^\s@<>"]+/g, '…@…')
    .replace(/[A-Za-z0-9_-]{40,}/g, '…');
}
