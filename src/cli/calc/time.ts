import { backPlan, type PlannedTask } from '../../core/calendar/index.ts';
import { calibrate, readAloudMinutes, runSheet, type TimedSegment } from '../../core/time/index.ts';
import { POSTURES } from '../../core/session/index.ts';
import {
  ageMonths,
  amount,
  array,
  day,
  mixed,
  name,
  number,
  object,
  string,
  threeNumbers,
  timeOfDay,
  triple,
  whole,
} from './fields.ts';
import { calculation, CalcInputError } from './calculation.ts';

const runSheetInput = object({
  children: array()
    .of(object({ ageMonths: ageMonths() }))
    .required()
    .max(1000, 'must hold at most 1000 children'),
  seatedMinutesPerYear: amount(0, 1000),
  segments: array()
    .of(
      object({
        id: name(),
        posture: string().required().oneOf(POSTURES),
        who: string()
          .required()
          .oneOf(['together', 'alone'] as const),
        minutes: triple().required(),
        setup: triple(),
        tidy: triple(),
      }),
    )
    .required()
    .max(2000, 'must hold at most 2000 segments'),
});

export const calcRunSheet = calculation(runSheetInput, ({ children, seatedMinutesPerYear, segments }) =>
  runSheet({ children, seatedMinutesPerYear, segments: segments as TimedSegment[] }),
);

const minutesTaken = () => number().required().moreThan(0, 'must be above 0').max(100_000, 'must be at most 100000');

export const calcCalibrate = calculation(
  object({
    planned: minutesTaken(),
    actual: array().of(minutesTaken()).required().max(10_000, 'must hold at most 10000 times'),
    weight: amount(0, 1_000_000),
  }),
  ({ planned, actual, weight }) => calibrate(planned, actual, weight),
);

export const calcReadAloud = calculation(
  object({
    words: whole(0, 10_000_000),
    pages: whole(0, 1_000_000),
    pauses: whole(0, 1_000_000),
    wordsPerMinute: threeNumbers(1),
    pageSeconds: threeNumbers(0),
    pauseSeconds: threeNumbers(0),
  }),
  (input) => ({ minutes: readAloudMinutes(input as Parameters<typeof readAloudMinutes>[0]) }),
);

const LONGEST_LEAD = 3660;

const plannedTask = mixed<PlannedTask>()
  .required()
  .test('task', 'must be {id, workingDays} or {id, days} or {id, hours}', (value, context) => {
    const task = value as Record<string, unknown>;
    if (typeof task !== 'object' || task === null) return false;
    if (typeof task.id !== 'string' || task.id === '') {
      return context.createError({ path: `${context.path}.id`, message: 'is a required field' });
    }
    const leads = ['workingDays', 'days', 'hours'].filter((unit) => task[unit] !== undefined);
    if (leads.length !== 1) return context.createError({ message: 'needs exactly one of workingDays, days, hours' });
    const lead = task[leads[0]!];
    const most = leads[0] === 'hours' ? LONGEST_LEAD * 24 : LONGEST_LEAD;
    const isWhole = leads[0] === 'hours' || Number.isInteger(lead);
    if (typeof lead !== 'number' || !isWhole || !(lead >= 0) || lead > most) {
      return context.createError({
        path: `${context.path}.${leads[0]}`,
        message: `must be a number from 0 to ${most}`,
      });
    }
    return true;
  });

export const calcBackPlan = calculation(
  object({
    on: day(),
    at: timeOfDay(),
    weekend: array().of(whole(1, 7)).required().max(7),
    closed: array().of(day()).required().max(10_000, 'must hold at most 10000 days'),
    today: day(),
    tasks: array().of(plannedTask).required().max(1000, 'must hold at most 1000 tasks'),
  }),
  ({ on, at, weekend, closed, today, tasks }) => {
    if (new Set(weekend).size === 7) throw new CalcInputError('weekend', 'leaves no day of the week to work on');
    return { tasks: backPlan({ on, at, weekend, closed, today, tasks: tasks as PlannedTask[] }) };
  },
);
