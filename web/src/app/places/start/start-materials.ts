import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { HOUSEHOLD_THINGS, THING_GROUPS, countsAsSmall } from '@gumo/core/materials';
import { MaterialList } from '@gumo/core/contract';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { Counted } from '../../common/plural';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { Writes } from '../../state/writes';

interface Line {
  readonly name: string;
  readonly count: number;
  readonly small: boolean;
  /** In the list of materials already. */
  readonly has: boolean;
}

const MOST = 999;

/** About a hundred ordinary things to tick, with the count and the size that is usual. */
@Component({
  selector: 'gumo-start-materials',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Counted, FORM_FIELDS, Icon, MatButton, MatCheckbox, MatInputModule],
  templateUrl: './start-materials.html',
  styleUrl: './steps.scss',
})
export class StartMaterials {
  private readonly store = inject(Store);
  private readonly writes = inject(Writes);
  private readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);
  readonly finished = output();

  protected readonly text = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly saving = signal(false);
  /** About how many of what is ticked, by name. */
  protected readonly ticked = signal<ReadonlyMap<string, number>>(new Map());
  private readonly listed = computed(
    () => new Set(this.materials().map(({ name }) => name.toLowerCase())),
  );
  protected readonly groups = computed(() => {
    const words = this.text().toLowerCase().trim();
    return THING_GROUPS.map((title) => ({
      title,
      lines: HOUSEHOLD_THINGS.filter(
        (one) => one.group === title && one.material.name.toLowerCase().includes(words),
      ).map(({ material }): Line => ({
        name: material.name,
        count: material.count,
        small: countsAsSmall(material),
        has: this.listed().has(material.name.toLowerCase()),
      })),
    })).filter(({ lines }) => lines.length > 0);
  });

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
  }

  protected tick({ name, count }: Line, on: boolean): void {
    this.ticked.update((before) => {
      const next = new Map(before);
      if (on) next.set(name, count);
      else next.delete(name);
      return next;
    });
  }

  protected setCount(name: string, value: string): void {
    const count = Math.round(Number(value));
    if (!Number.isFinite(count) || count < 1 || count > MOST) return;
    this.ticked.update((before) => new Map(before).set(name, count));
  }

  protected async add(): Promise<void> {
    const rows = HOUSEHOLD_THINGS.flatMap(({ material }) => {
      const count = this.ticked().get(material.name);
      if (count === undefined) return [];
      // As many of each color as before, in proportion.
      const colors = material.colors.map((color) => ({
        ...color,
        count: Math.floor((color.count * count) / material.count),
      }));
      return [{ ...material, id: uuid(), version: 1, count, colors }];
    });
    this.saving.set(true);
    try {
      if (rows.length > 0) {
        await this.writes.send('POST', '/materials/batch', { rows }, MaterialList, { loads: true });
        this.store.dispatch(MaterialsActions.wanted());
        this.ticked.set(new Map());
      }
      this.message.set(null);
      this.finished.emit();
    } catch (error) {
      this.message.set((error as Error).message);
    } finally {
      this.saving.set(false);
    }
  }
}
