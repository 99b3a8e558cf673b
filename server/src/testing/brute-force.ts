import type { Card, WeekProblem } from '@gumo/core/planning';
import { brokenRules } from './week-checker.js';

const WEIGHTS = [1, 1.6, 1.9];

/**
 * What a week is worth, written once more from its description: the first, second and third day
 * with a skill count 1, 0.6 and 0.3; twice on a day counts once; 2 less for each strand short of four.
 */
export function worthOf(problem: WeekProblem, cards: readonly Card[]): number {
  const { activities, children, days } = problem;
  let worth = 0;
  children.forEach((child, c) => {
    const strands = new Set<number>();
    child.wanted.forEach((want, w) => {
      const on = new Set<number>();
      for (const card of cards) {
        const wants = activities[card.activity]!.gains[c]?.wants;
        if (card.takers.includes(c) && wants?.includes(w)) on.add(card.day);
      }
      if (on.size === 0) return;
      strands.add(want.strand);
      worth += want.value * WEIGHTS[Math.min(3, on.size) - 1]!;
    });
    worth -= 2 * Math.max(0, 4 - strands.size);
  });
  for (const card of cards) {
    const { preferred, recent, setUpMinutes, gains } = activities[card.activity]!;
    worth += (preferred ? 0.1 : 0) - (recent ? 0.15 : 0) - 0.01 * setUpMinutes;
    worth += 0.2 * card.takers.filter((c) => gains[c]?.liked).length;
  }
  const messy = days.map((_, d) =>
    cards.some((card) => card.day === d && activities[card.activity]!.messy),
  );
  messy.forEach((is, d) => {
    if (is && messy[d + 1]) worth -= 0.1;
  });
  return worth;
}

/** All ways to give one activity in a week of three days: on which days, and with whom. */
function waysOf(problem: WeekProblem, a: number): Card[][] {
  const activity = problem.activities[a]!;
  const able = problem.children.flatMap((_, c) =>
    activity.gains[c] && !activity.barred[c] ? [c] : [],
  );
  const groups = (d: number): number[][] => {
    const { here } = problem.days[d]!;
    const near = here.some((c) => problem.children[c]!.careful);
    const most = near && activity.mostSafe > 0 ? activity.mostSafe : activity.mostAny;
    const few = able.filter(
      (c) => here.includes(c) && !(activity.mostSafe === 0 && problem.children[c]!.careful),
    );
    const all = [few, ...few.map((c) => [c])].filter(
      (group, i) => group.length > 0 && group.length <= most && (i === 0 || few.length > 1),
    );
    // Nobody is worse off in a larger group, where no table is taken and nothing used up.
    const isFree = activity.band !== 'table' && activity.uses.length === 0;
    return isFree && few.length <= most ? all.slice(0, 1) : all;
  };
  const on = (days: readonly number[]): Card[][] =>
    days.reduce<Card[][]>(
      (ways, d) =>
        ways.flatMap((way) =>
          groups(d).map((takers) => [...way, { activity: a, day: d, moment: -1, takers }]),
        ),
      [[]],
    );
  return [[], [0], [1], [2], [0, 2]].flatMap(on);
}

/** True where each card of a day can be given a moment, by trying all; fills the moments in. */
function givenMoments(problem: WeekProblem, cards: readonly Card[]): Card[] | null {
  const left = problem.days.map(() => problem.moments.map((moment) => moment.minutes));
  const placed: Card[] = [];
  const place = (i: number): boolean => {
    const card = cards[i];
    if (!card) return true;
    const { minutes, moments, mostSafe } = problem.activities[card.activity]!;
    const day = problem.days[card.day]!;
    for (const m of moments) {
      const room = left[card.day]!;
      const near = problem.moments[m]!.shared ? day.here : card.takers;
      const isSmall = mostSafe === 0 && near.some((c) => problem.children[c]!.careful);
      if (isSmall || room[m]! < minutes) continue;
      room[m]! -= minutes;
      placed[i] = { ...card, moment: m };
      if (place(i + 1)) return true;
      room[m]! += minutes;
    }
    return false;
  };
  return place(0) ? [...placed] : null;
}

/** The best of all plans, by looking at every one. For two children, few activities, three days. */
export function bestOfAll(problem: WeekProblem): { worth: number; looked: number } {
  const ways = problem.activities.map((_, a) => waysOf(problem, a));
  const { children, activities, days, limits } = problem;
  const perDay = days.length;
  const met = children.map((child) => new Int8Array(child.wanted.length * perDay));
  const atTable = children.map(() => new Int8Array(perDay));
  const bands = days.map(() => ({ woven: 0, 'set-out': 0, table: 0 }));
  const chosen: Card[] = [];
  let best = worthOf(problem, []);
  let looked = 0;

  /** True where day and week have no room for it; counted in either way, to be taken back. */
  function put({ activity: a, day, takers }: Card, by: 1 | -1): boolean {
    const activity = activities[a]!;
    bands[day]![activity.band] += by;
    let isTooMuch = bands[day]![activity.band] > limits.bands[activity.band];
    for (const c of takers) {
      for (const w of activity.gains[c]!.wants) met[c]![w * perDay + day]! += by;
      if (activity.band === 'table' && (atTable[c]![day]! += by) > 1) isTooMuch = true;
    }
    return isTooMuch;
  }

  /** Skills and strands alone: what cards cost and bring besides is at most a little more. */
  function skillsWorth(): number {
    let worth = 0;
    children.forEach((child, c) => {
      let strands = 0;
      child.wanted.forEach((want, w) => {
        let on = 0;
        for (let d = 0; d < perDay; d++) if (met[c]![w * perDay + d]! > 0) on++;
        if (on === 0) return;
        strands |= 1 << want.strand;
        worth += want.value * WEIGHTS[Math.min(3, on) - 1]!;
      });
      let count = 0;
      for (let rest = strands; rest > 0; rest &= rest - 1) count++;
      worth -= 2 * Math.max(0, 4 - count);
    });
    return worth;
  }

  const look = (a: number): void => {
    const these = ways[a];
    if (!these) {
      looked++;
      const extras = chosen.reduce((sum, card) => sum + 0.1 + 0.2 * card.takers.length, 0);
      if (skillsWorth() + extras <= best) return;
      const worth = worthOf(problem, chosen);
      if (worth <= best + 1e-9) return;
      const placed = givenMoments(problem, chosen);
      if (placed && brokenRules(problem, placed).length === 0) best = worth;
      return;
    }
    for (const way of these) {
      const tooMuch = way.map((card) => put(card, 1)).includes(true);
      chosen.push(...way);
      if (!tooMuch) look(a + 1);
      chosen.length -= way.length;
      for (const card of way) put(card, -1);
    }
  };
  look(0);
  return { worth: best, looked };
}
