export { greedyPlan, improvePlan, type Plan } from './search.js';
export { boundOf } from './week-program.js';
export type { LinearProgram, Solver } from './linear-program.js';
export type { WeekModel } from './model.js';
