import { Injectable, inject } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { type AlsoWith, alsoWith, nextSteps } from '@gumo/core/activities';
import {
  type ChildState,
  STATUS_WORDS,
  type SkillStatus,
  asHeard,
  isResting,
  statusOf,
  viewOf,
} from '@gumo/core/evidence';
import { type HomeStrip, homeStrip } from '@gumo/core/family';
import { capital } from '@gumo/core/numbers';
import { SKILLS, type Skill } from '@gumo/core/skills';
import {
  type Child,
  type Session,
  type SessionEnd,
  Material,
  newMaterial,
  speaksOf,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../../common/clock';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { RunActions, runFeature } from '../../state/run';
import { Starting } from '../../state/starting';
import { MaterialsActions } from '../../state/materials';
import { FinishDialog, type FinishData, type Finished, type Moved } from './finish-dialog';
import { Writes } from '../../state/writes';

/** Ends a session: how it was, what it changed, and back to the day. */
@Injectable()
export class Finishing {
  private readonly store = inject(Store);
  private readonly dialogs = inject(MatDialog);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  private readonly writes = inject(Writes);
  private readonly starting = inject(Starting);
  private readonly activity = this.store.selectSignal(runFeature.selectActivity);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly session = this.store.selectSignal(runFeature.selectSession);
  private readonly observations = this.store.selectSignal(runFeature.selectStatus);
  private readonly known = this.store.selectSignal(runFeature.selectEvidence);
  private readonly before = this.store.selectSignal(runFeature.selectBefore);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);

  /** Asks how it was; where nothing was noted there is nothing to ask, and nothing is kept. */
  open(): void {
    const session = this.session();
    if (!session) return;
    if (this.observations().length === 0) {
      this.leave(session.id, { mood: null });
      void this.router.navigateByUrl('/today');
      return;
    }
    this.store.dispatch(RunActions.weighed());
    const seen = new Set(this.observations().map((one) => one.childId));
    const children = session.participants.flatMap(({ childId }) => {
      const child = this.childById()[childId];
      return child && seen.has(childId) ? [child] : [];
    });
    const data: FinishData = {
      children,
      moved: children.flatMap((child) => this.movedOf(child, session.day)),
      next: children.flatMap((child) => this.nextOf(child, session.day)),
      also: this.alsoFor(session, children),
      home: this.homeFor(session, children),
      made: this.activity()?.yields ?? null,
      addMade: () => this.addMade(),
      finish: (end) => this.leave(session.id, end),
    };
    const phone = window.matchMedia('(max-width: 700px)').matches;
    this.dialogs
      .open<FinishDialog, FinishData, Finished>(FinishDialog, {
        data,
        width: phone ? '100vw' : '560px',
        maxWidth: '100vw',
        ...(phone ? { position: { bottom: '0' } } : {}),
      })
      .afterClosed()
      .subscribe((over) => {
        if (!over) return;
        if (over !== true) {
          const participants = children.map(({ id }, i) => ({
            childId: id,
            rangeMax: over.tops[i] ?? 5,
          }));
          void this.starting.start(over.activity.id, participants);
          return;
        }
        const child = children.map(({ id }) => id);
        const queryParams = { ended: session.activityId, child };
        void this.router.navigate(['/today'], { queryParams });
      });
  }

  private leave(sessionId: string, how: Omit<SessionEnd, 'endedAt'>): void {
    // A device's clock may have been set back since the session began.
    const now = this.clock.instant();
    const started = this.session()?.startedAt ?? now;
    const endedAt = now < started ? started : now;
    this.store.dispatch(RunActions.ended({ sessionId, end: { endedAt, ...how } }));
  }

  private movedOf(child: Child, today: string): Moved[] {
    const [before, now] = [this.before()[child.id], this.known()[child.id]];
    if (!before || !now) return [];
    const speaks = speaksOf(child);
    const status = (skill: Skill, state: ChildState): SkillStatus =>
      statusOf(skill, asHeard(skill, state, speaks));
    return SKILLS.flatMap((skill) => {
      const [from, to] = [status(skill, before), status(skill, now)];
      const { reason, change, mark } = viewOf(skill, now, today, { speaks });
      if (mark === 'resting' && !isResting(before.skills[skill.id]?.ledger, today)) {
        const [name, title] = [child.name, skill.title];
        return [
          {
            name,
            title,
            from: capital(STATUS_WORDS[from]),
            to: 'Rests',
            reason: `${reason} ${change}`,
          },
        ];
      }
      if (from === to) return [];
      return [
        {
          name: child.name,
          title: skill.title,
          from: capital(STATUS_WORDS[from]),
          to: capital(STATUS_WORDS[to]),
          reason,
        },
      ];
    });
  }

  /** Short games for what lies there, for those who were noted and are known. */
  private alsoFor(session: Session, children: readonly Child[]): readonly AlsoWith[] {
    const activity = this.activity();
    const known = children.flatMap((child) => {
      const state = this.known()[child.id];
      return state ? [{ child, state }] : [];
    });
    if (!activity || known.length < children.length) return [];
    return alsoWith(activity, [...this.activities().values()], known, session.day);
  }

  private homeFor(session: Session, children: readonly Child[]): HomeStrip[] {
    const activity = this.activity();
    if (!activity) return [];
    return children.map((child) => {
      const tries = this.observations().filter((one) => one.childId === child.id);
      return homeStrip(child, activity, session.day, tries);
    });
  }

  /** What was made goes among the materials, where its measures can be added. */
  private async addMade(): Promise<void> {
    const made = this.activity()?.yields;
    if (!made) return;
    await this.writes.send('POST', '/materials', newMaterial(uuid(), made), Material, {
      loads: true,
    });
    this.store.dispatch(MaterialsActions.wanted());
  }

  private nextOf(child: Child, today: string): string[] {
    const now: ChildState | undefined = this.known()[child.id];
    const [step] = now ? nextSteps(now, today, speaksOf(child)) : [];
    return step ? [`Next for ${child.name}: ${step.title}. ${step.because}`] : [];
  }
}
