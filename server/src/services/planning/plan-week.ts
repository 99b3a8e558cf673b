import { type PlannedWeek, checkWeek, nearnessWords, stepsFor } from '@gumo/core/planning';
import type { ClockTime, Day, PlanEntry } from '@gumo/core/vocabulary';
import { Fault } from '../../faults.js';
import type { Services } from '../services.js';
import { weekOf } from './week-facts.js';
import { entriesOf, keepPlan } from './keep-plan.js';
import type { Job, PlanProgress } from './planner.js';

/** What a screen that follows a plan is told. */
export interface PlanNews {
  readonly state: 'running' | 'kept' | 'cancelled' | 'refused' | 'failed';
  readonly stage: PlanProgress['stage'];
  readonly worth: number;
  readonly bound: number | null;
  /** How near it is to the best, in a sentence; empty before that is known. */
  readonly nearness: string;
  /** The new cards, to be shown while nothing is kept yet. */
  readonly entries: readonly PlanEntry[];
  /** Why it was not kept; empty otherwise. */
  readonly message: string;
}

/** Plans of weeks: made in a thread of their own, kept when they are done. */
export interface WeekPlans {
  /** Begins to plan a week. @throws Fault `conflict`, `impossible` with what stands in the way */
  begin(from: Day, now: ClockTime | null, steps?: number): Job;
  /** News of a plan, from the last on. Returns how to stop listening, or null for an unknown one. */
  follow(id: string, listener: (news: PlanNews) => void): (() => void) | null;
}

/** Ended plans whose last news is remembered, for a screen that comes late. */
const REMEMBERED = 8;

export function weekPlansIn(context: Services): WeekPlans {
  const last = new Map<string, PlanNews>();
  const listeners = new Map<string, Set<(news: PlanNews) => void>>();

  const tell = (id: string, news: PlanNews): void => {
    last.set(id, news);
    for (const listener of listeners.get(id) ?? []) listener(news);
    if (news.state === 'running') return;
    listeners.delete(id);
    while (last.size > REMEMBERED) last.delete(last.keys().next().value as string);
  };

  return {
    begin(from, now, asked) {
      const week = weekOf(context, from, now);
      const steps = asked ?? stepsFor(week.model.children.length);
      refuse(week);
      const job = context.planner.begin(from, { model: week.model, steps });
      const newsOf = (
        state: PlanNews['state'],
        progress: PlanProgress,
        message = '',
      ): PlanNews => ({
        state,
        message,
        stage: progress.stage,
        worth: progress.worth,
        bound: progress.bound,
        nearness: nearnessWords(progress.worth, progress.bound),
        entries: entriesOf(week, progress.cards).map((entry, i) => ({ ...entry, id: `new-${i}` })),
      });
      const nothing: PlanProgress = { stage: 'first', cards: [], worth: 0, bound: null };
      tell(job.id, newsOf('running', nothing));
      job.listen((news) => {
        if (news.what === 'progress') tell(job.id, newsOf('running', news.progress));
        else if (news.what === 'ended') {
          const message =
            news.why === 'failed' ? 'The planning broke off. The plan is as it was before.' : '';
          tell(job.id, newsOf(news.why, job.best() ?? nothing, message));
        } else {
          try {
            keepPlan(context, week, weekOf(context, from, now), news.progress);
            tell(job.id, newsOf('kept', news.progress));
          } catch (error) {
            const message = error instanceof Fault ? error.title : 'The plan could not be kept.';
            tell(job.id, newsOf('refused', news.progress, message));
          }
        }
      });
      return job;
    },
    follow(id, listener) {
      const known = last.get(id);
      if (!known) return null;
      listener(known);
      if (known.state !== 'running') return () => undefined;
      const set = listeners.get(id) ?? new Set();
      set.add(listener);
      listeners.set(id, set);
      return () => set.delete(listener);
    },
  };
}

/** @throws Fault `impossible` with one sentence for each thing that stands in the way */
export function refuse(week: PlannedWeek, only: Day | null = null): void {
  const { refusals } = checkWeek(week, only);
  const [first] = refusals;
  if (first === undefined) return;
  throw new Fault(
    'impossible',
    first,
    refusals.map((message) => ({ field: 'plan', message })),
  );
}
