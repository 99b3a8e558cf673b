import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { Fault } from '../../faults.js';

/** What a thread says when something is wrong. */
export interface SaidWrong {
  readonly fault?: Pick<Fault, 'kind' | 'title' | 'errors'>;
}

/** The next word of a thread. @throws Fault that says what is wrong */
async function wordOf<T extends SaidWrong>(worker: Worker): Promise<T> {
  const over = new AbortController();
  const { signal } = over;
  try {
    const [answer] = (await Promise.race([
      once(worker, 'message', { signal }),
      once(worker, 'exit', { signal }).then(() => {
        throw new Error('the work was stopped');
      }),
    ])) as [T];
    const { fault } = answer;
    if (fault) throw new Fault(fault.kind, fault.title, fault.errors);
    return answer;
  } finally {
    over.abort();
  }
}

/** The words of a thread, each asked for when the one before is done with; the thread ends with the last. */
export async function* wordsOf<T extends SaidWrong>(file: URL, data: unknown): AsyncGenerator<T> {
  const worker = new Worker(file, { workerData: data, execArgv: [] });
  try {
    for (;;) {
      yield await wordOf<T>(worker);
      worker.postMessage('next');
    }
  } finally {
    await worker.terminate();
  }
}
