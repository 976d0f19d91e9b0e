import assert from 'node:assert/strict';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { format, resolveConfig } from 'prettier';
import { LANGUAGE_WORDS_FILE, languageList, MAKER_WORDS, makerWordLists } from './makerWords.ts';

const formatted = async (text: string, file: string) =>
  format(text, { ...(await resolveConfig(join(MAKER_WORDS, file))), parser: 'typescript' });

test('the lists of makers’ words hold what their folders hold', async () => {
  for (const [file, text] of makerWordLists())
    assert.equal(
      readFileSync(join(MAKER_WORDS, file), 'utf8'),
      await formatted(text, file),
      `${file}: npm run generate writes it anew`,
    );
});

test('the list of languages holds each language that guides are written in', async () => {
  assert.equal(readFileSync(LANGUAGE_WORDS_FILE, 'utf8'), await formatted(languageList(), LANGUAGE_WORDS_FILE));
});

test('one file more is a maker’s words in another language, heard in guides of that language', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-words-'));
  try {
    cpSync(join(MAKER_WORDS, 'en'), join(folder, 'en'), { recursive: true });
    mkdirSync(join(folder, 'es'));
    writeFileSync(join(folder, 'es/diceMoves.ts'), 'export const diceMoves = { title: "Dado de movimientos" };');
    const list = await formatted(makerWordLists(folder).get('es.ts')!, 'es.ts');
    assert.match(list, /import \{ diceMoves \} from '\.\/es\/diceMoves\.ts';/);
    assert.match(list, /'dice-moves': diceMoves/);
    writeFileSync(join(folder, 'es.mts'), list.replace(/import type .*\n/, '').replace(/: Catalogues/, ''));
    const { es } = (await import(join(folder, 'es.mts'))) as { es: Record<string, Record<string, string>> };
    assert.equal(es['dice-moves']!.title, 'Dado de movimientos');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
