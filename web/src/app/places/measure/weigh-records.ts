import { Injectable, inject, signal } from '@angular/core';
import { type Side, isSurprise } from '@gumo/core/measuring';
import { MeasuringSession } from './measuring-session';

/** A thing that is to be weighed. */
export interface OnTable {
  /** Its id among the materials; null for one that was typed. */
  readonly id: string | null;
  readonly name: string;
  /** What it weighs on the scale that stands in, in grams. */
  readonly heft: number;
  readonly sizeMm3: number | null;
  /** What the scale said, in grams; null before. */
  readonly measured: number | null;
}

interface Prediction {
  readonly first: Side;
  /** A second one, after a surprise; the first stays beside it. */
  readonly again: Side | null;
}

const NEAR_PART = 0.1;

/** What each child predicted for each thing; once it is weighed, that is evidence for the child. */
@Injectable()
export class WeighRecords {
  private readonly session = inject(MeasuringSession);
  private readonly predictions = signal<Readonly<Record<string, Prediction>>>({});
  /** Children to whom something came out otherwise since the beginning. */
  private readonly surprised = signal<ReadonlySet<string>>(new Set());
  private readonly kept = new Set<string>();

  private readonly keyOf = (childId: string, material: string): string => `${childId}/${material}`;

  of(childId: string, material: string): Prediction | null {
    return this.predictions()[this.keyOf(childId, material)] ?? null;
  }

  last(childId: string, material: string): Side | null {
    const found = this.of(childId, material);
    return found && (found.again ?? found.first);
  }

  /** Before a surprise a prediction is changed; after one, a second is put beside the first. */
  predict(childId: string, material: string, side: Side): void {
    const before = this.of(childId, material);
    const next: Prediction =
      before && this.surprised().has(childId) && side !== before.first
        ? { ...before, again: side }
        : { first: side, again: null };
    this.predictions.update((all) => ({ ...all, [this.keyOf(childId, material)]: next }));
  }

  forget(material: string): void {
    this.predictions.update((all) =>
      Object.fromEntries(Object.entries(all).filter(([key]) => !key.endsWith(`/${material}`))),
    );
  }

  /** Keeps what each child predicted for a thing that was weighed, once. */
  keep(material: OnTable, divider: number, side: Side, all: readonly OnTable[]): void {
    for (const { id: childId } of this.session.participants()) {
      const found = this.of(childId, material.name);
      const key = this.keyOf(childId, material.name);
      if (!found || this.kept.has(key)) continue;
      this.kept.add(key);
      const last = found.again ?? found.first;
      if (isSurprise(last, side)) this.surprised.update((some) => new Set([...some, childId]));
      const right = last === side;
      this.session.note('divide-weigh', {
        childId,
        skillId: 'divide-weight',
        itemId: itemFor(material, divider, all),
        outcome: !right ? 'not-yet' : found.again === null ? 'own' : 'help',
        materials: material.id === null ? [] : [material.id],
        record: {
          kind: 'weigh',
          material: material.name,
          dividingGrams: divider,
          predicted: found.first,
          predictedAgain: found.again,
          measuredGrams: material.measured,
        },
      });
    }
  }
}

/** Which of the skill's items a thing is: near the mark, or light or heavy, small or large. */
function itemFor(material: OnTable, divider: number, all: readonly OnTable[]): string {
  const grams = material.measured ?? 0;
  if (Math.abs(grams - divider) <= NEAR_PART * divider) return 'near';
  const isHeavy = grams > divider;
  const sizes = all.flatMap((one) => one.sizeMm3 ?? []).sort((a, b) => a - b);
  const middle = sizes[Math.floor(sizes.length / 2)];
  const isLarge =
    material.sizeMm3 === null || middle === undefined ? isHeavy : material.sizeMm3 >= middle;
  return `${isHeavy ? 'heavy' : 'light'}-${isLarge ? 'large' : 'small'}`;
}
