import Papa from 'papaparse';
import { array, boolean, number, string, type InferType } from 'yup';
import { GUIDE_LANGUAGE_IDS } from '../core/languages.ts';
import { ALLERGENS, avoidedName } from './cautions.ts';
import { exactly, key } from './fields.ts';
import { harmless, withoutMark } from './harmlessCells.ts';

/** A table is read up to so many rows and columns; cells up to so many characters. */
const MOST_TABLE_ROWS = 2000;
const MOST_TABLE_COLUMNS = 40;
const LONGEST_CELL = 20_000;
const LONGEST_TABLE = 2_000_000;

/** Homes are taken in so many at a time. */
export const FAMILIES_AT_ONCE = 200;

export type TableReading =
  | { readonly ok: true; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly code: 'empty' | 'too-long' };

/**
 * Reads what was pasted or chosen as rows of cells: tabs as spreadsheets give them, commas, semicolons, bars, or wide gaps
 * as in a mail. Empty rows are passed over.
 */
export function readTable(text: string): TableReading {
  if (text.trim() === '') return { ok: false, code: 'empty' };
  if (text.length > LONGEST_TABLE) return { ok: false, code: 'too-long' };
  const plain = text.replace(/^\ufeff/, '');
  const { data } = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy', delimiter: delimiterOf(plain) });
  if (data.length > MOST_TABLE_ROWS) return { ok: false, code: 'too-long' };
  const isOneColumn = data.every((cells) => cells.length <= 1);
  const rows = isOneColumn ? data.map(([line = '']) => line.trim().split(/ {2,}/)) : data;
  return {
    ok: true,
    rows: rows.map((cells) =>
      cells.slice(0, MOST_TABLE_COLUMNS).map((cell) => withoutMark(cell.trim()).slice(0, LONGEST_CELL)),
    ),
  };
}

/** Tabs before all: cells of a spreadsheet hold commas of their own. */
function delimiterOf(text: string): string {
  const [first = ''] = text.split('\n', 1);
  return ['\t', ';', '|', ','].find((mark) => first.includes(mark)) ?? ',';
}

const child = exactly({
  nickname: string().trim().required('must be filled in').max(80),
  birthMonth: string()
    .required('must be filled in')
    .matches(/^(19|20)\d{2}-(0[1-9]|1[0-2])$/, 'must be a year and a month'),
  loves: string().trim().max(80),
  mouthing: boolean(),
  leftHanded: boolean(),
  needs: string().trim().max(300),
});

/** A home of a table; what is absent was in no column and stays as it is. */
const family = exactly({
  nickname: string().trim().required('must be filled in').max(80),
  children: array().of(child).required().max(8),
  language: string().oneOf(GUIDE_LANGUAGE_IDS),
  contact: string()
    .max(200)
    .test('one', 'must be one address', (text) => !text || /^[^\s@,;<>]+@[^\s@,;<>]+\.[^\s@,;<>]+$/.test(text)),
  allergens: array().of(string().required().oneOf(ALLERGENS)).max(ALLERGENS.length).default(undefined),
  alsoAvoids: array().of(avoidedName()).max(16).default(undefined),
  things: array()
    .of(exactly({ item: key(), qty: number().required().min(0).max(100_000) }))
    .max(500)
    .default(undefined),
  hasNot: array().of(key()).max(500).default(undefined),
});

/** What the page of a table sends. */
export const familiesBody = exactly({ families: array().of(family).required().min(1).max(FAMILIES_AT_ONCE) });

export type FamilyOfTable = InferType<typeof family>;

/** A home as it goes out in a table. */
export interface HomeOfTable {
  readonly nickname: string;
  readonly language: string;
  readonly contact: string;
  readonly allergens: readonly string[];
  readonly children: readonly {
    readonly nickname: string;
    readonly birthMonth: string;
    readonly loves?: string | undefined;
    readonly mouthing?: boolean | undefined;
    readonly leftHanded?: boolean | undefined;
    readonly needs?: string | undefined;
  }[];
  readonly stock: readonly { readonly item: string; readonly qty: number }[];
  readonly hasNot?: readonly string[] | undefined;
}

const FIELDS = [
  'Home',
  'Child',
  'Born',
  'Loves',
  'Still mouths things',
  'Left-handed',
  'What helps',
  'Must not have',
  'Guide in',
  'Address for letters',
  'Has',
  'Has not',
];

/**
 * Homes as CSV, a row for each child, with names of things in place of keys: what it gives, the page of a table reads as it
 * was. What that page would otherwise read in another way stands in quotes.
 */
export function writeHomesCsv(
  homes: readonly HomeOfTable[],
  names: { thing: (key: string) => string; language: (id: string) => string },
): string {
  const quoted = (text: string) => `"${text.replaceAll('"', '')}"`;
  const listed = (parts: readonly string[]) => parts.join('; ') + (parts.length > 1 ? '' : ';');
  const data = homes.flatMap((home) => {
    const whole = [
      listed(
        home.allergens.map((word) =>
          (ALLERGENS as readonly string[]).includes(word) ? word.replaceAll('-', ' ') : quoted(word),
        ),
      ),
      names.language(home.language),
      home.contact,
      listed(home.stock.map(({ item, qty }) => `${names.thing(item)}: ${qty}`)),
      listed((home.hasNot ?? []).map((item) => names.thing(item))),
    ].map((cell) => cell.replace(/^;$/, ''));
    const children = home.children.length === 0 ? [undefined] : home.children;
    return children.map((one) =>
      [
        home.nickname,
        one ? (/^[^\s"&+;/,()]+$/.test(one.nickname) ? one.nickname : quoted(one.nickname)) : '',
        one?.birthMonth ?? '',
        one?.loves ?? '',
        one?.mouthing ? 'yes' : '',
        one?.leftHanded ? 'yes' : '',
        one?.needs ?? '',
        ...whole,
      ].map(harmless),
    );
  });
  return Papa.unparse({ fields: FIELDS, data }, { newline: '\r\n' });
}
