import { constants, setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import {
  type PlanProgress,
  type WeekProblem,
  boundWeek,
  searchWeek,
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

// On Linux this is for the thread alone: whoever waits for a page or an answer goes first.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);

/** A share to work on, and where it says 1 once nobody wants it any more. */
export interface Task {
  readonly share: Share;
  readonly stop: Int32Array;
}

const engine = highsEngine();
/** In seconds, later than any plan ends: what the clock of a share shows once it is stopped. */
const OVER = 1e9;

async function plan({ share: { problem, seconds, half }, stop }: Task): Promise<void> {
  const clock = (): number => performance.now() / 1000;
  const now = (): number => (Atomics.load(stop, 0) === 0 ? clock() : OVER);
  const end = clock() + seconds;
  const left = (): number => Math.max(0, end - now());
  const tell = (progress: PlanProgress): void => parentPort?.postMessage(progress);
  if (half === 'search') {
    searchWeek(problem, { seconds: left(), now, tell });
    return;
  }
  const ready = await engine;
  boundWeek(problem, ready, {
    seconds: left(),
    // The proof begins with nothing: the other thread makes a first plan.
    first: [],
    now,
    tell: (progress) => {
      if (progress.stage !== 'first') tell(progress);
    },
  });
}

parentPort?.on('message', (task: Task) => void plan(task));
