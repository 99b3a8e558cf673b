import { parentPort } from 'node:worker_threads';
import { Problem } from '../problems.js';

/** Does some work in a thread, and tells whoever began it what went wrong. */
export function tell(some: () => void): void {
  try {
    some();
  } catch (error) {
    const problem =
      error instanceof Problem
        ? error.toJSON()
        : (sqliteWords(error) ?? { status: 500, title: (error as Error).message });
    parentPort?.postMessage({ problem });
  }
}

/** What the database refuses of a file: a record that names one that is not in it. */
function sqliteWords(error: unknown): { status: number; title: string } | null {
  const { code } = error as { code?: string };
  if (code === 'SQLITE_CONSTRAINT_FOREIGNKEY') {
    return {
      status: 422,
      title: 'A record of the file names a child or session that is not in it.',
    };
  }
  if (code?.startsWith('SQLITE_CONSTRAINT')) {
    return { status: 422, title: 'Two records of the file have the same id.' };
  }
  return code === 'SQLITE_FULL' || code === 'ENOSPC'
    ? { status: 507, title: 'The disk is full: make room and try again. Nothing was changed.' }
    : null;
}
