import { type Candidate, readySkills } from '../evidence/index.js';
import { mustNotMeetSmallParts } from '../materials/index.js';
import {
  type PlanEntry,
  type Participant,
  addDays,
  closureOn,
  minutesOfDay,
  speaksOf,
  weekdayNumber,
} from '../vocabulary/index.js';
import type { WeekFacts } from './facts.js';
import { activityFor, withSameMaterials } from './model-activities.js';
import { childFor, wantsOf } from './model-children.js';
import type {
  Card,
  Focus,
  ModelActivity,
  ModelChild,
  ModelDay,
  ModelMoment,
  Want,
  WeekModel,
} from './model.js';
import { ADULT_MINUTES, CARDS_A_DAY, DAY_OVER, FULLNESS } from './settings.js';
import { DAYS } from './spans.js';
import { mayBeInFocus } from './terms.js';

/** Names by which a moment is known to be out of doors, where nobody said. */
const OUTDOORS = /\b(out|outdoors?|outside|garden|yard)\b/i;

/** A week as numbers, with the facts that its lists stand for. */
export interface PlannedWeek {
  readonly model: WeekModel;
  readonly facts: WeekFacts;
  /** The entries that are fixed, in the order of `model.fixed`. */
  readonly fixed: readonly PlanEntry[];
  /** What each child could be given now, best first, in the order of its `wants`. */
  readonly wanted: readonly (readonly Candidate[])[];
}

/** Puts a week into numbers: what may come, what it brings to whom, and what stands already. */
export function weekModel(facts: WeekFacts): PlannedWeek {
  const { household, sheet, today, children } = facts;
  const first = sheet.from > today ? sheet.from : today;
  const wanted = children.map(({ child, state }) => readySkills(state, first, speaksOf(child)));
  const careful = children.map(({ child }) => mustNotMeetSmallParts(child, first));
  const moments = [...household.moments]
    .sort((a, b) => a.time.localeCompare(b.time))
    .map((moment): ModelMoment => ({
      ...moment,
      outdoors: moment.outdoors ?? OUTDOORS.test(`${moment.id} ${moment.name}`),
    }));
  const days = daysOf(facts, moments);
  const wants = children.map((one, c) => wantsOf(one, wanted[c] ?? [], first));
  const items: { words: string; stock: number }[] = [];
  const known = facts.activities.filter(
    (activity) =>
      !sheet.banned.includes(activity.id) ||
      facts.entries.some((entry) => entry.activityId === activity.id),
  );
  const sameMaterials = withSameMaterials(known);
  const around = { wants, careful, moments, first, items, days, sameMaterials };
  const activities = known.map((activity) => activityFor(facts, activity, around));
  const cardOf = (entry: PlanEntry): Card => ({
    activity: known.findIndex((one) => one.id === entry.activityId),
    day: days.findIndex((one) => one.day === entry.day),
    moment: moments.findIndex((one) => one.id === entry.momentId),
    focus: focusIn(facts, activities, wants, entry),
  });
  const fixed = facts.entries.filter((entry) => {
    const { activity, day, moment, focus } = cardOf(entry);
    return (
      isFixed(entry) &&
      !entry.invitation &&
      (entry.state !== 'planned' || entry.day >= today) &&
      activity >= 0 &&
      day >= 0 &&
      moment >= 0 &&
      focus.length > 0
    );
  });
  const { minutes, anytime } = FULLNESS[sheet.fullness ?? 'usual'];
  const perDay = (household.minutesADay ?? ADULT_MINUTES) * minutes;
  const openDays = days.filter((day) => day.open).length;
  const model: WeekModel = {
    days,
    moments,
    activities,
    items,
    children: [],
    limits: {
      cards: { ...CARDS_A_DAY, anytime, table: household.tablesADay ?? CARDS_A_DAY.table },
      dayMinutes: DAY_OVER * perDay,
      weekMinutes: perDay * openDays,
    },
    fixed: fixed.map(cardOf),
  };
  const withChildren: WeekModel = {
    ...model,
    children: children.map((one, c) =>
      childFor(facts, model, one, {
        c,
        wants: wants[c] ?? [],
        careful: careful[c] ?? true,
        perDay,
      }),
    ),
  };
  const isFitting = (c: number): boolean =>
    withChildren.days.some((day, d) =>
      day.open
        ? activities.some(
            (activity, a) => activity.band === 'table' && mayBeInFocus(withChildren, a, c, d),
          )
        : false,
    );
  return {
    facts,
    fixed,
    wanted,
    model: {
      ...withChildren,
      children: withChildren.children.map((child, c) => ({ ...child, tableFits: isFitting(c) })),
    },
  };
}

/** What stays as it is: done, begun, or pinned by hand. */
export const isFixed = ({ state, pinned }: PlanEntry): boolean =>
  state === 'done' || state === 'begun' || (state === 'planned' && pinned === true);

/** The children of an entry, as far as they are here; of one that was begun, all of them. */
function focusIn(
  { children, away }: WeekFacts,
  activities: readonly ModelActivity[],
  wants: readonly (readonly Want[])[],
  entry: PlanEntry,
): Focus[] {
  const gone = entry.state === 'planned' ? (away.get(entry.day) ?? []) : [];
  const activity = activities.find((one) => one.id === entry.activityId);
  return entry.participants
    .flatMap((participant) => {
      const c = children.findIndex(({ child }) => child.id === participant.childId);
      if (c < 0 || gone.includes(participant.childId)) return [];
      return [{ child: c, option: optionFor(activity, { wants: wants[c] ?? [] }, c, participant) }];
    })
    .sort((x, y) => x.child - y.child);
}

/** The way in which a child is on an entry: for the skill that it names, or the best in its range; -1 for none. */
export function optionFor(
  activity: ModelActivity | undefined,
  child: Pick<ModelChild, 'wants'> | undefined,
  c: number,
  { rangeMax: top, skillId }: Pick<Participant, 'rangeMax' | 'skillId'>,
): number {
  const options = activity?.options[c] ?? [];
  const named = options.findIndex(
    (option) => option.top === top && child?.wants[option.hits[0]?.want ?? -1]?.skillId === skillId,
  );
  return named >= 0 ? named : options.findIndex((option) => option.top === top);
}

function daysOf(
  { sheet, today, now, household, children, away }: WeekFacts,
  moments: readonly ModelMoment[],
): ModelDay[] {
  return Array.from({ length: DAYS }, (_, i) => addDays(sheet.from, i)).map((day): ModelDay => {
    const gone = away.get(day) ?? [];
    const isOpen =
      household.openDays.includes(weekdayNumber(day)) &&
      !sheet.closed.includes(day) &&
      !closureOn(household, day) &&
      day >= today;
    const isOver = (moment: ModelMoment): boolean =>
      day === today &&
      now !== null &&
      minutesOfDay(moment.time) + moment.minutes <= minutesOfDay(now);
    const emptied = { anytime: 0, play: 0, table: 0 };
    for (const one of sheet.empty) if (one.day === day) emptied[one.band]++;
    return {
      day,
      open: isOpen,
      here: children.flatMap(({ child }, c) => (gone.includes(child.id) ? [] : [c])),
      moments: moments.flatMap((moment, m) => (isOver(moment) ? [] : [m])),
      emptied,
    };
  });
}
