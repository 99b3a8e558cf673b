import type { Card, PlanActivity, PlanChild, WeekProblem } from '@gumo/core/planning';
import { seeded } from '@gumo/core/numbers';
import { type Band, addDays } from '@gumo/core/vocabulary';

/** Who is here: everybody every day, a third of them for three days, or as it comes. */
export const ATTENDANCE = ['all', 'simple', 'irregular'] as const;
export type Attendance = (typeof ATTENDANCE)[number];

export interface WeekWishes {
  readonly seed: number;
  readonly children?: number;
  readonly activities?: number;
  readonly days?: number;
  readonly attendance?: Attendance;
  readonly tablesADay?: number;
  /** Part of the children who must not meet small parts, the youngest. */
  readonly careful?: number;
  readonly fixed?: readonly Card[];
}

const STRANDS = 11;
const STEPS = 7;
const MONDAY = '2026-03-09';
const MOMENTS: readonly (readonly [id: string, minutes: number, bands: readonly Band[]])[] = [
  ['arriving', 15, ['woven']],
  ['floor', 40, ['set-out', 'woven']],
  ['snack', 20, ['woven']],
  ['table', 30, ['table']],
  ['outdoors', 45, ['set-out', 'woven']],
  ['going-home', 15, ['woven']],
];

/** An invented week as the planning sees it; the same for the same wishes. */
export function inventedWeek({
  seed,
  children: count = 6,
  activities: many = 80,
  days: howMany = 5,
  attendance = 'all',
  tablesADay = 3,
  careful = 0.25,
  fixed = [],
}: WeekWishes): WeekProblem {
  const random = seeded(seed);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const pick = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)] as T;
  const moments = MOMENTS.map(([id, minutes, bands], i) => ({
    id,
    name: id,
    time: `${String(8 + i).padStart(2, '0')}:30`,
    minutes,
    bands,
    shared: id !== 'table',
    outdoors: id === 'outdoors',
  }));
  const children = Array.from({ length: count }, (_, c): PlanChild => {
    const level = c / Math.max(1, count - 1);
    const wanted = new Map<string, PlanChild['wanted'][number]>();
    while (wanted.size < 26) {
      const strand = whole(0, STRANDS - 1);
      const step = Math.min(STEPS - 1, Math.max(0, Math.round(level * 5 + random() * 3 - 1)));
      const skillId = `s${strand}-${step}`;
      const value =
        pick([1, 0.9, 0.7, 0.7, 0.8, 0.5]) * pick([1, 1, 1, 1.3]) * pick([1, 1, 1, 1.2, 0.6]);
      if (!wanted.has(skillId)) wanted.set(skillId, { skillId, strand, value });
      if (wanted.size >= 8 && random() < 0.05) break;
    }
    return {
      id: `c${c}`,
      name: `child ${c}`,
      careful: level < careful,
      tableMinutes: pick([3, 5, 7, 10]),
      earlier: random() < 0.2,
      restOn: null,
      tablesAWeek: 3,
      wanted: [...wanted.values()].sort((a, b) => b.value - a.value),
    };
  });
  const here = children.map((_, c) => {
    const days = Array.from({ length: howMany }, (__, d) =>
      attendance === 'all' ? true : attendance === 'simple' ? c % 3 > 0 || d < 3 : random() < 0.75,
    );
    return days.includes(true) ? days : days.map((_day, d) => d === 0);
  });
  const activities = Array.from({ length: many }, (_, a): PlanActivity => {
    const band: Band = a < many * 0.2 ? 'woven' : a < many * 0.6 ? 'set-out' : 'table';
    const strands = Array.from({ length: whole(1, 3) }, () => whole(0, STRANDS - 1));
    const minutes =
      band === 'woven'
        ? whole(2, 5)
        : band === 'set-out'
          ? whole(10, 20)
          : pick([3, 3, 5, 5, 7, 10, 12]);
    const hasLarge = random() < 0.6;
    const most =
      band === 'table' ? whole(1, 3) : pick([count, count, count, Math.max(1, count - 2)]);
    return {
      id: `a${a}`,
      title: `activity ${a}`,
      band,
      minutes,
      setUpMinutes: band === 'woven' ? 0 : whole(1, 6),
      messy: band === 'set-out' && random() < 0.15,
      outdoors: band === 'set-out' && random() < 0.2,
      recent: random() < 0.25,
      preferred: random() < 0.3,
      moments: moments.flatMap((moment, m) =>
        moment.bands.includes(band) && moment.minutes >= minutes ? [m] : [],
      ),
      mostSafe: hasLarge ? most : 0,
      needsSmall: !hasLarge,
      mostAny: most,
      keptFrom: [],
      uses: random() < 0.1 ? [{ item: whole(0, 1), base: whole(0, 1), each: whole(1, 3) }] : [],
      gains: children.map((child) => {
        const wants = child.wanted.flatMap((want, w) => (strands.includes(want.strand) ? [w] : []));
        const isFor = wants.length > 0 && random() >= 0.15;
        return isFor ? { top: 5, wants: wants.slice(0, 3), liked: random() < 0.2 } : null;
      }),
      barred: children.map((child) =>
        band === 'table' && minutes > child.tableMinutes ? ('longer' as const) : null,
      ),
      notOn: [],
    };
  });
  return {
    days: Array.from({ length: howMany }, (_, d) => ({
      day: addDays(MONDAY, d),
      open: true,
      here: children.flatMap((__, c) => (here[c]?.[d] ? [c] : [])),
      moments: moments.map((__, m) => m),
    })),
    moments,
    children,
    activities,
    items: [
      { words: 'stickers', stock: whole(20, 80) },
      { words: 'sheets of paper', stock: whole(6, 30) },
    ],
    limits: { bands: { woven: 3, 'set-out': 2, table: tablesADay }, tableMinutes: 30 },
    fixed,
  };
}
