import type { MessageValues } from '../core/message.ts';
import { LINE_KINDS } from '../core/session/index.ts';
import { mixed, string } from 'yup';
import { exactly, words } from './fields.ts';

export const partId = () =>
  string()
    .required('must not be empty')
    .max(80)
    .matches(/^[A-Za-z0-9-]+$/, 'must be letters, digits and hyphens');

const MOST_SAID_CHARACTERS = 4000;

/** What words were said from: the name of a sentence and what it speaks of. */
export const said = () =>
  exactly({
    key: string()
      .required()
      .max(120)
      .matches(/^[a-z-]+\/[A-Za-z0-9.-]+$/, 'must name a sentence of a catalogue'),
    values: mixed<MessageValues>()
      .test(
        'said',
        `must be an object of at most ${MOST_SAID_CHARACTERS} characters`,
        (value) =>
          value === undefined ||
          (typeof value === 'object' &&
            value !== null &&
            !Array.isArray(value) &&
            JSON.stringify(value).length <= MOST_SAID_CHARACTERS),
      )
      .meta({ jsonSchema: { type: 'object' } }),
  }).default(undefined);

export const line = exactly({
  id: partId(),
  kind: string().required().oneOf(LINE_KINDS).meta({ label: 'kind' }),
  text: words(2000).meta({ label: 'words', as: 'long' }),
  answer: string().max(500).meta({ label: 'answer' }),
  why: string().max(500).meta({ label: 'why' }),
  role: string()
    .oneOf(['older', 'younger'] as const)
    .meta({ label: 'with two children, whose' }),
  other: exactly({ text: string().max(2000), answer: string().max(500) }).default(undefined),
  says: said(),
}).meta({ def: 'line' });

export const dialSettings = () =>
  mixed<Record<string, number | string>>()
    .required()
    .test('dials', 'must be an object of dial names and values', (value) => isRecordOf(value, ['number', 'string']))
    .meta({ jsonSchema: recordOf(['number', 'string']) });

/** Dials and needs that an object of settings may name. */
const MOST_SETTINGS = 60;

/** What `isRecordOf` asks for, as JSON Schema says it. */
export function recordOf(types: readonly string[]): Readonly<Record<string, unknown>> {
  return { type: 'object', maxProperties: MOST_SETTINGS, additionalProperties: { type: types } };
}

export function isRecordOf(value: unknown, types: readonly string[]): boolean {
  return (
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.keys(value).length <= MOST_SETTINGS &&
    Object.values(value).every((entry) => types.includes(typeof entry))
  );
}
