import { constants, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import {
  type PlanProgress,
  type WeekProblem,
  firstPlan,
  solveWeek,
  valueOf,
} from '@gumo/core/planning';
import { highsEngine } from './highs.js';

/** What the thread is given. */
export interface Work {
  readonly problem: WeekProblem;
  readonly seconds: number;
}

/** News of the same stage come no faster than this. */
const TELL_EVERY_S = 0.5;

// On Linux this is for the thread alone: whoever waits for a page or an answer goes first.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_BELOW_NORMAL);

const { problem, seconds } = workerData as Work;
const now = (): number => performance.now() / 1000;
let told = { stage: '', at: -Infinity };

const first = firstPlan(problem);
const value = valueOf(problem, [...problem.fixed, ...first]);
const begun: PlanProgress = { stage: 'first', cards: first, value, bound: null };
parentPort?.postMessage(begun);
const end = now() + seconds;

solveWeek(problem, await highsEngine(), {
  seconds: Math.max(0, end - now()),
  first,
  now,
  tell: (progress: PlanProgress) => {
    const { stage } = progress;
    const isNews = stage !== told.stage;
    if (!isNews && now() - told.at < TELL_EVERY_S) return;
    told = { stage, at: now() };
    parentPort?.postMessage(progress);
  },
});
