import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton, MatButtonModule } from '@angular/material/button';
import { onScreen, sampleOf, topsOf } from '@gumo/core/activities';
import { LAID, acrossOf, proposedFor, sheetTitle } from '@gumo/core/sheets';
import { matchSkills, skillOf } from '@gumo/core/skills';
import {
  type NeedLine,
  careFor,
  cautionsAt,
  materialForInterest,
  needsOf,
} from '@gumo/core/materials';
import { PlanEntry, type PlanEntryDraft } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { BandSign } from '../../common/band-sign';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { CautionList } from '../../common/caution-list';
import { TOGGLES } from '../../common/toggle';
import { listWords } from '../../common/words';
import { SceneView } from '../../handling/scene';
import { OwnActivities, Tops } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { dayFeature, DayActions } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Starting } from '../../state/starting';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { Writes } from '../../state/writes';

const STEP_WORDS: Record<string, string> = {
  lay: 'Lay out',
  show: 'Show',
  turn: 'Child’s turn',
  ask: 'Ask',
  check: 'Check',
  say: 'Say it whole',
  another: 'Another way',
  how: 'How do you know?',
  stop: 'Stop',
};
const WAY_WORDS = {
  'adult-led': 'adult-led',
  presentation: 'presentation',
  invitation: 'invitation',
};
const PLACE_WORDS = { in: 'indoors', out: 'outdoors', either: 'indoors or out' };

