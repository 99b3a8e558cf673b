import type { Engine, LinearModel, Relaxation } from '@gumo/core/planning';
import module, { type BasisInput, type Highs } from 'highs';

/** What `primal_solution_status` says of a feasible point (HiGHS, kSolutionStatusFeasible). */
const FEASIBLE = 2;
/** Less time than this is not worth building a model. */
const SHORTEST_S = 0.02;

// The package says of its types that they are CommonJS; what is loaded is its ES module.
const loadHighs = module as unknown as typeof module.default;

/** HiGHS as the solver of linear models; it occupies the thread that it runs on. */
export async function highsEngine(): Promise<Engine> {
  const highs = await loadHighs();
  return {
    solve: (model, options) => solveWith(highs, model, options),
    relax: (model) => relaxationOf(highs, model),
  };
}

function modelOf(highs: Highs, linear: LinearModel, isRelaxed: boolean) {
  const [numCols, numRows] = [linear.cost.length, linear.rowLower.length];
  return highs.createModel({
    numCols,
    numRows,
    sense: highs.constants.objectiveSense.maximize,
    colCost: linear.cost,
    colLower: linear.lower,
    colUpper: linear.upper,
    rowLower: linear.rowLower,
    rowUpper: linear.rowUpper,
    ...(isRelaxed ? {} : { integrality: Int32Array.from(linear.whole) }),
    matrix: {
      format: 'csr',
      numRows,
      numCols,
      starts: linear.starts,
      indices: linear.columns,
      values: linear.values,
    },
  });
}

function relaxationOf(highs: Highs, linear: LinearModel): Relaxation {
  const model = modelOf(highs, linear, true);
  const { optimal } = highs.constants.modelStatus;
  const { basic } = highs.constants.basisStatus;
  let rows = linear.rowLower.length;
  model.options.set({ output_flag: false });
  return {
    solve(seconds) {
      if (seconds < SHORTEST_S) return null;
      // The time limit counts from the first run on, unless the clocks are set back.
      model.zeroAllClocks();
      model.options.set({ time_limit: seconds });
      model.run();
      const status = model.getModelStatus();
      if (status === highs.constants.modelStatus.infeasible)
        return { worth: -Infinity, values: [] };
      if (status !== optimal) return null;
      return { worth: model.getObjectiveValue(), values: model.getSolution().colValue };
    },
    setBounds: (column, lower, upper) => void model.changeColBounds(column, lower, upper),
    addRow(terms, upper) {
      const indices = Int32Array.from(terms, ([column]) => column);
      const values = Float64Array.from(terms, ([, value]) => value);
      model.addRow(-highs.infinity, upper, { indices, values });
      return rows++;
    },
    setRow: (row, lower, upper) => void model.changeRowBounds(row, lower, upper),
    standing: () => model.getBasis(),
    comeBack(standing) {
      const { colStatus, rowStatus } = standing as BasisInput;
      // Rows that were added since do not hold anything yet.
      const status = new Int32Array(rows).fill(basic);
      status.set(rowStatus);
      model.setBasis({ colStatus, rowStatus: status });
    },
    close: () => model.dispose(),
  };
}

const solveWith = (
  highs: Highs,
  linear: LinearModel,
  { seconds, gap, start, tell }: Parameters<Engine['solve']>[1],
): ReturnType<Engine['solve']> => {
  if (seconds < SHORTEST_S) return { values: null, bound: Infinity };
  const columns = linear.cost.length;
  if (columns === 0) return { values: [], bound: 0 };
  const model = modelOf(highs, linear, false);
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
