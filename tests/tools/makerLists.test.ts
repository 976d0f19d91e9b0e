import assert from 'node:assert/strict';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { tsImport } from 'tsx/esm/api';
import { format, resolveConfig } from 'prettier';
import { LANGUAGE_WORDS_FILE, languageList, makerLists, MAKERS_FOLDER } from './makerLists.ts';

const formatted = async (text: string, file: string) =>
  format(text, { ...(await resolveConfig(join(MAKERS_FOLDER, file))), parser: 'typescript' });

test('the registry of makers and the lists of their scripts hold what the folders hold', async () => {
  for (const [file, text] of makerLists())
    assert.equal(
      readFileSync(join(MAKERS_FOLDER, file), 'utf8'),
      await formatted(text, file),
      `${file}: npm run generate writes it anew`,
    );
});

test('the list of languages holds each language that guides are written in', async () => {
  assert.equal(readFileSync(LANGUAGE_WORDS_FILE, 'utf8'), await formatted(languageList(), LANGUAGE_WORDS_FILE));
});

test('a maker is a folder: one that is added stands in the registry, its words in another language are one file', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-makers-'));
  try {
    cpSync(join(MAKERS_FOLDER, 'dice-moves'), join(folder, 'dice-moves'), { recursive: true });
    cpSync(join(MAKERS_FOLDER, 'sentences'), join(folder, 'sentences'), { recursive: true });
    mkdirSync(join(folder, 'new-maker'));
    writeFileSync(join(folder, 'new-maker/maker.ts'), 'export const maker = { id: "new-maker", place: 5 };');
    writeFileSync(join(folder, 'new-maker/scripts.es.ts'), 'export const scripts = { title: "Nuevo" };');
    const lists = makerLists(folder);
    const registry = lists.get('index.ts')!;
    assert.match(registry, /import \{ maker as newMaker \} from '\.\/new-maker\/maker\.ts'/);
    assert.match(registry, /\[diceMoves, newMaker\]\.sort/);
    assert.match(lists.get('scripts.en.ts')!, /'dice-moves': diceMoves/);
    assert.doesNotMatch(lists.get('scripts.en.ts')!, /newMaker/);
    const spanish = lists
      .get('scripts.es.ts')!
      .replace(/import type .*\n/, '')
      .replace(/: Catalogues/, '');
    writeFileSync(join(folder, 'scripts.es.mts'), spanish);
    const { scripts } = (await tsImport(join(folder, 'scripts.es.mts'), import.meta.url)) as {
      scripts: Record<string, Record<string, string>>;
    };
    assert.deepEqual(Object.keys(scripts), ['new-maker']);
    assert.equal(scripts['new-maker']!.title, 'Nuevo');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
