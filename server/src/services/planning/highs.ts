import type { LinearProgram, Solver } from '@gumo/core/planning';
import module, { type Highs } from 'highs';

/** What `primal_solution_status` says of a feasible point (HiGHS, kSolutionStatusFeasible). */
const FEASIBLE = 2;

// The package says of its types that they are CommonJS; what is loaded is its ES module.
const loadHighs = module as unknown as typeof module.default;

/** HiGHS as the solver of linear programs; it occupies the thread that it runs on. */
export async function highsSolver(): Promise<Solver> {
  const highs = await loadHighs();
  return { solve: (program, options) => solveWith(highs, program, options) };
}

function solveWith(
  highs: Highs,
  program: LinearProgram,
  { seconds, gap }: Parameters<Solver['solve']>[1],
): ReturnType<Solver['solve']> {
  const [numCols, numRows] = [program.cost.length, program.rowLower.length];
  if (numCols === 0) return { values: [], bound: 0 };
  const isMixed = program.whole.includes(1);
  const model = highs.createModel({
    numCols,
    numRows,
    sense: highs.constants.objectiveSense.maximize,
    colCost: program.cost,
    colLower: program.lower,
    colUpper: program.upper,
    rowLower: program.rowLower,
    rowUpper: program.rowUpper,
    ...(isMixed ? { integrality: Int32Array.from(program.whole) } : {}),
    matrix: {
      format: 'csr',
      numRows,
      numCols,
      starts: program.starts,
      indices: program.columns,
      values: program.values,
    },
  });
  try {
    // Without whole numbers the inner way is the faster one, by far where many days differ.
    const solver = isMixed ? 'choose' : 'ipm';
    model.options.set({ output_flag: false, mip_rel_gap: gap, time_limit: seconds, solver });
    model.run();
    const found = model.info.get('primal_solution_status') === FEASIBLE;
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
}
