import { type AfterViewInit, Directive, ElementRef, inject } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';

/** A button that is only a picture says on a tip what it does: what it is called when read aloud. */
@Directive({
  // It is Material's own, on every button that is only a picture.
  // eslint-disable-next-line @angular-eslint/directive-selector
  selector: '[matIconButton]',
  hostDirectives: [MatTooltip],
  host: { '(mouseenter)': 'name()', '(focus)': 'name()' },
})
export class IconTip implements AfterViewInit {
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly tip = inject(MatTooltip);

  ngAfterViewInit(): void {
    this.name();
  }

  /** The name may have changed since the tip was last shown. */
  protected name(): void {
    this.tip.message = this.element.getAttribute('aria-label');
  }
}
