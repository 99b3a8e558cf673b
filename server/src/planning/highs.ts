import type { Engine, LinearModel } from '@gumo/core/planning';
import module, { type Highs } from 'highs';

/** What `primal_solution_status` says of a feasible point (HiGHS, kSolutionStatusFeasible). */
const FEASIBLE = 2;
/** Less time than this is not worth building a model. */
const SHORTEST_S = 0.02;

// The package says of its types that they are CommonJS; what is loaded is its ES module.
const loadHighs = module as unknown as typeof module.default;

/** HiGHS as the solver of linear models; it occupies the thread that it runs on. */
export async function highsEngine(): Promise<Engine> {
  const highs = await loadHighs();
  return { solve: (model, options) => solveWith(highs, model, options) };
}

const solveWith = (
  highs: Highs,
  linear: LinearModel,
  { seconds, gap, start, tell }: Parameters<Engine['solve']>[1],
): ReturnType<Engine['solve']> => {
  if (seconds < SHORTEST_S) return { values: null, bound: Infinity };
  const columns = linear.cost.length;
  const rows = linear.rowLower.length;
  if (columns === 0) return { values: [], bound: 0 };
  const model = highs.createModel({
    numCols: columns,
    numRows: rows,
    sense: highs.constants.objectiveSense.maximize,
    colCost: linear.cost,
    colLower: linear.lower,
    colUpper: linear.upper,
    rowLower: linear.rowLower,
    rowUpper: linear.rowUpper,
    integrality: Int32Array.from(linear.whole),
    matrix: {
      format: 'csr',
      numRows: rows,
      numCols: columns,
      starts: linear.starts,
      indices: linear.columns,
      values: linear.values,
    },
  });
  try {
    model.options.set({
      output_flag: false,
      mip_allow_restart: false,
      mip_rel_gap: gap,
      time_limit: seconds,
    });
    if (start) {
      model.setSolution({
        indices: Int32Array.from(start.map(([column]) => column)),
        values: Float64Array.from(start.map(([, value]) => value)),
      });
    }
    const { mipLogging } = highs.constants.callbackType;
    model.run(
      tell
        ? {
            [mipLogging]({ data }) {
              const { mip_primal_bound: worth, mip_dual_bound: bound } = data;
              // Before the root is solved the bound means nothing.
              if (Number(data.mip_node_count ?? 0) > 0 && bound !== undefined) {
                tell(worth ?? -Infinity, bound);
              }
            },
          }
        : undefined,
    );
    const found = model.info.get('primal_solution_status') === FEASIBLE;
    const isMixed = linear.whole.includes(1);
    const isSolved = model.getModelStatus() === highs.constants.modelStatus.optimal;
    const bound = isMixed
      ? Number(model.info.get('mip_dual_bound'))
      : isSolved
        ? model.getObjectiveValue()
        : Infinity;
    return {
      values: found ? model.getSolution().colValue : null,
      bound: Number.isFinite(bound) && Math.abs(bound) < highs.infinity ? bound : Infinity,
    };
  } finally {
    model.dispose();
  }
};
