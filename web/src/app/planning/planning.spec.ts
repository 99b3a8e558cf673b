import {
  ChangeDetectionStrategy,
  Component,
  provideZonelessChangeDetection,
  signal,
} from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { Writes } from '../state/writes';
import { Clock } from '../common/clock';
import { WeekActions } from '../state/week';
import type { PlanNews } from '@gumo/core/contract';
import { Planning } from './planning';
import { PlanningBar } from './planning-bar';

@Component({
  selector: 'gumo-host',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PlanningBar],
  providers: [Planning],
  template: '<gumo-planning-bar />',
})
class Host {}

/** A line of server-sent events whose words the spec says. */
class Line {
  static last: Line;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    Line.last = this;
  }
  close(): void {
    this.closed = true;
  }
  say(news: Partial<PlanNews>): void {
    const whole = {
      state: 'running',
      stage: 'first',
      nearness: '',
      entries: [],
      message: '',
    };
    this.onmessage?.({ data: JSON.stringify({ ...whole, ...news }) });
  }
}

const CARD: PlanNews['entries'][number] = {
  id: 'new-0',
  day: '2026-03-11',
  momentId: 'floor',
  activityId: 'handfuls',
  participants: [{ childId: '00000000-0000-4000-8000-000000000001', rangeMax: 5 }],
  minutes: 10,
  with: '',
  state: 'planned',
  version: 1,
};

describe('a plan in the making', () => {
  const real = window.EventSource;
  let dispatched: unknown[];
  let sent: string[];
  let failure: Error | null;
  afterEach(() => {
    window.EventSource = real;
  });

  async function open() {
    window.EventSource = Line as unknown as typeof EventSource;
    dispatched = [];
    sent = [];
    failure = null;
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        { provide: Store, useValue: { dispatch: (one: unknown) => dispatched.push(one) } },
        { provide: Clock, useValue: { time: () => '09:00', today: signal('2026-03-10') } },
        {
          provide: Writes,
          useValue: {
            send: (method: string, path: string) => {
              sent.push(`${method} ${path}`);
              if (failure) return Promise.reject(failure);
              return Promise.resolve({ id: 'job', of: '2026-03-09' });
            },
          },
        },
      ],
    });
    const fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    const planning = fixture.debugElement.injector.get(Planning);
    const text = async (): Promise<string> => {
      await fixture.whenStable();
      return (fixture.nativeElement as HTMLElement).textContent?.replace(/\s+/g, ' ').trim() ?? '';
    };
    return { planning, text, fixture };
  }

  it('says what it does and how near it is, and shows the week once it is kept', async () => {
    const { planning, text } = await open();
    await planning.begin('2026-03-09');
    expect(sent).toEqual(['POST /weeks/2026-03-09/plan']);
    expect(Line.last.url).toBe('/api/plans/job/news?ngsw-bypass');
    expect(await text()).toContain('Looking at the week …');
    Line.last.say({ entries: [CARD] });
    expect(await text()).toContain('A first plan is ready. Looking for a better one …');
    const nearness = 'No plan could be more than 3 % better.';
    Line.last.say({ stage: 'better', entries: [CARD], nearness });
    expect(await text()).toContain(`A better plan was found. Still looking … ${nearness}`);
    Line.last.say({ state: 'kept', stage: 'done', entries: [CARD] });
    expect(planning.running()).toBeFalse();
    expect(Line.last.closed).toBeTrue();
    expect(dispatched).toEqual([WeekActions.opened({ from: '2026-03-09' })]);
    expect(await text()).toBe('');
  });

  it('can be taken as it is, or stopped; what was there stays', async () => {
    const { planning, text, fixture } = await open();
    await planning.begin('2026-03-09');
    await text();
    const buttons = [...(fixture.nativeElement as HTMLElement).querySelectorAll('button')];
    buttons[0]!.click();
    buttons[1]!.click();
    expect(sent.slice(1)).toEqual(['POST /plans/job/keep', 'DELETE /plans/job']);
    Line.last.say({ state: 'cancelled' });
    expect(await text()).toContain('The plan is as it was before.');
    expect(dispatched).toEqual([]);
  });

  it('says what stands in the way, what was refused, and that the server was lost', async () => {
    const { planning, text } = await open();
    failure = new Error('Nobody is here on any open day of this week.');
    await planning.begin('2026-03-09');
    expect(await text()).toContain('Nobody is here');
    failure = null;
    await planning.begin('2026-03-09');
    Line.last.say({ state: 'refused', message: 'Something changed while the plan was made.' });
    expect(await text()).toContain('Something changed');
    await planning.begin('2026-03-09');
    Line.last.onerror?.();
    expect(await text()).toContain('The connection to the server was lost');
    expect(planning.running()).toBeFalse();
  });
});
