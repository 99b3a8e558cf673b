import { type ChildState, type Fact, applyFact, readySkills } from '@gumo/core/evidence';
import type { SkillItem } from '@gumo/core/skills';
import {
  type Observation,
  type Session,
  type SessionEnd,
  type Voiding,
  inRange,
} from '@gumo/core/vocabulary';
import {
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import { childrenFeature } from './children';
import { householdFeature } from './household';

export const RunActions = createActionGroup({
  source: 'Run',
  events: {
    Begun: props<{ session: Session }>(),
    Resumed: props<{ session: Session; observations: Observation[]; voided: string[] }>(),
    'Evidence Loaded': props<{ state: ChildState; speaks: boolean }>(),
    'Child Chosen': props<{ childId: string }>(),
    'Range Set': props<{ childId: string; top: number }>(),
    Noted: props<{ observation: Observation }>(),
    Undone: props<{ voiding: Voiding }>(),
    /** What was noted counts for the choice of the next question; that may come a little later. */
    Weighed: emptyProps(),
    /** What chance or the child decided for the question that is on. */
    'Came Up': props<{ came: readonly number[] }>(),
    /** The adult changes the number that the round is about. */
    Picked: props<{ value: number }>(),
    /** The adult goes on with another part of the chain. */
    'Part Chosen': props<{ part: number }>(),
    /** The time that this activity has, in minutes. */
    'Time Set': props<{ minutes: number }>(),
    /** Whether each thing is worth ten, for the child whose turn it is. */
    'Worth Set': props<{ ten: boolean }>(),
    /** What a child is sure of is asked first. */
    'Warm Up Chosen': props<{ childId: string; items: readonly SkillItem[] }>(),
    /** On the same things a child plays another game, in a range of its own. */
    'Game Chosen': props<{ childId: string; activityId: string; top: number }>(),
    /** One line to open with, from the last time. */
    'Last Time Loaded': props<{ childId: string; words: string }>(),
    Ended: props<{ sessionId: string; end: SessionEnd }>(),
  },
});

interface RunState {
  readonly session: Session | null;
  readonly childId: string | null;
  /** The activity that a child plays with the same things, where it is another one. */
  readonly games: Readonly<Record<string, string>>;
  /** Range of each child now; easier and harder move it. */
  readonly tops: Readonly<Record<string, number>>;
  /** What was known when the session began, by child. */
  readonly evidence: Readonly<Record<string, ChildState>>;
  /** What was known of each child when the session opened. */
  readonly before: Readonly<Record<string, ChildState>>;
  /** Skills worth each child's time when the session opened, those most wanted first. */
  readonly wanted: Readonly<Record<string, readonly string[]>>;
  /** What came up so far for the question that is on. */
  readonly came: readonly number[];
  /** The number the adult chose for the round that is on, by child. */
  readonly picks: Readonly<Record<string, number>>;
  /** The part of the chain that the adult chose, by child, until it is answered. */
  readonly chosen: Readonly<Record<string, number>>;
  /** Minutes that this activity has; the last of them take a friendly question. */
  readonly time: number;
  /** Children for whom each thing is worth ten. */
  readonly worthTen: Readonly<Record<string, boolean>>;
  /** What is still to be asked to warm up, by child. */
  readonly warmUps: Readonly<Record<string, readonly SkillItem[]>>;
  /** What each child was told of the last time. */
  readonly lastTime: Readonly<Record<string, string>>;
  /** True once something was noted: before that the session is kept nowhere. */
  readonly kept: boolean;
  /** Noted since the evidence was last brought up to date. */
  readonly unweighed: readonly { readonly childId: string; readonly fact: Fact }[];
  readonly observations: readonly Observation[];
  readonly voided: readonly string[];
}

const initial: RunState = {
  session: null,
  childId: null,
  games: {},
  tops: {},
  evidence: {},
  before: {},
  wanted: {},
  came: [],
  picks: {},
  chosen: {},
  time: Infinity,
  worthTen: {},
  warmUps: {},
  lastTime: {},
  kept: false,
  unweighed: [],
  observations: [],
  voided: [],
};

function open(
  session: Session,
  observations: Observation[],
  voided: string[],
  kept: boolean,
): RunState {
  return {
    ...initial,
    session,
    kept,
    childId: session.participants[0]?.childId ?? null,
    games: Object.fromEntries(
      observations.flatMap((one) => (one.activityId ? [[one.childId, one.activityId]] : [])),
    ),
    tops: Object.fromEntries(
      session.participants.map((participant) => [participant.childId, participant.rangeMax]),
    ),
    observations,
    voided,
  };
}

/** Without one key. */
function without<T>(all: Readonly<Record<string, T>>, key: string): Readonly<Record<string, T>> {
  return Object.fromEntries(Object.entries(all).filter(([one]) => one !== key));
}

/** Evidence with one more fact of this session; as it was where the fact needs all others too. */
function folded(evidence: RunState['evidence'], childId: string, fact: Fact): RunState['evidence'] {
  const known = evidence[childId];
  const next = known && applyFact(known, fact);
  return next && 'state' in next ? { ...evidence, [childId]: next.state } : evidence;
}

/** A try that belongs to no round may be the question to warm up that was on. */
function afterTry(
  warmUps: RunState['warmUps'],
  { childId, skillId, itemId, round }: Observation,
): RunState['warmUps'] {
  const [first, ...others] = warmUps[childId] ?? [];
  const wasIt = !round && first?.skillId === skillId && first.itemId === itemId;
  return wasIt ? { ...warmUps, [childId]: others } : warmUps;
}

const reducer = createReducer(
  initial,
  on(RunActions.begun, (_state, { session }): RunState => open(session, [], [], false)),
  on(RunActions.resumed, (_state, { session, observations, voided }): RunState =>
    open(session, observations, voided, true),
  ),
  on(RunActions.evidenceLoaded, (state, { state: known, speaks }): RunState => ({
    ...state,
    evidence: { ...state.evidence, [known.childId]: known },
    before: { ...state.before, [known.childId]: known },
    wanted: {
      ...state.wanted,
      [known.childId]: readySkills(known, state.session?.day ?? '', speaks).map(
        ({ skillId }) => skillId,
      ),
    },
  })),
  on(RunActions.childChosen, (state, { childId }): RunState => ({ ...state, childId, came: [] })),
  on(RunActions.cameUp, (state, { came }): RunState => ({ ...state, came })),
  on(RunActions.picked, (state, { value }): RunState =>
    state.childId === null
      ? state
      : { ...state, came: [], picks: { ...state.picks, [state.childId]: value } },
  ),
  on(RunActions.partChosen, (state, { part }): RunState =>
    state.childId === null
      ? state
      : {
          ...state,
          came: [],
          picks: without(state.picks, state.childId),
          chosen: { ...state.chosen, [state.childId]: part },
          warmUps: without(state.warmUps, state.childId),
        },
  ),
  on(RunActions.gameChosen, (state, { childId, activityId, top }): RunState => ({
    ...state,
    came: [],
    games: { ...state.games, [childId]: activityId },
    tops: { ...state.tops, [childId]: top },
    picks: without(state.picks, childId),
    chosen: without(state.chosen, childId),
    worthTen: without(state.worthTen, childId),
    warmUps: without(state.warmUps, childId),
  })),
  on(RunActions.timeSet, (state, { minutes }): RunState => ({ ...state, time: minutes })),
  on(RunActions.worthSet, (state, { ten }): RunState =>
    state.childId === null
      ? state
      : { ...state, came: [], worthTen: { ...state.worthTen, [state.childId]: ten } },
  ),
  on(RunActions.warmUpChosen, (state, { childId, items }): RunState => ({
    ...state,
    came: [],
    warmUps: { ...state.warmUps, [childId]: items },
  })),
  on(RunActions.lastTimeLoaded, (state, { childId, words }): RunState => ({
    ...state,
    lastTime: { ...state.lastTime, [childId]: words },
  })),
  on(RunActions.noted, (state, { observation }): RunState => ({
    ...state,
    warmUps: afterTry(state.warmUps, observation),
    kept: true,
    came: [],
    chosen: without(state.chosen, observation.childId),
    observations: [...state.observations, observation],
    unweighed: [
      ...state.unweighed,
      { childId: observation.childId, fact: { kind: 'observation', observation } },
    ],
  })),
  on(RunActions.undone, (state, { voiding }): RunState => {
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
    came: [],
    picks: without(state.picks, childId),
    tops: { ...state.tops, [childId]: top },
    session: state.session && inRange(state.session, { childId, rangeMax: top }),
  })),
  on(RunActions.ended, (state): RunState => ({ ...state, session: null })),
);

