import type { Change } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';
import type { Planner } from './planning/planner.js';
import type { Progress } from './progress.js';

/** What happens in the house works with these, whoever asked for it. */
export interface Services {
  readonly store: Store;
  readonly progress: Progress;
  /** Tells every open device what changed. */
  readonly changes: { tell(change: Change): void };
  readonly planner: Planner;
  /** Today on the household's calendar, for checks such as "not born in the future". */
  readonly today: () => string;
}
