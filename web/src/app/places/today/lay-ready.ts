import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { CautionList } from '../../common/caution-list';
import { Door } from '../../common/door';
import { Icon } from '../../common/icon';
import type { NeedLine } from '../../state/answers';
import { DayActions, dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';

/** Everything the day needs, with counts and boxes, to be ticked off. */
@Component({
  selector: 'gumo-lay-ready',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CautionList, Icon, RouterLink],
  template: `
    <section class="sheet" aria-labelledby="lay-ready">
      <header>
        <h2 id="lay-ready">Get ready</h2>
        <span class="soft numbers">{{ done() }} of {{ lines().length }}</span>
      </header>
      @for (group of groups(); track group.name) {
        @if (group.name !== '') {
          <h3>{{ group.name }}</h3>
        }
        <ul>
          @for (line of group.lines; track line.key) {
            <li>
              <button
                type="button"
                role="checkbox"
                [attr.aria-checked]="ticked().has(line.key)"
                (click)="tick(line)"
              >
                <span class="mark">
                  @if (ticked().has(line.key)) {
                    <gumo-icon name="check" />
                  }
                </span>
                <span class="count numbers">{{ line.count }}</span>
                <span class="words">
                  {{ line.thing?.name ?? line.words }}
                  @if (line.short > 0) {
                    <span class="short">
                      {{ line.short }} short{{
                        line.standIns[0] ? ' · ' + line.standIns[0].thing.name + ' would do' : ''
                      }}
                    </span>
                    @for (one of line.away.slice(0, 1); track one.thing.id) {
                      <span class="hint soft">
                        {{ one.thing.name }} stays away ({{ one.because }})
                      </span>
                    }
                  } @else if (line.barred) {
                    <span class="short">
                      {{ line.barred.because }}: keep it away{{
                        line.instead ? ' · make ' + line.instead.name : ''
                      }}
                    </span>
                  } @else if (!line.thing) {
                    <span class="soft hint">
                      not in the cupboard list{{
                        line.standIns[0] ? ' · ' + line.standIns[0].thing.name + ' would do' : ''
                      }}
                    </span>
                  }
                  <span class="soft hint">{{ line.for.join(', ') }}</span>
                </span>
                <span class="box soft">{{ line.thing?.box }}</span>
              </button>
            </li>
          }
        </ul>
      }
      @if (door.isKeeper()) {
        <p class="papers">
          <a class="button" routerLink="/print/tray"><gumo-icon name="print" /> Sheets for today</a>
          <a class="button" [href]="list()" target="_blank" rel="noopener">This list as PDF</a>
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
      font-size: 18px;
    }
    h3 {
      padding-block: 10px 4px;
      color: var(--primary);
      font-size: 13px;
    }
    li {
      border-top: 1px solid var(--line);
    }
    button {
      display: grid;
      grid-template-columns: 22px 40px minmax(0, 1fr) auto;
      gap: 8px;
      align-items: baseline;
      inline-size: 100%;
      min-height: 40px;
      padding: 7px 0;
      border: 0;
      background: none;
      text-align: left;
      cursor: pointer;
    }
    .mark {
      align-self: center;
      inline-size: 18px;
      block-size: 18px;
      border: 1.5px solid var(--ink-soft);
      border-radius: 50%;
    }
    [aria-checked='true'] .mark {
      border-color: transparent;
      color: var(--primary);
    }
    [aria-checked='true'] .mark gumo-icon {
      margin: -4px 0 0 -4px;
    }
    .count {
      text-align: right;
      font-weight: 700;
    }
    [aria-checked='true'] .words {
      color: var(--ink-soft);
    }
    .box,
    .hint {
      font-size: 13px;
    }
    .hint,
    .short {
      display: block;
    }
    .short {
      color: var(--madder);
      font-size: 13px;
      font-weight: 550;
    }
    .papers {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      padding-top: 8px;
      border-top: 1px solid var(--line);
    }
    .papers .button {
      display: inline-flex;
      inline-size: auto;
      padding: 0 8px;
      font-size: 14px;
    }
    gumo-caution-list {
      display: block;
      margin-top: 12px;
    }
    @media (max-width: 700px) {
      button {
        min-height: 48px;
      }
    }
  `,
})
export class LayReady {
  private readonly store = inject(Store);
  protected readonly door = inject(Door);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  protected readonly ticked = this.store.selectSignal(dayFeature.selectTicked);
  protected readonly lines = computed(() => this.answer()?.ready ?? []);
  private readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  /** What the day needs by the moment in which it is needed first, in the order of the day. */
  protected readonly groups = computed(() => {
    const order = this.moments();
    const first = (line: NeedLine): string | undefined =>
      order.find(({ id }) => line.moments.includes(id))?.id;
    const groups = order.map(({ id, name }) => ({
      name,
      lines: this.lines().filter((line) => first(line) === id),
    }));
    const rest = this.lines().filter((line) => first(line) === undefined);
    return [...groups, { name: '', lines: rest }].filter(({ lines }) => lines.length > 0);
  });
  protected readonly list = computed(() => `/api/papers/ready/${this.answer()?.day ?? ''}.pdf`);
  protected readonly done = computed(
    () => this.lines().filter((line) => this.ticked().has(line.key)).length,
  );

  /** What applies to who is here and what the day lays out, said once. */
  protected readonly cautions = computed(() => [
    ...new Set(Object.values(this.answer()?.cautions ?? {}).flat()),
  ]);

  protected tick(line: NeedLine): void {
    this.store.dispatch(DayActions.lineTicked({ key: line.key }));
  }
}
