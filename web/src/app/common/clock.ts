import { DestroyRef, Injectable, inject, signal } from '@angular/core';
import { format } from 'date-fns/format';

const TICK_MS = 5_000;

/** The household's clock: ticks every few seconds, and knows today's day. */
@Injectable({ providedIn: 'root' })
export class Clock {
  readonly now = signal(new Date());
  readonly today = signal(this.dayOf(new Date()));

  constructor() {
    const timer = setInterval(() => this.tick(), TICK_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  /** The moment as facts keep it, in UTC. */
  instant(): string {
    return new Date().toISOString();
  }

  /** The time on the household's clock, as 09:20. */
  time(): string {
    return format(new Date(), 'HH:mm');
  }

  private tick(): void {
    const now = new Date();
    this.now.set(now);
    this.today.set(this.dayOf(now));
  }

  private dayOf(date: Date): string {
    return format(date, 'yyyy-MM-dd');
  }
}
