import Papa from 'papaparse';
import { csvColumns, type CsvColumn } from './entryField.ts';
import { harmless, withoutMark } from './harmlessCells.ts';
import { ENTRY_SCHEMAS, type EntryKind } from './shelfEntries.ts';

/** The columns of each kind, as its schema has them. `docs/formats.md` describes them. */
const CSV = {
  activity: csvColumns(ENTRY_SCHEMAS.activity),
  book: csvColumns(ENTRY_SCHEMAS.book),
  song: csvColumns(ENTRY_SCHEMAS.song),
  thing: csvColumns(ENTRY_SCHEMAS.thing),
};

export interface CsvRow {
  /** The line it starts on, from 1; the names of the columns are line 1. */
  readonly line: number;
  readonly value: Record<string, unknown>;
  /** What could not be read in it, by column. */
  readonly problems: readonly { readonly path: string; readonly message: string }[];
}

export type CsvReading =
  { readonly ok: true; readonly rows: readonly CsvRow[] } | { readonly ok: false; readonly message: string };

export const MOST_CSV_LINES = 20_000;

/** Reads a CSV of one kind: commas, semicolons or tabs, found out from the first line. */
export function readCsv(text: string, kind: EntryKind): CsvReading {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: false });
  const { columns } = CSV[kind];
  const [head = [], ...lines] = data;
  const names = head.map((name) => name.trim());
  const filled = lines.filter((cells) => cells.some((cell) => cell.trim() !== '')).length;
  if (!names.includes('key'))
    return {
      ok: false,
      message: `Line 1 should name the columns, and one of them is “key”; it reads “${head.join(meta.delimiter).slice(0, 80)}”. Nothing was added.`,
    };
  const unknown = names.find((name) => name !== '' && !Object.hasOwn(columns, name));
  if (unknown)
    return {
      ok: false,
      message: `Line 1 names a column “${unknown}” that this kind does not have; it has ${Object.keys(columns).join(', ')}. Nothing was added.`,
    };
  if (filled > MOST_CSV_LINES)
    return {
      ok: false,
      message: `The file has ${filled} lines, and at most ${MOST_CSV_LINES} are taken at once. Nothing was imported; send it in parts.`,
    };
  let line = 1;
  const rows: CsvRow[] = [];
  for (const cells of lines) {
    line += 1;
    if (cells.some((cell) => cell.trim() !== '')) rows.push(readRow(cells, { names, line }, CSV[kind]));
    line += cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
  }
  return { ok: true, rows };
}

/** Writes entries of one kind as CSV with commas; what it gives, `readCsv` reads. */
export function writeCsv(entries: readonly Record<string, unknown>[], kind: EntryKind): string {
  const { columns } = CSV[kind];
  const names = Object.keys(columns);
  return Papa.unparse(
    {
      fields: names,
      data: entries.map((entry) => names.map((name) => harmless(writeCell(entry[name], columns[name]!)))),
    },
    { newline: '\r\n' },
  );
}

function readRow(
  cells: readonly string[],
  { names, line }: { names: readonly string[]; line: number },
  { columns, mayBeAbsent }: ReturnType<typeof csvColumns>,
): CsvRow {
  const value: Record<string, unknown> = {};
  const problems: { path: string; message: string }[] = [];
  if (cells.length > names.length)
    problems.push({ path: '', message: `has ${cells.length} cells, but line 1 names ${names.length}` });
  Object.entries(columns).forEach(([name, column]) => {
    const written = withoutMark((cells[names.indexOf(name)] ?? '').trim());
    if (written === '' && mayBeAbsent.includes(name)) return;
    const read = readCell(written, column);
    if (read.problem) problems.push({ path: name, message: read.problem });
    else value[name] = read.value;
  });
  return { line, value, problems };
}

function readCell(written: string, column: CsvColumn): { value?: unknown; problem?: string } {
  switch (column) {
    case 'text':
      return { value: written };
    case 'number': {
      const number = Number(written.replace(/^(-?\d+),(\d+)$/, '$1.$2'));
      return written !== '' && Number.isFinite(number)
        ? { value: number }
        : { problem: `“${written.slice(0, 40)}” is not a number` };
    }
    case 'yes-no':
      if (/^(yes|true|1)$/i.test(written)) return { value: true };
      return /^(no|false|0|)$/i.test(written)
        ? { value: false }
        : { problem: `“${written.slice(0, 40)}” is neither yes nor no` };
    case 'words':
      return { value: written.split(/[\s,;|]+/).filter(Boolean) };
    case 'phrases':
      return {
        value: written
          .split(written.includes('|') ? '|' : /[,;]/)
          .map((phrase) => phrase.trim())
          .filter(Boolean),
      };
    case 'json':
      try {
        return { value: JSON.parse(written || '[]') as unknown };
      } catch {
        return { problem: `“${written.slice(0, 40)}” is not JSON` };
      }
  }
}

function writeCell(value: unknown, column: CsvColumn): string {
  if (value === undefined || value === null) return '';
  if (column === 'words') return (value as string[]).join(' ');
  if (column === 'phrases') return writePhrases(value as string[]);
  if (column === 'json') return JSON.stringify(value);
  return column === 'yes-no' ? (value ? 'yes' : 'no') : String(value);
}

/** With bars between; a single phrase that holds a comma or semicolon has a bar behind it, so that it stays one. */
function writePhrases(phrases: readonly string[]): string {
  const [only] = phrases;
  return phrases.length === 1 && /[,;]/.test(only!) ? `${only} |` : phrases.join(' | ');
}
