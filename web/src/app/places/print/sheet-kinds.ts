import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { SHEETS } from '@gumo/core/sheets';
import { Icon } from '../../common/icon';

/** The sheets there are, and those that were collected. */
@Component({
  selector: 'gumo-sheet-kinds',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, RouterLink],
  template: `
    <nav aria-label="Sheets">
      <a
        class="tray"
        routerLink="/print/tray"
        [attr.aria-current]="here() === 'tray' ? 'page' : null"
      >
        <gumo-icon name="print" /> Collected
      </a>
      @for (one of kinds; track one.id) {
        <a
          [routerLink]="['/print', one.id]"
          [attr.aria-current]="one.id === here() ? 'page' : null"
        >
          {{ one.title }}
        </a>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      flex-direction: column;
      gap: 1px;
    }
    a {
      padding: 5px 12px;
      border-radius: 10px;
      color: var(--ink-soft);
      text-decoration: none;
      font-size: 14.5px;
      white-space: nowrap;
    }
    .tray {
      display: inline-flex;
      align-items: center;
      gap: 8px;
      margin-bottom: 8px;
      padding: 8px 12px;
      color: var(--ink);
      font-weight: 600;
    }
    a:hover {
      color: var(--ink);
    }
    [aria-current] {
      background: var(--sheet);
      color: var(--ink);
      font-weight: 650;
    }
    @media (max-width: 1000px) {
      nav {
        flex-direction: row;
        overflow-x: auto;
      }
    }
    @media (max-width: 700px) {
      a {
        padding: 12px;
        min-block-size: 48px;
      }
    }
  `,
})
export class SheetKinds {
  /** The kind that is open, or the tray. */
  readonly here = input.required<string>();
  protected readonly kinds = SHEETS;
}
