/** What the threads that plan a week need, and no more, as they are to be ready at once. */
export type { WeekProblem } from './problem.js';
export { type PlanProgress, boundWeek, searchWeek } from './solve-week.js';
