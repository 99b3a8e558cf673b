import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** Parts of the household: its choices, its day, its records, other devices. */
@Component({
  selector: 'gumo-household-nav',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RouterLinkActive],
  template: `
    <nav aria-label="Household">
      @for (part of parts; track part[0]) {
        <a
          [routerLink]="part[0]"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
        >
          {{ part[1] }}
        </a>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      gap: 20px;
      padding-bottom: 16px;
    }
    a {
      padding: 8px 0;
      border-bottom: 3px solid transparent;
      color: var(--ink-soft);
      font-weight: 600;
      text-decoration: none;
    }
    .here {
      border-bottom-color: var(--primary);
      color: var(--primary);
    }
    @media (max-width: 700px) {
      a {
        padding: 12px 0;
      }
    }
  `,
})
export class HouseholdNav {
  protected readonly parts = [
    ['/household', 'Choices'],
    ['/household/day', 'The day'],
    ['/household/records', 'Records'],
    ['/household/sharing', 'Sharing'],
  ] as const;
}
