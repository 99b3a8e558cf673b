import { type Observation, type Session, inRange, marked } from '@gumo/core/vocabulary';
import type { ChildState } from '@gumo/core/evidence';
import type { DayAnswer, ProgressAnswer } from '@gumo/core/contract';
import type { OutboxEntry } from '@gumo/core/contract';

/** A day as it will be once what waits on this device is sent. */
export function dayWithWaiting(answer: DayAnswer, waiting: readonly OutboxEntry[]): DayAnswer {
  let { sheet, open, entries } = answer;
  const begun = new Map<string, Session>(open.map((one) => [one.id, one]));
  const move = (session: Session | undefined, state: 'begun' | 'done'): void => {
    entries = entries.map((entry) =>
      entry.id === session?.planEntryId && entry.state !== 'done' ? { ...entry, state } : entry,
    );
  };
  for (const parcel of waiting) {
    if (parcel.kind === 'mark' && parcel.day === answer.day) sheet = marked(sheet, parcel.mark);
    if (parcel.kind === 'session' && parcel.session.day === answer.day) {
      if (!begun.has(parcel.session.id)) open = [...open, parcel.session];
      begun.set(parcel.session.id, parcel.session);
      move(parcel.session, 'begun');
    }
    if (parcel.kind === 'end') {
      open = open.filter((one) => one.id !== parcel.sessionId);
      move(begun.get(parcel.sessionId), 'done');
    }
  }
  return { ...answer, sheet, open, entries };
}

/**
 * What is known of a child, with what waits on this device. A day that is closed already stays as it was
 * until the server has counted anew.
 */
export async function evidenceWithWaiting(
  state: ChildState,
  waiting: readonly OutboxEntry[],
): Promise<ChildState> {
  const { applyFact: fold } = await import('@gumo/core/evidence');
  return waiting.reduce((known, parcel) => {
    const fact =
      parcel.kind === 'observation' || parcel.kind === 'override' || parcel.kind === 'placement'
        ? parcel
        : null;
    if (!fact || childOf(fact) !== state.childId) return known;
    const next = fold(known, fact);
    return 'state' in next ? next.state : known;
  }, state);
}

const childOf = (
  parcel: Extract<OutboxEntry, { kind: 'observation' | 'override' | 'placement' }>,
): string => {
  switch (parcel.kind) {
    case 'observation':
      return parcel.observation.childId;
    case 'override':
      return parcel.override.childId;
    case 'placement':
      return parcel.placement.childId;
  }
};

/** What is concluded about a child, counted here from what is held and what waits. */
export async function progressWithWaiting(
  held: ChildState,
  waiting: readonly OutboxEntry[],
  today: string,
  speaks = true,
): Promise<ProgressAnswer> {
  const [{ conclude, lookResult }, { dueSoon, nextSteps }] = await Promise.all([
    import('@gumo/core/evidence'),
    import('@gumo/core/activities'),
  ]);
  const state = await evidenceWithWaiting(held, waiting);
  const { childId, look } = state;
  return {
    childId,
    day: today,
    views: conclude(state, today, { speaks }).map(({ items, ...view }) => ({
      ...view,
      items: [...items],
    })),
    steps: nextSteps(state, today, speaks),
    due: dueSoon(state, today, speaks),
    look: look ? { tries: look.tries.length, places: lookResult(look, new Set()).places } : null,
    // Days gone by are looked back on at the server.
    days: [],
  };
}

export interface SessionSoFar {
  readonly session: Session;
  readonly observations: readonly Observation[];
  readonly voided: readonly string[];
}

/** A session as the server last had it, or as it was begun here, with what waits; null where nobody knows it. */
export function sessionWithWaiting(
  id: string,
  known: SessionSoFar | null,
  waiting: readonly OutboxEntry[],
): SessionSoFar | null {
  const begun = waiting.flatMap((one) =>
    one.kind === 'session' && one.session.id === id ? [one.session] : [],
  );
  let session = known?.session ?? begun[0];
  if (!session) return null;
  const observations = [...(known?.observations ?? [])];
  const voided = [...(known?.voided ?? [])];
  for (const parcel of waiting) {
    if (parcel.kind === 'range' && parcel.sessionId === id) session = inRange(session, parcel.move);
    if (parcel.kind === 'end' && parcel.sessionId === id) session = { ...session, ...parcel.end };
    if (parcel.kind === 'voiding') voided.push(parcel.voiding.observationId);
    if (parcel.kind === 'observation' && parcel.observation.sessionId === id) {
      const isKnown = observations.some((one) => one.id === parcel.observation.id);
      if (!isKnown) observations.push(parcel.observation);
    }
  }
  return { session, observations, voided };
}
