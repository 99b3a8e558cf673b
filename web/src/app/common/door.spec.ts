import { TestBed } from '@angular/core/testing';
import { signal } from '@angular/core';
import type { Whoever } from '@gumo/core/vocabulary';
import { Subject } from 'rxjs';
import { Api, ApiProblem } from './api';
import { Clock } from './clock';
import { Door } from './door';

const helper: Whoever = {
  door: 'network',
  role: 'helper',
  device: { id: 'd1', name: 'Loft', lockMinutes: 5, locked: false },
};

describe('the door', () => {
  const shut = new Subject<number>();
  let sent: string[];
  let clock: ReturnType<typeof signal<Date>>;
  let refuse: ApiProblem | null;

  beforeEach(() => {
    jasmine.clock().install();
    sent = [];
    refuse = null;
    clock = signal(new Date('2026-03-10T09:00:00'));
  });
  afterEach(() => jasmine.clock().uninstall());

  async function open(who: Whoever | null): Promise<Door> {
    const api = {
      shut,
      get: async () => {
        if (!who) throw new Error('away');
        return who;
      },
      send: async (_method: string, path: string) => {
        sent.push(path);
        if (refuse) throw refuse;
        return null;
      },
    };
    TestBed.configureTestingModule({
      providers: [
        { provide: Api, useValue: api },
        { provide: Clock, useValue: { now: clock } },
      ],
    });
    const door = TestBed.inject(Door);
    await door.ready();
    return door;
  }
  const later = (minutes: number): void => {
    clock.set(new Date((clock() as Date).getTime() + minutes * 60_000));
    jasmine.clock().tick(5_000);
  };
  const touch = (): void => void document.dispatchEvent(new Event('pointerdown'));

  it('takes a device for an owner’s where nobody answers', async () => {
    const door = await open(null);
    expect([door.isOwner(), door.isGuest(), door.locked()]).toEqual([true, false, false]);
  });

  it('locks a shared device that is left alone, and not one that is used', async () => {
    const door = await open(helper);
    expect([door.isOwner(), door.isGuest()]).toEqual([false, true]);
    later(4);
    touch();
    later(4);
    expect(door.locked()).toBeFalse();
    expect(sent).toEqual(['/access/here']);
    later(1);
    expect(door.locked()).toBeTrue();
    expect(sent.at(-1)).toBe('/access/lock');
    touch();
    later(1);
    expect(sent.at(-1)).withContext('a touch opens nothing').toBe('/access/lock');
  });

  it('opens by the PIN, and stays shut by a wrong one', async () => {
    const door = await open(helper);
    shut.next(423);
    expect(door.locked()).toBeTrue();
    refuse = new ApiProblem(422, 'pin is not right');
    await expectAsync(door.unlock('1111')).toBeRejected();
    expect(door.locked()).toBeTrue();
    refuse = null;
    await door.unlock('2846');
    expect(door.locked()).toBeFalse();
  });

  it('never locks the machine at home', async () => {
    const door = await open({ door: 'home', role: 'owner', device: null });
    later(600);
    expect(door.locked()).toBeFalse();
    expect(sent).toEqual([]);
  });
});
