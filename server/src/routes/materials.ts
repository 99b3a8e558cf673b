import { Activities, NeedLines } from '@gumo/core/contract';
import { LIBRARY, findActivity } from '@gumo/core/activities';
import {
  type NeedLine,
  type Planned,
  careFor,
  cautionsAt,
  inReach,
  needsOf,
} from '@gumo/core/materials';
import { findSkill, matchSkills } from '@gumo/core/skills';
import {
  type Activity,
  type Child,
  Day,
  Graph,
  Kit,
  OwnActivity,
  type PlanEntry,
  Song,
  Material,
  addDays,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import type { Store } from '../database/store.js';
import { checked, wrongField } from '../problems.js';
import type { Context } from './context.js';
import { addRows } from './rows.js';
import { answer } from './answer.js';

const WeekQuery = v.object({ from: Day });
const DAYS = 7;
/** How far back it matters what was ticked as lying ready. */
const HAD_DAYS = 60;

/** The built-in or own activity with this id. */
export function activityIn(store: Store, id: string): Activity | undefined {
  return findActivity(id) ?? store.activities.find(id);
}

/** An open entry with those who are in reach of it; null where nobody of it is here. */
function plannedOf(
  store: Store,
  entry: PlanEntry,
  here: readonly Child[],
): (Planned & { readonly reach: readonly Child[] }) | null {
  const activity = activityIn(store, entry.activityId);
  const participants = new Set(entry.participants.map((one) => one.childId));
  const tops = entry.participants
    .filter((participant) => here.some((child) => child.id === participant.childId))
    .map((one) => one.rangeMax);
  const isOpen = entry.state === 'planned' || entry.state === 'begun';
  if (!activity || tops.length === 0 || !isOpen) return null;
  const moment = store.household.all()[0]?.moments.find((one) => one.id === entry.momentId);
  const reach = inReach(moment, here, (child) => participants.has(child.id));
  const [, named] = /^with (.+)$/.exec(entry.with) ?? [];
  return {
    activity,
    sizes: { tops },
    care: careFor(reach, entry.day),
    reach,
    when: { day: entry.day, moment: entry.momentId, beside: entry.invitation === true },
    ...(named ? { named } : {}),
  };
}

/** What was ticked as lying ready in the weeks before a day, and in the week from it on. */
export function hadLately(store: Store, from: string): Set<string> {
  const last = addDays(from, DAYS - 1);
  const sheets = store.days.between(addDays(last, 1 - HAD_DAYS), last);
  const keys = sheets.flatMap(({ gotReady }) => gotReady);
  return new Set(keys.map((key) => key.split('/').slice(0, 3).join('/')));
}

/** What the open entries of the plan need, each for those who are in reach at its moment. */
export function needsFor(
  store: Store,
  entries: readonly PlanEntry[],
  here: (day: string) => readonly Child[],
): NeedLine[] {
  const timeOf = new Map(
    store.household.all()[0]?.moments.map(({ id, time }): [string, string] => [id, time]),
  );
  const at = ({ day, momentId }: PlanEntry): string => `${day} ${timeOf.get(momentId) ?? ''}`;
  const planned = [...entries]
    .sort((a, b) => at(a).localeCompare(at(b)))
    .flatMap((entry) => plannedOf(store, entry, here(entry.day)) ?? []);
  const [first] = entries.map(({ day }) => day).sort();
  return needsOf(planned, store.materials.all(), first ? hadLately(store, first) : undefined);
}

/** The cautions that apply to an entry, each with what to do. */
export function cautionsFor(store: Store, entry: PlanEntry, here: readonly Child[]): string[] {
  const planned = plannedOf(store, entry, here);
  if (!planned) return [];
  const { activity, reach } = planned;
  const lines = needsOf([planned], store.materials.all());
  return cautionsAt({ activity, lines, reach, here, day: entry.day });
}

/** Activities, the household, songs and kits, and what the week needs of them. */
export function materialsRoutes(context: Context): Router {
  const { store } = context;
  const router = Router();

  router.get('/activities', (_request, response) => {
    answer(response, Activities, [
      ...LIBRARY,
      ...store.activities.all().filter((one) => !one.archived),
    ]);
  });
  addRows(router, '/activities/own', context, {
    rows: store.activities,
    schema: OwnActivity,
    what: 'activity',
    changed: 'activities',
    removable: false,
    check: ({ skills }) => {
      skills.forEach((pattern, i) => {
        const known = pattern.endsWith('*') ? matchSkills([pattern])[0] : findSkill(pattern);
        if (!known) throw wrongField(`skills.${i}`, 'is not in the skill map');
      });
    },
  });
  addRows(router, '/materials', context, {
    rows: store.materials,
    schema: Material,
    what: 'material',
    changed: 'materials',
    removable: true,
    check: ({ count, colors }) => {
      const sum = colors.reduce((all, color) => all + color.count, 0);
      if (colors.length > 0 && sum > count) {
        throw wrongField('colors', `add up to ${sum}, more than the count of ${count}`);
      }
    },
  });
  addRows(router, '/songs', context, {
    rows: store.songs,
    schema: Song,
    what: 'song',
    changed: 'activities',
    removable: true,
    check: ({ direction, from, to }) => {
      if (direction === 'up' ? from > to : from < to) {
        throw wrongField(
          'to',
          direction === 'up' ? 'must not be below from' : 'must not be above from',
        );
      }
    },
  });
  addRows(router, '/graphs', context, {
    rows: store.graphs,
    schema: Graph,
    what: 'graph',
    changed: 'graphs',
    removable: true,
  });
  addRows(router, '/kits', context, {
    rows: store.kits,
    schema: Kit,
    what: 'kit',
    changed: 'materials',
    removable: true,
    check: ({ contents }) => {
      contents.forEach(({ materialId }, i) => {
        if (!store.materials.has(materialId)) {
          throw wrongField(`contents.${i}.materialId`, 'is not a material of this household');
        }
      });
    },
  });

  /** What seven days need: the most of any day, and the sum of what is used up. */
  router.get('/needs', (request, response) => {
    const { from } = checked(WeekQuery, request.query);
    const days = Array.from({ length: DAYS }, (_, i) => addDays(from, i));
    const children = store.children.all().filter((child) => !child.archived);
    const here = (day: string): readonly Child[] => {
      const { away } = store.days.find(day);
      return children.filter((child) => !away.includes(child.id));
    };
    answer(
      response,
      NeedLines,
      needsFor(
        store,
        days.flatMap((day) => store.plan.ofDay(day)),
        here,
      ),
    );
  });

  return router;
}
