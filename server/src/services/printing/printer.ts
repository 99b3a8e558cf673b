import { Worker } from 'node:worker_threads';
import type { Sheet } from '@gumo/core/sheets';

/** Writes sheets as PDF files, in a thread of its own that begins with the first. */
export interface Printer {
  pdf(sheets: readonly Sheet[]): Promise<Uint8Array>;
  close(): Promise<void>;
}

interface Answer {
  readonly id: number;
  readonly file?: Uint8Array;
  readonly error?: string;
}
interface Waiting {
  resolve(file: Uint8Array): void;
  reject(error: Error): void;
}

const FILE = new URL('./pdf-worker.js', import.meta.url);

export function makePrinter(): Printer {
  let worker: Worker | null = null;
  let next = 0;
  const waiting = new Map<number, Waiting>();

  function begin(): Worker {
    const started = new Worker(FILE);
    started.unref();
    started.on('message', ({ id, file, error }: Answer) => {
      const one = waiting.get(id);
      waiting.delete(id);
      if (file) one?.resolve(file);
      else one?.reject(new Error(error));
    });
    const fail = (): void => {
      worker = null;
      waiting.forEach((one) => one.reject(new Error('the printer stopped')));
      waiting.clear();
    };
    started.on('error', fail);
    started.on('exit', fail);
    return started;
  }

  return {
    pdf: (sheets) =>
      new Promise((resolve, reject) => {
        worker ??= begin();
        waiting.set(++next, { resolve, reject });
        worker.postMessage({ id: next, sheets });
      }),
    close: async () => {
      await worker?.terminate();
    },
  };
}
