import type { Schema } from 'yup';

/** How one field of an entry is written. Lists of rows have columns, which are fields themselves. */
export interface EntryField {
  readonly name: string;
  readonly label: string;
  readonly as:
    | 'text'
    | 'long'
    | 'number'
    | 'quantity'
    | 'triple'
    | 'yes-no'
    | 'choice'
    | 'choices'
    | 'keys'
    | 'phrases'
    | 'lines'
    | 'verses'
    | 'settings'
    | 'thing'
    | 'activities'
    | 'rows';
  readonly choices?: readonly string[] | undefined;
  readonly columns?: readonly EntryField[] | undefined;
  readonly hint?: string | undefined;
  /** Left out of the entry while it is empty. */
  readonly isOptional?: boolean | undefined;
  readonly wide?: boolean | undefined;
  /** Must be filled in. */
  readonly isMust?: boolean | undefined;
}

/** How a column of a CSV is read: as text, a number, yes or no, words with blanks between, phrases with bars between, or JSON. */
export type CsvColumn = 'text' | 'number' | 'yes-no' | 'words' | 'phrases' | 'json';

/** What a schema says of a field beside its shape: the form and the CSV follow from it. */
interface EntryMeta {
  /** What the form calls it; a field without a label is not in the form. */
  readonly label?: string;
  readonly as?: EntryField['as'];
  readonly hint?: string;
  readonly wide?: boolean;
  readonly choices?: readonly string[];
  /** Where one list is ticked in several groups: a label and the choices of each. */
  readonly groups?: readonly { readonly label: string; readonly choices: readonly string[] }[];
  /** Columns of rows whose shape depends on what is in them. */
  readonly columns?: readonly EntryField[];
  /** Against what the schema says, where an empty field of the form means that something around it is not there. */
  readonly isOptional?: boolean;
  /** Against what its type says. */
  readonly csv?: CsvColumn;
  /** What the published JSON Schema says where a test of ours says it here. */
  readonly jsonSchema?: Readonly<Record<string, unknown>>;
  /** The name that the published JSON Schema describes it under, once. */
  readonly def?: string;
  /** Schemas of which each entry of a list follows one. */
  readonly itemsOneOf?: readonly Schema[];
}

declare module 'yup' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- yup asks for this way to type `meta`
  interface CustomSchemaMetadata extends EntryMeta {}
}

/** A schema as it is walked through here; objects have fields, arrays an inner type. */
interface WalkedSchema {
  readonly fields?: Readonly<Record<string, WalkedSchema>>;
  readonly innerType?: WalkedSchema;
  describe: Schema['describe'];
}

interface Described {
  readonly type: string;
  readonly meta?: EntryMeta;
  readonly optional?: boolean;
  readonly oneOf?: readonly unknown[];
  readonly tests?: readonly { readonly name?: string | undefined }[];
}

const describe = (schema: WalkedSchema) => schema.describe() as unknown as Described;

/** The fields of a form in the order of its schema; those inside an object bear its name and a dot in front. */
export function formFields(schema: unknown, within: { prefix?: string; isOptional?: boolean } = {}): EntryField[] {
  const { prefix = '', isOptional = false } = within;
  return Object.entries((schema as WalkedSchema).fields ?? {}).flatMap(([name, field]): EntryField[] => {
    const described = describe(field);
    const { meta } = described;
    const path = prefix + name;
    if (meta?.groups) return meta.groups.map((group) => ({ name: path, as: 'choices', wide: true, ...group }));
    if (field.fields && !meta?.label)
      return formFields(field, { prefix: `${path}.`, isOptional: isOptional || described.optional === true });
    return meta?.label ? [fieldOf(path, field, { ...described, optional: isOptional || described.optional })] : [];
  });
}

function fieldOf(
  name: string,
  schema: WalkedSchema,
  described: Described & { optional?: boolean | undefined },
): EntryField {
  const { label = '', hint, wide, isOptional = described.optional === true } = described.meta ?? {};
  const as = wayOf(schema, described);
  const choices = described.meta?.choices ?? choicesOf(schema, described);
  const isMust = !isOptional && mustBeFilled(as, described);
  return {
    name,
    label,
    as,
    ...(hint && { hint }),
    ...(wide && { wide }),
    ...(choices && (as === 'choice' || as === 'choices') && { choices }),
    ...(as === 'rows' && { columns: described.meta?.columns ?? formFields(schema.innerType) }),
    ...(isOptional && { isOptional }),
    ...(isMust && { isMust }),
  };
}

function wayOf({ innerType }: WalkedSchema, { type, meta, oneOf }: Described): EntryField['as'] {
  if (meta?.as) return meta.as;
  switch (type) {
    case 'number':
      return 'number';
    case 'boolean':
      return 'yes-no';
    case 'array':
      if (meta?.columns || innerType?.fields) return 'rows';
      return meta?.choices || (innerType && describe(innerType).oneOf?.length) ? 'choices' : 'keys';
    case 'mixed':
      return 'quantity';
    default:
      return oneOf && oneOf.length > 0 ? 'choice' : 'text';
  }
}

function choicesOf({ innerType }: WalkedSchema, { oneOf = [] }: Described): readonly string[] | undefined {
  const own = oneOf.length > 0 ? oneOf : innerType ? describe(innerType).oneOf : undefined;
  return own && own.length > 0 ? (own as readonly string[]) : undefined;
}

function mustBeFilled(as: EntryField['as'], { tests = [] }: Described): boolean {
  if (as === 'number' || as === 'quantity') return true;
  return ['text', 'long', 'thing'].includes(as) && tests.some(({ name }) => name === 'required');
}

/** The columns of a CSV in the order of a schema, and which of them may be left empty. */
export function csvColumns(schema: unknown): { columns: Record<string, CsvColumn>; mayBeAbsent: string[] } {
  const fields = Object.entries((schema as WalkedSchema).fields ?? {});
  return {
    columns: Object.fromEntries(fields.map(([name, field]) => [name, csvColumn(field)])),
    mayBeAbsent: fields.filter(([, field]) => describe(field).optional).map(([name]) => name),
  };
}

function csvColumn(schema: WalkedSchema): CsvColumn {
  const { type, meta } = describe(schema);
  if (meta?.csv) return meta.csv;
  if (type === 'string') return 'text';
  if (type === 'number') return 'number';
  if (type === 'boolean') return 'yes-no';
  return type === 'array' && schema.innerType && describe(schema.innerType).type === 'string' ? 'words' : 'json';
}
