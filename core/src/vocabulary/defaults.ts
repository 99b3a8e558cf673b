import type { Household, Moment } from './household.js';
import type { Material } from './material.js';

/** Moments as many households have them, whenever they are. */
const KINDS = {
  arriving: { name: 'Arriving', bands: ['anytime'] },
  floor: { name: 'Floor', bands: ['play', 'anytime'] },
  snack: { name: 'Snack', bands: ['anytime'] },
  lunch: { name: 'Lunch', bands: ['anytime'] },
  table: { name: 'Table', bands: ['table'], shared: false },
  outdoors: { name: 'Outdoors', bands: ['play', 'anytime'], outdoors: true },
  'going-home': { name: 'Going home', bands: ['anytime'] },
} satisfies Readonly<Record<string, Partial<Moment>>>;

/** A day to begin with; every part of it can be changed. */
export interface ReadyDay {
  readonly id: 'morning' | 'whole-day' | 'afternoon';
  readonly title: string;
  readonly moments: readonly Moment[];
}

const day = (
  id: ReadyDay['id'],
  title: string,
  ...moments: readonly (readonly [kind: keyof typeof KINDS, time: string, minutes: number])[]
): ReadyDay => ({
  id,
  title,
  moments: moments.map(([kind, time, minutes]) => ({
    ...{ id: kind, time, minutes, shared: true },
    ...KINDS[kind],
  })),
});

const WHOLE_DAY = day(
  'whole-day',
  'Whole day',
  ['arriving', '08:30', 15],
  ['floor', '09:15', 40],
  ['snack', '10:40', 20],
  ['table', '11:00', 20],
  ['outdoors', '15:30', 45],
  ['going-home', '16:45', 15],
);

/** Three days as many households have them (common practice, no source). */
export const READY_DAYS: readonly ReadyDay[] = [
  WHOLE_DAY,
  day(
    'morning',
    'Morning only',
    ['arriving', '08:30', 15],
    ['floor', '09:00', 35],
    ['snack', '09:45', 20],
    ['table', '10:10', 20],
    ['outdoors', '10:40', 40],
    ['going-home', '11:45', 10],
  ),
  day(
    'afternoon',
    'A little after lunch',
    ['lunch', '12:00', 30],
    ['table', '13:00', 20],
    ['outdoors', '14:30', 45],
    ['floor', '15:30', 30],
  ),
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
    moments: [...WHOLE_DAY.moments],
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
