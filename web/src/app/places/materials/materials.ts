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
import { RouterLink } from '@angular/router';
import { asksWhatItHolds, countsAsSmall, readPasted } from '@gumo/core/materials';
import { type Material, mondayOf, newMaterial } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { GetNext } from '../../common/get-next';
import { Icon } from '../../common/icon';
import { Undo } from '../../common/undo';
import { type NeedLine, NeedLines, MaterialList, WeekOpening } from '@gumo/core/contract';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { Kits } from './kits';
import { MaterialRow } from './material-row';
import { Counted } from '../../common/plural';
import { Writes } from '../../state/writes';

/** Everything there is to handle: how many, of what size, in which box, and what the week needs. */
@Component({
  selector: 'gumo-materials',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    GetNext,
    Icon,
    Kits,
    MatButton,
    MatInputModule,
    MatRipple,
    MaterialRow,
    Counted,
    RouterLink,
  ],
  templateUrl: './materials.html',
  styleUrl: './materials.scss',
})
export class Materials {
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly clock = inject(Clock);
  protected readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);
  protected readonly loaded = this.store.selectSignal(materialsFeature.selectLoaded);
  private readonly loadFailure = this.store.selectSignal(materialsFeature.selectFailure);

  protected readonly text = signal('');
  protected readonly editing = signal<string | null>(null);
  protected readonly fresh = signal<Material | null>(null);
  protected readonly pasting = signal(false);
  protected readonly pasted = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly failure = computed(() => this.message() ?? this.loadFailure());
  private readonly week = signal<readonly NeedLine[]>([]);
  protected readonly opening = signal<WeekOpening>(null);

  /** How many more of a thing this week asks for, by its id. */
  private readonly wanted = computed(
    () =>
      new Map(
        this.short().flatMap(({ material, short }) =>
          material ? [[material.id, short] as const] : [],
        ),
      ),
  );
  /** What is found, with what is low or gone on top. */
  protected readonly shown = computed(() => {
    const words = this.text().toLowerCase().split(/\s+/).filter(Boolean);
    const found = this.materials().filter((material) => {
      const all =
        `${material.name} ${material.use} ${material.box} ${material.interests.join(' ')}`.toLowerCase();
      return words.every((word) => all.includes(word));
    });
    const isLow = (material: Material): boolean =>
      this.lowWords(material) !== '' || this.asks(material);
    return [...found.filter(isLow), ...found.filter((material) => !isLow(material))];
  });
  protected readonly short = computed(() => this.week().filter((line) => line.short > 0));
  protected readonly unlisted = computed(() =>
    this.week().filter((line) => line.short === 0 && line.material === null),
  );
  protected readonly enough = computed(() =>
    this.week().filter((line) => line.short === 0 && line.material !== null),
  );
  protected readonly read = computed(() => readPasted(this.pasted()));
  protected readonly good = computed(() =>
    this.read().flatMap((line) => ('draft' in line ? [line.draft] : [])),
  );

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
    effect(() => {
      this.materials();
      void this.loadWeek(this.clock.today());
    });
  }

  /** "2 short this week", "none left", or empty. */
  protected lowWords(material: Material): string {
    const short = this.wanted().get(material.id);
    if (short !== undefined) return `${short} short this week`;
    return material.count === 0 ? 'none left' : '';
  }

  private async loadWeek(from: string): Promise<void> {
    this.week.set(await this.api.get(`/needs?from=${from}`, NeedLines).catch(() => []));
    const monday = mondayOf(from);
    this.opening.set(await this.api.get(`/weeks/${monday}/opening`, WeekOpening).catch(() => null));
  }

  /** "30 x 6 mm", or nothing where it was not measured. */
  protected sizeWords({ shape }: Material): string {
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
  protected smallWords(material: Material): string {
    if (!countsAsSmall(material)) return '';
    return material.shape.kind === 'unknown'
      ? 'not measured: counts as a small part'
      : 'small part';
  }

  /** True where nobody has said what it holds, and somebody could be allergic to it. */
  protected asks(material: Material): boolean {
    return asksWhatItHolds(material);
  }

  protected add(): void {
    this.fresh.set(newMaterial(uuid(), { name: '', use: 'counter', count: 10 }));
  }

  protected close(): void {
    this.editing.set(null);
    this.fresh.set(null);
  }

  protected kept(): void {
    this.close();
    this.store.dispatch(MaterialsActions.wanted());
  }

  protected async addPasted(): Promise<void> {
    const rows = this.good().map((draft) => ({ ...draft, id: uuid(), version: 1 }));
    if (rows.length === 0) return;
    try {
      await this.writes.send('POST', '/materials/batch', { rows }, MaterialList, { loads: true });
      const faults = this.read().flatMap((line) => ('fault' in line ? [line.line] : []));
      // What could not be read stays, so that nothing typed is lost.
      this.pasted.set(faults.join('\n'));
      this.pasting.set(faults.length > 0);
      this.message.set(null);
      this.store.dispatch(MaterialsActions.wanted());
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected async remove(material: Material): Promise<void> {
    try {
      await this.undo.remove('/materials', material, `${material.name} removed.`, () =>
        this.kept(),
      );
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
