import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatStepperModule } from '@angular/material/stepper';
import { Router, RouterLink } from '@angular/router';
import { FIRST_HOUR, type FirstHourStep, type Household } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Icon } from '../../common/icon';
import { PHONE, screenIs } from '../../common/screen';
import { childrenFeature } from '../../state/children';
import { FirstHour } from '../../state/first-hour';
import { StartBeginning } from './start-beginning';
import { StartChildren } from './start-children';
import { StartDay } from './start-day';
import { StartMaterials } from './start-materials';
import { StartWeek } from './start-week';

/** The first hour in a house: five steps, to be left and taken up again at any time. */
@Component({
  selector: 'gumo-start',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Icon,
    MatButton,
    MatStepperModule,
    RouterLink,
    StartBeginning,
    StartChildren,
    StartDay,
    StartMaterials,
    StartWeek,
  ],
  templateUrl: './start.html',
  styleUrl: './start.scss',
})
export class Start {
  private readonly router = inject(Router);
  protected readonly hour = inject(FirstHour);
  private readonly children = inject(Store).selectSignal(childrenFeature.selectPresent);
  protected readonly phone = screenIs(PHONE);
  protected readonly step = signal(0);
  protected readonly message = signal<string | null>(null);
  protected readonly hasChildren = computed(() => this.children().length > 0);

  constructor() {
    // It opens at the first step that is not done, once it is known which that is.
    let opened = false;
    effect(() => {
      const next = this.hour.next();
      if (opened || !this.hour.loaded()) return;
      opened = true;
      this.step.set(next === null ? 0 : FIRST_HOUR.indexOf(next));
    });
  }

  protected isDone(step: FirstHourStep): boolean {
    return this.hour.done().has(step);
  }

  protected async finish(step: FirstHourStep, more: Partial<Household> = {}): Promise<void> {
    this.message.set(null);
    try {
      await this.hour.finish(step, more);
      const at = FIRST_HOUR.indexOf(step) + 1;
      if (at < FIRST_HOUR.length) this.step.set(at);
      else await this.router.navigate(['/today']);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
