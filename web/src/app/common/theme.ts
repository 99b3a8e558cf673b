import { DOCUMENT, Injectable, effect, inject, signal } from '@angular/core';

export type Theme = 'day' | 'evening';
const KEY = 'gumo-theme';

/** Day or evening: as the device prefers until someone chooses. */
@Injectable({ providedIn: 'root' })
export class ThemeChoice {
  private readonly document = inject(DOCUMENT);
  readonly theme = signal<Theme>(this.first());

  constructor() {
    effect(() => this.document.documentElement.setAttribute('data-theme', this.theme()));
  }

  toggle(): void {
    this.theme.update((theme) => (theme === 'day' ? 'evening' : 'day'));
    this.document.defaultView?.localStorage.setItem(KEY, this.theme());
  }

  private first(): Theme {
    const window = this.document.defaultView;
    const chosen = window?.localStorage.getItem(KEY);
    if (chosen === 'day' || chosen === 'evening') return chosen;
    return window?.matchMedia('(prefers-color-scheme: dark)').matches ? 'evening' : 'day';
  }
}
