import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { test } from 'node:test';
import { MAKERS } from '../../src/makers/index.ts';
import { scripts as en } from '../../src/makers/scripts.en.ts';
import type { Catalogues } from '../../src/core/message.ts';

const TABLE = readFileSync(join(import.meta.dirname, '../../docs/moves.md'), 'utf8');

test('every line that the table of moves points to is there, and every maker is in it', () => {
  const rows = TABLE.split('\n').filter((line) => /^\| (?!move|---)/.test(line));
  const told = new Set<string>();
  const lacking = rows.flatMap((row) => {
    const [, , maker = '', , lines = ''] = row.split('|').map((cell) => cell.trim());
    told.add(maker);
    const catalogue = (en as Catalogues)[maker] ?? {};
    return [...lines.matchAll(/`([^`]+)`/g)].flatMap(([, key]) =>
      Object.hasOwn(catalogue, key!) ? [] : [`${maker}/${key}`],
    );
  });
  assert.deepEqual(lacking, []);
  const short = ['tally', 'dice-moves', 'guess-and-count', 'length-pairs', 'number-strip'];
  assert.deepEqual(
    MAKERS.map(({ id }) => id).filter((id) => !told.has(id) && !short.includes(id)),
    [],
  );
});
