import assert from 'node:assert/strict';
import { test } from 'node:test';
import { MOST_CSV_LINES, readCsv, writeCsv } from './csvEntries.ts';
import { decodeText } from './decodeText.ts';
import { ENTRY_KINDS, SECTION_OF, type EntryKind } from './shelfEntries.ts';
import { demoEntries } from '../../tests/support/demoFile.ts';

const demo = (kind: EntryKind) => demoEntries<Record<string, unknown>>(SECTION_OF[kind]);
const rowsOf = (text: string, kind: EntryKind = 'thing') => {
  const reading = readCsv(text, kind);
  if (!reading.ok) throw new Error(reading.message);
  return reading.rows;
};
const HEAD = 'key,one,many,traits,sizeMm,thickMm,places,colours,allergens,usualQty,common';

test('every entry of the demo comes back from CSV as it went in', () => {
  for (const kind of ENTRY_KINDS) {
    const entries = demo(kind);
    const rows = rowsOf(writeCsv(entries, kind), kind);
    assert.deepEqual(
      rows.map(({ value, problems }) => [value, problems]),
      entries.map((entry) => [entry, []]),
      kind,
    );
  }
});

test('phrases that hold commas come back as they went in, one or several', () => {
  const [thing] = demo('thing');
  for (const uses of [['weigh it, then hide it'], ['a boat, a hat; a bridge', 'a drum'], ['a drum'], []]) {
    const [row] = rowsOf(writeCsv([{ ...thing!, uses }], 'thing'));
    assert.deepEqual(row!.value.uses ?? [], uses);
  }
});

test('semicolons and decimal commas of other offices are understood', () => {
  const [row] = rowsOf(`${HEAD.replaceAll(',', ';')}\r\nlid;lid;lids;flat stacks;28,5;;;;;12;0,8\r\n`);
  assert.deepEqual(row!.problems, []);
  assert.deepEqual([row!.value.sizeMm, row!.value.common, row!.value.traits], [28.5, 0.8, ['flat', 'stacks']]);
});

test('what cannot be read is named by line and column, also behind a cell with line breaks', () => {
  const rows = rowsOf(`${HEAD}\nlid,"a\nlid",lids,,x,,,,,12,0.8\n\npeg,peg,pegs,,,,,,,twelve,0.8,more\n`);
  assert.deepEqual(
    rows.map(({ line, problems }) => [line, problems.map(({ path }) => path)]),
    [
      [2, ['sizeMm']],
      [5, ['', 'usualQty']],
    ],
  );
});

test('a file without the column names, with a column that is not known, or with too many lines is refused with a sentence', () => {
  const refused = (text: string) => {
    const reading = readCsv(text, 'thing');
    return reading.ok ? 'read' : reading.message;
  };
  assert.match(refused('lid,peg\n1,2'), /^Line 1 should name the columns/);
  assert.match(refused('key,shape\nlid,round'), /“shape” that this kind does not have/);
  assert.match(
    refused(`${HEAD}\n${'lid,,,,,,,,,,\n'.repeat(50_000)}`),
    new RegExp(`50000 lines, and at most ${MOST_CSV_LINES}`),
  );
});

test('other encodings are read, and said', () => {
  const bytes = (...list: number[]) => Uint8Array.from(list);
  assert.deepEqual(decodeText(new TextEncoder().encode('é')), { text: 'é', encoding: 'utf-8' });
  assert.deepEqual(decodeText(bytes(0x63, 0x61, 0x66, 0xe9)), { text: 'café', encoding: 'windows-1252' });
  assert.deepEqual(decodeText(bytes(0xff, 0xfe, 0xe9, 0)), { text: 'é', encoding: 'utf-16le' });
  assert.deepEqual(decodeText(bytes()), { text: '', encoding: 'utf-8' });
});
