import type { Household, Moment } from './household.js';
import type { Material } from './material.js';

function moment(
  id: string,
  name: string,
  time: string,
  minutes: number,
  bands: Moment['bands'],
  more: Partial<Moment> = {},
): Moment {
  return { id, name, time, minutes, bands, shared: true, ...more };
}

/** A day to begin with; every part of it can be changed. */
export interface ReadyDay {
  readonly id: 'morning' | 'whole-day' | 'afternoon';
  readonly title: string;
  readonly moments: readonly Moment[];
}

const OUT = { outdoors: true };
const AT_TABLE = { shared: false };

/** Three days as many households have them (common practice, no source). */
export const READY_DAYS: readonly ReadyDay[] = [
  {
    id: 'whole-day',
    title: 'Whole day',
    moments: [
      moment('arriving', 'Arriving', '08:30', 15, ['anytime']),
      moment('floor', 'Floor', '09:15', 40, ['play', 'anytime']),
      moment('snack', 'Snack', '10:40', 20, ['anytime']),
      moment('table', 'Table', '11:00', 20, ['table'], AT_TABLE),
      moment('outdoors', 'Outdoors', '15:30', 45, ['play', 'anytime'], OUT),
      moment('going-home', 'Going home', '16:45', 15, ['anytime']),
    ],
  },
  {
    id: 'morning',
    title: 'Morning only',
    moments: [
      moment('arriving', 'Arriving', '08:30', 15, ['anytime']),
      moment('floor', 'Floor', '09:00', 35, ['play', 'anytime']),
      moment('snack', 'Snack', '09:45', 20, ['anytime']),
      moment('table', 'Table', '10:10', 20, ['table'], AT_TABLE),
      moment('outdoors', 'Outdoors', '10:40', 40, ['play', 'anytime'], OUT),
      moment('going-home', 'Going home', '11:45', 10, ['anytime']),
    ],
  },
  {
    id: 'afternoon',
    title: 'A little after lunch',
    moments: [
      moment('lunch', 'Lunch', '12:00', 30, ['anytime']),
      moment('table', 'Quiet table', '13:00', 20, ['table'], AT_TABLE),
      moment('outdoors', 'Outdoors', '14:30', 45, ['play', 'anytime'], OUT),
      moment('floor', 'Floor', '15:30', 30, ['play', 'anytime']),
    ],
  },
];

/** A household before anyone has chosen anything. */
export function newHousehold(id: string, name: string): Household {
  return {
    id,
    name,
    languages: ['en'],
    openDays: [1, 2, 3, 4, 5],
    units: 'metric',
    paper: 'a4',
    frameFill: 'row',
    digitForms: { one: 'plain', four: 'open', nine: 'straight' },
    digitCue: 'movement',
    preferredWay: 'any',
    tablePerWeek: 3,
    againstClock: false,
    nameNearest: false,
    moments: [...(READY_DAYS[0]?.moments ?? [])],
    version: 1,
  };
}

/** A thing of the house of which no more is known than its name, use and count. */
export const newMaterial = (
  id: string,
  known: Pick<Material, 'name' | 'use' | 'count'>,
): Material => ({
  id,
  ...known,
  colors: [],
  alike: true,
  shape: { kind: 'unknown' },
  box: '',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
});
