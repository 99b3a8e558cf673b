import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { joinWords } from '@gumo/core/numbers';
import { Store } from '@ngrx/store';
import { CautionList } from '../../common/caution-list';
import { Door } from '../../common/door';
import { Icon } from '../../common/icon';
import type { NeedLine } from '@gumo/core/contract';
import { DayActions, dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';

/** What is set out for one activity. */
interface Station {
  readonly title: string;
  readonly isInvitation: boolean;
  readonly lines: readonly NeedLine[];
}

/** Everything the day needs, with counts and boxes, to be ticked off. */
@Component({
  selector: 'gumo-get-ready',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CautionList, Icon, MatButton, MatCheckbox, RouterLink],
  template: `
    <section class="sheet" aria-labelledby="lay-ready">
      <header>
        <h2 id="lay-ready">Get ready</h2>
        <span class="soft numbers">{{ done() }} of {{ lines().length }}</span>
      </header>
      @for (moment of moments(); track moment.name) {
        @if (moment.name !== '') {
          <h3>{{ moment.name }}</h3>
        }
        @for (station of moment.stations; track station.title) {
          @if (station.title !== '') {
            <h4>
              {{ station.title }}
              @if (station.isInvitation) {
                <span class="soft">left out</span>
              }
            </h4>
          }
          <ul>
            @for (line of station.lines; track line.key) {
              <li>
                <mat-checkbox [checked]="ticked().has(line.key)" (change)="tick(line)">
                  <span class="line">
                    <span class="count numbers">{{ line.count }}</span>
                    <span class="words">
                      {{ line.material?.name ?? line.words }}
                      @if (line.short > 0) {
                        <span class="short">
                          {{ line.material ? line.short + ' short' : 'not in the house'
                          }}{{
                            line.standIns[0]
                              ? ' · ' + line.standIns[0].material.name + ' would do'
                              : ''
                          }}
                        </span>
                        @for (one of line.away.slice(0, 1); track one.material.id) {
                          <span class="hint soft">
                            stays away: {{ one.material.name }} ({{ one.because }})
                          </span>
                        }
                      } @else if (line.barred) {
                        <span class="short">
                          {{ line.barred.because }}: keep it away{{
                            line.instead ? ' · make ' + line.instead.name : ''
                          }}
                        </span>
                      } @else if (!line.material) {
                        <span class="soft hint">
                          not in the list of materials{{
                            line.standIns[0]
                              ? ' · ' + line.standIns[0].material.name + ' would do'
                              : ''
                          }}
                        </span>
                      }
                      @if (alsoFor(line, station.title); as others) {
                        <span class="soft hint">{{ others }}</span>
                      }
                    </span>
                    <span class="box soft">{{ line.material?.box }}</span>
                  </span>
                </mat-checkbox>
              </li>
            }
          </ul>
        }
      }
      @if (door.isOwner()) {
        <p class="papers">
          <a matButton routerLink="/print/list"><gumo-icon name="print" /> Sheets for today</a>
          <a matButton [href]="list()" target="_blank" rel="noopener">This list as PDF</a>
          <a matButton [href]="slip()" target="_blank" rel="noopener">Day slip as PDF</a>
          <a matButton routerLink="/today/slip">Type in the slip</a>
        </p>
      }
      <gumo-caution-list [words]="cautions()" />
    </section>
  `,
  styles: `
    header {
      display: flex;
      justify-content: space-between;
      align-items: baseline;
      padding-bottom: 10px;
    }
    h2 {
      font-size: var(--text-lead);
    }
    h3 {
      padding-block: 10px 2px;
      color: var(--primary);
      font-size: var(--text-small);
    }
    h4 {
      margin: 8px 0 0;
      font-size: var(--text-small);
      line-height: 1.4;
    }
    h4 .soft {
      font-weight: 400;
    }
    li + li {
      border-top: 1px solid var(--line);
    }
    mat-checkbox {
      display: block;
      --mat-checkbox-label-text-size: var(--text-body);
    }
    .line {
      display: grid;
      grid-template-columns: 30px minmax(0, 1fr) auto;
      gap: 8px;
      align-items: baseline;
      padding-block: 4px;
    }
    .count {
      text-align: right;
      font-weight: 700;
    }
    .mat-mdc-checkbox-checked .words {
      color: var(--ink-soft);
    }
    .box,
    .hint {
      font-size: var(--text-small);
    }
    .hint,
    .short {
      display: block;
    }
    .short {
      color: var(--madder);
      font-size: var(--text-small);
      font-weight: 550;
    }
    .papers {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      padding-top: 8px;
      border-top: 1px solid var(--line);
    }
    gumo-caution-list {
      display: block;
      margin-top: 12px;
    }
  `,
})
export class GetReady {
  private readonly store = inject(Store);
  protected readonly door = inject(Door);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  protected readonly ticked = this.store.selectSignal(dayFeature.selectTicked);
  protected readonly lines = computed(() => this.answer()?.ready ?? []);
  private readonly order = this.store.selectSignal(householdFeature.selectMoments);
  private readonly activityById = this.store.selectSignal(householdFeature.selectActivityById);
  /** What the day needs, by the moment and the activity for which it is set out first. */
  protected readonly moments = computed(() => {
    const order = this.order();
    const first = (line: NeedLine): string | undefined =>
      order.find(({ id }) => line.moments.includes(id))?.id;
    const moments = order.map(({ id, name }) => ({
      name,
      stations: this.stationsOf(this.lines().filter((line) => first(line) === id)),
    }));
    const rest = this.lines().filter((line) => first(line) === undefined);
    const all = [...moments, { name: '', stations: this.stationsOf(rest) }];
    return all.filter(({ stations }) => stations.length > 0);
  });
  /** Titles of what is left out for children to do by themselves. */
  private readonly invited = computed(
    () =>
      new Set(
        (this.answer()?.entries ?? []).flatMap(({ invitation, activityId }) =>
          invitation ? (this.activityById().get(activityId)?.title ?? []) : [],
        ),
      ),
  );
  protected readonly list = computed(() => `/api/papers/ready/${this.answer()?.day ?? ''}.pdf`);
  protected readonly slip = computed(() => `/api/papers/slip/${this.answer()?.day ?? ''}.pdf`);
  protected readonly done = computed(
    () => this.lines().filter((line) => this.ticked().has(line.key)).length,
  );

  /** What applies to who is here and what the day lays out, said once. */
  protected readonly cautions = computed(() => [
    ...new Set(Object.values(this.answer()?.cautions ?? {}).flat()),
  ]);

  private stationsOf(lines: readonly NeedLine[]): Station[] {
    const titles = [...new Set(lines.map((line) => line.for[0] ?? ''))];
    return titles.map((title) => ({
      title,
      isInvitation: this.invited().has(title),
      lines: lines.filter((line) => (line.for[0] ?? '') === title),
    }));
  }

  /** "also for Two plates"; empty where it is for nothing else. */
  protected alsoFor(line: NeedLine, title: string): string {
    const others = line.for.filter((one) => one !== title);
    return others.length === 0 ? '' : `also for ${joinWords(others)}`;
  }

  protected tick(line: NeedLine): void {
    this.store.dispatch(DayActions.lineTicked({ key: line.key }));
  }
}
