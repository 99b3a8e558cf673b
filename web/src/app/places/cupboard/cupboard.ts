import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import { MatInputModule } from '@angular/material/input';
import { LARGE_USES, asksWhatItHolds, readPasted, smallPart } from '@gumo/core/things';
import { type Thing, newThing } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { Undo } from '../../common/undo';
import { type NeedLine, NeedLines, Things } from '../../state/answers';
import { ThingsActions, thingsFeature } from '../../state/things';
import { Kits } from './kits';
import { ThingRow } from './thing-row';

/** Everything there is to handle: how many, of what size, in which box, and what the week needs. */
@Component({
  selector: 'gumo-cupboard',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, Icon, Kits, MatButton, MatInputModule, MatRipple, ThingRow],
  templateUrl: './cupboard.html',
  styleUrl: './cupboard.scss',
})
export class Cupboard {
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly undo = inject(Undo);
  private readonly clock = inject(Clock);
  protected readonly things = this.store.selectSignal(thingsFeature.selectThings);
  protected readonly loaded = this.store.selectSignal(thingsFeature.selectLoaded);
  private readonly loadFailure = this.store.selectSignal(thingsFeature.selectFailure);

  protected readonly text = signal('');
  protected readonly editing = signal<string | null>(null);
  protected readonly fresh = signal<Thing | null>(null);
  protected readonly pasting = signal(false);
  protected readonly pasted = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly failure = computed(() => this.message() ?? this.loadFailure());
  private readonly week = signal<readonly NeedLine[]>([]);

  /** How many more of a thing this week asks for, by its id. */
  private readonly wanted = computed(
    () =>
      new Map(
        this.short().flatMap(({ thing, short }) => (thing ? [[thing.id, short] as const] : [])),
      ),
  );
  /** What is found, with what is low or gone on top. */
  protected readonly shown = computed(() => {
    const words = this.text().toLowerCase().split(/\s+/).filter(Boolean);
    const found = this.things().filter((thing) => {
      const all =
        `${thing.name} ${thing.use} ${thing.box} ${thing.interests.join(' ')}`.toLowerCase();
      return words.every((word) => all.includes(word));
    });
    const isLow = (thing: Thing): boolean => this.lowWords(thing) !== '' || this.asks(thing);
    return [...found.filter(isLow), ...found.filter((thing) => !isLow(thing))];
  });
  protected readonly short = computed(() => this.week().filter((line) => line.short > 0));
  protected readonly unlisted = computed(() =>
    this.week().filter((line) => line.short === 0 && line.thing === null),
  );
  protected readonly enough = computed(() =>
    this.week().filter((line) => line.short === 0 && line.thing !== null),
  );
  protected readonly read = computed(() => readPasted(this.pasted()));
  protected readonly good = computed(() =>
    this.read().flatMap((line) => ('draft' in line ? [line.draft] : [])),
  );

  constructor() {
    this.store.dispatch(ThingsActions.wanted());
    effect(() => {
      this.things();
      void this.loadWeek(this.clock.today());
    });
  }

  /** "2 short this week", "none left", or empty. */
  protected lowWords(thing: Thing): string {
    const short = this.wanted().get(thing.id);
    if (short !== undefined) return `${short} short this week`;
    return thing.count === 0 ? 'none left' : '';
  }

  private async loadWeek(from: string): Promise<void> {
    this.week.set(await this.api.get(`/needs?from=${from}`, NeedLines).catch(() => []));
  }

  /** "30 x 6 mm", or nothing where it was not measured. */
  protected sizeWords({ shape }: Thing): string {
    switch (shape.kind) {
      case 'unknown':
        return '';
      case 'ball':
        return `ball ${shape.diameterMm} mm`;
      case 'disc':
        return `${shape.diameterMm} × ${shape.thicknessMm} mm`;
      case 'block':
        return `${shape.lengthMm} × ${shape.widthMm} × ${shape.heightMm} mm`;
      case 'rod':
        return `${shape.lengthMm} × ${shape.diameterMm} mm`;
    }
  }

  /** "small part", or that it counts as one as nobody has measured it; empty where it is none. */
  protected smallWords({ shape, use }: Thing): string {
    if (shape.kind === 'unknown') {
      return LARGE_USES.includes(use) ? '' : 'not measured: counts as a small part';
    }
    return smallPart(shape) === 'neither' ? '' : 'small part';
  }

  /** True where nobody has said what it holds, and somebody could be allergic to it. */
  protected asks(thing: Thing): boolean {
    return asksWhatItHolds(thing);
  }

  protected add(): void {
    this.fresh.set(newThing(uuid(), { name: '', use: 'counter', count: 10 }));
  }

  protected close(): void {
    this.editing.set(null);
    this.fresh.set(null);
  }

  /** The server tells of the change; until it has, the row says so itself. */
  protected kept(): void {
    this.close();
    this.store.dispatch(ThingsActions.wanted());
  }

  protected async addPasted(): Promise<void> {
    const rows = this.good().map((draft) => ({ ...draft, id: uuid(), version: 1 }));
    if (rows.length === 0) return;
    try {
      await this.api.send('POST', '/things/batch', { rows }, Things);
      const faults = this.read().flatMap((line) => ('fault' in line ? [line.line] : []));
      // What could not be read stays, so that nothing typed is lost.
      this.pasted.set(faults.join('\n'));
      this.pasting.set(faults.length > 0);
      this.message.set(null);
      this.store.dispatch(ThingsActions.wanted());
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected async remove(thing: Thing): Promise<void> {
    try {
      await this.undo.remove('/things', thing, `${thing.name} removed.`, () => this.kept());
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
