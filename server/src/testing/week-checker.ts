import type { Card, WeekProblem } from '@gumo/core/planning';

/**
 * Every rule of a week, written once more and apart from the planning, so that the one checks the
 * other. Says what is broken; `cautions` alone leaves out limits, which a hand may pass.
 */
export function brokenRules(problem: WeekProblem, cards: readonly Card[]): string[] {
  const { activities, children, days, moments, items, limits } = problem;
  const broken: string[] = [...brokenCautions(problem, cards)];
  const say = (text: string): void => void broken.push(text);
  const bandOf = (card: Card): string => activities[card.activity]!.band;
  const minutes = (list: readonly Card[]): number =>
    list.reduce((sum, card) => sum + activities[card.activity]!.minutes, 0);

  days.forEach((day, d) => {
    const here = cards.filter((card) => card.day === d);
    for (const band of ['woven', 'set-out', 'table'] as const) {
      const most = limits.bands[band] - (day.emptied?.[band] ?? 0);
      const count = here.filter((card) => bandOf(card) === band).length;
      if (count > Math.max(0, most)) say(`${band} ${count} on ${d}`);
    }
    const tables = here.filter((card) => bandOf(card) === 'table');
    if (minutes(tables) > limits.tableMinutes) say(`table minutes on ${d}`);
    moments.forEach((moment, m) => {
      const there = here.filter((card) => card.moment === m);
      if (minutes(there) > moment.minutes) say(`minutes of ${moment.id} on ${d}`);
      if (there.some((card) => !moment.bands.includes(activities[card.activity]!.band))) {
        say(`band in ${moment.id} on ${d}`);
      }
    });
    children.forEach((_, c) => {
      if (tables.filter((card) => card.takers.includes(c)).length > 1)
        say(`two tables ${c} on ${d}`);
    });
  });
  activities.forEach((activity, a) => {
    const on = cards.filter((card) => card.activity === a).map((card) => card.day);
    if (on.length > 2) say(`${activity.id} ${on.length} times`);
    if (new Set(on).size < on.length) say(`${activity.id} twice a day`);
    if (on.some((d) => on.includes(d + 1))) say(`${activity.id} two days running`);
  });
  children.forEach((child, c) => {
    const tables = cards.filter((card) => bandOf(card) === 'table' && card.takers.includes(c));
    if (tables.length > child.tablesAWeek) say(`tables of ${c}`);
  });
  for (const card of cards) {
    const activity = activities[card.activity]!;
    const isCareful = days[card.day]!.here.some((c) => children[c]!.careful);
    const most = isCareful && activity.mostSafe > 0 ? activity.mostSafe : activity.mostAny;
    if (card.takers.length > most) say(`${card.takers.length} in ${activity.id}`);
    if (new Set(card.takers).size < card.takers.length) say(`a child twice in ${activity.id}`);
    for (const c of card.takers) {
      if (!activity.gains[c]) say(`nothing for ${c} in ${activity.id}`);
      if (activity.barred[c]) say(`${activity.id} is not for ${c}`);
      if (activity.band === 'table' && children[c]!.restOn === days[card.day]!.day)
        say(`rest ${c}`);
    }
  }
  items.forEach((item, i) => {
    const used = cards.reduce((sum, card) => {
      const use = activities[card.activity]!.uses.find((one) => one.item === i);
      return sum + (use ? use.base + use.each * card.takers.length : 0);
    }, 0);
    if (used > item.stock) say(`${used} of ${item.words}`);
  });
  return broken;
}

/** What is never passed: closed days, children who are away, small parts near those who mouth. */
export function brokenCautions(problem: WeekProblem, cards: readonly Card[]): string[] {
  const { activities, children, days, moments } = problem;
  return cards.flatMap((card) => {
    const activity = activities[card.activity]!;
    const day = days[card.day]!;
    const found: string[] = [];
    if (!day.open) found.push(`closed day ${card.day}`);
    if (card.takers.length === 0) found.push(`nobody in ${activity.id}`);
    if (card.takers.some((c) => !day.here.includes(c))) found.push(`away in ${activity.id}`);
    const onlySmall = activity.mostSafe === 0;
    const near = moments[card.moment]!.shared ? day.here : card.takers;
    if (onlySmall && near.some((c) => children[c]!.careful))
      found.push(`small parts ${activity.id}`);
    return found;
  });
}
