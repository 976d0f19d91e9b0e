import { readBirth } from './birth.ts';
import { languageMeant } from './languageMeant.ts';

/** What a column of a table of families may hold; `leave` is not taken in. */
export const COLUMN_ROLES = [
  'home',
  'child',
  'born',
  'loves',
  'mouthing',
  'left-handed',
  'helps',
  'avoids',
  'language',
  'contact',
  'has',
  'has-not',
  'leave',
] as const;

/** One of them. */
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** A table as somebody keeps it: rows of cells, and whether the first row names the columns. */
export interface ColumnGuess {
  readonly hasHeadings: boolean;
  readonly roles: readonly ColumnRole[];
}

/** What headings are called, the more particular first. Names of grown-ups and surnames are not kept. */
const HEADINGS: readonly (readonly [ColumnRole, RegExp])[] = [
  ['contact', /e-?mail/],
  [
    'leave',
    /surname|last name|family name|^family$|parent|carer|mother|father|mum|dad|guardian|grown|phone|mobile|tel\b|number$|street|post ?code|notes?$/,
  ],
  ['born', /born|birth|dob|d\.o\.b|\bage\b|\bages\b|years old/],
  ['has-not', /has ?n.t|has not|have ?n.t|have not|lacks|missing/],
  ['mouthing', /mouth/],
  ['left-handed', /left/],
  ['helps', /helps?\b|needs\b|support/],
  ['avoids', /allerg|avoid|intoleran|diet|must not|dislikes? food|food/],
  ['language', /language|speaks|guide in|spoken|tongue/],
  ['contact', /address|contact|letters/],
  ['loves', /loves|likes|favourite|interest/],
  ['has', /^has\b|^have\b|things|at home|what they have/],
  ['home', /^homes?$|nick|household|house|called at home/],
  ['child', /child|kid|first name|given name|^names?$|pupil|little one|sibling/],
];

/**
 * What each column of a table holds, by its heading or else by what stands in it, so that no role but `leave` comes twice.
 * An empty table: no columns.
 */
export function guessColumns(rows: readonly (readonly string[])[], today: string): ColumnGuess {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const [first = []] = rows;
  const named = Array.from({ length: width }, (_, at) => roleOfHeading(first[at] ?? ''));
  const hasHeadings =
    named.some((role) => role !== undefined) && !first.some((cell) => isBirth(cell, today) || isMail(cell));
  const body = hasHeadings ? rows.slice(1) : rows;
  const taken = new Set<ColumnRole>();
  const take = (role: ColumnRole | undefined): ColumnRole | undefined => {
    if (role === undefined || (role !== 'leave' && taken.has(role))) return undefined;
    taken.add(role);
    return role;
  };
  // An address may be that of a house.
  const isPostal = (at: number) =>
    named[at] === 'contact' && body.some((row) => row[at]) && !body.some((row) => row[at]?.includes('@'));
  const byHeading = named.map((role, at) => (hasHeadings ? take(isPostal(at) ? 'leave' : role) : undefined));
  const byContent = byHeading.map(
    (role, at) =>
      role ??
      take(
        roleOfCells(
          body.map((row) => row[at] ?? ''),
          today,
        ),
      ),
  );
  const roles = byContent.map((role, at) => role ?? (isWords(body, at) ? take('child') : undefined) ?? 'leave');
  return { hasHeadings, roles };
}

function roleOfHeading(heading: string): ColumnRole | undefined {
  const words = heading.trim().toLowerCase();
  return words === '' ? undefined : HEADINGS.find(([, pattern]) => pattern.test(words))?.[0];
}

/** What most of the cells of a column are; undefined when they are only words. */
function roleOfCells(cells: readonly string[], today: string): ColumnRole | undefined {
  const filled = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const are = (test: (cell: string) => boolean) => filled.length > 0 && filled.filter(test).length * 2 >= filled.length;
  if (are(isMail)) return 'contact';
  if (are((cell) => isBirth(cell, today))) return 'born';
  if (are((cell) => languageMeant(cell) !== undefined)) return 'language';
  if (are((cell) => /^[\d\s+()/-]{6,}$/.test(cell))) return 'leave';
  return undefined;
}

const isMail = (cell: string) => /^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(cell.trim());

const isBirth = (cell: string, today: string) =>
  cell.split(/&|;|,|\band\b/).every((part) => readBirth(part, today).code !== 'unread');

const isWords = (rows: readonly (readonly string[])[], at: number) => rows.some((row) => /\p{L}/u.test(row[at] ?? ''));
