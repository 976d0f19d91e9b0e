import loadHighs, { type Highs, type HighsCallbackMap, type ModelData } from 'highs';
import type { LinearAnswer, LinearHints, LinearModel, SolveLinear } from '../core/terms/linearModel.ts';

export interface SolverLimits {
  readonly seconds: number;
  /** Stops when the answer is proved to be within this part of the optimum; 0 asks for the optimum. */
  readonly gap: number;
}

let loading: Promise<Highs> | undefined;

/** Loads HiGHS (a MILP solver in WebAssembly) once and gives a solver with these limits. `wasmAddress` is where a browser finds it. */
export async function linearSolver(limits: SolverLimits, wasmAddress?: string): Promise<SolveLinear> {
  const highs = await (loading ??= loadHighs(wasmAddress ? { locateFile: () => wasmAddress } : undefined));
  return (model, hints = {}) => solveWith(highs, model, { limits, hints });
}

function solveWith(
  highs: Highs,
  model: LinearModel,
  { limits, hints }: { limits: SolverLimits; hints: LinearHints },
): LinearAnswer | null {
  if (model.rows.some(({ terms, lower }) => terms.length === 0 && lower > 0)) return null;
  if (model.columns.length === 0) return { values: [], bound: 0 };
  const solver = highs.createModel(toModelData(highs, model));
  try {
    solver.options.set({
      output_flag: false,
      time_limit: limits.seconds,
      mip_rel_gap: limits.gap,
      // Scores are whole numbers, so a bound less than one above is the optimum.
      mip_abs_gap: 0.999,
      // The search has already found a good plan; what is wanted is the proof.
      mip_allow_restart: false,
      mip_heuristic_effort: 0.01,
    });
    if (hints.start) solver.setSolution({ colValue: [...hints.start] });
    solver.run(callbacksFor(highs, hints));
    const values = [...solver.getSolution().colValue];
    const hasAnswer = solver.info.get('primal_solution_status') === 2;
    return hasAnswer ? { values, bound: Number(solver.info.get('mip_dual_bound')) } : null;
  } finally {
    solver.dispose();
  }
}

function callbacksFor(highs: Highs, { onProgress }: LinearHints): HighsCallbackMap | undefined {
  if (!onProgress) return undefined;
  const known = (value: number | undefined) => (value !== undefined && Number.isFinite(value) ? value : null);
  return {
    [highs.constants.callbackType.mipImprovingSolution]({ data }) {
      onProgress({
        score: known(data.mip_primal_bound),
        bound: known(data.mip_dual_bound),
        values: data.mip_solution && [...data.mip_solution],
      });
    },
    [highs.constants.callbackType.mipLogging]({ data }) {
      onProgress({ score: known(data.mip_primal_bound), bound: known(data.mip_dual_bound) });
    },
  };
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
