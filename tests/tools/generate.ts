import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { EVERYDAY_FILE, everydayWordsFile } from './everydayWords.ts';
import { PICTURE_FILE, pictureFile } from './pictureFile.ts';
import { publishedSchema } from './jsonSchema.ts';
import { rolesPage } from './rolesPage.ts';
import { cautionWordsPage } from './cautionWords.ts';
import { LANGUAGE_WORDS_FILE, languageList, makerLists, MAKERS_FOLDER } from './makerLists.ts';

// Writes anew what follows from other files: the JSON Schema of the open format, the page of words that are read, that of who may do what, the lists of languages and of makers' words, everyday words, and the pictures of words.
const CAUTIONS = fileURLToPath(new URL('../../docs/cautions.md', import.meta.url));
const ROLES = fileURLToPath(new URL('../../docs/roles.md', import.meta.url));
const SCHEMA = fileURLToPath(new URL('../../docs/schema/footstool.schema.json', import.meta.url));

for (const [file, text] of makerLists()) await write(join(MAKERS_FOLDER, file), text, 'typescript');
await write(SCHEMA, JSON.stringify(publishedSchema()), 'json');
await write(ROLES, rolesPage(), 'markdown');
await write(CAUTIONS, cautionWordsPage(), 'markdown');
await write(fileURLToPath(EVERYDAY_FILE), await everydayWordsFile(), 'typescript');
await write(fileURLToPath(PICTURE_FILE), pictureFile(), 'json');
await write(LANGUAGE_WORDS_FILE, languageList(), 'typescript');
console.log(
  'generated: docs/schema, docs/cautions.md, docs/roles.md, src/messages/languageWords.ts, src/makers/{index,scripts.*}.ts, src/core/sounds/everydayWords.ts and src/server/pictures',
);

async function write(file: string, text: string, parser: string): Promise<void> {
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), parser }));
}
