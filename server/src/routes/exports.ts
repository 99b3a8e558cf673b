import {
  type Activity,
  type Child,
  type Moment,
  type PlanEntry,
  WeekSheet,
  addDays,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import ical, { ICalAlarmType } from 'ical-generator';
import Papa from 'papaparse';
import * as v from 'valibot';
import { checked } from '../faults.js';
import type { Store } from '../database/store.js';
import { type Context, param } from './context.js';
import { activityIn } from '../services/needs.js';

const Wishes = v.object({
  /** Minutes before a card at which a calendar may remind; none unless asked for. */
  alarm: v.optional(
    v.pipe(v.string(), v.transform(Number), v.integer(), v.minValue(0), v.maxValue(120)),
  ),
  /** Children by name; a calendar may travel, so only their first letters unless asked for. */
  names: v.optional(v.literal('1')),
});
const DAYS = 7;

/** A card of the plan with what belongs to it. */
export interface WeekRow {
  readonly entry: PlanEntry;
  readonly activity: Activity;
  readonly moment: Moment;
  readonly children: readonly { readonly child: Child; readonly top: number }[];
}

/** The cards of a week in their order, each with its activity, its moment and its children. */
export function cardsOfWeek(store: Store, from: string): WeekRow[] {
  const moments = store.household.all()[0]?.moments ?? [];
  const entries = Array.from({ length: DAYS }, (_, i) => store.plan.ofDay(addDays(from, i))).flat();
  return entries
    .flatMap((entry): WeekRow[] => {
      const activity = activityIn(store, entry.activityId);
      const moment = moments.find((one) => one.id === entry.momentId);
      const children = entry.participants.flatMap(({ childId, rangeMax: top }) => {
        const child = store.children.find(childId);
        return child ? [{ child, top }] : [];
      });
      return activity && moment && entry.state !== 'left'
        ? [{ entry, activity, moment, children }]
        : [];
    })
    .sort((a, b) =>
      `${a.entry.day}${a.moment.time}`.localeCompare(`${b.entry.day}${b.moment.time}`),
    );
}

/** The plan of a week as files for other programs. */
export function exportRoutes({ store }: Context): Router {
  const router = Router();
  const fromOf = (request: Parameters<typeof param>[0]): string =>
    checked(v.object({ from: WeekSheet.entries.from }), { from: param(request, 'from') }).from;

  router.get('/:from/calendar.ics', (request, response) => {
    const { alarm, names } = checked(Wishes, request.query);
    const calendar = ical({
      name: escaped(store.household.all()[0]?.name ?? 'Gumo'),
      prodId: { company: 'Gumo', product: 'week', language: 'EN' },
    });
    // Cards of one moment follow one another.
    const begun = new Map<string, number>();
    for (const { entry, activity, moment, children } of cardsOfWeek(store, fromOf(request))) {
      const key = `${entry.day}/${moment.id}`;
      const after = begun.get(key) ?? 0;
      begun.set(key, after + entry.minutes);
      const start = localTime(entry.day, moment.time, after);
      const event = calendar.createEvent({
        id: `${entry.id}@gumo`,
        summary: activity.title,
        start,
        end: new Date(start.getTime() + Math.max(1, entry.minutes) * 60_000),
        floating: true,
        location: moment.name,
        description: [
          children
            .map(({ child, top }) => `${names ? child.name : child.name.slice(0, 1)} to ${top}`)
            .join(', '),
          entry.with,
        ]
          .filter((line) => line !== '')
          .join('\n'),
      });
      event.sequence(entry.version);
      event.stamp(new Date(`${entry.day}T00:00:00Z`));
      if (alarm !== undefined) {
        event.createAlarm({ type: ICalAlarmType.display, triggerBefore: alarm * 60 });
      }
    }
    response
      .type('text/calendar')
      .attachment(`week-${fromOf(request)}.ics`)
      .send(calendar.toString());
  });

  router.get('/:from/plan.csv', (request, response) => {
    const rows = cardsOfWeek(store, fromOf(request)).map(
      ({ entry, activity, moment, children }) => ({
        day: entry.day,
        moment: moment.name,
        time: moment.time,
        activity: activity.title,
        band: activity.band,
        minutes: entry.minutes,
        children: children.map(({ child }) => safe(child.name)).join('; '),
        ranges: children.map(({ top }) => `to ${top}`).join('; '),
        with: safe(entry.with),
        state: entry.state,
      }),
    );
    response
      .type('text/csv')
      .attachment(`week-${fromOf(request)}.csv`)
      .send(Papa.unparse(rows, { columns: COLUMNS, escapeFormulae: true }));
  });

  return router;
}

const COLUMNS = 'day moment time activity band minutes children ranges with state'.split(' ');

/** A text value of a calendar (RFC 5545, section 3.3.11); the package escapes those of events itself. */
const escaped = (text: string): string =>
  text.replace(/[\\;,]/g, (sign) => `\\${sign}`).replace(/\r?\n|\r/g, '\\n');

/** No line breaks inside a cell. */
const safe = (text: string): string => text.replaceAll(/[\r\n]+/g, ' ');

/** A time on the household's own clock, which a floating event keeps wherever it is read. */
function localTime(day: string, time: string, minutesLater: number): Date {
  const at = new Date(`${day}T${time}:00`);
  return new Date(at.getTime() + minutesLater * 60_000);
}
