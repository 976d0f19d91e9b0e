import { inTransaction, type Transaction } from '../db/transaction.ts';
import { exactly } from '../../contracts/fields.ts';
import { array, number, string } from 'yup';
import { checkShape } from '../../contracts/problems.ts';
import { ENTRY_KINDS, type EntryKind } from '../../contracts/shelfEntries.ts';
import { type ShelfWrite, writeShelfItems } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { checkEntries, thingsOfWrites } from './shelfEntries.ts';
import { takeThings } from './starter.ts';

const MOST_ROWS_AT_ONCE = 500;

export interface RowsReport {
  readonly added: number;
  readonly replaced: number;
  /** Lines that were left out, and why. */
  readonly problems: readonly { readonly line: number; readonly path: string; readonly message: string }[];
}

const rowsForm = exactly({
  kind: string().required().oneOf(ENTRY_KINDS),
  rows: array()
    .of(exactly({ line: number().required().integer().min(1) }).noUnknown(false))
    .required()
    .max(MOST_ROWS_AT_ONCE, `must be at most ${MOST_ROWS_AT_ONCE} rows`),
});

async function writeRows(programmeId: string, writes: ShelfWrite[], transaction: Transaction): Promise<number> {
  await takeThings(programmeId, thingsOfWrites(writes), transaction);
  return writeShelfItems(programmeId, writes, transaction);
}

/** Takes in a part of a long file: sound rows are kept, the others are named by line. Four queries a part. */
export async function importRows(person: Person, content: unknown): Promise<RowsReport> {
  requireAuthor(person);
  const checked = checkShape(rowsForm, content);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { kind, rows } = content as { kind: EntryKind; rows: { line: number; value: unknown }[] };
  const { writes, problems } = await checkEntries(
    person.programmeId,
    kind,
    rows.map(({ value }) => value),
  );
  // Of rows with the same key the last one counts, as it would if they came one after the other.
  const byKey = new Map(writes.map((write) => [write.key, write]));
  const added = await inTransaction((transaction) =>
    byKey.size === 0 ? Promise.resolve(0) : writeRows(person.programmeId, [...byKey.values()], transaction),
  );
  return {
    added,
    replaced: writes.length - added,
    problems: problems.map(({ index, path, message }) => ({
      line: rows[index]!.line,
      path: path.replace(/^\[\d+\]\.?/, ''),
      message,
    })),
  };
}
