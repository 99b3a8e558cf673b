import { type Observation, type Sitting, inRange, marked } from '@gumo/core/vocabulary';
import type { ChildState } from '@gumo/core/evidence';
import type { DayAnswer, ProgressAnswer } from './answers';
import type { Parcel } from './outbox';

/** A day as it will be once what waits on this device is sent. */
export function dayWithWaiting(answer: DayAnswer, waiting: readonly Parcel[]): DayAnswer {
  let { sheet, open, entries } = answer;
  const begun = new Map<string, Sitting>(open.map((one) => [one.id, one]));
  const move = (sitting: Sitting | undefined, state: 'begun' | 'done'): void => {
    entries = entries.map((entry) =>
      entry.id === sitting?.planEntryId && entry.state !== 'done' ? { ...entry, state } : entry,
    );
  };
  for (const parcel of waiting) {
    if (parcel.kind === 'mark' && parcel.day === answer.day) sheet = marked(sheet, parcel.mark);
    if (parcel.kind === 'sitting' && parcel.sitting.day === answer.day) {
      if (!begun.has(parcel.sitting.id)) open = [...open, parcel.sitting];
      begun.set(parcel.sitting.id, parcel.sitting);
      move(parcel.sitting, 'begun');
    }
    if (parcel.kind === 'end') {
      open = open.filter((one) => one.id !== parcel.sittingId);
      move(begun.get(parcel.sittingId), 'done');
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
  waiting: readonly Parcel[],
): Promise<ChildState> {
  const { fold } = await import('@gumo/core/evidence');
  return waiting.reduce((known, parcel) => {
    const fact =
      parcel.kind === 'observation' || parcel.kind === 'word' || parcel.kind === 'pegs'
        ? parcel
        : null;
    if (!fact || childOf(fact) !== state.childId) return known;
    const next = fold(known, fact);
    return 'state' in next ? next.state : known;
  }, state);
}

const childOf = (parcel: Extract<Parcel, { kind: 'observation' | 'word' | 'pegs' }>): string => {
  switch (parcel.kind) {
    case 'observation':
      return parcel.observation.childId;
    case 'word':
      return parcel.word.childId;
    case 'pegs':
      return parcel.pegs.childId;
  }
};

/** What is concluded about a child, counted here from what is held and what waits. */
export async function progressWithWaiting(
  held: ChildState,
  waiting: readonly Parcel[],
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

export interface SittingSoFar {
  readonly sitting: Sitting;
  readonly observations: readonly Observation[];
  readonly voided: readonly string[];
}

/** A sitting as the server last had it, or as it was begun here, with what waits; null where nobody knows it. */
export function sittingWithWaiting(
  id: string,
  known: SittingSoFar | null,
  waiting: readonly Parcel[],
): SittingSoFar | null {
  const begun = waiting.flatMap((one) =>
    one.kind === 'sitting' && one.sitting.id === id ? [one.sitting] : [],
  );
  let sitting = known?.sitting ?? begun[0];
  if (!sitting) return null;
  const observations = [...(known?.observations ?? [])];
  const voided = [...(known?.voided ?? [])];
  for (const parcel of waiting) {
    if (parcel.kind === 'range' && parcel.sittingId === id) sitting = inRange(sitting, parcel.move);
    if (parcel.kind === 'end' && parcel.sittingId === id) sitting = { ...sitting, ...parcel.end };
    if (parcel.kind === 'voiding') voided.push(parcel.voiding.observationId);
    if (parcel.kind === 'observation' && parcel.observation.sittingId === id) {
      const isKnown = observations.some((one) => one.id === parcel.observation.id);
      if (!isKnown) observations.push(parcel.observation);
    }
  }
  return { sitting, observations, voided };
}