/** One activity: for whom, how far, how many of what, the steps, and *Start*. */
@Component({
  selector: 'gumo-activity-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BandSign,
    CautionList,
    Icon,
    MatButton,
    MatButtonModule,
    ChildSymbol,
    RouterLink,
    SceneView,
    TOGGLES,
  ],
  templateUrl: './activity-page.html',
  styleUrl: './activity-page.scss',
})
export class ActivityPage {
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly starting = inject(Starting);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  protected readonly clock = inject(Clock);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  private readonly away = this.store.selectSignal(dayFeature.selectAway);
  private readonly present = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);

  protected readonly stepWords = STEP_WORDS;
  protected readonly message = signal<string | null>(null);
  protected readonly added = signal(false);
  protected readonly isOwn = signal(false);

  protected readonly activity = computed(() => this.activities().get(this.id()) ?? null);
  protected readonly loaded = computed(() => this.activities().size > 0);
  protected readonly about = computed(() => {
    const one = this.activity();
    if (!one) return '';
    return [
      `${one.minutes[0]}–${one.minutes[1]} minutes`,
      one.setUpMinutes > 0 ? `${one.setUpMinutes} to set up` : 'nothing to set up',
      `from about ${one.fromAge}`,
      one.mess === 'dry' ? '' : one.mess,
      one.noise,
      PLACE_WORDS[one.place],
      listWords(one.ways.map((way) => WAY_WORDS[way])),
      one.checksItself ? 'checks itself' : '',
    ]
      .filter((words) => words !== '')
      .join(' · ');
  });
  protected readonly skills = computed(() =>
    matchSkills(this.activity()?.skills ?? []).map(skillOf),
  );
  protected readonly children = computed(() =>
    this.present().filter((child) => !this.away().has(child.id)),
  );
  protected readonly tops = computed(() => {
    const one = this.activity();
    return one ? topsOf(one) : [];
  });
  /** Top of the range of each child who takes part. */
  protected readonly taking = signal<Readonly<Record<string, number>>>({});
  private readonly fitting = signal<Readonly<Record<string, number>>>({});
  /** Without children: how far, and how many of them. */
  protected readonly top = signal(10);
  protected readonly count = signal(1);
  /** Sheets that it can be done with, made for the range that is chosen. */
  protected readonly sheets = computed(() => {
    const participants = this.participants().map(({ id, name }) => ({
      childId: id,
      name,
      rangeMax: this.taking()[id] ?? 1,
    }));
    const anyone = [{ childId: '', name: '', rangeMax: Math.max(1, ...this.sizes().tops) }];
    const asked = participants.length > 0 ? participants : anyone;
    const activity = this.activity();
    if (!activity) return [];
    const things = this.needs().flatMap(({ material, use }) =>
      material && LAID.has(use) ? (acrossOf(material.shape) ?? []) : [],
    );
    return proposedFor(activity, asked).map(({ kind, look, childId, high }) => ({
      key: `${kind}/${look}/${childId}`,
      kind,
      query: {
        high,
        look: look || null,
        mm: things[0] ?? null,
        child: childId || null,
      },
      name: asked.find((one) => one.childId === childId)?.name ?? '',
      title: sheetTitle(kind, look),
    }));
  });
  /** Nobody is chosen: the quantities are for a number of children. */
  protected readonly alone = computed(() => Object.keys(this.taking()).length === 0);

  private readonly sizes = computed(() => {
    const own = Object.values(this.taking());
    return {
      tops: own.length > 0 ? own : Array.from({ length: this.count() }, () => this.top()),
    };
  });
  private readonly participants = computed(() =>
    this.children().filter((child) => this.taking()[child.id] !== undefined),
  );
  /** Those who are chosen; everyone where nobody is. */
  private readonly reach = computed(() =>
    this.participants().length > 0 ? this.participants() : this.children(),
  );
  private readonly care = computed(() => careFor(this.reach(), this.clock.today()));
  protected readonly cautions = computed(() => {
    const activity = this.activity();
    const [reach, day] = [this.reach(), this.clock.today()];
    return activity
      ? cautionsAt({ activity, lines: this.needs(), reach, here: this.children(), day })
      : [];
  });
  protected readonly needs = computed(() => {
    const activity = this.activity();
    if (!activity) return [];
    return needsOf([{ activity, sizes: this.sizes(), care: this.care() }], this.materials());
  });
  protected readonly clothes = computed(() => {
    const activity = this.activity();
    if (!activity) return [];
    const all = materialForInterest(activity, this.participants(), this.materials(), this.care());
    const key = (one: (typeof all)[number]): string => `${one.child.id} ${one.interest}`;
    return all.filter((one, i) => all.findIndex((other) => key(other) === key(one)) === i);
  });
  /** The manipulative or the tool that it can be done with here. */
  protected readonly onScreen = computed(() => {
    const activity = this.activity();
    return activity ? onScreen(activity) : [];
  });
  /** How it looks laid out and what is asked, for the largest range. */
  protected readonly sample = computed(() => {
    const activity = this.activity();
    if (!activity) return null;
    const top = Math.max(...this.sizes().tops);
    return sampleOf(activity, top, {
      name: this.participants()[0]?.name ?? '',
      today: this.clock.today(),
    });
  });

  private loading: Promise<void> = Promise.resolve();

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
    effect(() => this.store.dispatch(DayActions.opened({ day: this.clock.today() })));
    effect(() => {
      const id = this.id();
      this.added.set(false);
      this.taking.set({});
      this.loading = this.load(id);
    });
  }

  private async load(id: string): Promise<void> {
    try {
      const [fitting, own] = await Promise.all([
        this.api.get(`/days/${this.clock.today()}/tops/${id}`, Tops),
        this.api.get('/activities/own', OwnActivities),
      ]);
      this.fitting.set(Object.fromEntries(fitting.map((one) => [one.childId, one.top])));
      this.isOwn.set(own.some((one) => one.id === id));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  /** "big beads (small part) and cork discs (small part)". */
  protected awayWords(line: NeedLine): string {
    return listWords(line.away.map((one) => `${one.material.name} (${one.because})`));
  }

  /** The range that fits has to be known first; it comes with the page. */
  protected async toggle(childId: string): Promise<void> {
    await this.loading;
    this.taking.update((taking) => {
      const others = Object.entries(taking).filter(([id]) => id !== childId);
      const isIn = taking[childId] !== undefined;
      const top = this.fitting()[childId] ?? this.tops()[0] ?? 5;
      return Object.fromEntries(isIn ? others : [...others, [childId, top]]);
    });
  }

  protected setTop(top: number): void {
    this.top.set(top);
    this.taking.update((taking) => Object.fromEntries(Object.keys(taking).map((id) => [id, top])));
  }

  protected more(step: -1 | 1): void {
    this.count.update((count) => Math.min(8, Math.max(1, count + step)));
  }

  protected async begin(): Promise<void> {
    await this.loading;
    const participants = Object.entries(this.taking()).map(([childId, rangeMax]) => ({
      childId,
      rangeMax,
    }));
    const activity = this.activity();
    if (!activity || participants.length === 0) {
      this.message.set('Choose who takes part.');
      return;
    }
    await this.starting.start(activity.id, participants);
  }

  protected async addToToday(): Promise<void> {
    await this.loading;
    const activity = this.activity();
    const participants = Object.entries(this.taking()).map(([childId, rangeMax]) => ({
      childId,
      rangeMax,
    }));
    const moment = this.moments().find((one) => activity && one.bands.includes(activity.band));
    if (!activity || participants.length === 0 || !moment) {
      this.message.set(
        participants.length === 0
          ? 'Choose who takes part.'
          : 'No moment of the day takes this kind of activity.',
      );
      return;
    }
    const draft: PlanEntryDraft = {
      id: uuid(),
      day: this.clock.today(),
      momentId: moment.id,
      activityId: activity.id,
      participants,
      minutes: activity.minutes[0],
      with: '',
      pinned: true,
    };
    try {
      await this.writes.send('POST', '/plan', draft, PlanEntry);
      this.message.set(null);
      this.added.set(true);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
