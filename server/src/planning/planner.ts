import { randomUUID } from 'node:crypto';
import { GOOD_ENOUGH, type PlanProgress, gapOf } from '@gumo/core/planning';
import { Problem } from '../problems.js';
import { goLastInLine } from './last-in-line.js';
import { makeThreads } from './threads.js';
import type { Share, Work } from './worker.js';

/** A plan in the making, in two threads: one looks for better plans, one for the proof. */
export interface Job {
  readonly id: string;
  /** The Monday, or the one day, that it is for. */
  readonly of: string;
  readonly seconds: number;
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
  /** @throws Problem 409 while another one is in the making */
  begin(of: string, work: Work): Job;
  current(): Job | null;
  find(id: string): Job | null;
  /** Begins and waits. @throws Problem 409, 503 */
  run(of: string, work: Work): Promise<PlanProgress>;
  /** Lets the threads stand ready, so that the first plan begins as soon as later ones. */
  prepare(): void;
  /** Ends what is running, for a clean stop; nothing is kept of it. */
  close(): Promise<void>;
}

const HALVES = ['search', 'bound'] as const;
/** News of the same stage are told no faster than this. */
const TELL_EVERY_MS = 250;
const STAGES = ['first', 'better', 'proof'] as const;

/**
 * The better plan of what both threads found, and the lower bound; the stage never goes back.
 * Nothing is told of the bound alone, before there is a plan.
 */
function together(
  best: PlanProgress | null,
  search: PlanProgress,
  proof: PlanProgress | null,
): PlanProgress {
  const { cards, value } = proof && proof.value > search.value ? proof : search;
  const stages = [best, search, proof].map((one) => STAGES.findIndex((is) => is === one?.stage));
  return {
    stage: STAGES[Math.max(0, ...stages)] ?? 'first',
    cards,
    value,
    bound: proof?.bound ?? null,
  };
}

export function makePlanner(): Planner {
  const threads = makeThreads(HALVES.length);
  let current: Job | null = null;

  function begin(of: string, work: Work): Job {
    if (current) {
      throw new Problem(409, 'A plan is being made already: wait for it, or stop it first.');
    }
    const stops: (() => void)[] = [];
    const backInLine = goLastInLine();
    const begun = performance.now();
    const listeners = new Set<(news: JobNews) => void>();
    let best: PlanProgress | null = null;
    let isOver = false;
    let toldAt = -Infinity;
    let later: NodeJS.Timeout | undefined;
    const tell = (news: JobNews): void => listeners.forEach((listener) => listener(news));
    const end = (news: JobNews): void => {
      if (isOver) return;
      isOver = true;
      current = null;
      clearTimeout(later);
      backInLine();
      for (const stop of stops) stop();
      tell(news);
      listeners.clear();
    };
    const job: Job = {
      id: randomUUID(),
      of,
      seconds: work.seconds,
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
    const heard: Partial<Record<Share['half'], PlanProgress>> = {};
    const tellBest = (): void => {
      clearTimeout(later);
      toldAt = performance.now();
      if (best) tell({ what: 'progress', progress: best });
    };
    const hear = (): void => {
      if (!heard.search) return;
      const stage = best?.stage;
      best = together(best, heard.search, heard.bound ?? null);
      const gap = gapOf(best.value, best.bound);
      if (running === 0 || (gap !== null && gap <= GOOD_ENOUGH)) {
        best = { ...best, stage: 'done' };
        end({ what: 'done', progress: best });
        return;
      }
      clearTimeout(later);
      const wait = toldAt + TELL_EVERY_MS - performance.now();
      if (best.stage !== stage || wait <= 0) tellBest();
      else later = setTimeout(tellBest, wait);
    };
    const start = (half: Share['half']): void => {
      const seconds = Math.max(0, work.seconds - (performance.now() - begun) / 1000);
      const share: Share = { ...work, seconds, half };
      const stop = threads.run(share, {
        hear(news) {
          if (isOver) return;
          // The first plan is there sooner where nothing else runs beside it.
          if (!heard[half] && half === 'search') start('bound');
          heard[half] = news;
          if (news.stage === 'done') running--;
          hear();
        },
        fail: () => end({ what: 'ended', why: 'failed' }),
      });
      stops.push(stop);
    };
    start('search');
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
            reject(new Problem(503, 'The plan was stopped before it was made.'));
          }
        });
      }),
    close() {
      current?.cancel();
      return threads.close();
    },
  };
}
