import { type Day, type Mood, addDays } from '../vocabulary/index.js';

/** A session at the table as pacing looks at it. */
export interface TableSession {
  readonly day: Day;
  /** False where it was broken off or never ended. */
  readonly finished: boolean;
  readonly mood: Mood | null;
}

/** How long a child sits at the table next time, and why. */
export interface TablePace {
  readonly minutes: number;
  /** The reason in a sentence. */
  readonly reason: string;
  /** A day without table time after a tense session; null where there is none. */
  readonly restOn: Day | null;
  /** The next one is better offered earlier in the day. */
  readonly earlier: boolean;
}

/** Steps in minutes (common practice, no source): growing slowly, never beyond ten. */
export const PACE_STEPS = [3, 5, 7, 10] as const;
/** Good sessions within this many days that make a step. */
const GOOD_FOR_A_STEP = 2;
const WITHIN_DAYS = 7;

const isGood = ({ finished, mood }: TableSession): boolean =>
  finished && (mood === 'calm' || mood === 'great');

const minutesAt = (step: number): number => PACE_STEPS[step] ?? PACE_STEPS[0];

/**
 * The minutes for a child's next session at the table, from its sessions there in the order in
 * which they were. Starts at three; two calm or great, finished sessions within a week give the
 * next step of five, seven, ten; a tense one takes a step back and a day without; a tired one
 * changes nothing but the hour. Common practice, no source.
 * @param dayWords a day as it is said in a sentence
 */
export function tablePace(
  sessions: readonly TableSession[],
  dayWords: (day: Day) => string,
): TablePace {
  let step = 0;
  let good: Day[] = [];
  let reason = `${minutesAt(0)} minutes to start with.`;
  let restOn: Day | null = null;
  let earlier = false;
  for (const session of sessions) {
    restOn = null;
    earlier = session.mood === 'tired';
    if (session.mood === 'tense') {
      const back = step > 0;
      step = Math.max(0, step - 1);
      good = [];
      restOn = addDays(session.day, 1);
      const how = back ? 'one step shorter' : 'it stays at the shortest';
      reason = `${minutesAt(step)} minutes: tense on ${dayWords(session.day)}, so ${how}, and a day without.`;
    } else if (isGood(session)) {
      good = [...good.filter((day) => session.day < addDays(day, WITHIN_DAYS)), session.day];
      if (good.length < GOOD_FOR_A_STEP) continue;
      const [first, second] = good.slice(-GOOD_FOR_A_STEP) as [Day, Day];
      const grew = step < PACE_STEPS.length - 1;
      step = Math.min(PACE_STEPS.length - 1, step + 1);
      good = [];
      reason = grew
        ? `${minutesAt(step)} minutes: went well on ${dayWords(first)} and ${dayWords(second)}.`
        : `${minutesAt(step)} minutes, which is the most.`;
    } else if (earlier) {
      reason = `${minutesAt(step)} minutes as before: tired on ${dayWords(session.day)}; offer it earlier in the day.`;
    }
  }
  return { minutes: minutesAt(step), reason, restOn, earlier };
}
