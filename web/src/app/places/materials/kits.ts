import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormBuilder, type FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Amount, Kit, daysBetween } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Unsaved, faultOf, refused, valid } from '../../common/forms';
import { Icon } from '../../common/icon';
import { Undo } from '../../common/undo';
import { Conflicts } from '../../conflict/conflicts';
import { Kits as KitList } from '@gumo/core/contract';
import { householdFeature } from '../../state/household';
import { materialsFeature } from '../../state/materials';
import { Writes } from '../../state/writes';

const DAYS_A_WEEK = 7;

/** Packed boxes: what is in each, a check of the contents, and a reminder to change them. */
@Component({
  selector: 'gumo-kits',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, Icon, MatButton, MatInputModule, MatSelectModule, ReactiveFormsModule],
  templateUrl: './kits.html',
  styleUrl: './kits.scss',
})
export class Kits {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly conflicts = inject(Conflicts);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  protected readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);
  protected readonly activities = this.store.selectSignal(householdFeature.selectActivities);
  private readonly activityById = this.store.selectSignal(householdFeature.selectActivityById);
  protected readonly kits = signal<readonly Kit[]>([]);
  /** The kit being packed, changed or checked. */
  protected readonly packing = signal<Kit | null>(null);
  protected readonly checking = signal<Kit | null>(null);
  protected readonly faultOf = faultOf;
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly contents = this.builder.record<number>({});
  protected readonly form = this.builder.group({
    title: ['', valid(Kit.entries.title)],
    activityId: [null as string | null],
    changeAfterWeeks: [4, valid(Kit.entries.changeAfterWeeks)],
    contents: this.contents,
  });
  /** How many of each thing were found in the kit that is checked. */
  protected readonly found = this.builder.record<number>({});
  /** Ids of what is packed, in the order in which it was put in. */
  protected readonly packed = signal<readonly string[]>([]);
  protected readonly message = signal<string | null>(null);

  protected readonly cards = computed(() => {
    const today = this.clock.today();
    const materialById = new Map(this.materials().map((material) => [material.id, material]));
    return this.kits().map((kit) => {
      const weeks = daysBetween(kit.changedOn, today) / DAYS_A_WEEK;
      const missing = (kit.checked?.missing ?? []).map(
        ({ materialId, count }) => `${count} ${materialById.get(materialId)?.name ?? 'gone'}`,
      );
      return {
        kit,
        for: kit.activityId ? (this.activityById().get(kit.activityId)?.title ?? '') : 'table time',
        contents: kit.contents
          .map(
            ({ materialId, count }) => `${count} ${materialById.get(materialId)?.name ?? 'gone'}`,
          )
          .join(', '),
        stale: kit.changeAfterWeeks > 0 && weeks >= kit.changeAfterWeeks,
        missing: missing.join(', '),
      };
    });
  });

  constructor() {
    inject(Unsaved).watch(() => this.packing() !== null && this.form.dirty);
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.kits.set(await this.api.get('/kits', KitList));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected pack(kit: Kit | null): void {
    this.checking.set(null);
    const next = kit ?? {
      id: uuid(),
      title: '',
      activityId: null,
      contents: [],
      changedOn: this.clock.today(),
      changeAfterWeeks: 4,
      checked: null,
      version: 0,
    };
    const { contents } = this;
    for (const id of Object.keys(contents.controls)) contents.removeControl(id);
    for (const { materialId, count } of next.contents)
      contents.addControl(materialId, this.amount(count));
    const { title, activityId, changeAfterWeeks } = next;
    this.form.reset({ title, activityId, changeAfterWeeks, contents: contents.getRawValue() });
    this.packed.set(Object.keys(contents.controls));
    this.packing.set(next);
  }

  private amount(count: number): FormControl<number> {
    return this.builder.control(count, valid(Amount));
  }

  protected put(materialId: string): void {
    const { contents } = this;
    contents.addControl(materialId, this.amount(1));
    this.form.markAsDirty();
    this.packed.set(Object.keys(contents.controls));
  }

  protected nameOf(materialId: string): string {
    return this.materials().find((material) => material.id === materialId)?.name ?? 'gone';
  }

  protected async keep(kit: Kit): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const isNew = kit.version === 0;
    const { contents: counts, ...value } = this.form.getRawValue();
    const contents = this.packed().flatMap((materialId) => {
      const count = counts[materialId] ?? 0;
      return count > 0 ? [{ materialId, count }] : [];
    });
    const same = JSON.stringify(kit.contents) === JSON.stringify(contents);
    const changedOn = isNew || !same ? this.clock.today() : kit.changedOn;
    const row: Kit = { ...kit, ...value, contents, changedOn, version: isNew ? 1 : kit.version };
    await this.send(() =>
      isNew
        ? this.writes.send('POST', '/kits', row, Kit)
        : this.conflicts.put(`/kits/${kit.id}`, Kit, {
            base: kit,
            mine: row,
            what: kit.title,
            words: {
              title: 'Name',
              contents: [
                'What is in it',
                (contents: Kit['contents']) =>
                  contents
                    .map(({ materialId, count }) => `${count} ${this.nameOf(materialId)}`)
                    .join(', '),
              ],
            },
          }),
    );
  }

  protected async unpack(kit: Kit): Promise<void> {
    await this.send(async () => {
      await this.undo.remove('/kits', kit, `${kit.title} was unpacked.`, () => void this.load());
      return true;
    });
  }

  protected check(kit: Kit): void {
    this.packing.set(null);
    for (const id of Object.keys(this.found.controls)) this.found.removeControl(id);
    for (const { materialId, count } of kit.contents) {
      this.found.addControl(materialId, this.amount(count));
    }
    this.checking.set(kit);
  }

  protected async keepCheck(kit: Kit, when: 'before' | 'after'): Promise<void> {
    this.found.markAllAsTouched();
    if (this.found.invalid) return;
    const found = this.found.getRawValue();
    const missing = kit.contents
      .map(({ materialId, count }) => ({ materialId, count: count - (found[materialId] ?? 0) }))
      .filter(({ count }) => count > 0);
    const checked = { day: this.clock.today(), when, missing };
    await this.send(() => this.writes.send('PUT', `/kits/${kit.id}`, { ...kit, checked }, Kit));
  }

  private async send(work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
      this.packing.set(null);
      this.checking.set(null);
      this.message.set(null);
      await this.load();
    } catch (error) {
      this.message.set(refused(this.form, error));
    }
  }
}
