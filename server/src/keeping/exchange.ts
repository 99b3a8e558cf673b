import { Worker } from 'node:worker_threads';
import { Problem } from '../problems.js';
import type { ExchangeWork } from './exchange-worker.js';

interface Answer {
  readonly counts?: Record<string, number>;
  readonly problem?: {
    readonly status: number;
    readonly title: string;
    readonly errors?: readonly { readonly field: string; readonly message: string }[];
  };
}

const FILE = new URL('./exchange-worker.js', import.meta.url);

/** Writes or reads a household file in a thread of its own. @throws Problem that says what is wrong */
export function exchange(work: ExchangeWork): Promise<Record<string, number>> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(FILE, { workerData: work, execArgv: [] });
    worker.on('message', ({ counts, problem }: Answer) => {
      if (problem) reject(new Problem(problem.status, problem.title, problem.errors));
      else resolve(counts ?? {});
    });
    worker.on('error', reject);
    worker.on('exit', () => reject(new Error('the exchange was stopped')));
  });
}
