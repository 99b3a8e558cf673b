import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** Parts of the household: its choices, its day, its records, other devices. */
@Component({
  selector: 'gumo-household-nav',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatTabsModule, RouterLink, RouterLinkActive],
  template: `
    <nav mat-tab-nav-bar mat-stretch-tabs="false" aria-label="Household" [tabPanel]="panel">
      @for (part of parts; track part[0]) {
        <a
          #link="routerLinkActive"
          mat-tab-link
          [routerLink]="part[0]"
          routerLinkActive
          [routerLinkActiveOptions]="{ exact: true }"
          [active]="link.isActive"
        >
          {{ part[1] }}
        </a>
      }
    </nav>
    <mat-tab-nav-panel #panel />
  `,
  styles: `
    nav {
      margin-bottom: 16px;
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
