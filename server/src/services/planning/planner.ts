import { randomUUID } from 'node:crypto';
import type { Card } from '@gumo/core/planning';
import { Fault } from '../../faults.js';
import { makeThreads } from './planning-threads.js';
import type { News, Share, Work } from './planning-worker.js';

/** How far a plan has come: the first one, better ones, and the best that was found. */
export interface PlanProgress {
  readonly stage: 'first' | 'better' | 'done';
  /** All cards of the week, those that stood already among them. */
  readonly cards: readonly Card[];
  readonly worth: number;
  /** No plan is worth more; null where that is not known yet. */
  readonly bound: number | null;
}

/** A plan in the making, in two threads: one looks for better plans, one for what none can pass. */
export interface Job {
  readonly id: string;
  /** The Monday, or the one day, that it is for. */
  readonly of: string;
  readonly startedAt: number;
  /** The best so far; null before the first plan. */
  readonly best: () => PlanProgress | null;
  /** Calls back with all that follows, and once it has ended; returns how to stop listening. */
  listen(listener: (news: JobNews) => void): () => void;
  /** Ends it and takes the best so far; null where there is none yet. */
  finish(): PlanProgress | null;
  cancel(): void;
}

export type JobNews =
  | { readonly what: 'progress'; readonly progress: PlanProgress }
  | { readonly what: 'done'; readonly progress: PlanProgress }
  | { readonly what: 'ended'; readonly why: 'cancelled' | 'failed' };

/** One plan at a time. */
export interface Planner {
  /** @throws Fault `conflict` while another one is in the making */
  begin(of: string, work: Work): Job;
  current(): Job | null;
  find(id: string): Job | null;
  /** Begins and waits. @throws Fault `conflict`, `busy` */
  run(of: string, work: Work): Promise<PlanProgress>;
  /** Lets the threads stand ready, so that the first plan begins as soon as later ones. */
  prepare(): void;
  /** Ends what is running, for a clean stop; nothing is kept of it. */
  close(): Promise<void>;
}

const HALVES = ['search', 'bound'] as const;
/** News of better plans are told no faster than this. */
const TELL_EVERY_MS = 600;

export function makePlanner(): Planner {
  const threads = makeThreads(HALVES.length);
  let current: Job | null = null;

  function begin(of: string, work: Work): Job {
    if (current) {
      throw new Fault('conflict', 'A plan is being made already: wait for it, or stop it first.');
    }
    const stops: (() => void)[] = [];
    const listeners = new Set<(news: JobNews) => void>();
    let best: PlanProgress | null = null;
    let bound: number | null = null;
    let isOver = false;
    let toldAt = -Infinity;
    let later: NodeJS.Timeout | undefined;
    const tell = (news: JobNews): void => listeners.forEach((listener) => listener(news));
    const end = (news: JobNews): void => {
      if (isOver) return;
      isOver = true;
      current = null;
      clearTimeout(later);
      for (const stop of stops) stop();
      tell(news);
      listeners.clear();
    };
    const job: Job = {
      id: randomUUID(),
      of,
      startedAt: Date.now(),
      best: () => best,
      listen(listener) {
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
      finish() {
        const progress = best && { ...best, stage: 'done' as const };
        end(progress ? { what: 'done', progress } : { what: 'ended', why: 'cancelled' });
        return progress;
      },
      cancel: () => end({ what: 'ended', why: 'cancelled' }),
    };
    let running: number = HALVES.length;
    const tellBest = (): void => {
      clearTimeout(later);
      toldAt = performance.now();
      if (best) tell({ what: 'progress', progress: best });
    };
    const hear = (news: News): void => {
      if (isOver) return;
      if (news.done) running--;
      if (news.what === 'bound') bound = Number.isFinite(news.bound) ? news.bound : null;
      else best = { ...news.plan, stage: best ? 'better' : 'first', bound };
      if (!best) return;
      best = { ...best, bound };
      if (running === 0) {
        best = { ...best, stage: 'done' };
        end({ what: 'done', progress: best });
        return;
      }
      clearTimeout(later);
      const wait = toldAt + TELL_EVERY_MS - performance.now();
      if (best.stage === 'first' || wait <= 0) tellBest();
      else later = setTimeout(tellBest, wait);
    };
    for (const half of HALVES) {
      const share: Share = { ...work, half };
      stops.push(threads.run(share, { hear, fail: () => end({ what: 'ended', why: 'failed' }) }));
    }
    current = job;
    return job;
  }

  return {
    begin,
    prepare: threads.prepare,
    current: () => current,
    find: (id) => (current?.id === id ? current : null),
    run: (of, work) =>
      new Promise((resolve, reject) => {
        begin(of, work).listen((news) => {
          if (news.what === 'done') resolve(news.progress);
          else if (news.what === 'ended') {
            reject(new Fault('busy', 'The plan was stopped before it was made.'));
          }
        });
      }),
    close() {
      current?.cancel();
      return threads.close();
    },
  };
}
