import { marked, type Sitting } from '@gumo/core/vocabulary';
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
  answer: ProgressAnswer,
  state: ChildState,
  waiting: readonly Parcel[],
  today: string,
): Promise<ProgressAnswer> {
  const [{ conclude }, { dueSoon, nextSteps }] = await Promise.all([
    import('@gumo/core/evidence'),
    import('@gumo/core/activities'),
  ]);
  const now = await evidenceWithWaiting(state, waiting);
  const noted = waiting.flatMap((one) =>
    one.kind === 'observation' && one.observation.childId === answer.childId
      ? [one.observation.day]
      : [],
  );
  return {
    ...answer,
    day: today,
    views: conclude(now, today).map(({ items, ...view }) => ({ ...view, items: [...items] })),
    steps: nextSteps(now, today),
    due: dueSoon(now, today),
    days: [...new Set([...answer.days, ...noted])].sort(),
  };
}
