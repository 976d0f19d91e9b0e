import { array, number, object, string, type InferType } from 'yup';

/** What a home answers. Empty fields of the form arrive as empty text. */
export const replyForm = object({
  /** When the reply that the form showed was kept; empty when it showed none. */
  answered: string().default('').max(40),
  /** The edition of the guide that the form stood in; absent in forms from before there was one: the newest. */
  edition: number()
    .transform((value: number, original: unknown) => (original === '' || original === undefined ? undefined : value))
    .integer()
    .min(1)
    .max(100_000),
  /** Of this form alone: the same press again is taken once. */
  key: string().default('').max(64),
  outcome: string()
    .required('says whether it was done')
    .oneOf(['done', 'partly', 'not'] as const, 'says whether it was done'),
  note: string().default('').max(1000, 'must be at most 1000 characters'),
  parts: array()
    .of(
      object({
        segment: string().required().max(80),
        minutes: number()
          .nullable()
          .transform((value: number, original: unknown) => (original === '' || original === null ? null : value))
          .typeError('must be a number of minutes')
          .min(0.5, 'must be at least half a minute')
          .max(240, 'must be at most 240 minutes'),
        level: string()
          .nullable()
          .transform((value: string) => (value === '' ? null : value))
          .oneOf(['easier', 'right', 'harder', null] as const),
        ease: string()
          .nullable()
          .transform((value: string) => (value === '' ? null : value))
          .oneOf(['too-easy', 'right', 'too-hard', null] as const),
      }),
    )
    .max(60)
    .default([]),
});

export type ReplyForm = InferType<typeof replyForm>;

/** Whether a text is the number of an edition, as forms and addresses of guides name it. */
export function isEditionNumber(text: string): boolean {
  return /^[1-9]\d{0,4}$/.test(text);
}
