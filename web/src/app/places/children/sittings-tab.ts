import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { FIRST_LOOK } from '@gumo/core/evidence';
import { Store } from '@ngrx/store';
import { Api } from '../../common/api';
import { dayWords } from '../../common/words';
import { type SittingLine, SittingLines } from '../../state/answers';
import { householdFeature } from '../../state/household';

/** What was done with a child, newest first, and how it went. */
@Component({
  selector: 'gumo-sittings-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-label="Sittings">
      @if (failure(); as message) {
        <p class="caution" role="alert">{{ message }}</p>
      }
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Activity</th>
            <th scope="col">Tries</th>
            <th scope="col">How it was</th>
          </tr>
        </thead>
        <tbody>
          @for (one of lines(); track one.id) {
            <tr>
              <td class="numbers soft">{{ one.day }}</td>
              <th scope="row">{{ one.title }}</th>
              <td class="numbers">{{ one.tries }}</td>
              <td class="soft">{{ one.mood }}</td>
            </tr>
          } @empty {
            <tr>
              <td colspan="4" class="soft">The first sitting will stand here.</td>
            </tr>
          }
        </tbody>
      </table>
    </section>
  `,
  styles: `
    .sheet {
      max-width: 760px;
    }
    table {
      border-collapse: collapse;
      inline-size: 100%;
    }
    th,
    td {
      padding: 8px 10px 8px 0;
      border-top: 1px solid var(--line);
      text-align: left;
      font-weight: 400;
    }
    thead th {
      border: 0;
      color: var(--ink-soft);
      font-size: 13px;
      font-weight: 600;
    }
    tbody th {
      font-weight: 600;
    }
  `,
})
export class SittingsTab {
  readonly id = input.required<string>();

  private readonly api = inject(Api);
  private readonly activities = inject(Store).selectSignal(householdFeature.selectActivityById);
  private readonly sittings = signal<readonly SittingLine[]>([]);
  protected readonly failure = signal<string | null>(null);
  protected readonly lines = computed(() =>
    this.sittings().map((one) => ({
      id: one.id,
      day: dayWords(one.day),
      title:
        one.activityId === FIRST_LOOK
          ? 'First look'
          : (this.activities().get(one.activityId)?.title ?? one.activityId),
      tries: one.tries,
      mood: one.endedAt === null ? 'not ended' : (one.mood ?? ''),
    })),
  );

  constructor() {
    effect(() => {
      this.api.get(`/children/${this.id()}/sittings`, SittingLines).then(
        (lines) => this.sittings.set(lines),
        (error: unknown) => this.failure.set((error as Error).message),
      );
    });
  }
}
