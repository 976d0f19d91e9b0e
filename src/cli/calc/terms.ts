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
  perSlot: 'perSlot[0]',
};
const LOOSEN_WORDS: Readonly<Record<TermRule, string>> = {
  rest: 'no plan fits; fewer slots of rest between two uses would do',
  repeat: 'no plan fits; letting activities come back more often would do',
  after: 'no plan fits; dropping what has to come earlier (after) would do',
  light: 'no plan fits; fewer light slots would do',
  minutes: 'no plan fits; more minutes in the slots would do',
  perSlot: 'no plan fits; ask for fewer activities in each slot',
};

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
        }),
      )
      .required()
      .max(500),
    targets,
    perSlot: fromTo(whole(0, 100)),
    repeat: whole(0, 200),
    rest: whole(0, 200),
  }),
  async (input) => {
    refuseOddities(input);
    const plan = await planOnTwoCores(input, LIMITS);
    if (plan.ok) return plan.value;
    if (plan.problem.code === 'out-of-time')
      throw new CalcInputError('slots', 'no plan was found in time; fewer slots or fewer activities would do');
    throw new CalcInputError(LOOSEN_PATHS[plan.problem.loosen], LOOSEN_WORDS[plan.problem.loosen]);
  },
);

function refuseOddities({ slots, activities, perSlot }: TermPlanInput): void {
  for (const [path, list] of [
    ['slots', slots],
    ['activities', activities],
  ] as const) {
    list.forEach(({ id }, index) => {
      if (list.findIndex((other) => other.id === id) < index)
        throw new CalcInputError(`${path}[${index}].id`, `"${id}" is there twice`);
    });
  }
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
