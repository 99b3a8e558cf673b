import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** Parts of the household: its choices, its day, its records, other devices. */
@Component({
  selector: 'gumo-settings-nav',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatTabsModule, RouterLink, RouterLinkActive],
  template: `
    <nav mat-tab-nav-bar mat-stretch-tabs="false" aria-label="Settings" [tabPanel]="panel">
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
export class SettingsNav {
  protected readonly parts = [
    ['/settings', 'Preferences'],
    ['/settings/day', 'The day'],
    ['/settings/backup', 'Backup and files'],
    ['/settings/sharing', 'Sharing'],
  ] as const;
}
