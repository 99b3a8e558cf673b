import { parentPort } from 'node:worker_threads';
import { Fault } from '../../faults.js';

/** Does some work in a thread, and tells whoever began it what went wrong. */
export function tell(some: () => void): void {
  try {
    some();
  } catch (error) {
    const { kind, title, errors } =
      error instanceof Fault
        ? error
        : (faultOfFile(error) ?? new Fault('broken', (error as Error).message));
    // An error loses its fields on the way out of a thread.
    parentPort?.postMessage({ fault: { kind, title, errors } });
  }
}

/** What the database refuses of a file: a record that names one that is not in it. */
function faultOfFile(error: unknown): Fault | null {
  const { code } = error as { code?: string };
  if (code === 'SQLITE_CONSTRAINT_FOREIGNKEY') {
    return new Fault(
      'impossible',
      'A record of the file names a child or session that is not in it.',
    );
  }
  if (code?.startsWith('SQLITE_CONSTRAINT')) {
    return new Fault('impossible', 'Two records of the file have the same id.');
  }
  return code === 'SQLITE_FULL' || code === 'ENOSPC'
    ? new Fault('full', 'The disk is full: make room and try again. Nothing was changed.')
    : null;
}
