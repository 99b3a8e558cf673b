import { type Sizes, evaluate, explain } from '../activities/quantity.js';
import type { Activity, Need, Material, Use } from '../vocabulary/index.js';
import { isInTheHouse } from './at-home.js';
import { type Care, isSafe, unsafeBecause } from './care.js';
import { fits } from './fits.js';
import { type Recipe, keptFrom, needKeptFrom, recipeFor } from './holds.js';

/** One planned activity as far as things are concerned. */
export interface Planned {
  readonly activity: Activity;
  readonly sizes: Sizes;
  /** What those in reach of it ask of things. */
  readonly care: Care;
  /** When it is: what is beside something led at the same moment cannot take the same things. */
  readonly when?: { readonly day: string; readonly moment: string; readonly beside: boolean };
  /** Name of the thing that the card speaks of: it is taken where it is enough. */
  readonly named?: string;
}

/** How many of a thing serve a need: of two-color needs the two largest colors count. */
export function usable(material: Material, need: Need): number {
  if (material.use !== need.use || (need.alike && !material.alike) || !fits(material, need))
    return 0;
  return usableColors(material, need.colors);
}

function usableColors(material: Material, colors: Need['colors']): number {
  if (colors === 'any') return material.count;
  if (material.colors.length === 0) return colors === 'one' ? material.count : 0;
  const byColor = material.colors.map((color) => color.count).sort((a, b) => b - a);
  if (colors === 'one') return byColor[0] ?? 0;
  return byColor.length < 2 ? 0 : 2 * Math.min(byColor[0] as number, byColor[1] as number);
}

/** Another thing that does as well, and why. */
export interface StandIn {
  readonly material: Material;
  /** How many of it serve. */
  readonly has: number;
  readonly because: string;
}

/** Uses that can stand in for one another, nearest first (common practice, no source). */
const LIKE_USES: Partial<Record<Use, readonly Use[]>> = {
  counter: ['cube', 'loose', 'unit', 'tile'],
  loose: ['counter', 'cube'],
  cube: ['block', 'counter'],
  block: ['cube'],
  unit: ['cube', 'stick', 'counter'],
  tens: ['stick'],
  bowl: ['basket', 'box', 'cup', 'tray'],
  basket: ['bowl', 'box'],
  box: ['basket', 'tray'],
  tray: ['box', 'mat', 'cloth'],
  plate: ['bowl', 'mat', 'cup'],
  cup: ['bowl', 'jar'],
  jar: ['cup', 'bowl'],
  cover: ['cloth', 'sack'],
  cloth: ['cover', 'towel', 'mat'],
  towel: ['cloth'],
  mat: ['cloth', 'tray'],
  sack: ['basket', 'cover'],
  board: ['mat', 'tray'],
  stick: ['peg'],
  peg: ['stick', 'counter'],
  yarn: ['string', 'line'],
  line: ['yarn', 'tape'],
  string: ['yarn'],
  tape: ['yarn'],
  vehicle: ['loose'],
  hoop: ['yarn', 'tape'],
  coin: ['counter'],
  parcel: ['sack', 'box'],
};
const BEST_SHOWN = 3;
const SAME_SIZE = 0.3;

const sizeOf = ({ shape }: Material): number | null => {
  switch (shape.kind) {
    case 'ball':
    case 'disc':
      return shape.diameterMm;
    case 'block':
    case 'rod':
      return shape.lengthMm;
    case 'unknown':
      return null;
  }
};

/**
 * What could stand in for a need, safe for everyone here, best first: same use, enough of them,
 * one or two colors as asked, alike where asked, about the same size.
 */
export function standInsFor(
  need: Need,
  wanted: number,
  materials: readonly Material[],
  care: Care,
  instead: Material | null = null,
): StandIn[] {
  const likes = LIKE_USES[need.use] ?? [];
  const size = instead && sizeOf(instead);
  const rated = materials.flatMap((material) => {
    if (material.id === instead?.id || !isSafe(material, care) || !fits(material, need)) return [];
    const same = material.use === need.use;
    const place = likes.indexOf(material.use);
    if (!same && place < 0) return [];
    const has = usableColors(material, need.colors);
    if (has === 0) return [];
    const alike = material.alike || !need.alike;
    const own = sizeOf(material);
    const likeSize =
      size !== null && own !== null && Math.abs(own - size) <= SAME_SIZE * Math.max(own, size);
    const value =
      (same ? 4 : 2 - place * 0.2) +
      (has >= wanted ? 3 : (2 * has) / wanted) +
      (alike ? 1 : 0) +
      (likeSize ? 0.5 : 0);
    const words = [
      has >= wanted ? 'enough of them' : `${has} of them`,
      need.colors === 'two' ? 'in two colors' : need.colors === 'one' ? 'in one color' : '',
      alike ? '' : 'not all alike',
      likeSize ? 'about the same size' : '',
      care.noSmallParts ? 'no small parts' : '',
    ].filter((part) => part !== '');
    return [{ material, has, because: words.join(', '), value }];
  });
  return rated
    .sort((a, b) => b.value - a.value || a.material.name.localeCompare(b.material.name))
    .slice(0, BEST_SHOWN)
    .map(({ material, has, because }) => ({ material, has, because }));
}

