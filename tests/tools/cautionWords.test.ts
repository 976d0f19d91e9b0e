import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { format, resolveConfig } from 'prettier';
import { cautionWordsPage } from './cautionWords.ts';

test('docs/cautions.md lists the words that are read, with their reasons, as they are now', async () => {
  const path = new URL('../../docs/cautions.md', import.meta.url);
  const page = await format(cautionWordsPage(), { ...(await resolveConfig(path)), parser: 'markdown' });
  assert.equal(readFileSync(path, 'utf8'), page);
});
