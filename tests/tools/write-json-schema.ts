import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { format, resolveConfig } from 'prettier';
import { publishedSchema } from './jsonSchema.ts';

const FILE = fileURLToPath(new URL('../../docs/schema/footstool.schema.json', import.meta.url));

writeFileSync(
  FILE,
  await format(JSON.stringify(publishedSchema()), { ...(await resolveConfig(FILE)), parser: 'json' }),
);
console.log('schema: written');
