import { array, number, object, string } from 'yup';
import { CAUTION_RULES, levelInRoom, type Room, stricterOf } from '../core/cautions/index.ts';
import { actionName, allergenName, ruleLevel, traitName } from './cautions.ts';

const underMonths = () =>
  number()
    .transform((value: number, written: unknown) => (written === '' ? undefined : value))
    .typeError('must be a number of months, or nothing')
    .integer('must be whole months')
    .min(1, 'must be from 1 to 240 months')
    .max(240, 'must be from 1 to 240 months');
const MOUTHING = [false, true];
const MONTHS = Array.from({ length: 241 }, (_, months) => months);
const ROOMS: readonly Room[] = MOUTHING.flatMap((mouthing) =>
  MONTHS.map((youngestMonths) => ({ youngestMonths, mouthing })),
);

/** A rule of a programme's own, as its form sends it. */
export const ownRuleForm = object({
  words: string()
    .required('must say what to do')
    .max(300, 'must be at most 300 characters')
    .matches(/\S/, 'must say what to do'),
  level: ruleLevel(),
  underMonths: underMonths(),
  things: array().of(string().required().max(80)).required().max(60),
  traits: array().of(traitName()).required().max(60),
  actions: array().of(actionName()).required().max(60),
  allergens: array().of(allergenName()).required().max(20),
}).test('calls', 'Tick what it is about: a thing, a kind of thing, something done, or an allergen', (rule) =>
  [rule.things, rule.traits, rule.actions, rule.allergens].some((list) => list.length > 0),
);

/** A usual rule made stricter; one that would change nothing anywhere is refused. */
export const stricterRuleForm = object({ rule: actionName(), level: ruleLevel(), underMonths: underMonths() }).test(
  'stricter',
  'That is not stricter than it is already',
  ({ rule, level, underMonths: months }) =>
    !Object.hasOwn(CAUTION_RULES, rule ?? '') ||
    ROOMS.some((room) => {
      if (months !== undefined && room.youngestMonths >= months) return false;
      const usual = levelInRoom(rule, room);
      return stricterOf(usual, level as 'stop') !== usual;
    }),
);

/** A decision not to say a caution; whoever decides gives a reason. */
export const hiddenRuleForm = object({
  rule: actionName(),
  by: string()
    .required('must say who decided it')
    .max(200, 'must be at most 200 characters')
    .matches(/\S/, 'must say who decided it'),
  why: string().required('must say why').max(300, 'must be at most 300 characters').matches(/\S/, 'must say why'),
});

/** Whether a rule is a stop for everybody: then there is nothing to hide. */
export const isAlwaysStop = (rule: string): boolean =>
  Object.hasOwn(CAUTION_RULES, rule) && ROOMS.every((room) => levelInRoom(rule, room) === 'stop');
