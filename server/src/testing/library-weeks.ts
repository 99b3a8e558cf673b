import { readFileSync } from 'node:fs';
import { LIBRARY } from '@gumo/core/activities';
import { type Fact, replay } from '@gumo/core/evidence';
import { type Random, seeded } from '@gumo/core/numbers';
import { PACE_STEPS, type PlannedWeek, weekModel } from '@gumo/core/planning';
import { SKILLS, STRANDS } from '@gumo/core/skills';
import { needKey } from '@gumo/core/materials';
import {
  type Child,
  type Household,
  type EducatorOverride,
  type Material,
  addDays,
  newWeek,
} from '@gumo/core/vocabulary';
import { DEMO, aChild, aTry } from './world.js';

/** Everybody every day; a third of them not at the end of the week; each on a day of four not. */
export const ATTENDANCE = ['all', 'simple', 'irregular'] as const;

export interface LibraryWeekWishes {
  readonly seed: number;
  readonly children: number;
  readonly attendance: (typeof ATTENDANCE)[number];
  /** What the house has: the demo's materials, everything that is ever needed, or ten things of it. */
  readonly materials?: 'demo' | 'everything' | 'ten';
}

const MONDAY = '2026-03-16';
const TODAY = '2026-03-10';
const YOUNGEST = 2.8;
const OLDEST = 5.4;
/** About how many skills of a strand are known at six, as a part of all. */
const KNOWN_AT_SIX = 0.7;
/** Strands that begin later, with the age in years. */
const FROM_AGE: Partial<Record<(typeof STRANDS)[number], number>> = {
  bond: 3.4,
  add: 3.9,
  beyond: 4.2,
};
/** Weeks of tries that a child brings along. */
const WEEKS = 8;
const CHILDREN_OF_THE_MATERIALS = 6;
const TEN = 10;

/**
 * A week as a household would have it: invented children somewhere on the map with some weeks of
 * tries, the built-in activities, and the demo's materials.
 */
export function libraryWeek({
  seed,
  children: count,
  attendance,
  materials: has = 'demo',
}: LibraryWeekWishes): PlannedWeek {
  const random = seeded(seed * 7919);
  const { household, materials: demo } = JSON.parse(readFileSync(DEMO, 'utf8')) as {
    household: Household;
    materials: Material[];
  };
  const days = Array.from({ length: 5 }, (_, d) => addDays(MONDAY, d));
  const children = Array.from({ length: count }, (_, c) =>
    childAt(random, c, YOUNGEST + ((OLDEST - YOUNGEST) * (c + random())) / count),
  );
  const isAway = children.map((_, c) =>
    days.map((__, d) => {
      if (attendance === 'all') return false;
      return attendance === 'simple' ? c % 3 === 0 && d > 2 : random() < 0.25;
    }),
  );
  const more = Math.max(1, count / CHILDREN_OF_THE_MATERIALS);
  const had = LIBRARY.flatMap(({ needs }) => needs.map(needKey));
  const materials = demo.map((material) => ({
    ...material,
    count: Math.round(material.count * more),
  }));
  return weekModel({
    household,
    materials: has === 'ten' ? materials.slice(0, TEN) : materials,
    had: new Set(has === 'everything' ? had : []),
    sheet: newWeek(MONDAY),
    today: TODAY,
    now: null,
    children: children.map(({ child, facts }) => ({
      child,
      state: replay(child.id, child.policy, facts),
      pace: {
        minutes: pick(random, PACE_STEPS),
        reason: '',
        restOn: null,
        earlier: random() < 0.2,
      },
      since: addDays(TODAY, -7 * WEEKS),
    })),
    activities: LIBRARY,
    away: new Map(
      days.map((day, d) => [
        day,
        children.flatMap(({ child }, c) => (isAway[c]?.[d] ? [child.id] : [])),
      ]),
    ),
    entries: [],
    lately: LIBRARY.filter(() => random() < 0.25).map(({ id }) => ({
      activityId: id,
      day: addDays(MONDAY, -1 - Math.floor(random() * 12)),
    })),
  });
}

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

/** A made-up id, the same each time. */
const madeId = (c: number, n: number): string =>
  `00000000-0000-4000-8${String(c).padStart(3, '0')}-${String(n).padStart(12, '0')}`;

/** The educator's word that a child has a skill. */
const aWord = (childId: string, skillId: string, id: string): EducatorOverride => ({
  id,
  childId,
  skillId,
  at: `${addDays(TODAY, -60)}T09:00:00.000Z`,
  day: addDays(TODAY, -60),
  says: 'secure',
  note: '',
  notedBy: '',
});

/** A child of an age in years, with the tries of some weeks at what lies near its place. */
function childAt(random: Random, c: number, age: number): { child: Child; facts: Fact[] } {
  const id = `00000000-0000-4000-8000-${String(c).padStart(12, '0')}`;
  const child = aChild({
    id,
    name: `Child ${c}`,
    birthDate: addDays(TODAY, -Math.round(age * 365.25)),
    cautions: { mouths: age < 3.3, allergies: [], note: '' },
    interests: [pick(random, ['snails', 'trains', 'kites', 'drums', 'knitting', 'soup'])],
    policy: pick(random, ['balanced', 'balanced', 'secure-first', 'follow-child']),
  });
  const facts: Fact[] = [];
  for (const strand of STRANDS) {
    const skills = SKILLS.filter((skill) => skill.strand === strand);
    const from = FROM_AGE[strand] ?? 2.4;
    const part = Math.max(0, (age - from) / (6 - from)) * KNOWN_AT_SIX;
    const place = skills.length * part * (0.75 + random() / 2);
    skills.slice(0, Math.ceil(place) + (place > 0 ? 1 : 0)).forEach((skill, i) => {
      const chance = 1 / (1 + Math.exp(-2.4 * (place - i) - 1.1));
      // What lies behind is known by the word of the educator, but for some of it.
      if (i < place - 2 && random() < 0.95) {
        facts.push({ kind: 'override', override: aWord(id, skill.id, madeId(c, facts.length)) });
        return;
      }
      const times = i < place - 1 ? 6 : 1 + Math.floor(random() * 3);
      for (let t = 0; t < times; t++) {
        const day = addDays(TODAY, -7 * WEEKS + Math.floor(random() * 7 * WEEKS));
        for (const item of [pick(random, skill.items), pick(random, skill.items)]) {
          const outcome = random() < chance ? 'own' : random() < 0.6 ? 'help' : 'not-yet';
          facts.push({
            kind: 'observation',
            observation: aTry(id, {
              id: madeId(c, facts.length),
              skillId: skill.id,
              itemId: item.id,
              day,
              outcome,
            }),
          });
        }
      }
    });
  }
  return { child, facts };
}
