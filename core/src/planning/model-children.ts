import { type ChildState, type Candidate } from '../evidence/index.js';
import { skillOf } from '../skills/index.js';
import { type Day, STRANDS } from '../vocabulary/index.js';
import { goesWorth } from './child-week.js';
import type { ChildFacts, WeekFacts } from './facts.js';
import type { ModelChild, Want, WeekModel } from './model.js';
import {
  BEGUN,
  FAIR_PART,
  FOCUS_DAYS,
  GOES,
  OF_A_DAY,
  PUT_OFF,
  STRAND,
  WAITING,
  WORTH_A_MINUTE,
} from './settings.js';
import { ageInYears, weeksBetween } from './spans.js';

/** What a child could be given, with what it is worth this week. */
export function wantsOf(
  { state, since }: ChildFacts,
  wanted: readonly Candidate[],
  first: Day,
): Want[] {
  const begun = wanted.filter(({ why }) => why === 'started' || why === 'nearly').length;
  const fewer = BEGUN.find(({ from }) => begun >= from)?.part ?? 1;
  return wanted.map(({ skillId, why, value }): Want => {
    const weeks = weeksWaiting(state, skillId, since, first);
    return {
      skillId,
      why,
      strand: STRANDS.indexOf(skillOf(skillId).strand),
      value: value * (why === 'open' ? fewer : 1),
      goes: GOES[why],
      weeks,
      must:
        weeks < WAITING.from
          ? 0
          : Math.min(WAITING.most, WAITING.week * (weeks - WAITING.from + 1)),
    };
  });
}

/** Whole weeks since a skill was last asked, or, where it never was, since it was open. */
function weeksWaiting(state: ChildState, skillId: string, since: Day | null, day: Day): number {
  const openedOn = skillOf(skillId).buildsOn.flatMap(
    (id) => state.skills[id]?.ledger.firstSecure?.day ?? state.assumed[id]?.since ?? [],
  );
  const from = state.skills[skillId]?.ledger.lastSeen ?? openedOn.sort().at(-1) ?? since;
  return from === null ? 0 : Math.max(0, weeksBetween(from, day));
}

/** A child as numbers: what its days hold, and what its week counts. */
export function childFor(
  facts: WeekFacts,
  { days, activities }: Pick<WeekModel, 'days' | 'activities'>,
  { child, state, pace, since }: ChildFacts,
  {
    c,
    wants,
    careful,
    perDay,
  }: {
    readonly c: number;
    readonly wants: readonly Want[];
    readonly careful: boolean;
    readonly perDay: number;
  },
): ModelChild {
  const { sheet, today, household } = facts;
  const first = sheet.from > today ? sheet.from : today;
  const here = days.filter((day) => day.open && day.here.includes(c));
  const years = ageInYears(child.birthDate, first);
  const ofDay = OF_A_DAY.find(({ under }) => years < under) ?? OF_A_DAY[3];
  const served = new Set(
    activities.flatMap(({ options }) =>
      (options[c] ?? []).flatMap(({ hits }) => hits.map(({ want }) => want)),
    ),
  );
  const all = wants.reduce(
    (sum, { value, goes }, w) =>
      sum + (served.has(w) ? value * goesWorth(goes, Number.POSITIVE_INFINITY) : 0),
    0,
  );
  const ownMinutes = here.reduce(
    (sum, day) => sum + Math.min(ofDay.minutes, perDay / day.here.length),
    0,
  );
  return {
    id: child.id,
    name: child.name,
    careful,
    tableMinutes: pace.minutes,
    earlier: pace.earlier,
    restOn: pace.restOn,
    tablesAWeek: household.tablePerWeek,
    cardsADay: ofDay.cards,
    minutesADay: ofDay.minutes,
    focusDays: served.size > 0 ? Math.ceil(FOCUS_DAYS * here.length) : 0,
    tableFits: false,
    fairShare: Math.max(0.1, Math.min(WORTH_A_MINUTE * ownMinutes, FAIR_PART * all)),
    strands: STRANDS.map((strand) => {
      const seen = Object.entries(state.skills).flatMap(([id, { ledger }]) =>
        skillOf(id).strand === strand && ledger.lastSeen ? [ledger.lastSeen] : [],
      );
      const last = seen.sort().at(-1) ?? since;
      const weeks = last === null ? 0 : Math.max(0, weeksBetween(last, first));
      const waited = 1 + STRAND.waiting * Math.min(STRAND.weeks, weeks);
      return STRAND.worth * waited * (PUT_OFF[strand] ?? 1);
    }),
    wants,
  };
}
