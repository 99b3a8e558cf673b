import { Worker } from 'node:worker_threads';
import { Problem } from '../problems.js';
import type { ExchangeWork } from './exchange-worker.js';

interface Answer {
  readonly read?: HouseholdRead;
  /** The next piece of a file that is written; null at its end. */
  readonly piece?: string | null;
  readonly problem?: {
    readonly status: number;
    readonly title: string;
    readonly errors?: readonly { readonly field: string; readonly message: string }[];
  };
}

/** What came in with a household file. */
export interface HouseholdRead {
  readonly counts: Record<string, number>;
  /** What was left out as it cannot have happened, the first of it in sentences. */
  readonly leftOut: { readonly count: number; readonly words: readonly string[] };
}

const FILE = new URL('./exchange-worker.js', import.meta.url);
const begin = (work: ExchangeWork): Worker => new Worker(FILE, { workerData: work, execArgv: [] });

/** The next word of a thread. @throws Problem that says what is wrong */
function wordOf(worker: Worker): Promise<Answer> {
  return new Promise((resolve, reject) => {
    worker.once('message', (answer: Answer) => {
      worker.removeAllListeners();
      const { problem } = answer;
      if (problem) reject(new Problem(problem.status, problem.title, problem.errors));
      else resolve(answer);
    });
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('the exchange was stopped')));
  });
}

/**
 * The whole household as one file, piece by piece, from a thread that writes each when it is asked for:
 * nothing is put on the disk. @throws Problem
 */
export async function* writtenHousehold(database: string, day: string): AsyncGenerator<string> {
  const worker = begin({ what: 'write', database, day });
  try {
    for (;;) {
      const { piece } = await wordOf(worker);
      if (typeof piece !== 'string') return;
      yield piece;
      worker.postMessage('next');
    }
  } finally {
    await worker.terminate();
  }
}

/** Makes a database of a household file, in a thread. @throws Problem that names what is wrong */
export async function readHousehold(
  file: string,
  database: string,
  today: string,
): Promise<HouseholdRead> {
  const worker = begin({ what: 'read', database, file, today });
  try {
    const { read } = await wordOf(worker);
    return read ?? { counts: {}, leftOut: { count: 0, words: [] } };
  } finally {
    await worker.terminate();
  }
}
