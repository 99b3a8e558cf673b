/** Invented weeks to plan: seeded, of any size. */
import { seeded } from '../core/dist/numbers/index.js';

const STRANDS = 11;
const SKILLS_A_STRAND = 7;
const WANTED = 26;

/** Who is here: everybody every day, one of a few simple patterns, or as it comes. */
const PRESENCE = {
  all: () => () => true,
  simple: (random, child) => {
    const half = child % 3 === 0 ? [1, 1, 1, 0, 0] : [1, 1, 1, 1, 1];
    return (day) => half[day] === 1;
  },
  irregular: (random) => {
    const days = Array.from({ length: 5 }, () => random() < 0.75);
    if (!days.includes(true)) days[0] = true;
    return (day) => days[day];
  },
};

const MOMENTS = [
  ['arriving', 15, ['woven']],
  ['floor', 40, ['set-out', 'woven']],
  ['snack', 20, ['woven']],
  ['table', 30, ['table']],
  ['outdoors', 45, ['set-out', 'woven']],
  ['going-home', 15, ['woven']],
];

/**
 * A week as the planning sees it.
 * @param attendance 'all', 'simple' or 'irregular'
 */
export function inventedWeek({
  seed,
  children: count = 6,
  activities: many = 80,
  days: howMany = 5,
  attendance = 'all',
  tablesADay = 3,
  fixed = [],
}) {
  const random = seeded(seed);
  const whole = (from, to) => from + Math.floor(random() * (to - from + 1));
  const pick = (list) => list[whole(0, list.length - 1)];
  const moments = MOMENTS.map(([id, minutes, bands], i) => ({
    id,
    name: id,
    time: `${String(8 + i).padStart(2, '0')}:30`,
    minutes,
    bands,
    shared: id !== 'table',
    outdoors: id === 'outdoors',
  }));
  const children = Array.from({ length: count }, (_, c) => {
    const level = c / Math.max(1, count - 1);
    const skills = new Map();
    while (skills.size < Math.min(WANTED, STRANDS * SKILLS_A_STRAND)) {
      const strand = whole(0, STRANDS - 1);
      const place = Math.min(
        SKILLS_A_STRAND - 1,
        Math.max(0, Math.round(level * 5 + random() * 3 - 1)),
      );
      const id = `s${strand}-${place}`;
      if (!skills.has(id)) {
        const value =
          pick([1, 0.9, 0.7, 0.7, 0.8, 0.5]) * pick([1, 1, 1, 1.3]) * pick([1, 1, 1, 1.2, 0.6]);
        skills.set(id, { skillId: id, strand, value });
      }
      if (skills.size < 8) continue;
      if (random() < 0.05) break;
    }
    return {
      id: `c${c}`,
      name: `child ${c}`,
      careful: level < 0.25,
      tableMinutes: pick([3, 5, 7, 10]),
      earlier: random() < 0.2,
      restOn: null,
      tablesAWeek: 3,
      wanted: [...skills.values()].sort((a, b) => b.value - a.value),
    };
  });
  const days = Array.from({ length: howMany }, (_, d) => ({ d }));
  const here = children.map((_, c) => PRESENCE[attendance](random, c));
  const items = [
    { words: 'stickers', stock: whole(20, 80) },
    { words: 'sheets of paper', stock: whole(6, 30) },
  ];
  const activities = Array.from({ length: many }, (_, a) => {
    const band = a < many * 0.2 ? 'woven' : a < many * 0.6 ? 'set-out' : 'table';
    const families = Array.from({ length: whole(1, 3) }, () => whole(0, STRANDS - 1));
    const minutes =
      band === 'woven'
        ? whole(2, 5)
        : band === 'set-out'
          ? whole(10, 20)
          : pick([3, 3, 5, 5, 7, 10, 12]);
    const large = random() < 0.6;
    const most =
      band === 'table' ? whole(1, 3) : pick([count, count, count, Math.max(1, count - 2)]);
    const gains = children.map((child) => {
      const wants = child.wanted.flatMap((want, w) => (families.includes(want.strand) ? [w] : []));
      const skips = random() < 0.15;
      return skips || wants.length === 0
        ? null
        : { top: 5, wants: wants.slice(0, 3), liked: random() < 0.2 };
    });
    const uses =
      random() < 0.1 ? [{ item: whole(0, 1), base: whole(0, 1), each: whole(1, 3) }] : [];
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
      mostSafe: large ? most : 0,
      mostAny: most,
      uses,
      gains,
      barred: children.map((child) =>
        band === 'table' && minutes > child.tableMinutes ? 'longer' : null,
      ),
      notOn: [],
    };
  });
  return {
    days: days.map(({ d }) => ({
      day: `2026-03-${String(9 + d).padStart(2, '0')}`,
      open: true,
      here: children.flatMap((_, c) => (here[c](d) ? [c] : [])),
      moments: moments.map((_, m) => m),
    })),
    moments,
    children,
    activities,
    items,
    limits: { bands: { woven: 3, 'set-out': 2, table: tablesADay }, tableMinutes: 30 },
    fixed,
  };
}
