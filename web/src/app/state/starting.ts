import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import type { Session } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../common/clock';
import { RunActions } from './run';

/** Starts a session at the table; it is kept with its first record. */
@Injectable({ providedIn: 'root' })
export class Starting {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);

  async start(
    activityId: string,
    participants: Session['participants'],
    planEntryId: string | null = null,
  ): Promise<void> {
    const session: Session = {
      id: uuid(),
      activityId,
      planEntryId,
      day: this.clock.today(),
      startedAt: this.clock.instant(),
      endedAt: null,
      mood: null,
      participants,
    };
    this.store.dispatch(RunActions.begun({ session }));
    await this.router.navigate(['/run', session.id]);
  }
}
