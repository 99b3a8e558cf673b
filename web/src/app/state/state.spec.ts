import { triedAs } from '@gumo/core/rounds';
import type { ChildState } from '@gumo/core/evidence';
import { emptyState } from '@gumo/core/evidence';
import { findActivity } from '@gumo/core/activities';
import type { Activity, Child, Observation, Session } from '@gumo/core/vocabulary';
import type { DayAnswer } from '@gumo/core/contract';
import { childrenFeature, ChildrenActions } from './children';
import { DayActions, dayFeature } from './day';
import { HouseholdActions, householdFeature } from './household';
import { RunActions, runFeature } from './run';
import { selectQuestion } from './run-game';

const child = {
  id: 'c1',
  name: 'Wren',
  answerModes: ['speaks'],
  policy: 'balanced',
  archived: false,
  birthDate: '2022-01-01',
} as unknown as Child;

const session = {
  id: 's1',
  activityId: 'handfuls',
  day: '2026-03-10',
  participants: [{ childId: 'c1', rangeMax: 5 }],
} as unknown as Session;

const own = (id: string): Observation =>
  ({
    id,
    childId: 'c1',
    sessionId: 's1',
    skillId: 'total-5',
    itemId: 'n3',
    at: '2026-03-10T09:00:00.000Z',
    day: '2026-03-10',
    outcome: 'own',
    triedFirst: true,
    materials: [],
    record: { kind: 'count', n: 3, words: 3, lastWord: 3, skipped: 0, doubled: 0, answer: 3 },
  }) as unknown as Observation;

describe('the run in the store', () => {
  const start = { type: 'start' } as never;
  const rest = {
    household: householdFeature.reducer(
      undefined,
      HouseholdActions.loaded({
        household: null,
        activities: [findActivity('handfuls') as Activity],
      }),
    ),
    children: childrenFeature.reducer(undefined, ChildrenActions.loaded({ children: [child] })),
  };
  const open = [
    RunActions.begun({ session }),
    RunActions.evidenceLoaded({ state: emptyState('c1', 'balanced'), speaks: true }),
  ].reduce(runFeature.reducer, runFeature.reducer(undefined, start));

  it('invites a handful and counts what was taken, never the same question twice running', () => {
    let run = open;
    for (const [i, n] of [8, 3, 12].entries()) {
      const invited = selectQuestion({ ...rest, run } as never)!;
      expect(invited.right).withContext('nothing is asked before it is known').toBeNull();
      run = runFeature.reducer(run, RunActions.cameUp({ came: [n] }));
      const question = selectQuestion({ ...rest, run } as never)!;
      expect(question.right).toEqual(jasmine.objectContaining({ kind: 'count', n }));
      const observation = { ...own(`o${i}`), ...triedAs(question, null, 'own')! };
      run = runFeature.reducer(run, RunActions.noted({ observation }));
      run = runFeature.reducer(run, RunActions.weighed());
      expect(run.came).toEqual([]);
    }
    expect(run.kept).toBeTrue();
  });

  it('waits with the first question until it is known what the child can do', () => {
    const run = runFeature.reducer(undefined, RunActions.begun({ session }));
    expect(selectQuestion({ ...rest, run } as never)).toBeNull();
  });

  it('takes a try back from the list and from what is believed', () => {
    const noted = runFeature.reducer(open, RunActions.noted({ observation: own('o1') }));
    const two = runFeature.reducer(noted, RunActions.noted({ observation: own('o2') }));
    const voiding = { id: 'v1', observationId: 'o2', at: '2026-03-10T09:01:00.000Z', notedBy: '' };
    const back = runFeature.reducer(two, RunActions.undone({ voiding }));
    const status = runFeature.selectStatus({ ...rest, run: back } as never);
    expect(status.map((one) => one.id)).toEqual(['o1']);
    const scored = (state: typeof back): number =>
      (runFeature.reducer(state, RunActions.weighed()).evidence['c1'] as ChildState).skills[
        'total-5'
      ]!.ledger.scored;
    expect([scored(two), scored(back)]).toEqual([2, 1]);
  });
});

describe('the day in the store', () => {
  const answer = (away: string[]): DayAnswer => ({
    day: '2026-03-10',
    sheet: { day: '2026-03-10', away, gotReady: [] },
    entries: [],
    ready: [],
    cautions: {},
    open: [],
  });

  it('keeps what was tapped while an older answer comes in', () => {
    const away = (state: ReturnType<typeof dayFeature.reducer>) => state.answer?.sheet.away;
    let state = dayFeature.reducer(undefined, DayActions.loaded({ answer: answer([]) }));
    state = dayFeature.reducer(state, DayActions.presenceToggled({ childId: 'a' }));
    state = dayFeature.reducer(state, DayActions.presenceToggled({ childId: 'b' }));
    state = dayFeature.reducer(state, DayActions.sheetKept());
    state = dayFeature.reducer(state, DayActions.loaded({ answer: answer(['a']) }));
    expect(away(state)).toEqual(['a', 'b']);
    state = dayFeature.reducer(state, DayActions.sheetKept());
    state = dayFeature.reducer(state, DayActions.loaded({ answer: answer(['c']) }));
    expect(away(state)).toEqual(['c']);
  });
});
