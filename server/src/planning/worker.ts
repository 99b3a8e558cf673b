import { constants, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import {
  type PlanProgress,
  type WeekProblem,
  boundWeek,
  firstPlan,
  searchWeek,
  valueOf,
} from '@gumo/core/planning/threads';
import { highsEngine } from './highs.js';

/** What is to be planned. */
export interface Work {
  readonly problem: WeekProblem;
  readonly seconds: number;
}

/** What one of the two threads is given: to look for better plans, or for the proof. */
export interface Share extends Work {
  readonly half: 'search' | 'bound';
}

/** News of the same stage come no faster than this. */
const TELL_EVERY_S = 0.25;

// On Linux this is for the thread alone: whoever waits for a page or an answer goes first.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_BELOW_NORMAL);

const { problem, seconds, half } = workerData as Share;
const now = (): number => performance.now() / 1000;
let told = { stage: '', at: -Infinity };

const end = now() + seconds;
const isSearch = half === 'search';
const first = isSearch ? firstPlan(problem) : [];
if (isSearch) {
  const value = valueOf(problem, [...problem.fixed, ...first]);
  const begun: PlanProgress = { stage: 'first', cards: first, value, bound: null };
  parentPort?.postMessage(begun);
}

(isSearch ? searchWeek : boundWeek)(problem, await highsEngine(), {
  seconds: Math.max(0, end - now()),
  first,
  now,
  tell: (progress: PlanProgress) => {
    const { stage } = progress;
    const isNews = stage !== told.stage;
    if (stage === 'first' || (!isNews && now() - told.at < TELL_EVERY_S)) return;
    told = { stage, at: now() };
    parentPort?.postMessage(progress);
  },
});
