import { Injectable, computed, inject, signal } from '@angular/core';
import {
  type MassUnit,
  type Prediction,
  type Side,
  type WeighRound,
  type WeighedThing,
  divideItem,
  lastSaid,
  looked,
  markCorrected,
  newRound,
  predicted,
  predictionKey,
  seenSide,
  withMark,
  without,
} from '@gumo/core/measuring';
import { ADULT, type Measured, MeasuringSession } from './measuring-session';

/** A thing that is to be weighed. */
export interface OnTable extends WeighedThing {
  /** Its id among the materials; null for one that was typed. */
  readonly id: string | null;
  /** What it weighs on the scale on screen, in grams: made up. */
  readonly heft: number;
}

/** The rounds of weighing; what each child predicted and saw is evidence, and is put right where it was wrong. */
@Injectable()
export class WeighRecords {
  private readonly session = inject(MeasuringSession);
  readonly rounds = signal<readonly WeighRound[]>([newRound()]);
  readonly round = computed(() => this.rounds().at(-1) ?? newRound());
  /** The round before, while nothing was seen in this one: its mark may have been mistyped. */
  readonly canCorrectMark = computed(
    () => this.rounds().length > 1 && this.round().seen.length === 0,
  );
  of(guesser: string, thing: string): Prediction | null {
    return this.round().predictions[predictionKey(guesser, thing)] ?? null;
  }

  predict(
    things: readonly OnTable[],
    unit: MassUnit,
    guesser: string,
    thing: string,
    side: Side,
  ): void {
    this.change((round) => predicted(round, things, unit, guesser, thing, side));
  }

  look(thing: string): void {
    this.change((round) => looked(round, thing));
  }

  forget(thing: string): void {
    this.change((round) => without(round, thing));
  }

  setMark(mark: number | null): void {
    this.rounds.update((rounds) => withMark(rounds, mark));
  }

  correctMark(): void {
    this.rounds.update(markCorrected);
  }

  private change(by: (round: WeighRound) => WeighRound): void {
    this.rounds.update((rounds) => [...rounds.slice(0, -1), by(rounds.at(-1) ?? newRound())]);
  }

  /** Keeps what was predicted and seen since; where a reading or mark was corrected, takes back what was kept. */
  keep(things: readonly OnTable[], unit: MassUnit): void {
    this.rounds().forEach((round, r) => {
      for (const thing of things) {
        for (const key of Object.keys(round.predictions)) {
          const [childId = ''] = key.split('/');
          if (key !== predictionKey(childId, thing.name) || childId === ADULT.id) continue;
          const measured = measuredOf(round, childId, thing, unit);
          if (measured) this.session.keep(`${r}/${key}`, 'divide-weigh', measured);
        }
      }
    });
  }
}

/** What one child's prediction for one thing says; null while it was not seen, or its size not said. */
function measuredOf(
  round: WeighRound,
  childId: string,
  thing: OnTable,
  unit: MassUnit,
): Measured | null {
  const side = seenSide(round, thing, unit);
  const found = round.predictions[predictionKey(childId, thing.name)];
  if (side === null || round.mark === null || !found) return null;
  const itemId = divideItem(thing, round.mark);
  if (itemId === null) return null;
  const right = lastSaid(round, childId, thing.name) === side;
  return {
    childId,
    skillId: 'divide-weight',
    itemId,
    outcome: !right ? 'not-yet' : found.again === null ? 'own' : 'help',
    materials: thing.id === null ? [] : [thing.id],
    record: {
      kind: 'weigh',
      material: thing.name,
      dividingGrams: round.mark,
      predicted: found.first,
      predictedAgain: found.again,
      measuredGrams: thing.grams,
      found: side,
    },
  };
}
