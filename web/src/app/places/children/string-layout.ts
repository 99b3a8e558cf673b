import {
  STRAND_TITLES,
  type Skill,
  type Strand,
  skillOf,
  skillsOfStrand,
  strandsInUse,
} from '@gumo/core/skills';
import { scalePoint } from 'd3-scale';
import { curveBasis, curveMonotoneX, line, link, curveBumpY } from 'd3-shape';

/** A bead's middle, in pixels from the upper left of all strings. */
export interface Place {
  readonly skill: Skill;
  readonly x: number;
  readonly y: number;
  /** Whether its label hangs on the lower of two lines, so that neighbors do not touch. */
  readonly low: boolean;
}

export interface StringRow {
  readonly strand: Strand;
  /** The strand's name, on its first row only. */
  readonly title: string;
  readonly top: number;
  readonly places: readonly Place[];
  /** The main thread, and side strings where skills branch off it. */
  readonly threads: readonly string[];
}

export interface StringLayout {
  readonly rows: readonly StringRow[];
  readonly height: number;
  readonly byId: ReadonlyMap<string, Place>;
}

export const ROW_HEIGHT = 57;
const STRAND_GAP = 3;
const LABEL_WIDTH = 92;
const MAIN_Y = 14;
/** Side strings hang a little lower than the main one. */
const SIDE_Y = 20;
const LONGEST = Math.max(...strandsInUse().map((strand) => skillsOfStrand(strand).length));
const NARROW_SPACING = 62;
const WIDEST_SPACING = 58;
const LEAST_SPACING = 40;

/** Families that branch off the main string of their strand. */
const SIDE: Readonly<Record<Strand, RegExp | null>> = {
  say: /^say-(back|next|on)/,
  count: /^(layout|same|place)/,
  glance: /^frame/,
  numeral: /^(draw|write|forms)/,
  compare: /^(plus1|minus1)/,
  bond: /^(hide|three|double)/,
  add: /^(sentence|story|away)/,
  beyond: /^(partner|halves|share|coins|split)/,
  measure: /^(estimate|divide)/,
  sort: /^(shape|chart)/,
  pattern: /^mirror/,
};

const isSide = ({ id, strand }: Skill): boolean => SIDE[strand]?.test(id) ?? false;

/**
 * Where every bead lies: one row a strand where the width allows it, several otherwise.
 * @param width in pixels
 */
export function layStrings(width: number): StringLayout {
  const spacing = Math.min(WIDEST_SPACING, (width - LABEL_WIDTH - 44) / (LONGEST - 1));
  const wide = spacing >= LEAST_SPACING;
  const left = wide ? LABEL_WIDTH : 0;
  const perRow = wide ? LONGEST : Math.max(3, Math.floor(width / NARROW_SPACING));
  const step = wide ? spacing : NARROW_SPACING;
  const slots = scalePoint<number>()
    .domain(Array.from({ length: perRow }, (_, i) => i))
    .range([left + 22, left + 22 + step * (perRow - 1)]);
  const rows: StringRow[] = [];
  let top = 0;
  for (const strand of strandsInUse()) {
    const skills = skillsOfStrand(strand);
    const count = Math.ceil(skills.length / perRow);
    const each = Math.ceil(skills.length / count);
    if (!wide) top += 24;
    for (let r = 0; r < count; r++) {
      const places = skills.slice(r * each, (r + 1) * each).map((skill, i): Place => ({
        skill,
        x: slots(i) ?? 0,
        y: top + (isSide(skill) ? SIDE_Y : MAIN_Y),
        low: i % 2 === 1,
      }));
      rows.push({
        strand,
        title: r === 0 ? STRAND_TITLES[strand] : '',
        top,
        places,
        threads: threadsOf(places, r === count - 1),
      });
      top += ROW_HEIGHT + (r === count - 1 ? STRAND_GAP : 0);
    }
  }
  const byId = new Map(rows.flatMap((row) => row.places.map((place) => [place.skill.id, place])));
  return { rows, height: top, byId };
}

/** A main thread that sags a little between its beads, and one side thread a row. */
function threadsOf(places: readonly Place[], isLast: boolean): string[] {
  const main = places.filter((place) => !isSide(place.skill));
  const side = places.filter((place) => isSide(place.skill));
  const first = main[0] ?? places[0];
  const last = main[main.length - 1] ?? places[places.length - 1];
  if (!first || !last) return [];
  const points: [number, number][] = [[first.x - 20, first.y - 1]];
  main.forEach(({ x, y }, i) => points.push([x, y + (i % 2 === 0 ? 1.5 : -1.5)]));
  points.push([last.x + (isLast ? 0 : 26), last.y + (isLast ? 0 : 2)]);
  const threads = [line<[number, number]>().curve(curveBasis)(points) ?? ''];
  const branch = side[0];
  if (branch) {
    const from = main.filter((place) => place.x < branch.x).at(-1);
    const along = [...(from ? [from] : []), ...side].map(({ x, y }): [number, number] => [x, y]);
    threads.push(line<[number, number]>().curve(curveMonotoneX)(along) ?? '');
  }
  return threads;
}

/** A thread from one bead to another: what it builds on, or what it opens. */
export interface Link {
  readonly id: string;
  readonly path: string;
  readonly kind: 'below' | 'above';
}

const bow = link<{ source: Place; target: Place }, Place>(curveBumpY)
  .x((place) => place.x)
  .y((place) => place.y);

/** Threads from a bead to what it builds on, and to what builds on it. */
export function linksOf(layout: StringLayout, skillId: string): Link[] {
  const at = layout.byId.get(skillId);
  if (!at) return [];
  const arc = (a: Place, b: Place): string =>
    Math.abs(a.y - b.y) < ROW_HEIGHT / 2 ? over(a, b) : (bow({ source: a, target: b }) ?? '');
  const below = skillOf(skillId).buildsOn.flatMap((id) => {
    const place = layout.byId.get(id);
    return place ? [{ id, kind: 'below' as const, path: arc(place, at) }] : [];
  });
  const above = [...layout.byId.values()]
    .filter((place) => place.skill.buildsOn.includes(skillId))
    .map((place) => ({ id: place.skill.id, kind: 'above' as const, path: arc(at, place) }));
  return [...below, ...above];
}

/** Within a row the thread bows above the beads. */
function over(a: Place, b: Place): string {
  const middle = (a.x + b.x) / 2;
  const height = Math.min(a.y, b.y) - 12 - Math.min(14, Math.abs(a.x - b.x) / 14);
  return (
    line<[number, number]>().curve(curveBasis)([
      [a.x, a.y],
      [a.x + (middle - a.x) / 3, height],
      [b.x - (b.x - middle) / 3, height],
      [b.x, b.y],
    ]) ?? ''
  );
}
