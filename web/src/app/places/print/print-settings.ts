import { Injectable, signal } from '@angular/core';
import { type SheetKind, type SheetWish, findSheet, rangeUpTo } from '@gumo/core/sheets';

/** What is chosen for one kind and means nothing for another. */
const OF_ONE_KIND = ['look', 'activity', 'word', 'target', 'count'] as const;
type OfOneKind = (typeof OF_ONE_KIND)[number];
const isOfOneKind = (key: string): key is OfOneKind =>
  (OF_ONE_KIND as readonly string[]).includes(key);

/** A range as it was typed, and the kind of sheet it was typed for. */
interface Range {
  readonly kind: string;
  readonly low?: number;
  readonly high?: number;
}

/** What was chosen for sheets; it stays while one looks at another sheet or chooses another child. */
@Injectable({ providedIn: 'root' })
export class PrintSettings {
  readonly childId = signal<string | null>(null);
  private readonly shared = signal<Partial<SheetWish>>({});
  private readonly own = signal<Readonly<Record<string, Partial<SheetWish>>>>({});
  private readonly range = signal<Range | null>(null);

  change(kind: SheetKind, more: Partial<SheetWish>): void {
    for (const [key, value] of Object.entries(more) as [keyof SheetWish, never][]) {
      if (key === 'low' || key === 'high') {
        this.range.update((range) => ({ ...range, kind: kind.id, [key]: value }));
      } else if (isOfOneKind(key) || (key === 'materialMm' && kind.asks.includes('side'))) {
        this.own.update((own) => ({ ...own, [kind.id]: { ...own[kind.id], [key]: value } }));
      } else this.shared.update((shared) => ({ ...shared, [key]: value }));
    }
  }

  /** Another child: range and name are that child's own again, all else stays. */
  chooseChild(childId: string | null): void {
    this.childId.set(childId);
    this.range.set(null);
    this.own.update((own) =>
      Object.fromEntries(
        Object.entries(own).map(([kind, { word, ...others }]) => [
          kind,
          // A name that was written was that of one child; a song is anyone’s.
          word === undefined || findSheet(kind)?.each ? others : { ...others, word },
        ]),
      ),
    );
  }

  /** What was chosen, as far as it concerns a kind. @param suited what holds where nothing was chosen */
  over(kind: SheetKind, suited: SheetWish): SheetWish {
    const { materialMm, ...shared } = this.shared();
    return {
      ...suited,
      ...shared,
      ...(materialMm === undefined || kind.asks.includes('side') ? {} : { materialMm }),
      ...this.own()[kind.id],
      ...this.rangeFor(kind, suited),
    };
  }

  private rangeFor(kind: SheetKind, suited: SheetWish): Partial<SheetWish> {
    const range = this.range();
    if (!range) return {};
    const { low = suited.low, high = suited.high } = range;
    if (range.kind === kind.id) return { low, high };
    // Typed for another kind: as near to it as this one is drawn.
    const fits = rangeUpTo(kind.id, high);
    return { low: Math.min(Math.max(low, suited.low), fits.high), high: fits.high };
  }
}
