import { array, number, object, string, type InferType } from 'yup';

/** What a home answers. Empty fields of the form arrive as empty text. */
export const replyForm = object({
  replyKey: string().required().uuid('is not a reply of this guide'),
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
        ease: string()
          .nullable()
          .transform((value: string) => (value === '' ? null : value))
          .oneOf(['too-easy', 'right', 'too-hard', null] as const),
      }),
    )
    .default([]),
});

export type ReplyForm = InferType<typeof replyForm>;
