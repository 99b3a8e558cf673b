import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { HOME_QUESTION, type HomeStrip } from '@gumo/core/family';
import { Printing } from './printing';

/** What goes home after a game, one strip a child, to be copied or printed; nothing of it is kept. */
@Component({
  selector: 'gumo-home-strips',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    @for (strip of strips(); track strip.childId) {
      <article>
        <strong>{{ strip.title }}</strong>
        @for (line of strip.lines; track $index) {
          <p>{{ line }}</p>
        }
        <p class="soft">{{ question }}</p>
      </article>
    }
    <p class="soft">
      What the family tells you can be kept as a quick note; it never counts as a try.
    </p>
    <div class="do">
      <button matButton="outlined" type="button" (click)="copy()">Copy</button>
      <button matButton="outlined" type="button" (click)="print()">Print</button>
      <span class="soft" role="status">{{ said() }}</span>
    </div>
  `,
  styles: `
    article {
      padding: 10px 14px;
      margin-bottom: 10px;
      border-inline-start: 4px solid var(--felt);
      background: var(--paper);
    }
    strong {
      font-size: var(--text-body);
      padding: 0 0 4px;
    }
    .do {
      display: flex;
      align-items: center;
      gap: 8px;
      margin-top: 8px;
    }
  `,
})
export class HomeStrips {
  readonly strips = input.required<readonly HomeStrip[]>();

  private readonly printing = inject(Printing);
  protected readonly question = HOME_QUESTION;
  protected readonly said = signal('');

  private written(): { title: string; lines: string[] }[] {
    return this.strips().map(({ title, lines }) => ({ title, lines: [...lines, HOME_QUESTION] }));
  }

  protected async copy(): Promise<void> {
    const text = this.written().map(({ title, lines }) => [title, ...lines].join('\n'));
    try {
      await navigator.clipboard.writeText(text.join('\n\n'));
      this.said.set('Copied.');
    } catch {
      this.said.set('This browser does not let a page copy; print it instead.');
    }
  }

  protected async print(): Promise<void> {
    this.said.set('');
    await this.printing
      .open('/papers/home.pdf', { strips: this.written() })
      .catch((error: unknown) => this.said.set((error as Error).message));
  }
}
