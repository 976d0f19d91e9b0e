import { readBirth } from './birth.ts';
import { BETWEEN_BIRTHS, BETWEEN_NAMES, piecesOf, readAvoids, readCount, saysNothing, saysYes } from './cells.ts';
import type { ColumnRole } from './columns.ts';
import { asHomes, type RowRead } from './homesOfRows.ts';
import { languageMeant } from './languageMeant.ts';
import type { CellNote, FamilyReading, TableChild } from './tableFamily.ts';

/** A thing that a home may have, as a table names it. */
interface NamedThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
}

/** What a table is read with: the day, the things it may name, and how a home without a name is called. */
export interface TableContext {
  /** YYYY-MM-DD, for ages. */
  readonly today: string;
  readonly things: readonly NamedThing[];
  /** A home's name made from its children's, in the words of the programme: “Ava and Tom’s home”. */
  readonly nameFor: (children: readonly string[]) => string;
  /** What the columns are called, where the table says. */
  readonly headings?: readonly string[] | undefined;
}

type Note = CellNote extends infer One ? (One extends CellNote ? Omit<One, 'row' | 'column'> : never) : never;

const MOST_CHILDREN = 8;
const LONGEST = { home: 80, child: 80, loves: 80, helps: 300 } as const;

/**
 * Reads the rows of a table as families. Surnames are dropped: of a child's names the first is kept, unless it stands in
 * quotes. Rows of one home, by its name or its address, are one family. A row with nothing in it is passed over.
 */
export function readFamilies(
  rows: readonly (readonly string[])[],
  roles: readonly ColumnRole[],
  context: TableContext,
): FamilyReading {
  const notes: CellNote[] = [];
  const read = rows.flatMap((cells, row) => {
    if (roles.every((role, at) => role === 'leave' || (cells[at] ?? '').trim() === '')) return [];
    const said = readRow(cells, roles, context);
    notes.push(...said.notes.map(({ column, ...note }) => ({ row, column, ...note }) as CellNote));
    return [{ ...said, row, isReady: !said.notes.some(({ kind }) => kind === 'wrong') }];
  });
  return { families: asHomes(read, context.nameFor), notes };
}

function readRow(
  cells: readonly string[],
  roles: readonly ColumnRole[],
  context: TableContext,
): RowRead & { readonly notes: readonly (Note & { readonly column: number })[] } {
  const notes: (Note & { column: number })[] = [];
  const at = (role: ColumnRole) => roles.indexOf(role);
  const cell = (role: ColumnRole) => (at(role) < 0 ? undefined : (cells[at(role)] ?? '').trim());
  const note = (role: ColumnRole, said: Note) => notes.push({ column: Math.max(0, at(role)), ...said });
  const within = (role: keyof typeof LONGEST, text: string) => {
    if (text.length > LONGEST[role]) note(role, { kind: 'wrong', code: 'too-long' });
    return text;
  };
  const home = within('home', unquoted(cell('home') ?? ''));
  const isInMonths = countsMonths(context.headings?.[at('born')] ?? '');
  const children = readChildren({ cell, note, within, isInMonths }, context);
  const avoids = cell('avoids');
  const language = cell('language');
  const meant = language ? languageMeant(language) : undefined;
  if (meant === 'other' || (language && meant === undefined))
    note('language', { kind: 'guess', code: 'other-language' });
  const { allergens, own } = readAvoids(avoids ?? '');
  const has = cell('has');
  const hasNot = cell('has-not');
  const things = readThings({ cell: has ?? '', role: 'has' }, note, context);
  const lacks = readThings({ cell: hasNot ?? '', role: 'has-not' }, note, context);
  const contact = readContact(cell('contact'), (said) => note('contact', said));
  if (home === '' && children.length === 0 && notes.every(({ kind }) => kind !== 'wrong'))
    note(at('home') < 0 ? 'child' : 'home', { kind: 'wrong', code: 'no-name' });
  return {
    home,
    notes,
    family: {
      children,
      ...(language !== undefined && { language: meant === undefined || meant === 'other' ? 'en' : meant }),
      ...(contact !== undefined && { contact }),
      ...(avoids !== undefined && { allergens, alsoAvoids: own }),
      ...(has !== undefined && { things }),
      ...(hasNot !== undefined && { hasNot: lacks.map(({ item }) => item) }),
    },
  };
}

interface RowTools {
  readonly cell: (role: ColumnRole) => string | undefined;
  readonly note: (role: ColumnRole, said: Note) => void;
  readonly within: (role: keyof typeof LONGEST, text: string) => string;
  /** The column of ages counts months. */
  readonly isInMonths: boolean;
}

