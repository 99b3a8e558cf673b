import type { Household, Moment } from './household.js';
import type { Thing } from './thing.js';

/** A day as many households have it; every part can be changed. */
const MOMENTS: readonly Moment[] = [
  moment('arriving', 'Arriving', '08:30', 15, ['woven']),
  moment('floor', 'Floor', '09:15', 40, ['set-out', 'woven']),
  moment('snack', 'Snack', '10:40', 20, ['woven']),
  { ...moment('table', 'Table', '11:00', 20, ['table']), shared: false },
  moment('outdoors', 'Outdoors', '15:30', 45, ['set-out', 'woven']),
  moment('going-home', 'Going home', '16:45', 15, ['woven']),
];

function moment(
  id: string,
  name: string,
  time: string,
  minutes: number,
  bands: Moment['bands'],
): Moment {
  return { id, name, time, minutes, bands, shared: true };
}

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
    moments: [...MOMENTS],
    version: 1,
  };
}

/** A thing of the house of which no more is known than its name, use and count. */
export const newThing = (id: string, known: Pick<Thing, 'name' | 'use' | 'count'>): Thing => ({
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
