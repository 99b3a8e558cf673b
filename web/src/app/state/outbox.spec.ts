import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aTry } from '@gumo/core/vocabulary/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { Api, ApiProblem, Unreachable } from '../common/api';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox, outboxFeature } from './outbox';

interface Sent {
  readonly path: string;
  readonly body: unknown;
}
/** An id for a letter, and the letter of an id. */
const idOf = (letter: string): string =>
  `00000000-0000-4000-8000-0000000000${letter.charCodeAt(0).toString(16)}`;
const letterOf = (id: string): string => String.fromCharCode(parseInt(id.slice(-2), 16));
const observation = (letter: string): OutboxEntry => ({
  kind: 'observation',
  observation: aTry({ id: idOf(letter), childId: idOf('c'), sessionId: null }),
});
const SESSION = idOf('s');
const session: OutboxEntry = {
  kind: 'session',
  session: {
    id: SESSION,
    activityId: 'handfuls',
    planEntryId: null,
    day: '2026-03-10',
    startedAt: '2026-03-10T09:00:00.000Z',
    endedAt: null,
    mood: null,
    participants: [{ childId: idOf('c'), rangeMax: 5 }],
  },
};
const end: OutboxEntry = {
  kind: 'end',
  sessionId: SESSION,
  end: { endedAt: '2026-03-10T09:10:00.000Z', mood: null },
};

describe('the outbox', () => {
  let sent: Sent[];
  let answer: (sent: Sent) => unknown;
  let outbox: Outbox;

  function open(): void {
    TestBed.resetTestingModule();
    sent = [];
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideStore(),
        provideState(outboxFeature),
        {
          provide: Api,
          useValue: {
            send: async (_method: string, path: string, body: unknown) => {
              const one = { path, body };
              const found = answer(one);
              if (found instanceof Error) throw found;
              sent.push(one);
            },
          },
        },
      ],
    });
    outbox = TestBed.inject(Outbox);
  }
  const state = () => TestBed.inject(Store).selectSignal(outboxFeature.selectOutboxState)();
  const ids = (one: Sent): string[] =>
    (one.body as { observations: { id: string }[] }).observations.map(({ id }) => letterOf(id));
  async function keepAll(parcels: readonly OutboxEntry[]): Promise<void> {
    for (const parcel of parcels) await outbox.put(parcel);
    await outbox.flush();
    await outbox.flush();
  }
  beforeEach(() => {
    // Only the test lets time pass, so nothing is tried again behind its back.
    jasmine.clock().install();
    answer = () => null;
    open();
  });
  afterEach(async () => {
    // What a test left waiting goes out, so that the next one begins with nothing.
    answer = () => null;
    while ((await outbox.waiting()).length > 0) await outbox.flush();
    for (const { key } of await outbox.refused()) await outbox.discard(key);
    jasmine.clock().uninstall();
  });

  it('sends in the order in which it was noted, tries of one kind together', async () => {
    answer = () => new Unreachable();
    await keepAll([session, observation('a'), observation('b'), end]);
    answer = () => null;
    await outbox.flush();
    expect(sent.map((one) => one.path)).toEqual([
      `/sessions/${SESSION}`,
      '/observations',
      `/sessions/${SESSION}/end`,
    ]);
    expect(ids(sent[1]!)).toEqual(['a', 'b']);
    expect(await outbox.waiting()).toEqual([]);
    expect(state()).toEqual({ waiting: 0, reachable: true, refused: 0 });
  });

  it('keeps everything while the server is away, also over a reload of the page', async () => {
    answer = () => new Unreachable();
    await keepAll([observation('a'), observation('b')]);
    expect(state()).toEqual({ waiting: 2, reachable: false, refused: 0 });
    answer = () => null;
    open();
    await outbox.flush();
    // Both pages may send it; the server takes each once.
    expect([...new Set(sent.flatMap(ids))]).toEqual(['a', 'b']);
  });

  it('tries again by itself after a while', async () => {
    answer = () => new Unreachable();
    await keepAll([observation('a')]);
    answer = () => null;
    jasmine.clock().tick(2_000);
    await outbox.flush();
    expect(sent.flatMap(ids)).toEqual(['a']);
  });

  it('waits when the server is broken or busy: 500 and 429 lose nothing', async () => {
    for (const [letter, status] of [
      ['a', 500],
      ['b', 503],
      ['c', 429],
    ] as const) {
      answer = () => new ApiProblem(status, 'later');
      await keepAll([observation(letter)]);
      expect((await outbox.waiting()).length)
        .withContext(String(status))
        .toBeGreaterThan(0);
      expect(state().refused).toBe(0);
    }
    answer = () => null;
    await outbox.flush();
    expect(sent.flatMap(ids)).toEqual(['a', 'b', 'c']);
  });

  it('says what is refused for good, and goes on with the rest', async () => {
    answer = ({ path }) =>
      path === '/observations' ? new ApiProblem(422, 'No such child.') : null;
    await keepAll([observation('a'), end]);
    expect(sent.map((one) => one.path)).toEqual([`/sessions/${SESSION}/end`]);
    expect(await outbox.waiting()).toEqual([]);
    expect(state().refused).toBe(1);
    const [one] = await outbox.refused();
    expect(one!.message).toBe('No such child.');
    // What can be done: send it again, or let it go.
    answer = () => null;
    await outbox.sendAgain(one!.key, one!.parcel);
    await outbox.flush();
    expect(sent.filter(({ path }) => path === '/observations').flatMap(ids)).toEqual(['a']);
    expect(state().refused).toBe(0);
    expect(await outbox.refused()).toEqual([]);
  });

  it('puts aside what it cannot read, and sends what comes after it', async () => {
    await keepAll([{ kind: 'sitting', sitting: {} } as never, observation('a')]);
    expect(sent.flatMap(ids)).toEqual(['a']);
    const [one] = await outbox.refused();
    expect(one!.message).toBe('This version of Gumo cannot read it.');
  });

  it('keeps one that is refused from taking others of its batch with it', async () => {
    answer = () => new Unreachable();
    await keepAll([observation('a'), observation('b'), observation('c')]);
    answer = (one) => (ids(one).includes('b') ? new ApiProblem(422, 'No such child.') : null);
    await outbox.flush();
    expect(sent.flatMap(ids)).toEqual(['a', 'c']);
    expect(await outbox.waiting()).toEqual([]);
    expect(state().refused).toBe(1);
  });
});