/** Why something stays away, and the allergies that keep it; none where it is a small part. */
export interface Kept {
  readonly because: string;
  readonly allergies: readonly string[];
}

/** One line of what is needed, beside what the household has. */
export interface NeedLine {
  /** Stable for the day, so that a tick stays with its line. */
  readonly key: string;
  readonly use: Use;
  readonly words: string;
  readonly count: number;
  /** How the count comes about: "1 + 2 + … + 10 = 55". */
  readonly sum: string;
  /** More is welcome up to this many. */
  readonly wish: number | null;
  readonly consumable: boolean;
  /** The material that does best; null when the household has none that is safe. */
  readonly material: Material | null;
  readonly has: number;
  readonly short: number;
  readonly standIns: readonly StandIn[];
  /** Things that would serve and stay away, with the reason. */
  readonly away: readonly (Kept & {
    readonly material: Material;
    /** It would be the one to take if nobody had to be kept from it. */
    readonly wanted: boolean;
  })[];
  /** Why it is not to be used although nobody listed it, as it holds what somebody must not meet. */
  readonly barred: Kept | null;
  /** What can be made in its place where nothing safe is there. */
  readonly instead: Recipe | null;
  /** Titles of the activities that ask for it. */
  readonly for: readonly string[];
  /** Moments in which it is needed, in the order in which the activities were given. */
  readonly moments: readonly string[];
}

/** What is needed at one moment: the most that is led with at once, and all that lies beside it. */
interface AtMoment {
  led: number;
  beside: number;
  /** Activities that are led with it: one after the other, so that only needs of one meet. */
  readonly ids: Set<string>;
}

interface Sum {
  need: Need;
  care: Care;
  count: number;
  wish: number | null;
  sum: string;
  titles: string[];
  named: string | undefined;
  moments: Map<string, AtMoment>;
  momentIds: Set<string>;
  /** Supposed to be in the house although it is not listed. */
  isAtHome: boolean;
}

/** The same care gives the same word. */
const careWord = ({ noSmallParts, allergies = [] }: Care): string =>
  [noSmallParts ? 'large' : 'any', ...[...allergies].sort()].join(' ');

/**
 * What some planned activities need in all: the most wanted at once of each kind, since things are
 * used again, and the sum of what is used up. One thing serves one need at a time. Where those in
 * reach differ, so may the things: each kind of care has a line of its own. What is short stands first,
 * then in the given order.
 * @param had what was ticked as lying ready lately, by `needKey`; where it is not said, everything that
 *   is not listed may be in the house
 */
export function needsOf(
  planned: readonly Planned[],
  materials: readonly Material[],
  had?: ReadonlySet<string>,
): NeedLine[] {
  const sums = new Map<string, Sum>();
  const cares = [...new Set(planned.map(({ care }) => careWord(care)))];
  for (const { activity, sizes, care, when, named } of planned) {
    const moment = when ? `${when.day} ${when.moment}` : '';
    const beside = when?.beside ?? false;
    const atHome = had ? isInTheHouse(activity, had) : () => true;
    for (const need of activity.needs) {
      const kind = [need.use, need.words, need.colors].join('/');
      const key = careWord(care) === cares[0] ? kind : `${kind}/${careWord(care)}`.slice(0, 120);
      const count = evaluate(need.must, sizes);
      if (count === 0) continue;
      const wish = need.wish === null ? null : evaluate(need.wish, sizes);
      const sum = explain(need.must, sizes);
      const known = sums.get(key);
      if (!known) {
        const here = { led: beside ? 0 : count, beside: beside ? count : 0 };
        const moments = new Map([[moment, { ...here, ids: new Set([activity.id]) }]]);
        const momentIds = new Set(when ? [when.moment] : []);
        const titles = [activity.title];
        const isAtHome = atHome(need);
        sums.set(key, {
          need,
          care,
          count,
          wish,
          sum,
          named,
          moments,
          momentIds,
          titles,
          isAtHome,
        });
        continue;
      }
      known.named ??= named;
      known.isAtHome &&= atHome(need);
      if (when) known.momentIds.add(when.moment);
      const here = known.moments.get(moment) ?? { led: 0, beside: 0, ids: new Set<string>() };
      here.ids.add(activity.id);
      if (beside) here.beside += count;
      else here.led = Math.max(here.led, count);
      known.moments.set(moment, here);
      const atOnce = here.led + here.beside;
      if (need.consumable) {
        known.count += count;
        known.sum = `${known.sum.replace(/ = \d+$/, '')} + ${sum.replace(/ = \d+$/, '')} = ${known.count}`;
      } else if (atOnce > known.count) {
        known.sum = atOnce === count ? sum : `${atOnce - count} + ${count} = ${atOnce}`;
        known.count = atOnce;
      }
      known.wish = known.wish === null ? wish : Math.max(known.wish, wish ?? 0);
      if (!known.titles.includes(activity.title)) known.titles.push(activity.title);
    }
  }
  const taken: Taken[] = [];
  const lineOf = new Map<string, NeedLine>();
  // What a card speaks of is taken for that card, and only then for what else would do with it.
  const named = [...sums].filter(([, sum]) => sum.named !== undefined);
  for (const [key, sum] of [...named, ...sums]) {
    if (lineOf.has(key)) continue;
    const line = lineFor(key, sum, materials, taken);
    lineOf.set(key, line);
    if (line.material) taken.push({ material: line.material, sum });
  }
  const lines = [...sums.keys()].flatMap((key) => lineOf.get(key) ?? []);
  return lines.sort((a, b) => Number(b.short > 0) - Number(a.short > 0));
}

