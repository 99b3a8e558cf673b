import type { Child, Day, Hazard, Material, Use } from '../vocabulary/index.js';
import { keptFrom } from './holds.js';
import { mustNotMeetSmallParts, smallPart } from './small-parts.js';

/** What those who are in reach of things ask of them. */
export interface Care {
  /** True when a child under three, or one who still mouths things, is in reach. */
  readonly noSmallParts: boolean;
  /** By tag or in own words: what holds one is kept away. */
  readonly allergies?: readonly string[];
}

/** Things that are large by nature, so that unknown measures do not make them small parts. */
export const LARGE_USES: readonly Use[] = [
  'bowl',
  'plate',
  'cup',
  'cloth',
  'cover',
  'board',
  'paper',
  'sheet',
  'box',
  'basket',
  'tray',
  'sack',
  'jar',
  'rail',
  'tube-box',
  'frame',
  'mat',
  'track',
  'chart',
  'card',
  'floor-card',
  'puppet',
  'book',
  'hoop',
  'mirror',
  'scale',
  'balance',
  'parcel',
  'towel',
  'line',
  'tape',
  'yarn',
  'string',
  'scissors',
  'pen',
  'paint',
  'dough',
  'tongs',
];

/** True for a small part or ball; what nobody has measured counts as one, unless it is large by nature. */
export const countsAsSmall = ({ shape, use }: Pick<Material, 'shape' | 'use'>): boolean =>
  shape.kind === 'unknown' ? !LARGE_USES.includes(use) : smallPart(shape) !== 'neither';

/** What these children ask of things that they can reach on a day. */
export function careFor(
  children: readonly Pick<Child, 'birthDate' | 'cautions'>[],
  day: Day,
): Care {
  return {
    noSmallParts: children.some((child) => mustNotMeetSmallParts(child, day)),
    allergies: [...new Set(children.flatMap((child) => child.cautions.allergies))],
  };
}

/**
 * Who is in reach of what an activity lays out: everyone who is here where all are in the room,
 * otherwise those who take part. Planning, the day's list and the tray all ask this.
 */
export function inReach<C>(
  moment: { readonly shared: boolean } | undefined,
  here: readonly C[],
  takes: (one: C) => boolean,
): readonly C[] {
  return (moment?.shared ?? true) ? here : here.filter(takes);
}

/** Refused whatever the size and whoever is here. */
const NEVER: readonly Hazard[] = ['button-cell', 'magnet'];

const found = new WeakMap<Material, Map<string, string | null>>();

/** Why a thing may not lie where these children are; null where it may. */
export function unsafeBecause(material: Material, care: Care): string | null {
  const known = found.get(material) ?? new Map<string, string | null>();
  found.set(material, known);
  const key = `${care.noSmallParts}/${(care.allergies ?? []).join('/')}`;
  let because = known.get(key);
  if (because === undefined) {
    because = reasonAgainst(material, care);
    known.set(key, because);
  }
  return because;
}

function reasonAgainst(material: Material, care: Care): string | null {
  const never = NEVER.find((hazard) => material.hazards.includes(hazard));
  if (never && material.use !== 'scale') {
    return never === 'magnet' ? 'has a magnet' : 'runs on a button cell';
  }
  for (const allergy of care.allergies ?? []) {
    const because = keptFrom(material, allergy);
    if (because !== null) return because;
  }
  if (!care.noSmallParts || !countsAsSmall(material)) return null;
  return smallPart(material.shape) === 'small-ball' ? 'small ball' : 'small part';
}

/** True when the thing may lie where these children are. */
export const isSafe = (material: Material, care: Care): boolean =>
  unsafeBecause(material, care) === null;
