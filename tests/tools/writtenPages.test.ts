import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { format, resolveConfig } from 'prettier';
import { cautionWordsPage } from './cautionWords.ts';
import { rolesPage } from './rolesPage.ts';

for (const [name, holds, written] of [
  ['cautions.md', 'the words that are read, with their reasons,', cautionWordsPage],
  ['roles.md', 'who may do what', rolesPage],
] as const)
  test(`docs/${name} lists ${holds} as it is now`, async () => {
    const path = new URL(`../../docs/${name}`, import.meta.url);
    const page = await format(written(), { ...(await resolveConfig(path)), parser: 'markdown' });
    assert.equal(readFileSync(path, 'utf8'), page);
  });
