import type { ChildState } from '../evidence/index.js';
import type { TablePace } from './pacing.js';
import type {
  Activity,
  Child,
  ClockTime,
  Day,
  Household,
  PlanEntry,
  Material,
  WeekSheet,
} from '../vocabulary/index.js';

/** A child as the planning of a week sees it. */
export interface ChildFacts {
  readonly child: Child;
  readonly state: ChildState;
  readonly pace: TablePace;
  /** Of the first record; null where there is none. */
  readonly since: Day | null;
}

/** Everything that the planning of a week looks at. */
export interface WeekFacts {
  readonly sheet: WeekSheet;
  readonly today: Day;
  /** The time now: moments of today that are over take nothing more; null plans the whole day. */
  readonly now: ClockTime | null;
  readonly household: Household;
  /** Everyone who still comes. */
  readonly children: readonly ChildFacts[];
  /** Built-in and own. */
  readonly activities: readonly Activity[];
  readonly materials: readonly Material[];
  /** What was ticked as lying ready lately, by `needKey`: it is in the house, listed or not. */
  readonly had: ReadonlySet<string>;
  /** Who is away, by day. */
  readonly away: ReadonlyMap<Day, readonly string[]>;
  /** Entries of this week. */
  readonly entries: readonly PlanEntry[];
  /** Activities of the weeks before, with the days on which they were. */
  readonly lately: readonly { readonly activityId: string; readonly day: Day }[];
}