/** “Age in months”, and not “month of birth”: a six there is a baby. */
const countsMonths = (heading: string) => /month|mth/i.test(heading) && !/birth|born/i.test(heading);

/** A bare number with what its column counts. */
const withUnit = (text: string, unit: string) =>
  unit && /^[\d.,½ ]+$/.test(text.trim()) ? `${text.trim()} ${unit}` : text;

function readChildren({ cell, note, within, isInMonths }: RowTools, { today }: TableContext): TableChild[] {
  const named = piecesOf(cell('child') ?? '', BETWEEN_NAMES).map(({ text, isQuoted }) => {
    const [, bare = text, inside = ''] = isQuoted ? [] : (/^(.*?)\s*\(([^)]*)\)\s*$/.exec(text) ?? []);
    const first = isQuoted ? text : (bare.trim().split(/\s+/)[0] ?? '');
    if (first !== bare.trim()) note('child', { kind: 'dropped', code: 'surname' });
    return { name: within('child', first), inside };
  });
  const born = cell('born') ?? '';
  const births =
    readBirth(born, today).code === 'unread' ? piecesOf(born, BETWEEN_BIRTHS).map(({ text }) => text) : [born];
  if (named.length > MOST_CHILDREN) note('child', { kind: 'wrong', code: 'too-many' });
  if (named.length === 0 && births.length > 0 && born !== '') note('child', { kind: 'wrong', code: 'no-child' });
  const isShared = births.length === 1 && named.length > 1;
  if (isShared) note('born', { kind: 'guess', code: 'same-birth' });
  if (births.length > 1 && births.length !== named.length)
    note('born', { kind: 'wrong', code: 'counts-differ', children: named.length, births: births.length });
  const ageIn = isInMonths ? 'months' : '';
  const about = {
    loves: within('loves', cell('loves') ?? ''),
    needs: within('helps', cell('helps') ?? ''),
  };
  return named.map(({ name, inside }, index) => ({
    nickname: name,
    birthMonth: monthOf(
      inside || withUnit(births[isShared ? 0 : index] ?? '', ageIn),
      (said) => note(inside ? 'child' : 'born', said),
      today,
    ),
    ...(cell('loves') !== undefined && { loves: about.loves }),
    ...(cell('helps') !== undefined && { needs: about.needs }),
    ...(cell('mouthing') !== undefined && { mouthing: saysYes(cell('mouthing')!) }),
    ...(cell('left-handed') !== undefined && { leftHanded: saysYes(cell('left-handed')!) }),
  }));
}

function monthOf(text: string, note: (said: Note) => void, today: string): string {
  if (text.trim() === '') {
    note({ kind: 'wrong', code: 'no-birth' });
    return '';
  }
  const reading = readBirth(text, today);
  switch (reading.code) {
    case 'month':
      return reading.month;
    case 'guess':
      note({ kind: 'guess', code: 'youngest', month: reading.month });
      return reading.month;
    case 'day-first':
      note({ kind: 'guess', code: 'day-first', month: reading.month });
      return reading.month;
    case 'unread':
      note({ kind: 'wrong', code: 'born-unread' });
      return '';
    default:
      note({ kind: 'wrong', code: reading.code });
      return '';
  }
}

function readContact(cell: string | undefined, note: (said: Note) => void): string | undefined {
  if (cell === undefined || saysNothing(cell)) return cell === undefined ? undefined : '';
  const mail = /[^\s@,;<>]+@[^\s@,;<>]+\.[^\s@,;<>]+/.exec(cell)?.[0];
  if (mail && mail.length <= 200) return mail;
  if (/^[\d\s+()/-]+$/.test(cell)) note({ kind: 'dropped', code: 'phone' });
  else note({ kind: 'wrong', code: 'contact-unread' });
  return '';
}

function readThings(
  { cell, role }: { cell: string; role: 'has' | 'has-not' },
  note: RowTools['note'],
  { things }: TableContext,
): { item: string; qty: number }[] {
  if (saysNothing(cell)) return [];
  const counts = new Map<string, number>();
  for (const { text } of piecesOf(cell, cell.includes(';') ? /\s*[;\n]\s*/ : /\s*[,\n]\s*/)) {
    const { name, count } = readCount(text);
    const wanted = name.toLowerCase();
    const thing = things.find(({ one, many, key }) => [one, many, key].some((word) => word.toLowerCase() === wanted));
    if (thing) counts.set(thing.key, count ?? thing.usualQty);
    else note(role, { kind: 'wrong', code: 'thing-unknown', name: name.slice(0, 60) });
  }
  return [...counts].map(([item, qty]) => ({ item, qty }));
}

const unquoted = (text: string) => /^"([^"]*)"$/.exec(text)?.[1] ?? text;
