import { DestroyRef, Injectable, computed, inject, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Clock } from '../common/clock';
import { WeekActions } from '../state/week';
import { PlanJob, PlanNews } from '@gumo/core/contract';
import { Writes } from '../state/writes';

/** A plan in the making: begun, followed, taken as it is, or stopped. */
@Injectable()
export class Planning {
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  private source: EventSource | null = null;

  readonly job = signal<PlanJob | null>(null);
  readonly news = signal<PlanNews | null>(null);
  /** What the last plan came to, in a sentence; null where there is nothing to say. */
  readonly message = signal<{ readonly text: string; readonly bad: boolean } | null>(null);
  readonly running = computed(() => this.job() !== null);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.source?.close());
  }

  async begin(from: string): Promise<void> {
    if (this.running()) return;
    this.message.set(null);
    try {
      const body = { now: this.clock.time() };
      this.follow(await this.writes.send('POST', `/weeks/${from}/plan`, body, PlanJob));
    } catch (error) {
      this.say((error as Error).message, true);
    }
  }

  /** Follows a plan that was begun here or on another device. */
  follow(job: PlanJob): void {
    if (this.job()?.id === job.id) return;
    this.source?.close();
    this.job.set(job);
    this.news.set(null);
    const source = new EventSource(`/api/plans/${job.id}/news?ngsw-bypass`);
    this.source = source;
    source.onmessage = ({ data }) => {
      const found = v.safeParse(PlanNews, JSON.parse(String(data)));
      if (found.success) this.take(job, found.output);
    };
    source.onerror = () => {
      if (this.source !== source) return;
      this.end();
      this.say(
        'The connection to the server was lost while the week was planned. The plan is as it was.',
        true,
      );
    };
  }

  async finish(): Promise<void> {
    await this.ask('POST', '/keep');
  }

  async cancel(): Promise<void> {
    await this.ask('DELETE', '');
  }

  dismiss(): void {
    this.message.set(null);
  }

  private async ask(method: 'POST' | 'DELETE', path: string): Promise<void> {
    const job = this.job();
    if (!job) return;
    try {
      await this.writes.send(method, `/plans/${job.id}${path}`, {}, v.null());
    } catch {
      // It has ended by itself in the meantime, and its last news say how.
    }
  }

  private take(job: PlanJob, news: PlanNews): void {
    this.news.set(news);
    if (news.state === 'running') return;
    this.end();
    if (news.state === 'kept') this.store.dispatch(WeekActions.opened({ from: job.of }));
    if (news.state === 'cancelled') this.say('Stopped. The plan is as it was before.', false);
    if (news.message !== '') this.say(news.message, true);
  }

  private end(): void {
    this.source?.close();
    this.source = null;
    this.job.set(null);
  }

  private say(text: string, bad: boolean): void {
    this.message.set({ text, bad });
  }
}
