import { readFile } from 'node:fs/promises';
import { Worker } from 'node:worker_threads';
import type { News, Share } from './planning-worker.js';

/** What is told of a share while a thread works on it. */
export interface Listener {
  /** Its last news say that it is done. */
  hear(news: News): void;
  /** It broke off. */
  fail(): void;
}

/** Threads for planning, kept from one plan to the next: a fresh one works slowly at first. */
export interface Threads {
  /** Has one work on a share. Returns how to stop it. */
  run(share: Share, listener: Listener): () => void;
  /** Begins as many as stand ready. */
  prepare(): void;
  close(): Promise<void>;
}

const FILE = new URL('./planning-worker.js', import.meta.url);
/** A thread that has not stopped after so long is ended. */
const STOPPED_MS = 2000;

/** As the platform has it; the types of Node leave it out. */
declare const WebAssembly: { compile(bytes: Uint8Array): Promise<object> };

/**
 * The solver's program, compiled once and held, so that all threads find it ready and as fast as the
 * last one left it. Without it they compile it themselves.
 */
const compiled = readFile(new URL(import.meta.resolve('highs/runtime')))
  .then((bytes) => WebAssembly.compile(bytes))
  .catch(() => null);

/** @param many how many stand ready at most */
export function makeThreads(many: number): Threads {
  const all = new Set<Worker>();
  const ready: Worker[] = [];
  const working = new Map<Worker, Listener>();

  const rest = (worker: Worker): void => {
    working.delete(worker);
    worker.unref();
    if (ready.length < many) ready.push(worker);
    else void worker.terminate();
  };
  const make = (): Worker => {
    const worker = new Worker(FILE);
    all.add(worker);
    worker.on('message', (news: News) => {
      const listener = working.get(worker);
      if (news.done) rest(worker);
      listener?.hear(news);
    });
    // What follows is its exit.
    worker.on('error', () => undefined);
    worker.on('exit', () => {
      all.delete(worker);
      if (ready.includes(worker)) ready.splice(ready.indexOf(worker), 1);
      const listener = working.get(worker);
      working.delete(worker);
      listener?.fail();
    });
    return worker;
  };

  return {
    run(share, listener) {
      const worker = ready.shift() ?? make();
      const stop = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));
      working.set(worker, listener);
      worker.ref();
      worker.postMessage({ share, stop });
      return () => {
        Atomics.store(stop, 0, 1);
        setTimeout(() => {
          if (working.get(worker) === listener) void worker.terminate();
        }, STOPPED_MS).unref();
      };
    },
    prepare() {
      while (ready.length < many) {
        const worker = make();
        worker.unref();
        ready.push(worker);
      }
    },
    async close() {
      await compiled;
      await Promise.all([...all].map((worker) => worker.terminate()));
    },
  };
}
