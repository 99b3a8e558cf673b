import { DOCUMENT, Injectable, computed, inject, signal } from '@angular/core';
import { Counting, Health } from '@gumo/core/contract';
import { Whoever } from '@gumo/core/vocabulary';
import { Api } from './api';
import { Clock } from './clock';

const AT_HOME: Whoever = { door: 'home', role: 'owner', device: null };
const LOOK_EVERY_MS = 5_000;
const TELL_EVERY_MS = 60_000;
const COUNTING_MS = 500;
const COMPARE_EVERY_MS = 15 * 60_000;
const HOUR_MS = 3_600_000;

/** Who sits at this device, whether it is locked, and leaving it. */
@Injectable({ providedIn: 'root' })
export class Door {
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly document = inject(DOCUMENT);

  /** Null until the server, or what is held of it, has answered. */
  readonly who = signal<Whoever | null>(null);
  readonly locked = signal(false);
  /** Until it is known, a device is taken for an owner's: the server decides in any case. */
  readonly isOwner = computed(() => this.who()?.role !== 'helper');
  readonly isGuest = computed(() => this.who()?.door === 'network');

  /** Hours by which the clock of this device is off the server's; null where it is right. */
  readonly clockOff = signal<number | null>(null);
  /** How far the server is where it counts years of records anew, 0 to 1; null where it does not. */
  readonly counting = signal<number | null>(null);

  private readonly asked: Promise<void>;
  private touchedAt = this.clock.now().getTime();
  private toldAt = this.touchedAt;

  constructor() {
    this.api.shut.subscribe((status) => {
      if (status === 423) this.locked.set(true);
      else if (status === 401) void this.leave();
      else if (this.counting() === null) void this.followCounting(false);
    });
    this.asked = this.load();
    const touch = (): void => this.touch();
    for (const kind of ['pointerdown', 'keydown']) {
      this.document.addEventListener(kind, touch, { passive: true, capture: true });
    }
    this.document.defaultView?.setInterval(() => this.look(), LOOK_EVERY_MS);
    void this.compareClocks();
    this.document.defaultView?.setInterval(() => void this.compareClocks(), COMPARE_EVERY_MS);
  }

  /** What is noted carries this device's time: one that is off by an hour or more is told so. */
  private async compareClocks(): Promise<void> {
    const health = await this.api.get('/health', Health).catch(() => null);
    if (!health?.now) return;
    const off = Math.abs(Date.parse(health.now) - this.clock.now().getTime());
    this.clockOff.set(off < HOUR_MS ? null : Math.round(off / HOUR_MS));
  }

  /** Resolves once it is known who asks. */
  ready(): Promise<void> {
    return this.asked;
  }

  /** Opens a locked device. @throws Error that says why it stays locked */
  async unlock(pin: string): Promise<void> {
    await this.api.send('POST', '/access/unlock', { pin });
    this.touchedAt = this.toldAt = this.clock.now().getTime();
    this.locked.set(false);
  }

  async signOut(): Promise<void> {
    await this.api.send('POST', '/access/sign-out', {});
    await this.leave();
  }

  async load(): Promise<void> {
    try {
      const who = await this.api.get('/access', Whoever);
      this.who.set(who);
      this.locked.set(who.device?.locked ?? false);
    } catch {
      this.who.update((who) => who ?? AT_HOME);
    }
  }

  /** Shows how far it is until it is done, then opens the page anew. */
  private async followCounting(was: boolean): Promise<void> {
    const state = await this.api.get('/counting', Counting).catch(() => null);
    this.counting.set(state && state.done / Math.max(1, state.total));
    const view = this.document.defaultView;
    if (state) view?.setTimeout(() => void this.followCounting(true), COUNTING_MS);
    else if (was) view?.location.reload();
  }

  private touch(): void {
    if (this.locked() || !this.who()?.device?.lockMinutes) return;
    this.touchedAt = this.clock.now().getTime();
    if (this.touchedAt - this.toldAt < TELL_EVERY_MS) return;
    this.toldAt = this.touchedAt;
    // Where the server is away, it is told with the next touch.
    this.api.send('POST', '/access/here', {}).catch(() => undefined);
  }

  private look(): void {
    const minutes = this.who()?.device?.lockMinutes;
    if (!minutes || this.locked()) return;
    if (this.clock.now().getTime() - this.touchedAt < minutes * 60_000) return;
    this.locked.set(true);
    this.api.send('POST', '/access/lock', {}).catch(() => undefined);
  }

  /** What the device holds of the household goes; what was noted here and is not sent yet stays. */
  private async leave(): Promise<void> {
    if (!this.document.defaultView) return;
    const { caches, navigator, location } = this.document.defaultView;
    const held = await caches?.keys().catch(() => []);
    await Promise.all((held ?? []).map((name) => caches.delete(name)));
    const workers = (await navigator.serviceWorker?.getRegistrations()) ?? [];
    await Promise.all(workers.map((worker) => worker.unregister()));
    location.assign('/sign-in');
  }
}
