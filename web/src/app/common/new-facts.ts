import { Injectable, inject } from '@angular/core';
import { levelsByAge } from '@gumo/core/evidence';
import {
  type Child,
  type Observation,
  type PlacementEstimate,
  type Voiding,
  monthsOn,
} from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import { Clock } from './clock';

/** What a new try says of itself; all else is as it usually is. */
type Given = Pick<Observation, 'childId' | 'skillId' | 'itemId' | 'outcome' | 'record'> &
  Partial<Observation>;

/** Makes facts that are noted now. */
@Injectable({ providedIn: 'root' })
export class NewFacts {
  private readonly clock = inject(Clock);

  /** A try of a child, in no session unless one is given. */
  try(given: Given): Observation {
    return {
      id: uuid(),
      sessionId: null,
      activityId: null,
      at: this.clock.instant(),
      day: this.clock.today(),
      triedFirst: true,
      answered: null,
      reason: null,
      materials: [],
      notedBy: '',
      note: '',
      ...given,
    };
  }

  /** Where the age alone would place a child: where to begin, and nothing that was seen. */
  placedByAge({ id: childId, birthDate }: Pick<Child, 'id' | 'birthDate'>): PlacementEstimate {
    const day = this.clock.today();
    const levels = levelsByAge(monthsOn(birthDate, day));
    return { id: uuid(), childId, at: this.clock.instant(), day, levels, byAge: true, notedBy: '' };
  }

  /** Takes a fact back: that is a further one. */
  voiding(observationId: string): Voiding {
    return { id: uuid(), observationId, at: this.clock.instant(), notedBy: '' };
  }
}
