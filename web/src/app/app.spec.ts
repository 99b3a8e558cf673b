import { BreakpointObserver } from '@angular/cdk/layout';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatDialogHarness } from '@angular/material/dialog/testing';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MatMenuHarness } from '@angular/material/menu/testing';
import { Router, provideRouter } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { Store, provideState } from '@ngrx/store';
import { BehaviorSubject, Subject } from 'rxjs';
import { App } from './app';
import { routes } from './app.routes';
import { Door } from './common/door';
import { HELP, helpFor } from './common/help';
import { QuickNotes } from './quick-note/quick-notes';
import { HouseholdActions } from './state/household';
import { OutboxActions, outboxFeature } from './state/outbox';
import { Place } from './testing/place';

@Component({
  template: '<input matInput /><mat-select />',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatInputModule, MatSelectModule],
})
class Somewhere {}

interface Setting {
  readonly phone?: boolean;
  readonly owner?: boolean;
  readonly guest?: boolean;
}

async function open({ phone = false, owner = true, guest = false }: Setting = {}) {
  const jotted: (string | null)[] = [];
  const door = {
    isOwner: signal(owner),
    isGuest: signal(guest),
    locked: signal(false),
    clockOff: signal<number | null>(null),
    counting: signal<number | null>(null),
    signOut: jasmine.createSpy('signOut').and.resolveTo(),
    unlock: () => Promise.resolve(),
  };
  const place = await Place.open(App, {
    providers: [
      provideRouter([{ path: '**', component: Somewhere }]),
      provideState(outboxFeature),
      { provide: Door, useValue: door },
      { provide: QuickNotes, useValue: { open: (child: string | null) => jotted.push(child) } },
      {
        provide: SwUpdate,
        useValue: { versionUpdates: new Subject(), unrecoverable: new Subject() },
      },
      {
        provide: BreakpointObserver,
        useValue: { observe: () => new BehaviorSubject({ matches: phone }) },
      },
    ],
  });
  const router = TestBed.inject(Router);
  const go = async (path: string): Promise<void> => {
    await router.navigateByUrl(path);
    await place.settle();
  };
  const press = async (key: string, on: EventTarget = document.body): Promise<void> => {
    on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await place.settle();
  };
  await go('/today');
  return { place, door, jotted, router, go, press, store: TestBed.inject(Store) };
}
/** Waits for what comes to the device only when it is asked for. */
const came = (place: Place<App>): Promise<void> =>
  place.until(() => document.querySelector('mat-dialog-container') !== null);
const ALL = [
  'Today',
  'Week',
  'Children',
  'Activities',
  'Measure',
  'Manipulatives',
  'Materials',
  'Print',
  'Settings',
];

