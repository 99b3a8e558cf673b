import type { HarnessLoader } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import {
  type EnvironmentProviders,
  type Provider,
  type Type,
  provideZonelessChangeDetection,
  signal,
} from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { LIBRARY } from '@gumo/core/activities';
import { type Child, type Material, newHousehold } from '@gumo/core/vocabulary';
import { aChild as anyChild } from '@gumo/core/vocabulary/testing';
import { provideEffects } from '@ngrx/effects';
import { Store, provideState, provideStore } from '@ngrx/store';
import { Subject } from 'rxjs';
import * as v from 'valibot';
import { Api, type ApiProblem } from '../common/api';
import { Clock } from '../common/clock';
import type { DayAnswer, SkillView } from '@gumo/core/contract';
import { ChildrenActions, childrenFeature } from '../state/children';
import { dayFeature } from '../state/day';
import { HouseholdActions, householdFeature } from '../state/household';
import { runFeature } from '../state/run';
import { MaterialsActions, materialsFeature } from '../state/materials';
import { weekFeature } from '../state/week';
import { sendWrites } from '../state/writes';

// A machine that does other things besides takes longer over a page; what hangs still fails.
jasmine.DEFAULT_TIMEOUT_INTERVAL = 30_000;

export const TODAY = '2026-03-10';
const ID = '00000000-0000-4000-8000-0000000000';
export const id = (n: number): string => `${ID}${String(n).padStart(2, '0')}`;

export const aChild = (n: number, name: string, more: Partial<Child> = {}): Child =>
  anyChild({ id: id(n), name, ...more });

export const aMaterial = (n: number, name: string, more: Partial<Material> = {}): Material => ({
  id: id(n),
  name,
  use: 'counter',
  count: 40,
  colors: [],
  alike: true,
  shape: { kind: 'disc', diameterMm: 60, thicknessMm: 8 },
  box: 'box 3',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
  ...more,
});

/** A skill of which nothing was seen yet. */
export const aView = (skillId: string, more: Partial<SkillView> = {}): SkillView => ({
  skillId,
  status: 'not-started',
  mark: null,
  computed: null,
  reason: '',
  change: '',
  scored: 0,
  own: 0,
  days: 0,
  lastSeen: null,
  due: null,
  override: null,
  items: [],
  ...more,
});

/** A day for which nothing is planned. */
export const aDay = (more: Partial<DayAnswer> = {}): DayAnswer => ({
  day: TODAY,
  sheet: { day: TODAY, away: [], gotReady: [] },
  entries: [],
  ready: [],
  cautions: {},
  open: [],
  ...more,
});

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

interface Setting {
  /** What the server answers to a read, by the path without what follows a question mark. */
  readonly answers?: Readonly<Record<string, unknown>>;
  readonly inputs?: Readonly<Record<string, unknown>>;
  readonly children?: readonly Child[];
  readonly materials?: readonly Material[];
  /** What the server answers to a write, by method and path; what was sent where it says nothing. */
  readonly replies?: Readonly<Record<string, unknown>>;
  /** What the server says to every write instead of taking it. */
  readonly refusal?: ApiProblem;
  readonly providers?: readonly (Provider | EnvironmentProviders)[];
}

/** A place on screen, with the household's server played by a list of answers. */
export class Place<T> {
  readonly sent: Sent[] = [];
  private constructor(readonly fixture: ComponentFixture<T>) {}

