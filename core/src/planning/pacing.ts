import { type Day, type Mood, addDays } from '../vocabulary/index.js';

/** A sitting at the table as pacing looks at it. */
export interface TableSitting {
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
  /** A day without table time after a tense sitting; null where there is none. */
  readonly restOn: Day | null;
  /** The next one is better offered earlier in the day. */
  readonly earlier: boolean;
}

/** Steps in minutes (common practice, no source): growing slowly, never beyond ten. */
export const PACE_STEPS = [3, 5, 7, 10] as const;
/** Good sittings within this many days that make a step. */
const GOOD_FOR_A_STEP = 2;
const WITHIN_DAYS = 7;

const isGood = ({ finished, mood }: TableSitting): boolean =>
  finished && (mood === 'calm' || mood === 'great');

const minutesAt = (step: number): number => PACE_STEPS[step] ?? PACE_STEPS[0];

/**
 * The minutes for a child's next sitting at the table, from its sittings there in the order in
 * which they were. Starts at three; two calm or great, finished sittings within a week give the
 * next step of five, seven, ten; a tense one takes a step back and a day without; a tired one
 * changes nothing but the hour. Common practice, no source.
 * @param dayWords a day as it is said in a sentence
 */
export function tablePace(
  sittings: readonly TableSitting[],
  dayWords: (day: Day) => string,
): TablePace {
  let step = 0;
  let good: Day[] = [];
  let reason = `${minutesAt(0)} minutes to begin with.`;
  let restOn: Day | null = null;
  let earlier = false;
  for (const sitting of sittings) {
    restOn = null;
    earlier = sitting.mood === 'tired';
    if (sitting.mood === 'tense') {
      const back = step > 0;
      step = Math.max(0, step - 1);
      good = [];
      restOn = addDays(sitting.day, 1);
      const how = back ? 'one step back' : 'it stays at the shortest';
      reason = `${minutesAt(step)} minutes: tense on ${dayWords(sitting.day)}, so ${how}, and a day without.`;
    } else if (isGood(sitting)) {
      good = [...good.filter((day) => sitting.day < addDays(day, WITHIN_DAYS)), sitting.day];
      if (good.length < GOOD_FOR_A_STEP) continue;
      const [first, second] = good.slice(-GOOD_FOR_A_STEP) as [Day, Day];
      const grew = step < PACE_STEPS.length - 1;
      step = Math.min(PACE_STEPS.length - 1, step + 1);
      good = [];
      reason = grew
        ? `${minutesAt(step)} minutes: went well on ${dayWords(first)} and ${dayWords(second)}.`
        : `${minutesAt(step)} minutes, which is the most.`;
    } else if (earlier) {
      reason = `${minutesAt(step)} minutes as before: tired on ${dayWords(sitting.day)}; offer it earlier in the day.`;
    }
  }
  return { minutes: minutesAt(step), reason, restOn, earlier };
}
