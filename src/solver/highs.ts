import loadHighs, { type Highs, type ModelData } from 'highs';
import type { LinearAnswer, LinearModel, SolveLinear } from '../core/terms/termPlan.ts';

export interface SolverLimits {
  readonly seconds: number;
  /** Stops when the answer is proved to be within this part of the optimum; 0 asks for the optimum. */
  readonly gap: number;
}

let loading: Promise<Highs> | undefined;

/** Loads HiGHS (a MILP solver in WebAssembly) once and gives a solver with these limits. */
export async function linearSolver(limits: SolverLimits): Promise<SolveLinear> {
  const highs = await (loading ??= loadHighs());
  return (model) => solveWith(highs, model, limits);
}

function solveWith(highs: Highs, model: LinearModel, { seconds, gap }: SolverLimits): LinearAnswer | null {
  if (model.columns.length === 0) return model.rows.some(({ lower }) => lower > 0) ? null : { values: [], bound: 0 };
  const solver = highs.createModel(toModelData(highs, model));
  try {
    solver.options.set('output_flag', false);
    solver.options.set('time_limit', seconds);
    solver.options.set('mip_rel_gap', gap);
    solver.options.set('mip_abs_gap', 0.999);
    solver.run();
    const values = [...solver.getSolution().colValue];
    const hasAnswer = solver.info.get('primal_solution_status') === 2;
    return hasAnswer ? { values, bound: Number(solver.info.get('mip_dual_bound')) } : null;
  } finally {
    solver.dispose();
  }
}

/** Rows by their non-zero entries. Infinite limits become those of the solver. */
function toModelData(highs: Highs, { columns, rows }: LinearModel): ModelData {
  const finite = (limit: number) => (Number.isFinite(limit) ? limit : Math.sign(limit) * highs.infinity);
  const starts = [0];
  for (const { terms } of rows) starts.push(starts.at(-1)! + terms.length);
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: columns.map(({ gain }) => gain),
    colLower: columns.map(() => 0),
    colUpper: columns.map(({ upper }) => upper),
    rowLower: rows.map(({ lower }) => finite(lower)),
    rowUpper: rows.map(({ upper }) => finite(upper)),
    integrality: columns.map(({ isWhole }) =>
      isWhole ? highs.constants.variableType.integer : highs.constants.variableType.continuous,
    ),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: rows.flatMap(({ terms }) => terms.map(([column]) => column)),
      values: rows.flatMap(({ terms }) => terms.map(([, factor]) => factor)),
    },
  };
}