/** A thing and what it is taken for. */
interface Taken {
  readonly material: Material;
  readonly sum: Sum;
}

/** How many of a thing lie elsewhere while a need is served, at most. */
function takenOf(material: Material, { moments }: Sum, taken: readonly Taken[]): number {
  const atOnce = [...moments].map(([moment, here]) =>
    taken.reduce((all, { material: other, sum }) => {
      const there = other.id === material.id ? sum.moments.get(moment) : undefined;
      if (!there) return all;
      const meet = [...there.ids].some((id) => here.ids.has(id));
      const led = meet || here.beside > 0 ? there.led : 0;
      return all + led + there.beside;
    }, 0),
  );
  return Math.max(0, ...atOnce);
}

/** What is surest is said: that it holds something, before that it may, before that nobody knows. */
const SURENESS = ['holds ', 'is ', 'may '];
const sureness = (reason: string): number => {
  const at = SURENESS.findIndex((word) => reason.startsWith(word));
  return at < 0 ? SURENESS.length : at;
};

/** Which allergies keep something away, and the surest reason; null where none does. */
function keptBy(
  allergies: readonly string[],
  reasonFor: (allergy: string) => string | null,
): Kept | null {
  const found = allergies.flatMap((allergy) => {
    const why = reasonFor(allergy);
    return why === null ? [] : [{ allergy, why }];
  });
  const [surest] = [...found].sort((a, b) => sureness(a.why) - sureness(b.why));
  return surest ? { because: surest.why, allergies: found.map((one) => one.allergy) } : null;
}

function lineFor(
  key: string,
  all: Sum,
  materials: readonly Material[],
  taken: readonly Taken[],
): NeedLine {
  const { need, care, count, wish, sum, titles, named, momentIds } = all;
  const elsewhere = (material: Material): number => takenOf(material, all, taken);
  const fitting = materials.flatMap((material) => {
    const serves = usable(material, need);
    const has = Math.max(0, serves - elsewhere(material));
    return serves === 0 ? [] : [{ material, has, because: unsafeBecause(material, care) }];
  });
  const ranked = [...fitting].sort(
    (a, b) =>
      Number(b.has >= count) - Number(a.has >= count) ||
      Number(b.material.name === named) - Number(a.material.name === named) ||
      b.has - a.has,
  );
  const safe = ranked.filter((one) => one.because === null);
  const best = safe[0] ?? null;
  // What is not listed is not counted as missing where it may well be in the house.
  const unlisted = fitting.length === 0;
  const lacking = Math.max(0, count - (best?.has ?? 0));
  const others = lacking > 0 ? materials.filter((material) => elsewhere(material) === 0) : [];
  const standIns =
    lacking > 0 ? standInsFor(need, lacking, others, care, best?.material ?? null) : [];
  const isServed = all.isAtHome || standIns.some((one) => one.has >= lacking);
  const short = unlisted && isServed ? 0 : lacking;
  const { allergies = [] } = care;
  const barred = unlisted ? keptBy(allergies, (one) => needKeptFrom(need, one)) : null;
  const isKept = barred !== null || (fitting.length > 0 && safe.length === 0);
  return {
    key,
    use: need.use,
    words: need.words,
    count,
    sum,
    wish,
    consumable: need.consumable,
    material: best?.material ?? null,
    has: best?.has ?? 0,
    short,
    standIns,
    away: fitting.flatMap(({ material, because }) => {
      if (because === null) return [];
      const by = keptBy(allergies, (one) => keptFrom(material, one));
      const wanted = material === ranked[0]?.material;
      return [
        { material, because: by?.because ?? because, allergies: by?.allergies ?? [], wanted },
      ];
    }),
    barred,
    instead: isKept && allergies.length > 0 ? recipeFor(need.use, allergies) : null,
    for: titles,
    moments: [...momentIds],
  };
}
