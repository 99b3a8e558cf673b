import type { Household, Moment } from './household.js';
import type { Material } from './material.js';

/** A day as many households have it; every part can be changed. */
const MOMENTS: readonly Moment[] = [
  moment('arriving', 'Arriving', '08:30', 15, ['anytime']),
  moment('floor', 'Floor', '09:15', 40, ['play', 'anytime']),
  moment('snack', 'Snack', '10:40', 20, ['anytime']),
  { ...moment('table', 'Table', '11:00', 20, ['table']), shared: false },
  moment('outdoors', 'Outdoors', '15:30', 45, ['play', 'anytime']),
  moment('going-home', 'Going home', '16:45', 15, ['anytime']),
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
