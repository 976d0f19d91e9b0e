import { isDeepStrictEqual } from 'node:util';
// Its index would widen the types of yup everywhere.
import { convertSchema } from '@sodaru/yup-to-json-schema/dist/converters/index.js';
import type { Schema } from 'yup';
import { shelfFile } from '../../src/contracts/shelfFile.ts';

type Json = Record<string, unknown>;

interface Described {
  readonly type: string;
  readonly meta?: { readonly def?: string; readonly itemsOneOf?: readonly Schema[] };
  readonly tests?: readonly { readonly name?: string }[];
  readonly fields?: Readonly<Record<string, Described>>;
  readonly innerType?: Described;
}

/** The JSON Schema of our open format, as it follows from the schema that the import uses. */
export function publishedSchema(): Json {
  const $defs: Json = {};
  const schema = jsonSchemaOf(shelfFile, $defs);
  const sections = schema.properties as Record<string, Json>;
  for (const [name, section] of Object.entries(sections)) {
    if (!section.items) continue;
    $defs[name] = section.items;
    section.items = { $ref: `#/$defs/${name}` };
  }
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A Footstool file',
    description: 'Version 1 of the open format. See docs/formats.md.',
    ...schema,
    $defs,
  };
}

function jsonSchemaOf(schema: Schema, defs: Json): Json {
  return placed(convertSchema(schema) as Json, schema.describe({}) as unknown as Described, defs);
}

/** What has a name is described under it, and pointed to from where it is used. */
function placed(json: Json, described: Described, defs: Json): Json {
  const whole = finished(json, described, defs);
  const name = described.meta?.def;
  if (!name) return whole;
  defs[name] ??= whole;
  if (!isDeepStrictEqual(defs[name], whole)) throw new Error(`${name} is described in two ways`);
  return { $ref: `#/$defs/${name}` };
}

/** What the converter leaves open: closed objects, lists of one of several shapes, values of any type; defaults go. */
function finished({ default: _, ...json }: Json, described: Described, defs: Json): Json {
  const { type, meta, tests = [], fields, innerType } = described;
  const properties = json.properties as Record<string, Json> | undefined;
  const items = meta?.itemsOneOf
    ? { oneOf: meta.itemsOneOf.map((each) => jsonSchemaOf(each, defs)) }
    : innerType
      ? placed(json.items as Json, innerType, defs)
      : undefined;
  const { type: said, ...untyped } = json;
  const has = (test: string) => tests.some(({ name }) => name === test);
  return {
    ...(type === 'mixed' && Array.isArray(said) && said.length === 0 ? untyped : json),
    ...(has('noUnknown') && { additionalProperties: false }),
    ...(type === 'string' && has('required') && !('enum' in json) && { minLength: 1 }),
    ...(properties && {
      properties: Object.fromEntries(
        Object.entries(properties).map(([name, property]) => [name, placed(property, fields![name]!, defs)]),
      ),
    }),
    ...(items && { items }),
  };
}
