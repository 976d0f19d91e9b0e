import assert from 'node:assert/strict';
import { test } from 'node:test';
import { errorFacts } from './log.ts';

test('what is logged of a fault names its kind and place, and nothing that a family wrote, no address and no link', () => {
  const refused = Object.assign(new Error('duplicate key value: (nickname)=(Fennel)'), {
    name: 'SequelizeUniqueConstraintError',
    sql: "INSERT INTO homes VALUES ('Fennel')",
    parent: Object.assign(new Error('Key (nickname)=(Fennel) already exists.'), {
      code: '23505',
      table: 'homes',
      detail: 'Fennel',
      routine: '_bt_check_unique',
    }),
  });
  const said = JSON.stringify(errorFacts(refused));
  assert.doesNotMatch(said, /Fennel/);
  assert.match(said, /"code":"23505"/);
  assert.match(said, /"table":"homes"/);
  const token = 'aZ0_-'.repeat(9).slice(0, 43);
  const plain = JSON.stringify(errorFacts(new Error(`550 <kit@homes.example> refused /g/${token}`)));
  assert.doesNotMatch(plain, /kit@homes|aZ0_-aZ0/);
  assert.match(plain, /550/);
  assert.match(plain, /log\.test/);
});
