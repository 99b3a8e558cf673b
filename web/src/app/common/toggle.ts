import { DestroyRef, Directive, Injector, afterNextRender, inject, input } from '@angular/core';
import { MatButtonToggle, MatButtonToggleModule } from '@angular/material/button-toggle';

/**
 * A toggle by itself shows what is so: where a tap changed nothing, as with the last of some that
 * cannot be taken out, it goes back. Material's own turns over whatever comes of it.
 */
@Directive({
  // It is Material's own element, wherever its state is bound.
  // eslint-disable-next-line @angular-eslint/directive-selector
  selector: 'mat-button-toggle[checked]',
})
export class ShownToggle {
  readonly checked = input.required<boolean>();

  constructor() {
    const toggle = inject(MatButtonToggle);
    const injector = inject(Injector);
    const taps = toggle.change.subscribe(() => {
      if (toggle.buttonToggleGroup) return;
      afterNextRender(() => (toggle.checked = this.checked()), { injector });
    });
    inject(DestroyRef).onDestroy(() => taps.unsubscribe());
  }
}

/** Material's toggles as Gumo uses them. */
export const TOGGLES = [MatButtonToggleModule, ShownToggle] as const;
