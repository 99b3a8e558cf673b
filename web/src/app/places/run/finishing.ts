import { Injectable, inject } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { nextSteps } from '@gumo/core/activities';
import { type ChildState, type Standing, standingOf, viewOf } from '@gumo/core/evidence';
import { SKILLS } from '@gumo/core/skills';
import type { Child, SittingEnd } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Clock } from '../../common/clock';
import { childrenFeature } from '../../state/children';
import { RunActions, runFeature } from '../../state/run';
import { FinishDialog, type FinishData, type Moved } from './finish-dialog';

const STATUS: Record<Standing, string> = {
  'not-met': 'Not started',
  started: 'Started',
  nearly: 'Nearly there',
  secure: 'Secure',
  'come-back': 'Review',
  taken: 'Assumed',
};

/** Ends a session: how it was, what it changed, and back to the day. */
@Injectable()
export class Finishing {
  private readonly store = inject(Store);
  private readonly dialogs = inject(MatDialog);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  private readonly sitting = this.store.selectSignal(runFeature.selectSitting);
  private readonly observations = this.store.selectSignal(runFeature.selectStanding);
  private readonly known = this.store.selectSignal(runFeature.selectEvidence);
  private readonly before = this.store.selectSignal(runFeature.selectBefore);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);

  /** Asks how it was; where nothing was noted there is nothing to ask, and nothing is kept. */
  open(): void {
    const sitting = this.sitting();
    if (!sitting) return;
    if (this.observations().length === 0) {
      this.leave(sitting.id, { mood: null });
      void this.router.navigateByUrl('/today');
      return;
    }
    this.store.dispatch(RunActions.weighed());
    const seen = new Set(this.observations().map((one) => one.childId));
    const children = sitting.takers.flatMap(({ childId }) => {
      const child = this.childById()[childId];
      return child && seen.has(childId) ? [child] : [];
    });
    const data: FinishData = {
      children,
      moved: children.flatMap((child) => this.movedOf(child, sitting.day)),
      next: children.flatMap((child) => this.nextOf(child, sitting.day)),
      finish: (end) => this.leave(sitting.id, end),
    };
    const phone = window.matchMedia('(max-width: 700px)').matches;
    this.dialogs
      .open<FinishDialog, FinishData, boolean>(FinishDialog, {
        data,
        width: phone ? '100vw' : '560px',
        maxWidth: '100vw',
        ...(phone ? { position: { bottom: '0' } } : {}),
      })
      .afterClosed()
      .subscribe((over) => {
        if (!over) return;
        const child = children.map(({ id }) => id);
        const queryParams = { ended: sitting.activityId, child };
        void this.router.navigate(['/today'], { queryParams });
      });
  }

  private leave(sittingId: string, how: Omit<SittingEnd, 'endedAt'>): void {
    // A device's clock may have been set back since the session began.
    const now = this.clock.instant();
    const started = this.sitting()?.startedAt ?? now;
    const endedAt = now < started ? started : now;
    this.store.dispatch(RunActions.ended({ sittingId, end: { endedAt, ...how } }));
  }

  private movedOf(child: Child, today: string): Moved[] {
    const [before, now] = [this.before()[child.id], this.known()[child.id]];
    if (!before || !now) return [];
    return SKILLS.flatMap((skill) => {
      const [from, to] = [standingOf(skill, before), standingOf(skill, now)];
      if (from === to) return [];
      const { reason } = viewOf(skill, now, today);
      return [{ name: child.name, title: skill.title, from: STATUS[from], to: STATUS[to], reason }];
    });
  }

  private nextOf(child: Child, today: string): string[] {
    const now: ChildState | undefined = this.known()[child.id];
    const [step] = now ? nextSteps(now, today) : [];
    return step ? [`Next for ${child.name}: ${step.title}. ${step.because}`] : [];
  }
}
