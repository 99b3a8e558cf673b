import { type TablePace, tablePace } from '@gumo/core/planning';
import { dayInWords } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';
import { activityIn } from './needs.js';

/** Sessions that the minutes at the table are told from. */
const PACED = 200;

/** How long a child sits at the table next time, from how its sessions there went. */
export function paceOf(store: Store, childId: string): TablePace {
  const table = store.sessions
    .ofChild(childId, PACED)
    .filter((one) => one.endedAt !== null && activityIn(store, one.activityId)?.band === 'table')
    .map(({ day, mood, participants }) => ({
      day,
      // How this child was, where that was said for each.
      mood: participants.find((one) => one.childId === childId)?.mood ?? mood,
      finished: true,
    }))
    .reverse();
  return tablePace(table, dayInWords);
}
