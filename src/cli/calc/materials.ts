import { findCautions } from '../../core/cautions/index.ts';
import { checkReadiness } from '../../core/homes/index.ts';
import { chooseSwaps, type StockedNeed, totalMaterials } from '../../core/materials/index.ts';
import { describeExpressionProblem } from '../../messages/expressions.ts';
import { actionName, traitName } from '../../contracts/cautions.ts';
import { ageMonths, amount, array, boolean, dials, mixed, name, number, object, string, whole } from './fields.ts';
import { calculation, CalcInputError } from './calculation.ts';

const USES = ['lasting', 'used-up'] as const;

const quantity = () =>
  mixed<number | string>()
    .required()
    .test(
      'quantity',
      'must be a number or an expression',
      (value) => typeof value === 'number' || typeof value === 'string',
    );

const use = () => string().required().oneOf(USES);

export const calcMaterials = calculation(
  object({
    children: whole(0, 1000),
    segments: array()
      .of(
        object({
          id: name(),
          dials: dials(),
          needs: array()
            .of(
              object({
                item: name(),
                qty: quantity(),
                per: string()
                  .required()
                  .oneOf(['home', 'child'] as const),
                use: use(),
              }),
            )
            .required()
            .max(1000, 'must hold at most 1000 needs'),
        }),
      )
      .required()
      .max(200, 'must hold at most 200 segments'),
  }),
  ({ children, segments }) => {
    const totals = totalMaterials({
      children,
      segments: segments.map((segment) => ({ ...segment, dials: segment.dials ?? {} })),
    });
    if (totals.ok) return { items: totals.value };
    const { segment, need, problem } = totals.problem;
    const { id, needs } = segments[segment]!;
    throw new CalcInputError(
      `segments[${segment}].needs[${need}].qty`,
      `${describeExpressionProblem(problem)} (need of ${needs[need]!.item} in ${id})`,
    );
  },
);

const need = object({
  id: name(),
  segment: name(),
  qty: amount(0, 1_000_000_000),
  use: use(),
  options: array()
    .of(
      object({
        item: name(),
        fit: number().required().min(0, 'must be at least 0').max(1, 'must be at most 1'),
        minMonths: number().integer('must be a whole number').min(0, 'must be at least 0'),
        qty: amount(0, 1_000_000_000).optional(),
      }),
    )
    .required()
    .max(100, 'must hold at most 100 options'),
});

const MOST_NEEDS = 1000;

const needs = () => array().of(need).required().max(MOST_NEEDS, `must hold at most ${MOST_NEEDS} needs`);

const stock = () =>
  array()
    .of(object({ item: name(), qty: amount(0, 1_000_000_000) }))
    .required()
    .max(10_000, 'must hold at most 10000 things');

function refuseRepeatedIds(list: readonly { id: string }[], path: string): void {
  const seen = new Set<string>();
  list.forEach(({ id }, index) => {
    if (seen.has(id)) throw new CalcInputError(`${path}[${index}].id`, `"${id}" is there twice`);
    seen.add(id);
  });
}

export const calcSwaps = calculation(
  object({ youngestMonths: ageMonths(), needs: needs(), stock: stock() }),
  ({ youngestMonths, needs, stock: available }) => {
    refuseRepeatedIds(needs, 'needs');
    return chooseSwaps({ youngestMonths, needs: needs as StockedNeed[], stock: available });
  },
);

export const calcReadiness = calculation(
  object({
    needs: needs(),
    homes: array()
      .of(object({ id: name(), youngestMonths: ageMonths(), stock: stock() }))
      .required()
      .max(1000, 'must hold at most 1000 homes'),
  }),
  ({ needs, homes }) => {
    refuseRepeatedIds(needs, 'needs');
    return checkReadiness(needs as StockedNeed[], homes);
  },
);

export const calcCautions = calculation(
  object({
    youngestMonths: ageMonths(),
    items: array()
      .of(object({ item: name(), traits: array().of(traitName()).required().max(100) }))
      .required()
      .max(5000, 'must hold at most 5000 things'),
    actions: array().of(actionName()).required().max(100),
    mouthing: boolean(),
  }),
  (input) => ({ cautions: findCautions(input) }),
);
