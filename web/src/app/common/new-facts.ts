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

  /** Where a child is thought to be. @param byAge true where the age alone says so */
  placement(
    childId: string,
    levels: PlacementEstimate['levels'],
    byAge: boolean,
  ): PlacementEstimate {
    const { clock } = this;
    return {
      ...{ id: uuid(), childId, at: clock.instant(), day: clock.today(), notedBy: '' },
      ...{ levels, byAge },
    };
  }

  /** Where the age alone would place a child: where to begin, and nothing that was seen. */
  placedByAge({ id, birthDate }: Pick<Child, 'id' | 'birthDate'>): PlacementEstimate {
    return this.placement(id, levelsByAge(monthsOn(birthDate, this.clock.today())), true);
  }

  /** Takes a fact back: that is a further one. */
  voiding(observationId: string): Voiding {
    return { id: uuid(), observationId, at: this.clock.instant(), notedBy: '' };
  }
}
