import { constants, setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import {
  type Plan,
  type WeekModel,
  boundOf,
  greedyPlan,
  improvePlan,
} from '@gumo/core/planning/threads';
import { highsSolver } from './highs.js';

/** What is to be planned, and how many steps the search takes: the same plan on every machine. */
export interface Work {
  readonly model: WeekModel;
  readonly steps: number;
}

/** What one of the two threads is given: to look for better plans, or for what no plan can pass. */
export interface Share extends Work {
  readonly half: 'search' | 'bound';
}

/** What a thread tells of its share; its last news say that it is done. */
export type News =
  | { readonly what: 'plan'; readonly plan: Plan; readonly done: boolean }
  | { readonly what: 'bound'; readonly bound: number; readonly done: true };

// On Linux this is for the thread alone: whoever waits for a page or an answer goes first.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);

/** A share to work on, and where it says 1 once nobody wants it any more. */
export interface Task {
  readonly share: Share;
  readonly stop: Int32Array;
}

/** Far longer than any week takes. */
const BOUND_SECONDS = 60;
const solver = highsSolver();

async function work({ share: { model, steps, half }, stop }: Task): Promise<void> {
  const tell = (news: News): void => parentPort?.postMessage(news);
  if (half === 'bound') {
    const bound = boundOf(model, await solver, BOUND_SECONDS);
    tell({ what: 'bound', bound, done: true });
    return;
  }
  const first = greedyPlan(model);
  tell({ what: 'plan', plan: first, done: false });
  const plan = improvePlan(model, first, {
    steps,
    tell: (better) => tell({ what: 'plan', plan: better, done: false }),
    stop: () => Atomics.load(stop, 0) !== 0,
  });
  tell({ what: 'plan', plan, done: true });
}

parentPort?.on('message', (task: Task) => void work(task));
