import { Worker } from 'node:worker_threads';
import { UnusableDatabase } from '../../database/open.js';
import type { CopyWork } from './copy-worker.js';

const FILE = new URL('./copy-worker.js', import.meta.url);

/**
 * Copies a database in a thread of its own, sound and whole or not at all.
 * @throws UnusableDatabase where it cannot be brought up to date
 * @throws Error that says what went wrong
 */
export function copyDatabase(work: CopyWork): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(FILE, { workerData: work, execArgv: [] });
    worker.on('message', ({ error, name }: { error?: string; name?: string }) => {
      if (error === undefined) resolve();
      else reject(name === UnusableDatabase.name ? new UnusableDatabase(error) : new Error(error));
    });
    worker.on('error', reject);
    worker.on('exit', () => reject(new Error('the backup was stopped')));
  });
}
