import { array, number, object, string, type InferType } from 'yup';
import { someWords } from './fields.ts';

/** More than a rehearsal of any part takes. */
const MOST_SECONDS = 4 * 3600;

/** What a rehearsal took, of the parts whose minutes are to be kept, and what was noted on lines. */
export const rehearsalForm = object({
  /** Names the rehearsal, so that what arrives twice is kept once. */
  name: string()
    .required()
    .matches(/^[0-9a-f]{16}$/),
  parts: array()
    .of(object({ id: someWords(80), seconds: number().required().min(1).max(MOST_SECONDS) }).required())
    .required()
    .max(30),
  notes: array()
    .of(object({ part: someWords(80), line: someWords(80), text: someWords(500) }).required())
    .required()
    .max(200),
});

/** A rehearsal as it is kept. */
export type RehearsalForm = InferType<typeof rehearsalForm>;

/** Reads a rehearsal from the fields of its page. */
export function writtenRehearsal(fields: URLSearchParams): Record<keyof RehearsalForm, unknown> {
  const noted = [...fields.keys()].flatMap((name) => /^note-(\d{1,3})-text$/.exec(name)?.[1] ?? []);
  return {
    name: fields.get('name') ?? '',
    parts: fields.getAll('part').map((id) => ({ id, seconds: fields.get(`seconds-${id}`) })),
    notes: noted.map((note) => ({
      part: fields.get(`note-${note}-part`) ?? '',
      line: fields.get(`note-${note}-line`) ?? '',
      text: fields.get(`note-${note}-text`) ?? '',
    })),
  };
}
