import module, { type Highs } from 'highs';
import { worthOf } from './draft.js';
import { type LinearProgram, type Solver, programBuilder } from './linear-program.js';
import type { Card, WeekModel } from './model.js';
import { aCard, aModel, aModelActivity, aModelChild, aWant, brokenRules } from './testing.js';
import { boundOf, weekProgram } from './week-program.js';

// The package says of its types that they are CommonJS; what is loaded is its ES module.
const load = module as unknown as typeof module.default;

/** The best of a program by HiGHS (Huangfu and Hall 2018), a solver that knows nothing of weeks. */
function solved(highs: Highs, program: LinearProgram): { best: number; values: number[] } {
  const model = highs.createModel({
    numCols: program.cost.length,
    numRows: program.rowLower.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: program.cost,
    colLower: program.lower,
    colUpper: program.upper,
    rowLower: program.rowLower,
    rowUpper: program.rowUpper,
    integrality: Int32Array.from(program.whole),
    matrix: {
      format: 'csr',
      numRows: program.rowLower.length,
      numCols: program.cost.length,
      starts: program.starts,
      indices: program.columns,
      values: program.values,
    },
  });
  try {
    model.options.set({ output_flag: false, mip_rel_gap: 0, time_limit: 60 });
    model.run();
    const values = [...model.getSolution().colValue];
    return { best: model.getObjectiveValue(), values };
  } finally {
    model.dispose();
  }
}

describe('a linear program', () => {
  it('holds rows as they were said, a column that stands twice in one summed up', () => {
    const program = programBuilder();
    const x = program.column(3, 4);
    const y = program.column(2, 1, true);
    program.atMost(
      [
        [x, 1],
        [y, 2],
        [x, 1],
      ],
      7,
    );
    program.atMost([[y, 1]], 5, 1);
    const built = program.build();
    expect([...built.cost]).toEqual([3, 2]);
    expect([...built.whole]).toEqual([0, 1]);
    expect([...built.starts]).toEqual([0, 2, 3]);
    expect([...built.columns]).toEqual([x, y, y]);
    expect([...built.values]).toEqual([2, 2, 1]);
    expect([...built.rowLower]).toEqual([-Infinity, 1]);
    expect([...built.rowUpper]).toEqual([7, 5]);
  });

  it('lets no column end below where it begins', () => {
    const program = programBuilder();
    program.column(0, 1, false, 2);
    expect([...program.build().upper]).toEqual([2]);
  });
});

describe('the week as a linear program', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await load();
  });
  const worthAsProgram = (model: WeekModel, plan: readonly Card[]): number =>
    solved(highs, weekProgram(model, { byDay: true, plan })).best;

  const wants = [aWant('nearly'), aWant('started', { strand: 2 })];
  const two = [aModelChild('Wren', { wants }), aModelChild('Juno', { wants: [aWant('open')] })];
  const small = (more: Partial<WeekModel> = {}): WeekModel => {
    const model = aModel(
      two,
      [
        aModelActivity('lids', 'table', two),
        aModelActivity('pegs', 'play', two, { weeksUnused: 1, wet: true }),
      ],
      more,
    );
    return { ...model, days: model.days.slice(0, 3) };
  };
  /** Every plan of the week that keeps the rules: each activity on each day with each group, or not. */
  const allPlans = (model: WeekModel): Card[][] => {
    const groups = (a: number): (readonly (readonly [number, number])[])[] => {
      const ways = model.children.map((_, c) =>
        (model.activities[a]!.options[c] ?? []).map((__, o) => [c, o] as const),
      );
      const [first = [], second = []] = ways;
      return [
        ...first.map((one) => [one]),
        ...second.map((one) => [one]),
        ...first.flatMap((one) => second.map((other) => [one, other])),
      ];
    };
    let plans: Card[][] = [[]];
    model.days.forEach((_, d) =>
      model.activities.forEach((__, a) => {
        const cards = groups(a).map((group) => aCard(a, d, group));
        plans = plans.flatMap((plan) => [plan, ...cards.map((card) => [...plan, card])]);
      }),
    );
    // That no two days are alike is for the search; the program does not know it.
    return plans.filter((plan) =>
      brokenRules(model, plan).every((rule) => rule === 'two days alike'),
    );
  };

  it('is worth what a plan is worth, whatever the plan', () => {
    const model = small();
    const plans = allPlans(model);
    expect(plans.length).toBeGreaterThan(100);
    for (let i = 0; i < plans.length; i += Math.ceil(plans.length / 40)) {
      expect(worthAsProgram(model, plans[i]!))
        .withContext(JSON.stringify(plans[i]))
        .toBeCloseTo(worthOf(model, plans[i]!), 6);
    }
  });

  it('finds the best week: as good as the best of all plans that there are', () => {
    const model = small();
    const best = Math.max(...allPlans(model).map((plan) => worthOf(model, plan)));
    expect(best).toBeGreaterThan(0);
    expect(solved(highs, weekProgram(model, { byDay: true })).best).toBeCloseTo(best, 6);
  });

  it('knows a bound that no plan passes, with days that are alike taken together', () => {
    const model = small();
    const best = solved(highs, weekProgram(model, { byDay: true })).best;
    let asked: LinearProgram | null = null;
    const solver: Solver = {
      solve: (program) => {
        asked = program;
        const { best: bound, values } = solved(highs, program);
        return { bound, values };
      },
    };
    expect(boundOf(model, solver, 5)).toBeGreaterThanOrEqual(best - 1e-6);
    const byDay = weekProgram(model, { byDay: true });
    expect(asked!.cost.length).toBeLessThan(byDay.cost.length);
    expect(asked!.whole.includes(1)).toBeFalse();
  });

  it('keeps what stands already, beyond its limits too', () => {
    const fixed = [aCard(0, 0, [0]), aCard(0, 1, [0])];
    const model = small({
      fixed,
      limits: { cards: { anytime: 0, play: 0, table: 0 }, dayMinutes: 1, weekMinutes: 1 },
    });
    expect(solved(highs, weekProgram(model, { byDay: true })).best).toBeCloseTo(
      worthOf(model, fixed),
      6,
    );
  });

  it('plans nothing on closed days, and leaves a child out who is away', () => {
    const model = small();
    const closed = { ...model, days: model.days.map((day) => ({ ...day, open: false })) };
    const none = solved(highs, weekProgram(closed, { byDay: true })).best;
    expect(none).toBeCloseTo(worthOf(closed, []), 6);
    const away = { ...model, days: model.days.map((day) => ({ ...day, here: [1] })) };
    const best = Math.max(...allPlans(away).map((plan) => worthOf(away, plan)));
    expect(solved(highs, weekProgram(away, { byDay: true })).best).toBeCloseTo(best, 6);
  });
});
