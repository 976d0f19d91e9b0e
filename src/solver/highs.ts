import loadHighs, { type Highs, type HighsCallbackMap, type ModelData } from 'highs';
import type { LinearAnswer, LinearHints, LinearModel, LinearSolver, RelaxedAnswer } from '../core/terms/index.ts';

export interface SolverLimits {
  readonly seconds: number;
  /** Stops when the answer is proved to be within this part of the optimum; 0 asks for the optimum. */
  readonly gap: number;
}

/** Searches in small parts of the model take more time than they save a solver that begins at good values. */
const WITHOUT_SEARCHES = {
  mip_heuristic_effort: 0.01,
  mip_heuristic_run_rins: false,
  mip_heuristic_run_rens: false,
  mip_heuristic_run_root_reduced_cost: false,
} as const;
/** A narrow model was proved in half the time without presolving, hard ones in a quarter. */
const OPTIONS_FOR = {
  find: { mip_heuristic_effort: 0.05 },
  both: WITHOUT_SEARCHES,
  prove: { ...WITHOUT_SEARCHES, presolve: 'off' },
} as const;

let loading: Promise<Highs> | undefined;

/** Loads HiGHS (a MILP solver in WebAssembly) once and gives a solver with these limits. `wasmAddress` is where a browser finds it. */
export async function linearSolver(limits: SolverLimits, wasmAddress?: string): Promise<LinearSolver> {
  const highs = await (loading ??= loadHighs(wasmAddress ? { locateFile: () => wasmAddress } : undefined));
  return {
    solve: (model, hints = {}) => solveWhole(highs, model, { limits, hints }),
    relax: (model) => solveRelaxed(highs, model, limits),
  };
}

const hasEmptyDemand = ({ rows }: LinearModel) => rows.some(({ terms, lower }) => terms.length === 0 && lower > 0);

function solveWhole(
  highs: Highs,
  model: LinearModel,
  { limits, hints }: { limits: SolverLimits; hints: LinearHints },
): LinearAnswer | 'out-of-time' | null {
  if (hasEmptyDemand(model)) return null;
  if (model.columns.length === 0) return { values: [], bound: 0 };
  const solver = highs.createModel(toModelData(highs, model, { isWhole: true, closed: hints.closed }));
  try {
    solver.options.set({
      output_flag: false,
      time_limit: Math.min(limits.seconds, hints.seconds ?? Infinity),
      mip_rel_gap: limits.gap,
      mip_abs_gap: 0.999 * (hints.leastGain ?? 1),
      mip_allow_restart: false,
      ...OPTIONS_FOR[hints.aim ?? 'both'],
    });
    if (hints.start) solver.setSolution({ colValue: [...hints.start] });
    solver.run(callbacksFor(highs, hints));
    const values = [...solver.getSolution().colValue];
    const hasAnswer = solver.info.get('primal_solution_status') === 2;
    if (hasAnswer) return { values, bound: Number(solver.info.get('mip_dual_bound')) };
    return solver.getModelStatus() === highs.constants.modelStatus.infeasible ? null : 'out-of-time';
  } finally {
    solver.dispose();
  }
}

function solveRelaxed(highs: Highs, model: LinearModel, { seconds }: SolverLimits): RelaxedAnswer | null {
  if (hasEmptyDemand(model)) return null;
  if (model.columns.length === 0) return { bound: 0, losses: [] };
  const solver = highs.createModel(toModelData(highs, model, { isWhole: false }));
  try {
    solver.options.set({ output_flag: false, time_limit: seconds, presolve: 'off' });
    solver.run();
    if (solver.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
    const { colValue, colDual } = solver.getSolution();
    return {
      bound: Number(solver.info.get('objective_function_value')),
      losses: model.columns.map((_, column) => (colValue[column]! > 1e-7 ? 0 : Math.max(0, -colDual[column]!))),
    };
  } finally {
    solver.dispose();
  }
}

function callbacksFor(highs: Highs, { onProgress, shouldStop }: LinearHints): HighsCallbackMap {
  const known = (value: number | undefined) => (value !== undefined && Number.isFinite(value) ? value : null);
  const stopping: HighsCallbackMap = shouldStop
    ? { [highs.constants.callbackType.mipInterrupt]: (event) => void (shouldStop() && event.interrupt()) }
    : {};
  if (!onProgress) return stopping;
  return {
    ...stopping,
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
function toModelData(
  highs: Highs,
  { columns, rows }: LinearModel,
  { isWhole: asWhole, closed = [] }: { isWhole: boolean; closed?: readonly boolean[] | undefined },
): ModelData {
  const finite = (limit: number) => (Number.isFinite(limit) ? limit : Math.sign(limit) * highs.infinity);
  const starts = [0];
  for (const { terms } of rows) starts.push(starts.at(-1)! + terms.length);
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: columns.map(({ gain }) => gain),
    colLower: columns.map(() => 0),
    colUpper: columns.map(({ upper }, column) => (closed[column] ? 0 : upper)),
    rowLower: rows.map(({ lower }) => finite(lower)),
    rowUpper: rows.map(({ upper }) => finite(upper)),
    integrality: columns.map(({ isWhole }) =>
      asWhole && isWhole ? highs.constants.variableType.integer : highs.constants.variableType.continuous,
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
