import type { Day } from '../vocabulary/index.js';
import type { Distribution } from './ability.js';
import type { Ledger } from './ledger.js';

/** What is believed and counted about one skill, up to the last day with tries. */
export interface SkillState {
  readonly day: Day;
  readonly belief: Distribution;
  readonly ledger: Ledger;
}
