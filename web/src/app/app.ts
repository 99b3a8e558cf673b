import { OverlayContainer } from '@angular/cdk/overlay';
import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatDialog, type MatDialogRef } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { MatProgressBar } from '@angular/material/progress-bar';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { Store } from '@ngrx/store';
import { filter, map } from 'rxjs';
import { PHONE, screenIs } from './common/screen';
import { Icon, type IconName } from './common/icon';
import { Door } from './common/door';
import { ThemeChoice } from './common/theme';
import type { LockScreen } from './door/lock-screen';
import { QuickNotes } from './quick-note/quick-notes';
import { HouseholdActions, householdFeature } from './state/household';
import { outboxFeature } from './state/outbox';
import { runFeature } from './state/run';
import { Plural } from './common/plural';

interface Place {
  readonly path: string;
  readonly name: string;
  readonly key: string;
  readonly icon: IconName;
}

const PLACES: readonly Place[] = [
  { path: '/today', name: 'Today', key: 't', icon: 'today' },
  { path: '/week', name: 'Week', key: 'w', icon: 'week' },
  { path: '/children', name: 'Children', key: 'c', icon: 'children' },
  { path: '/activities', name: 'Activities', key: 'a', icon: 'activities' },
  { path: '/measure', name: 'Measure', key: 'm', icon: 'measure' },
  { path: '/manipulatives', name: 'Manipulatives', key: 'b', icon: 'manipulatives' },
  { path: '/materials', name: 'Materials', key: 'u', icon: 'materials' },
  { path: '/print', name: 'Print', key: 'p', icon: 'print' },
  { path: '/settings', name: 'Settings', key: 'h', icon: 'household' },
];

const HELPERS_PLACES: readonly string[] = ['/today'];

/** The house's frame: the rail of places, and whatever place is open. */
@Component({
  selector: 'gumo-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Icon,
    MatButton,
    MatMenuModule,
    MatProgressBar,
    NgTemplateOutlet,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
    Plural,
  ],
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'press($event)', '[class.locked]': 'door.locked()' },
})
export class App {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly themeChoice = inject(ThemeChoice);
  private readonly quickNotes = inject(QuickNotes);
  private readonly dialog = inject(MatDialog);
  private readonly overlays = inject(OverlayContainer);
  private readonly atTheTray = this.store.selectSignal(runFeature.selectChildId);
  private lock: MatDialogRef<LockScreen> | null = null;

  protected readonly door = inject(Door);
  protected readonly places = computed(() =>
    this.door.isOwner() ? PLACES : PLACES.filter((one) => HELPERS_PLACES.includes(one.path)),
  );
  protected readonly evening = computed(() => this.themeChoice.theme() === 'evening');
  protected readonly waiting = this.store.selectSignal(outboxFeature.selectWaiting);
  protected readonly reachable = this.store.selectSignal(outboxFeature.selectReachable);
  protected readonly refused = this.store.selectSignal(outboxFeature.selectRefused);
  protected readonly failure = this.store.selectSignal(householdFeature.selectFailure);
  /** Places stand below on a phone: three of them, and the rest in a menu. */
  protected readonly phone = screenIs(PHONE);
  /** At the tray the whole screen is the tray. */
  protected readonly bare = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => isBare(event.urlAfterRedirects)),
    ),
    { initialValue: isBare(location.pathname) },
  );

  constructor() {
    this.store.dispatch(HouseholdActions.opened());
    this.takeNewer(inject(SwUpdate));
    effect(() => void this.showLock(this.door.locked()));
  }

  /** A newer Gumo is taken when the place is changed next, never under somebody's hands. */
  private takeNewer(updates: SwUpdate): void {
    let isReady = false;
    updates.versionUpdates.subscribe(({ type }) => (isReady ||= type === 'VERSION_READY'));
    updates.unrecoverable.subscribe(() => location.reload());
    this.router.events
      .pipe(filter((event) => event instanceof NavigationEnd))
      .subscribe(() => isReady && !this.bare() && location.reload());
  }

  /** From anywhere; at the tray the child whose turn it is stands there already. */
  protected quickNote(): void {
    void this.quickNotes.open(this.bare() ? this.atTheTray() : null);
  }

  /** What the server did not take, and what can be done with it. */
  protected async showRefused(): Promise<void> {
    const { RefusedDialog } = await import('./outbox/refused-dialog');
    this.dialog.open(RefusedDialog, { width: '560px', maxWidth: 'calc(100vw - 24px)' });
  }

  protected toggleTheme(): void {
    this.themeChoice.toggle();
  }

  /** What can be done at the place that is open. */
  protected async showHelp(): Promise<void> {
    const { HelpDialog } = await import('./common/help-dialog');
    this.dialog.open(HelpDialog, {
      data: this.router.url,
      width: '600px',
      maxWidth: 'calc(100vw - 24px)',
    });
  }

  /** Over everything, while the device is locked. */
  private async showLock(isLocked: boolean): Promise<void> {
    if (!isLocked) {
      this.lock?.close();
      this.lock = null;
      return;
    }
    const { LockScreen } = await import('./door/lock-screen');
    if (this.lock || !this.door.locked()) return;
    this.lock = this.dialog.open(LockScreen, {
      disableClose: true,
      panelClass: 'whole-screen',
      width: '100vw',
      height: '100dvh',
      maxWidth: '100vw',
    });
  }

  /** True while something lies over the page: a dialog, or a list or menu that has the keys. */
  private isUnder({ target }: KeyboardEvent): boolean {
    if (this.dialog.openDialogs.length > 0) return true;
    if (!(target instanceof Element) || target.closest('mat-snack-bar-container')) return false;
    return this.overlays.getContainerElement().contains(target);
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    if (this.door.locked() || this.isUnder(event)) return;
    if (event.key === '?') {
      void this.showHelp();
      return;
    }
    if (event.key.toLowerCase() === 'j') {
      event.preventDefault();
      this.quickNote();
      return;
    }
    const place = this.places().find((one) => one.key === event.key.toLowerCase());
    if (place && !this.bare()) void this.router.navigateByUrl(place.path);
  }
}

const isBare = (path: string): boolean => /^\/run\/|\/first-look$/.test(path);

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA'].includes(target.tagName) ||
      // A list that is closed takes letters as well.
      target.role === 'combobox')
  );
}
