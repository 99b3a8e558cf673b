import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import {
  type ActivityFilter,
  type Indexed,
  NO_FILTER,
  indexActivities,
  searchActivities,
} from '@gumo/core/activities';
import { SKILLS, STRANDS, STRAND_TITLES, findSkill } from '@gumo/core/skills';
import { careFor, needsOf } from '@gumo/core/materials';
import { type Activity, BANDS, type Child, ageOn } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { ActivityPicture } from '../../common/activity-picture';
import { BAND_WORDS, BandSign } from '../../common/band-sign';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { Counted } from '../../common/plural';

interface Line {
  readonly activity: Activity;
  readonly strands: string;
  /** "12 short", or empty where everything is there. */
  readonly short: string;
  /** True where the household has too few, and not only no entry. */
  readonly missing: boolean;
}

const MINUTES = [3, 5, 10] as const;
const MESS: readonly Activity['mess'][] = ['dry', 'damp', 'paint'];
const USUAL_TOP = 10;
const YEAR = 12;

/** The library: found by skill, strand, band, minutes, mess, who is here and what is at hand. */
@Component({
  selector: 'gumo-activities',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ActivityPicture,
    BandSign,
    FORM_FIELDS,
    Icon,
    MatButton,
    MatInputModule,
    MatSelectModule,
    ChildSymbol,
    RouterLink,
    TOGGLES,
    Counted,
  ],
  templateUrl: './activities.html',
  styleUrl: './activities.scss',
})
export class Activities {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivities);
  private readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);

  protected readonly bands = BANDS;
  protected readonly bandWords = BAND_WORDS;
  protected readonly strands = STRANDS;
  protected readonly strandTitles = STRAND_TITLES;
  protected readonly skills = SKILLS;
  protected readonly minutes = MINUTES;
  protected readonly messes = MESS;

  private readonly query = toSignal(
    inject(ActivatedRoute).queryParamMap.pipe(map((params) => params.get('skill'))),
    { initialValue: null },
  );
  protected readonly filter = signal<ActivityFilter>(NO_FILTER);
  /** Children who take part, by id; nobody means everybody. */
  protected readonly who = signal<readonly string[]>([]);
  protected readonly withWhatIHave = signal(false);
  /** On a narrow screen the filters are folded away, so that the list is seen. */
  protected readonly open = signal(false);
  protected readonly skillTitle = computed(
    () => findSkill(this.filter().skillId ?? '')?.title ?? null,
  );

  private readonly index = computed(() => indexActivities(this.activities()));
  private readonly taking = computed((): readonly Child[] => {
    const who = this.who();
    return this.children().filter((child) => who.length === 0 || who.includes(child.id));
  });
  // Who is not chosen may still be in the room, so everyone's safety counts until some are.
  private readonly care = computed(() => careFor(this.taking(), this.clock.today()));
  private readonly age = computed(() => {
    if (this.who().length === 0) return null;
    const ages = this.taking().map((child) => {
      const { years, months } = ageOn(child.birthDate, this.clock.today());
      return years + months / YEAR;
    });
    return ages.length > 0 ? Math.min(...ages) : null;
  });
  protected readonly lines = computed((): Line[] => {
    const found = searchActivities(this.index(), { ...this.filter(), age: this.age() });
    const lines = found.map((one) => this.line(one));
    return this.withWhatIHave() ? lines.filter((line) => line.short === '') : lines;
  });
  protected readonly narrowed = computed(
    () =>
      JSON.stringify(this.filter()) !== JSON.stringify(NO_FILTER) ||
      this.who().length > 0 ||
      this.withWhatIHave(),
  );

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
    effect(() => {
      const skillId = this.query();
      if (skillId !== null) this.set({ skillId: findSkill(skillId) ? skillId : null });
    });
  }

  private readonly shortByActivity = computed(() => {
    const tops = this.taking().map(() => USUAL_TOP);
    const sizes = { tops: tops.length > 0 ? tops.slice(0, 3) : [USUAL_TOP] };
    const [materials, care] = [this.materials(), this.care()];
    return new Map(
      this.activities().map((activity) => {
        const lines = needsOf([{ activity, sizes, care }], materials);
        const missing = lines.find((line) => line.short > 0 || line.material === null);
        const words =
          missing === undefined
            ? ''
            : missing.short > 0
              ? `${missing.short} ${missing.words} short`
              : `no ${missing.words} listed`;
        return [activity.id, words];
      }),
    );
  });

  private line({ activity, strands }: Indexed): Line {
    const short = this.shortByActivity().get(activity.id) ?? '';
    return {
      activity,
      missing: short.endsWith(' short'),
      strands: strands.map((strand) => STRAND_TITLES[strand]).join(', '),
      short,
    };
  }

  protected set(change: Partial<ActivityFilter>): void {
    this.filter.update((filter) => ({ ...filter, ...change }));
  }

  protected toggleWho(childId: string): void {
    this.who.update((who) =>
      who.includes(childId) ? who.filter((one) => one !== childId) : [...who, childId],
    );
  }

  protected clear(): void {
    this.filter.set(NO_FILTER);
    this.who.set([]);
    this.withWhatIHave.set(false);
    void this.router.navigate([], { queryParams: {}, replaceUrl: true });
  }
}