describe('the frame of the house', () => {
  it('names every place, and marks the one that is open', async () => {
    const { place, go } = await open();
    expect(place.all('nav a.place')).toEqual(ALL);
    await go('/children/new');
    expect(place.all('[aria-current=page]')).toEqual(['Children']);
  });

  it('opens each place by its letter, from anywhere but a field and the tray', async () => {
    const { place, router, go, press } = await open();
    for (const [key, path] of [
      ['w', '/week'],
      ['U', '/materials'],
      ['h', '/settings'],
    ] as const) {
      await press(key);
      expect(router.url).toBe(path);
    }
    await press('t', place.find('input'));
    await press('t', place.find('mat-select'));
    expect(router.url).toBe('/settings');
    await go('/run/1');
    await press('t');
    expect(router.url).toBe('/run/1');
    expect(place.element.querySelector('nav')).toBeNull();
  });

  it('leaves keys that are held with another to the browser', async () => {
    const { router } = await open();
    document.body.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'w', ctrlKey: true, bubbles: true }),
    );
    expect(router.url).toBe('/today');
  });

  it('opens a note by its key and its button', async () => {
    const { place, jotted, press } = await open();
    await press('j');
    await place.click(/^Quick note/);
    expect(jotted).toEqual([null, null]);
  });

  it('says on a question mark what can be done here, with the keys', async () => {
    const { place, press } = await open();
    await press('?');
    await came(place);
    const dialog = await place.loader.getHarness(MatDialogHarness);
    expect(await dialog.getTitleText()).toBe('Today: what can be done here');
    expect(await dialog.getText()).toContain('Keys');
    for (const { path = '' } of routes.filter((one) => one.loadComponent)) {
      const isHelped = Object.keys(HELP).some((start) => `/${path}`.startsWith(start));
      expect(isHelped).withContext(path).toBeTrue();
    }
    expect(helpFor('/children/1').title).toBe('Children');
    await dialog.close();
  });

  it('shows three places and the note on a phone, and the rest under “More”', async () => {
    const { place } = await open({ phone: true });
    expect(place.all('nav .place')).toEqual(['Today', 'Week', 'Note', 'Children', 'More']);
    const menu = await place.loader.getHarness(MatMenuHarness);
    await menu.open();
    const items = await menu.getItems();
    const words = await Promise.all(items.map((one) => one.getText()));
    expect(words.slice(0, -1)).toEqual([...ALL.slice(3), 'Help']);
    await menu.close();
  });

  it('shows a helper today alone, and a guest the way out', async () => {
    const { place, door } = await open({ owner: false, guest: true });
    expect(place.all('nav a.place')).toEqual(['Today']);
    await place.click(/Sign out/);
    expect(door.signOut).toHaveBeenCalledTimes(1);
  });

  it('says how much waits for the server, and that it is away', async () => {
    const { place, store } = await open();
    expect(place.find('.waiting').textContent?.trim()).toBe('');
    store.dispatch(OutboxActions.counted({ waiting: 3, reachable: false }));
    await place.settle();
    expect(place.find('.waiting').textContent).toContain('3 noted on this device');
    store.dispatch(OutboxActions.counted({ waiting: 0, reachable: false }));
    await place.settle();
    expect(place.find('.waiting').textContent).toContain('The server is away');
  });

  it('says how many records the server did not take', async () => {
    const { place, store } = await open();
    store.dispatch(OutboxActions.refused({ count: 1 }));
    await place.settle();
    expect(place.find('[role=alert]').textContent).toMatch(/One record was\s+not taken/);
    store.dispatch(OutboxActions.refused({ count: 2 }));
    await place.settle();
    expect(place.find('[role=alert]').textContent).toMatch(/2 records were\s+not taken/);
  });

  it('says that the clock is off, in hours', async () => {
    const { place, door } = await open();
    door.clockOff.set(1);
    await place.settle();
    expect(place.find('[role=alert]').textContent).toMatch(/about an hour\s+off/);
    door.clockOff.set(9);
    await place.settle();
    expect(place.find('[role=alert]').textContent).toMatch(/about 9 hours\s+off/);
  });

  it('says what went wrong where the household cannot be read', async () => {
    const { place, store } = await open();
    store.dispatch(HouseholdActions.loadFailed({ message: 'It does not answer.' }));
    await place.settle();
    expect(place.find('[role=alert]').textContent).toContain('It does not answer.');
  });

  it('lies under the lock while the device is locked, and no key reaches it', async () => {
    const { place, door, router, press } = await open();
    door.locked.set(true);
    await came(place);
    const lock = await place.loader.getHarness(MatDialogHarness);
    expect(await lock.getText()).toContain('Locked');
    await press('w');
    expect(router.url).toBe('/today');
    door.locked.set(false);
    await place.until(() => document.querySelector('mat-dialog-container') === null);
    await press('w');
    expect(router.url).toBe('/week');
  });

  it('turns to evening and back', async () => {
    const { place } = await open();
    const root = document.documentElement;
    const before = root.getAttribute('data-theme');
    await place.click(/^(Day|Evening)$/);
    expect(root.getAttribute('data-theme')).not.toBe(before);
    await place.click(/^(Day|Evening)$/);
    expect(root.getAttribute('data-theme')).toBe(before);
    localStorage.removeItem('gumo-theme');
  });
});