  static async open<T>(type: Type<T>, setting: Setting = {}): Promise<Place<T>> {
    const sent: Sent[] = [];
    const api: Pick<Api, 'get' | 'send' | 'shut' | 'understood'> = {
      shut: new Subject(),
      understood: (schema, _path, answer) => v.parse(schema, answer),
      get: async (path, schema) =>
        v.parse(schema, setting.answers?.[path.split('?')[0] ?? ''] ?? []),
      send: async (method, path, body) => {
        sent.push({ method, path, body });
        if (setting.refusal) throw setting.refusal;
        const reply = setting.replies?.[`${method} ${path}`];
        return method === 'DELETE' ? null : reply === undefined ? body : reply;
      },
    };
    const clock = {
      today: signal(TODAY),
      now: signal(new Date(`${TODAY}T09:00:00`)),
      instant: () => `${TODAY}T09:00:00.000Z`,
      time: () => '09:00',
    };
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideStore(),
        ...[
          householdFeature,
          childrenFeature,
          dayFeature,
          runFeature,
          materialsFeature,
          weekFeature,
        ].map((one) => provideState(one as typeof householdFeature)),
        provideEffects({ sendWrites }),
        { provide: Api, useValue: api },
        { provide: Clock, useValue: clock },
        ...(setting.providers ?? []),
      ],
    });
    const store = TestBed.inject(Store);
    const household = newHousehold(id(99), 'Spindle Cottage');
    store.dispatch(HouseholdActions.loaded({ household, activities: [...LIBRARY] }));
    store.dispatch(ChildrenActions.loaded({ children: [...(setting.children ?? [])] }));
    store.dispatch(MaterialsActions.loaded({ materials: [...(setting.materials ?? [])] }));
    const fixture = TestBed.createComponent(type);
    for (const [name, value] of Object.entries(setting.inputs ?? {})) {
      fixture.componentRef.setInput(name, value);
    }
    const place = new Place(fixture);
    Object.assign(place, { sent });
    await place.settle();
    return place;
  }

  /** Waits until answers have come and the screen shows them. */
  async settle(): Promise<void> {
    await this.fixture.whenStable();
    await Promise.resolve();
    await this.fixture.whenStable();
  }

  /** Waits, picture by picture, until something holds; a spec that waits in vain fails by its own time. */
  async until(holds: () => boolean): Promise<void> {
    while (!holds()) await new Promise(requestAnimationFrame);
    await this.settle();
  }

  /** Finds Material's own parts, also in what lies over the page. */
  get loader(): HarnessLoader {
    return TestbedHarnessEnvironment.documentRootLoader(this.fixture);
  }

  get element(): HTMLElement {
    return this.fixture.nativeElement as HTMLElement;
  }

  /** Everything that can be read, with single spaces. */
  get text(): string {
    return (this.element.textContent ?? '').replace(/\s+/g, ' ').trim();
  }

  all(selector: string): string[] {
    return [...this.element.querySelectorAll(selector)].map((one) =>
      (one.textContent ?? '').replace(/\s+/g, ' ').trim(),
    );
  }

  find<E extends HTMLElement>(selector: string, words?: RegExp | string): E {
    const found = [...this.element.querySelectorAll<E>(selector)].find((one) => {
      const label = `${one.getAttribute('aria-label') ?? ''} ${one.textContent ?? ''}`;
      if (words === undefined) return true;
      const said = label.replace(/\s+/g, ' ').trim();
      return typeof words === 'string' ? said === words : words.test(said);
    });
    if (!found) throw new Error(`no ${selector} ${String(words ?? '')} in: ${this.text}`);
    return found;
  }

  async click(words: RegExp | string, selector = 'button'): Promise<void> {
    this.find(selector, words).click();
    await this.settle();
  }

  /** Writes into the field of a label, or chooses in it. */
  async fill(label: RegExp, value: string): Promise<void> {
    const words = this.find('label', label);
    const place = words.closest('mat-form-field') ?? words;
    const select = place.querySelector('mat-select');
    if (select) return this.choose(select, value);
    const field =
      place.querySelector<HTMLInputElement>('input, textarea') ??
      document.querySelector<HTMLInputElement>(`#${words.getAttribute('for') ?? 'none'}`);
    if (!field) throw new Error(`no field in ${String(label)}`);
    field.value = value;
    for (const event of ['input', 'change']) field.dispatchEvent(new Event(event));
    await this.settle();
  }

  /** Ticks a box, or takes its tick away. */
  async tick(label: RegExp | string, on: boolean): Promise<void> {
    const box = await this.loader.getHarness(MatCheckboxHarness.with({ label }));
    await (on ? box.check() : box.uncheck());
  }

  /** Opens a list and chooses what says so. */
  private async choose(select: Element, words: string): Promise<void> {
    select.querySelector<HTMLElement>('.mat-mdc-select-trigger')?.click();
    await this.settle();
    const options = [...document.querySelectorAll<HTMLElement>('mat-option')];
    const option = options.find((one) => one.textContent?.trim() === words);
    if (!option) throw new Error(`no ${words} among ${options.map((one) => one.textContent)}`);
    option.click();
    await this.settle();
  }

  async submit(): Promise<void> {
    this.find('form').dispatchEvent(new Event('submit', { cancelable: true }));
    await this.settle();
  }
}
