import Papa from 'papaparse';
import type { EntryKind } from './shelfEntries.ts';

/** How a column of a CSV is read: as text, a number, yes or no, words with blanks between, phrases with bars between, or JSON. */
type Column = 'text' | 'number' | 'yes-no' | 'words' | 'phrases' | 'json';

/** The columns of each kind, in the order they are written. `docs/formats.md` describes them. */
const CSV_COLUMNS: Readonly<Record<EntryKind, Readonly<Record<string, Column>>>> = {
  thing: {
    key: 'text',
    one: 'text',
    many: 'text',
    traits: 'words',
    sizeMm: 'number',
    thickMm: 'number',
    places: 'number',
    colours: 'phrases',
    uses: 'phrases',
    retired: 'yes-no',
    allergens: 'words',
    usualQty: 'number',
    common: 'number',
  },
  book: {
    key: 'text',
    title: 'text',
    maker: 'text',
    summary: 'text',
    words: 'number',
    pages: 'number',
    features: 'words',
    themes: 'words',
    skills: 'words',
    pauses: 'json',
    borrowed: 'yes-no',
    pace: 'text',
    retold: 'text',
    text: 'json',
  },
  song: {
    key: 'text',
    title: 'text',
    tune: 'text',
    verses: 'json',
    actions: 'text',
    melody: 'json',
    skills: 'words',
    themes: 'words',
    minutes: 'json',
  },
  activity: {
    key: 'text',
    title: 'text',
    idea: 'text',
    aim: 'text',
    themes: 'words',
    skills: 'words',
    ages: 'json',
    mess: 'number',
    noise: 'number',
    effort: 'number',
    seasons: 'words',
    keeps: 'text',
    after: 'words',
    made: 'json',
    dials: 'json',
    lines: 'json',
    needs: 'json',
    minutes: 'json',
    posture: 'text',
    where: 'text',
    surface: 'text',
    seating: 'text',
    size: 'text',
    levels: 'json',
    ahead: 'json',
    actions: 'words',
    access: 'text',
  },
};

/** Columns that may be left empty; the field is then absent, except lists and texts that every entry has. */
const MAY_BE_ABSENT = [
  'sizeMm',
  'thickMm',
  'places',
  'colours',
  'pace',
  'text',
  'melody',
  'effort',
  'seasons',
  'keeps',
  'after',
  'uses',
  'retired',
  'retold',
  'made',
];

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
  const columns = CSV_COLUMNS[kind];
  const [head = [], ...lines] = data;
  const names = head.map((name) => name.trim());
  const filled = lines.filter((cells) => cells.some((cell) => cell.trim() !== '')).length;
  if (!names.includes('key'))
    return {
      ok: false,
      message: `Line 1 should name the columns, and one of them is “key”; it reads “${head.join(meta.delimiter).slice(0, 80)}”. Nothing was taken in.`,
    };
  const unknown = names.find((name) => name !== '' && !Object.hasOwn(columns, name));
  if (unknown)
    return {
      ok: false,
      message: `Line 1 names a column “${unknown}” that this kind does not have; it has ${Object.keys(columns).join(', ')}. Nothing was taken in.`,
    };
  if (filled > MOST_CSV_LINES)
    return {
      ok: false,
      message: `The file has ${filled} lines, and at most ${MOST_CSV_LINES} are taken at once. Nothing was taken in; send it in parts.`,
    };
  let line = 1;
  const rows: CsvRow[] = [];
  for (const cells of lines) {
    line += 1;
    if (cells.some((cell) => cell.trim() !== '')) rows.push(readRow(cells, { names, columns, line }));
    line += cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
  }
  return { ok: true, rows };
}

/** Writes entries of one kind as CSV with commas; what it gives, `readCsv` reads. */
export function writeCsv(entries: readonly Record<string, unknown>[], kind: EntryKind): string {
  const columns = CSV_COLUMNS[kind];
  const names = Object.keys(columns);
  return Papa.unparse(
    {
      fields: names,
      data: entries.map((entry) => names.map((name) => harmless(writeCell(entry[name], columns[name]!)))),
    },
    { newline: '\r\n' },
  );
}

/** What a program for tables would take for a formula when the file is opened there. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** A cell that no program for tables runs as a formula; `readCsv` takes the mark away again. */
function harmless(cell: unknown): unknown {
  return typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell;
}

function withoutMark(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;
}

function readRow(
  cells: readonly string[],
  { names, columns, line }: { names: readonly string[]; columns: Readonly<Record<string, Column>>; line: number },
): CsvRow {
  const value: Record<string, unknown> = {};
  const problems: { path: string; message: string }[] = [];
  if (cells.length > names.length)
    problems.push({ path: '', message: `has ${cells.length} cells, but line 1 names ${names.length}` });
  Object.entries(columns).forEach(([name, column]) => {
    const written = withoutMark((cells[names.indexOf(name)] ?? '').trim());
    if (written === '' && MAY_BE_ABSENT.includes(name)) return;
    const read = readCell(written, column);
    if (read.problem) problems.push({ path: name, message: read.problem });
    else value[name] = read.value;
  });
  return { line, value, problems };
}

function readCell(written: string, column: Column): { value?: unknown; problem?: string } {
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
          .split(/[|,;]/)
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

function writeCell(value: unknown, column: Column): string {
  if (value === undefined || value === null) return '';
  if (column === 'words') return (value as string[]).join(' ');
  if (column === 'phrases') return (value as string[]).join(' | ');
  if (column === 'json') return JSON.stringify(value);
  return column === 'yes-no' ? (value ? 'yes' : 'no') : String(value);
}
