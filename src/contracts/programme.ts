import { array, number, object, string, type InferType } from 'yup';

const pace = () => array().of(number().required().min(0)).length(3).required();

/** How a programme works; each setting has a default. */
export const programmeSettings = object({
  seatedMinutesPerYear: number().required().min(1).max(10).default(3),
  weekend: array().of(number().integer().min(1).max(7).required()).required().max(6).default([6, 7]),
  closed: array().of(string().required()).required().default([]),
  calibrationWeight: number().required().min(0).max(100).default(4),
  sendWorkingDays: number().integer().required().min(0).max(30).default(2),
  pace: object({ wordsPerMinute: pace(), pageSeconds: pace(), pauseSeconds: pace() })
    .required()
    .default({ wordsPerMinute: [140, 120, 95], pageSeconds: [2, 3, 5], pauseSeconds: [6, 12, 25] }),
});

export type ProgrammeSettings = InferType<typeof programmeSettings>;
