import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { Store } from '@ngrx/store';
import { filter, map } from 'rxjs';
import { Icon, type IconName } from './common/icon';
import { Door } from './common/door';
import { ThemeChoice } from './common/theme';
import { LockScreen } from './door/lock-screen';
import { Jotting } from './jot/jotting';
import { HouseholdActions, householdFeature } from './state/household';
import { outboxFeature } from './state/outbox';
import { runFeature } from './state/run';

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
  { path: '/table', name: 'Table', key: 'b', icon: 'table' },
  { path: '/cupboard', name: 'Cupboard', key: 'u', icon: 'cupboard' },
  { path: '/print', name: 'Print', key: 'p', icon: 'print' },
  { path: '/household', name: 'Household', key: 'h', icon: 'household' },
];

const HELPERS_PLACES: readonly string[] = ['/today'];

const KEYS: readonly (readonly [string, string])[] = [
  ['T', 'Today'],
  ['W', 'Week'],
  ['C', 'Children'],
  ['A', 'Activities'],
  ['M', 'Measure'],
  ['B', 'Table'],
  ['U', 'Cupboard'],
  ['P', 'Print'],
  ['J', 'Jot'],
  ['H', 'Household'],
  ['?', 'these keys'],
  ['Shift + ← →', 'in the week: a card to the day before or after'],
  ['O  H  N  X', 'at the tray: on their own, with help, not yet, not today'],
  ['Shift + H', 'with help that was given at once'],
  ['0–9', 'the number that was answered'],
  ['← →', 'the next child'],
  ['− +', 'easier, harder'],
  ['Space', 'shows or hides the picture'],
  ['F', 'turns the picture to the child'],
  ['Backspace', 'takes the last one back'],
  ['E', 'ends the sitting'],
];

/** The house's frame: the rail of places, and whatever place is open. */
@Component({
  selector: 'gumo-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Icon, LockScreen, MatButtonModule],
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'press($event)' },
})
export class App {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly themeChoice = inject(ThemeChoice);
  private readonly jotting = inject(Jotting);
  private readonly dialog = inject(MatDialog);
  private readonly atTheTray = this.store.selectSignal(runFeature.selectChildId);
  private readonly keysDialog = viewChild.required<ElementRef<HTMLDialogElement>>('keysDialog');

  protected readonly door = inject(Door);
  protected readonly places = computed(() =>
    this.door.isKeeper() ? PLACES : PLACES.filter((one) => HELPERS_PLACES.includes(one.path)),
  );
  protected readonly keys = KEYS;
  protected readonly evening = computed(() => this.themeChoice.theme() === 'evening');
  protected readonly waiting = this.store.selectSignal(outboxFeature.selectWaiting);
  protected readonly reachable = this.store.selectSignal(outboxFeature.selectReachable);
  protected readonly refused = this.store.selectSignal(outboxFeature.selectRefused);
  protected readonly failure = this.store.selectSignal(householdFeature.selectFailure);
  protected readonly menu = signal(false);
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
  protected jot(): void {
    void this.jotting.open(this.bare() ? this.atTheTray() : null);
  }

  /** What the server did not take, and what can be done with it. */
  protected async showRefused(): Promise<void> {
    const { RefusedDialog } = await import('./outbox/refused-dialog');
    this.dialog.open(RefusedDialog, { width: '560px', maxWidth: 'calc(100vw - 24px)' });
  }

  protected toggleTheme(): void {
    this.themeChoice.toggle();
  }

  protected showKeys(): void {
    this.keysDialog().nativeElement.showModal();
  }

  protected closeKeys(): void {
    this.keysDialog().nativeElement.close();
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    if (this.door.locked() || document.querySelector('.cdk-overlay-backdrop')) return;
    if (event.key === '?') {
      this.showKeys();
      return;
    }
    if (event.key.toLowerCase() === 'j') {
      event.preventDefault();
      this.jot();
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
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}
