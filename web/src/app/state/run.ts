import { inject } from '@angular/core';
import { type Prompt, promptKey, promptsOf, readyPrompts, topsOf } from '@gumo/core/activities';
import {
  type Asked,
  type ChildState,
  type Fact,
  emptyState,
  fold,
  nextPrompt,
} from '@gumo/core/evidence';
import type { Activity, Mood, Observation, Sitting, Voiding } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import {
  Store,
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import { EMPTY, catchError, concatMap, from, map, mergeMap, of } from 'rxjs';
import { Api } from '../common/api';
import { Evidence } from './answers';
import { childrenFeature } from './children';
import { householdFeature } from './household';
import { Outbox, outboxFeature } from './outbox';
import { evidenceWithWaiting } from './waiting';

export const RunActions = createActionGroup({
  source: 'Run',
  events: {
    Begun: props<{ sitting: Sitting }>(),
    Resumed: props<{ sitting: Sitting; observations: Observation[]; voided: string[] }>(),
    'Evidence Loaded': props<{ state: ChildState }>(),
    'Child Chosen': props<{ childId: string }>(),
    'Range Set': props<{ childId: string; top: number }>(),
    Noted: props<{ observation: Observation }>(),
    'Taken Back': props<{ voiding: Voiding }>(),
    /** What was noted counts for the choice of the next question; that may come a little later. */
    Weighed: emptyProps(),
    Ended: props<{ sittingId: string; endedAt: string; mood: Mood | null }>(),
  },
});

interface RunState {
  readonly sitting: Sitting | null;
  readonly childId: string | null;
  /** Range of each child now; easier and harder move it. */
  readonly tops: Readonly<Record<string, number>>;
  /** What was known when the sitting began, by child. */
  readonly evidence: Readonly<Record<string, ChildState>>;
  /** Noted since the evidence was last brought up to date. */
  readonly unweighed: readonly { readonly childId: string; readonly fact: Fact }[];
  readonly observations: readonly Observation[];
  readonly voided: readonly string[];
}

const initial: RunState = {
  sitting: null,
  childId: null,
  tops: {},
  evidence: {},
  unweighed: [],
  observations: [],
  voided: [],
};

function open(sitting: Sitting, observations: Observation[], voided: string[]): RunState {
  return {
    sitting,
    childId: sitting.takers[0]?.childId ?? null,
    tops: Object.fromEntries(sitting.takers.map((taker) => [taker.childId, taker.top])),
    evidence: {},
    unweighed: [],
    observations,
    voided,
  };
}

/** Evidence with one more fact of this sitting; as it was where the fact needs all others too. */
function folded(evidence: RunState['evidence'], childId: string, fact: Fact): RunState['evidence'] {
  const known = evidence[childId];
  const next = known && fold(known, fact);
  return next && 'state' in next ? { ...evidence, [childId]: next.state } : evidence;
}

const reducer = createReducer(
  initial,
  on(RunActions.begun, (_state, { sitting }): RunState => open(sitting, [], [])),
  on(RunActions.resumed, (_state, { sitting, observations, voided }): RunState =>
    open(sitting, observations, voided),
  ),
  on(RunActions.evidenceLoaded, (state, { state: known }): RunState => ({
    ...state,
    evidence: { ...state.evidence, [known.childId]: known },
  })),
  on(RunActions.childChosen, (state, { childId }): RunState => ({ ...state, childId })),
  on(RunActions.noted, (state, { observation }): RunState => ({
    ...state,
    observations: [...state.observations, observation],
    unweighed: [
      ...state.unweighed,
      { childId: observation.childId, fact: { kind: 'observation', observation } },
    ],
  })),
  on(RunActions.takenBack, (state, { voiding }): RunState => {
    const childId = state.observations.find((one) => one.id === voiding.observationId)?.childId;
    return {
      ...state,
      voided: [...state.voided, voiding.observationId],
      unweighed: childId
        ? [...state.unweighed, { childId, fact: { kind: 'voiding', voiding } }]
        : state.unweighed,
    };
  }),
  on(RunActions.weighed, (state): RunState => {
    if (state.unweighed.length === 0) return state;
    let { evidence } = state;
    for (const { childId, fact } of state.unweighed) evidence = folded(evidence, childId, fact);
    return { ...state, evidence, unweighed: [] };
  }),
  on(RunActions.rangeSet, (state, { childId, top }): RunState => ({
    ...state,
    tops: { ...state.tops, [childId]: top },
  })),
  on(RunActions.ended, (state): RunState => ({ ...state, sitting: null })),
);

/** The key of the prompt that a try answered. */
const keyOfTry = ({ record, skillId, itemId, answered }: Observation): string =>
  promptKey(record.kind, skillId, itemId ?? '', answered ?? 'spoken');

/** The prompt for a child now: chosen by the core from everything within the range. */
function choosePrompt(
  all: readonly Prompt[],
  activity: Activity,
  state: ChildState,
  asked: readonly Asked[],
  sitting: Sitting,
): Prompt | null {
  const pool = readyPrompts(all, state, sitting.day, activity.capture[0]);
  const seed = `${sitting.id}/${asked.length}`;
  const chosen = nextPrompt(pool, state, asked, sitting.day, seed);
  return pool.find((prompt) => prompt.key === chosen?.key) ?? null;
}

export const runFeature = createFeature({
  name: 'run',
  reducer,
  extraSelectors: ({
    selectSitting,
    selectChildId,
    selectTops,
    selectEvidence,
    selectObservations,
    selectVoided,
  }) => {
    const selectActivity = createSelector(
      selectSitting,
      householdFeature.selectActivityById,
      (sitting, activities) => (sitting ? (activities.get(sitting.activityId) ?? null) : null),
    );
    /** Tries that stand, first to last. */
    const selectStanding = createSelector(
      selectObservations,
      selectVoided,
      (observations, voided) => observations.filter((one) => !voided.includes(one.id)),
    );
    const selectChild = createSelector(
      selectChildId,
      childrenFeature.selectChildById,
      (id, children) => (id === null ? null : (children[id] ?? null)),
    );
    const selectRanges = createSelector(selectActivity, (activity) =>
      activity ? topsOf(activity, activity.capture) : [],
    );
    /** Everything that can be asked of the child in its range; the same for a whole sitting. */
    const selectAll = createSelector(
      selectActivity,
      selectChild,
      selectTops,
      (activity, child, tops) =>
        activity && child
          ? promptsOf(activity, tops[child.id] ?? 5, activity.capture, child.answerModes)
          : [],
    );
    /** What is known of the child whose turn it is. */
    const selectKnown = createSelector(selectChildId, selectEvidence, (id, evidence) =>
      id === null ? undefined : evidence[id],
    );
    const selectPrompt = createSelector(
      selectAll,
      selectActivity,
      selectChild,
      selectKnown,
      selectStanding,
      selectSitting,
      (all, activity, child, known, standing, sitting) => {
        if (!activity || !child || !sitting || !known) return null;
        const asked = standing
          .filter((one) => one.childId === child.id)
          .map((one) => ({ key: keyOfTry(one), outcome: one.outcome }));
        return choosePrompt(all, activity, known, asked, sitting);
      },
    );
    /** Another one whenever something changed that the prompt hangs on; costs nothing to read. */
    const selectTurn = createSelector(
      selectActivity,
      selectChild,
      selectTops,
      selectKnown,
      selectStanding,
      selectSitting,
      (...upon) => upon,
    );
    return { selectActivity, selectStanding, selectChild, selectRanges, selectPrompt, selectTurn };
  },
});

/** What is known of each child when a sitting opens; nothing where the server cannot be reached. */
export const loadEvidence = createEffect(
  (
    actions = inject(Actions),
    api = inject(Api),
    outbox = inject(Outbox),
    store = inject(Store),
  ) => {
    const load = async (childId: string, reachable: boolean): Promise<ChildState> => {
      const state = await api.get(`/children/${childId}/evidence`, Evidence);
      return reachable ? state : evidenceWithWaiting(state, await outbox.waiting());
    };
    return actions.pipe(
      ofType(RunActions.begun, RunActions.resumed),
      mergeMap(({ sitting }) => sitting.takers.map((taker) => taker.childId)),
      concatLatestFrom(() => store.select(outboxFeature.selectReachable)),
      mergeMap(([childId, reachable]) =>
        from(load(childId, reachable)).pipe(
          catchError(() => of(emptyState(childId, 'middle'))),
          map((state) => RunActions.evidenceLoaded({ state })),
        ),
      ),
    );
  },
  { functional: true },
);

/** Everything noted goes through the outbox, in order. */
export const keepRun = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox), store = inject(Store)) => {
    return actions.pipe(
      ofType(
        RunActions.begun,
        RunActions.noted,
        RunActions.takenBack,
        RunActions.rangeSet,
        RunActions.ended,
      ),
      concatLatestFrom(() => store.select(runFeature.selectSitting)),
      concatMap(([action, sitting]) => {
        switch (action.type) {
          case RunActions.begun.type:
            return outbox.put({ kind: 'sitting', sitting: action.sitting });
          case RunActions.noted.type:
            return outbox.put({ kind: 'observation', observation: action.observation });
          case RunActions.takenBack.type:
            return outbox.put({ kind: 'voiding', voiding: action.voiding });
          case RunActions.rangeSet.type:
            return sitting
              ? outbox.put({
                  kind: 'range',
                  sittingId: sitting.id,
                  move: { childId: action.childId, top: action.top },
                })
              : EMPTY;
          case RunActions.ended.type:
            return outbox.put({
              kind: 'end',
              sittingId: action.sittingId,
              end: { endedAt: action.endedAt, mood: action.mood },
            });
        }
      }),
    );
  },
  { functional: true, dispatch: false },
);
