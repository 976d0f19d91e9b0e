import { fromTo } from '../../contracts/fields.ts';
import type { TermPlanInput, TermRule } from '../../core/terms/index.ts';
import { planOnTwoCores } from '../../solver/planOnTwoCores.ts';
import { amount, array, boolean, mixed, name, names, object, string, whole } from './fields.ts';
import { calculation, CalcInputError } from './calculation.ts';

/** Together with the search before it, a term of 36 slots and 120 activities is answered within 20 seconds. */
const LIMITS = { seconds: 11, gap: 0 };

/** Slots times activities; terms of more are not planned within the time that the contract gives. */
const MOST_CHOICES = 20_000;

const LOOSEN_PATHS: Readonly<Record<TermRule, string>> = {
  rest: 'rest',
  repeat: 'repeat',
  after: 'activities',
  light: 'slots',
  minutes: 'slots',
  forbid: 'forbid',
  order: 'order',
  balance: 'balance',
  perSlot: 'perSlot[0]',
};
const LOOSEN_WORDS: Readonly<Record<TermRule, string>> = {
  rest: 'no plan fits; fewer slots of rest between two uses would do',
  repeat: 'no plan fits; letting activities come back more often would do',
  after: 'no plan fits; dropping what has to come earlier (after) would do',
  light: 'no plan fits; fewer light slots would do',
  minutes: 'no plan fits; more minutes in the slots would do',
  forbid: 'no plan fits; forbidding less would do',
  order: 'no plan fits; dropping what has to come earlier (order) would do',
  balance: 'no plan fits; asking for fewer of a kind, or allowing more, would do',
  perSlot: 'no plan fits; ask for fewer activities in each slot',
};

const rangesByKind = mixed<Record<string, readonly [number, number]>>().test(
  'balance',
  'must be an object of kinds and [least, most], whole numbers from 0 to 10000 that rise',
  (value) => {
    if (value === undefined) return true;
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const ranges = Object.values(value) as unknown[];
    const isCount = (count: unknown) =>
      Number.isInteger(count) && (count as number) >= 0 && (count as number) <= 10_000;
    return (
      ranges.length <= 100 &&
      ranges.every(
        (range) => Array.isArray(range) && range.length === 2 && range.every(isCount) && range[0] <= range[1],
      )
    );
  },
);

const fits = mixed<Record<string, Record<string, number>>>().test(
  'fit',
  'must be an object of slots, each an object of activities and how well they suit it, 0 to 1',
  (value) => {
    if (value === undefined) return true;
    const isObject = (part: unknown): part is object =>
      typeof part === 'object' && part !== null && !Array.isArray(part);
    return (
      isObject(value) &&
      Object.values(value).every(
        (bySlot) =>
          isObject(bySlot) && Object.values(bySlot).every((fit) => typeof fit === 'number' && fit >= 0 && fit <= 1),
      )
    );
  },
);

/** Pairs of names. */
const pairs = (most: number) =>
  array()
    .of(array().of(string().required().max(200)).required().length(2, 'must hold two names'))
    .max(most);

const targets = mixed<Record<string, number>>()
  .required()
  .test('targets', 'must be an object of skills and whole numbers', (value, context) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    if (Object.keys(value).length > 1000) return context.createError({ message: 'must hold at most 1000 skills' });
    const wrong = Object.entries(value).find(([, times]) => !Number.isInteger(times) || times < 0 || times > 1000);
    return wrong
      ? context.createError({ path: `${context.path}.${wrong[0]}`, message: 'must be a whole number from 0 to 1000' })
      : true;
  });

export const calcTermPlan = calculation(
  object({
    slots: array()
      .of(object({ id: name(), minutes: amount(0, 10_000), theme: string().max(200).nullable(), light: boolean() }))
      .required()
      .max(200),
    activities: array()
      .of(
        object({
          id: name(),
          skills: names(),
          minutes: amount(0, 10_000),
          effort: whole(1, 3),
          themes: names(),
          after: array().of(string().required()).max(500),
          kind: string().max(200),
        }),
      )
      .required()
      .max(500),
    targets,
    perSlot: fromTo(whole(0, 100)),
    repeat: whole(0, 200),
    rest: whole(0, 200),
    fit: fits,
    forbid: pairs(20_000),
    order: pairs(50),
    balance: rangesByKind,
  }),
  async ({ forbid, order, ...given }) => {
    const input: TermPlanInput = { ...given, forbid: asPairs(forbid), order: asPairs(order) };
    refuseOddities(input);
    const plan = await planOnTwoCores(input, LIMITS);
    if (plan.ok) return plan.value;
    if (plan.problem.code === 'out-of-time')
      throw new CalcInputError('slots', 'no plan was found in time; fewer slots or fewer activities would do');
    const { loosen } = plan.problem;
    const words = [...loosen.map((rule) => LOOSEN_WORDS[rule]), `loosen: ${JSON.stringify(loosen)}`].join('; ');
    throw new CalcInputError(LOOSEN_PATHS[loosen[0]!], words);
  },
);

const asPairs = (list: readonly (readonly string[])[] | undefined) =>
  list?.map(([first, second]) => [first!, second!] as const);

/** Slots and activities that the rules name must be there. */
function refuseUnknown({ slots, activities, fit = {}, forbid = [] }: TermPlanInput): void {
  const slotIds = new Set(slots.map(({ id }) => id));
  const ids = new Set(activities.map(({ id }) => id));
  const requireSlot = (path: string, id: string) => {
    if (!slotIds.has(id)) throw new CalcInputError(path, `"${id}" is not among the slots`);
  };
  const requireActivity = (path: string, id: string) => {
    if (!ids.has(id)) throw new CalcInputError(path, `"${id}" is not among the activities`);
  };
  for (const [slot, bySlot] of Object.entries(fit)) {
    requireSlot(`fit.${slot}`, slot);
    for (const activity of Object.keys(bySlot)) requireActivity(`fit.${slot}.${activity}`, activity);
  }
  forbid.forEach(([slot, activity], index) => {
    requireSlot(`forbid[${index}][0]`, slot);
    requireActivity(`forbid[${index}][1]`, activity);
  });
}

function refuseOddities(input: TermPlanInput): void {
  const { slots, activities, perSlot } = input;
  for (const [path, list] of [
    ['slots', slots],
    ['activities', activities],
  ] as const) {
    list.forEach(({ id }, index) => {
      if (list.findIndex((other) => other.id === id) < index)
        throw new CalcInputError(`${path}[${index}].id`, `"${id}" is there twice`);
    });
  }
  refuseUnknown(input);
  const ids = new Set(activities.map(({ id }) => id));
  activities.forEach(({ id, after = [] }, index) =>
    after.forEach((earlier, at) => {
      const path = `activities[${index}].after[${at}]`;
      if (!ids.has(earlier)) throw new CalcInputError(path, `"${earlier}" is not among the activities`);
      if (earlier === id) throw new CalcInputError(path, 'an activity cannot come after itself');
    }),
  );
  if (slots.length * activities.length > MOST_CHOICES)
    throw new CalcInputError(
      'activities',
      `${slots.length} slots and ${activities.length} activities are too many to plan at once; plan fewer slots, or choose among fewer activities (${Math.floor(MOST_CHOICES / Math.max(1, slots.length))} with these slots)`,
    );
  if (perSlot[0] > perSlot[1]) throw new CalcInputError('perSlot', 'the least must not be above the most');
}