/**
 * A session as it is known from anywhere. What its game asks next is chosen in run-game: that is brought to the
 * device with the tray.
 */
export const runFeature = createFeature({
  name: 'run',
  reducer,
  extraSelectors: ({
    selectSession,
    selectChildId,
    selectGames,
    selectTops,
    selectEvidence,
    selectObservations,
    selectVoided,
    selectCame,
    selectPicks,
    selectChosen,
    selectWorthTen,
    selectWarmUps,
  }) => {
    const selectActivity = createSelector(
      selectSession,
      householdFeature.selectActivityById,
      (session, activities) => (session ? (activities.get(session.activityId) ?? null) : null),
    );
    /** Tries that stand, first to last. */
    const selectStatus = createSelector(selectObservations, selectVoided, (observations, voided) =>
      observations.filter((one) => !voided.includes(one.id)),
    );
    const selectChild = createSelector(
      selectChildId,
      childrenFeature.selectChildById,
      (id, children) => (id === null ? null : (children[id] ?? null)),
    );
    /** What the child whose turn it is plays with the things that lie there. */
    const selectPlayed = createSelector(
      selectActivity,
      selectChildId,
      selectGames,
      householdFeature.selectActivityById,
      (activity, id, games, activities) => activities.get(games[id ?? ''] ?? '') ?? activity,
    );
    /** What is known of the child whose turn it is. */
    const selectKnown = createSelector(selectChildId, selectEvidence, (id, evidence) =>
      id === null ? undefined : evidence[id],
    );
    /** Another one whenever something changed that the prompt hangs on; costs nothing to read. */
    const selectTurn = createSelector(
      createSelector(selectPlayed, selectChild, selectTops, selectKnown, (...upon) => upon),
      createSelector(selectStatus, selectSession, selectPicks, selectChosen, (...upon) => upon),
      createSelector(selectWorthTen, selectWarmUps, selectCame, (...upon) => upon),
      (...upon) => upon,
    );
    return {
      selectActivity,
      selectPlayed,
      selectStatus,
      selectChild,
      selectKnown,
      selectTurn,
    };
  },
});
