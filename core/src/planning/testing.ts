import type { Candidate } from '../evidence/index.js';
import { VALUE } from '../evidence/ready-skills.js';
import { type Band, STRANDS, addDays } from '../vocabulary/index.js';
import type { Card, ModelActivity, ModelChild, Option, Want, WeekModel } from './model.js';
import { goesWorth } from './child-week.js';
import { BAND, FAIR_PART, FRESH, GOES, RANGES, STRAND, USED_LATELY } from './settings.js';

const MONDAY = '2026-03-16';
/** A skill that a child of a spec is at. */
export const aWant = (why: Candidate['why'], more: Partial<Want> = {}): Want => ({
  skillId: 'touch-5',
  why,
  strand: 1,
  value: VALUE[why],
  goes: GOES[why],
  weeks: 0,
  must: 0,
  ...more,
});

/** A child as any other, for specs. */
export const aModelChild = (
  name: string,
  { wants = [aWant('started')], ...more }: Partial<ModelChild> = {},
): ModelChild => ({
  id: name.toLowerCase(),
  name,
  careful: false,
  tableMinutes: 10,
  earlier: false,
  restOn: null,
  tablesAWeek: 5,
  cardsADay: 3,
  minutesADay: 30,
  focusDays: 0,
  tableFits: true,
  fairShare:
    FAIR_PART * wants.reduce((sum, { value, goes }) => sum + value * goesWorth(goes, Infinity), 0),
  strands: STRANDS.map(() => STRAND.worth),
  wants,
  ...more,
});

/** One way to be in focus, for a want, in a range. */
export const anOption = (band: Band, want: number, top = 5, variety = 1): Option => ({
  top,
  range: RANGES.findIndex((one) => one >= top),
  hits: [{ want, part: BAND[band].effect * variety }],
});

/** An activity that every child could be in focus on for its first want. */
export const aModelActivity = (
  id: string,
  band: Band,
  children: readonly ModelChild[],
  more: Partial<ModelActivity> & { readonly weeksUnused?: number } = {},
): ModelActivity => {
  const { weeksUnused = 3, ...rest } = more;
  const variety = USED_LATELY[weeksUnused - 1] ?? 1;
  const { focus, tries } = BAND[band];
  return {
    id,
    title: id,
    band,
    setUpMinutes: band === 'anytime' ? 0 : 1,
    clearUpMinutes: band === 'anytime' ? 0 : 1,
    sameMaterials: null,
    wet: false,
    outdoors: false,
    minutes: Array.from({ length: focus }, (_, i) => Math.ceil(tries * (i + 1))),
    fresh: Math.min(FRESH.most, FRESH.week * Math.max(0, weeksUnused - FRESH.from)),
    variety,
    preferred: false,
    moments: [0],
    mostSafe: RANGES.map(() => focus),
    needsSmall: false,
    mostAny: RANGES.map(() => focus),
    missing: [],
    lacks: null,
    uses: [],
    options: children.map(({ wants }) => wants.map((_, w) => anOption(band, w, 5, variety))),
    liked: children.map(() => false),
    keptFrom: [],
    barred: children.map(() => null),
    notOn: [],
    leftOut: false,
    ...rest,
  };
};

/** A week of five open days with one long moment, everybody here. */
export const aModel = (
  children: readonly ModelChild[],
  activities: readonly ModelActivity[],
  more: Partial<WeekModel> = {},
): WeekModel => ({
  days: Array.from({ length: 5 }, (_, d) => ({
    day: addDays(MONDAY, d),
    open: true,
    here: children.map((__, c) => c),
    moments: [0],
    emptied: { anytime: 0, play: 0, table: 0 },
  })),
  moments: [
    {
      id: 'floor',
      name: 'Floor',
      time: '09:00',
      minutes: 120,
      bands: ['anytime', 'play', 'table'],
      shared: true,
      outdoors: false,
    },
  ],
  children,
  activities,
  items: [],
  limits: { cards: { anytime: 3, play: 3, table: 3 }, dayMinutes: 54, weekMinutes: 225 },
  fixed: [],
  ...more,
});

/** A card with children in focus, each in its first way or in one that is said. */
export const aCard = (
  activity: number,
  day: number,
  children: readonly (number | readonly [child: number, option: number])[],
): Card => ({
  activity,
  day,
  moment: 0,
  focus: children.map((one) =>
    typeof one === 'number' ? { child: one, option: 0 } : { child: one[0], option: one[1] },
  ),
});

/**
 * Every rule of a week, written once more and apart from the planning, so that the one checks the
 * other: what is broken, in words for the one who mends it.
 */
export function brokenRules(model: WeekModel, cards: readonly Card[]): string[] {
  const { activities, children, days, moments, items, limits } = model;
  const broken: string[] = [];
  const say = (text: string): void => void broken.push(text);
  const of = (card: Card): ModelActivity => activities[card.activity]!;
  const led = (card: Card): number => of(card).minutes[card.focus.length - 1] ?? Infinity;
  const whole = (card: Card): number => {
    const others = days[card.day]!.here.length > card.focus.length;
    const beside = of(card).band !== 'anytime' && others ? 4 : 0;
    return led(card) + of(card).setUpMinutes + of(card).clearUpMinutes + beside;
  };
  const sum = (list: readonly Card[], by: (card: Card) => number): number =>
    list.reduce((all, card) => all + by(card), 0);
  const wholeOf = (list: readonly Card[]): number => {
    const spared = list.map((card, i) => {
      const { sameMaterials, setUpMinutes } = of(card);
      const earlier = list
        .slice(0, i)
        .filter((one) => one.day === card.day && sameMaterials !== null)
        .filter((one) => of(one).sameMaterials === sameMaterials)
        .map((one) => of(one).setUpMinutes);
      return Math.min(setUpMinutes, Math.max(0, ...earlier));
    });
    return sum(list, whole) - spared.reduce((all, one) => all + one, 0);
  };
  const has = (card: Card, c: number): boolean => card.focus.some(({ child }) => child === c);

  days.forEach((day, d) => {
    const on = cards.filter((card) => card.day === d);
    if (!day.open && on.length > 0) say(`closed day ${d}`);
    for (const band of ['anytime', 'play', 'table'] as const) {
      const count = on.filter((card) => of(card).band === band).length;
      if (count > Math.max(0, limits.cards[band] - day.emptied[band]))
        say(`${count} ${band} on ${d}`);
    }
    if (wholeOf(on) > limits.dayMinutes + 1e-9) say(`adult ${wholeOf(on)} min on ${d}`);
    moments.forEach((moment, m) => {
      const there = on.filter((card) => card.moment === m);
      if (sum(there, led) > moment.minutes) say(`minutes of ${moment.id} on ${d}`);
      if (there.some((card) => !moment.bands.includes(of(card).band))) say(`band in ${moment.id}`);
      if (there.length > 0 && !day.moments.includes(m)) say(`${moment.id} is over on ${d}`);
    });
    children.forEach((child, c) => {
      const own = on.filter((card) => has(card, c));
      if (own.length > child.cardsADay) say(`${child.name} ${own.length} times on ${d}`);
      if (sum(own, led) > child.minutesADay) say(`${child.name} too long on ${d}`);
      if (own.filter((card) => of(card).band === 'table').length > 1)
        say(`two tables ${child.name}`);
      const first = own.flatMap((card) => {
        const { option } = card.focus.find((one) => one.child === c)!;
        return of(card).options[c]![option]?.hits[0]?.want ?? [];
      });
      if (new Set(first).size < first.length) say(`${child.name} twice for the same on ${d}`);
    });
  });
  const kinds = days.map((_, d) =>
    cards
      .filter((card) => card.day === d)
      .map((card) => card.activity)
      .sort((x, y) => x - y)
      .join(),
  );
  const full = kinds.filter((kind) => kind !== '');
  if (new Set(full).size < full.length) say('two days alike');
  if (wholeOf(cards) > limits.weekMinutes + 1e-9) say('adult minutes of the week');
  activities.forEach((activity, a) => {
    const on = cards.filter((card) => card.activity === a).map((card) => card.day);
    if (on.length > 2) say(`${activity.id} ${on.length} times`);
    if (new Set(on).size < on.length) say(`${activity.id} twice a day`);
    if (on.some((d) => on.includes(d + 1))) say(`${activity.id} two days running`);
    if (on.some((d) => activity.notOn.includes(d))) say(`${activity.id} not on that day`);
    if (on.length > 0 && activity.missing.length > 0)
      say(`${activity.id} without ${activity.missing.join()}`);
  });
  children.forEach((child, c) => {
    const tables = cards.filter((card) => of(card).band === 'table' && has(card, c));
    if (tables.length > child.tablesAWeek) say(`tables of ${child.name}`);
  });
  for (const card of cards) {
    const activity = of(card);
    const { here } = days[card.day]!;
    const near = moments[card.moment]!.shared ? here : card.focus.map(({ child }) => child);
    const isCareful = here.some((c) => children[c]!.careful);
    const isSafe = activity.mostSafe.some((most) => most > 0);
    if (!isSafe && near.some((c) => children[c]!.careful)) say(`small parts ${activity.id}`);
    if (near.some((c) => activity.keptFrom.includes(c))) say(`allergen in ${activity.id}`);
    if (card.focus.length === 0) say(`nobody in ${activity.id}`);
    if (card.focus.length > BAND[activity.band].focus) say(`too many in ${activity.id}`);
    const ranges = card.focus.map(
      ({ child, option }) => activity.options[child]![option]?.range ?? 0,
    );
    const most = (isCareful && isSafe ? activity.mostSafe : activity.mostAny)[Math.max(...ranges)]!;
    if (card.focus.length > most) say(`${card.focus.length} in ${activity.id}, enough for ${most}`);
    if (activity.band === 'play' && Math.max(...ranges) - Math.min(...ranges) > 2) {
      say(`ranges in ${activity.id}`);
    }
    const who = card.focus.map(({ child }) => child);
    if (new Set(who).size < who.length) say(`a child twice in ${activity.id}`);
    for (const { child, option } of card.focus) {
      if (!here.includes(child)) say(`away in ${activity.id}`);
      if (!activity.options[child]![option]) say(`nothing for ${child} in ${activity.id}`);
      if (activity.barred[child]) say(`${activity.id} is not for ${child}`);
      if (activity.band !== 'table') continue;
      if (children[child]!.restOn === days[card.day]!.day) say(`rest ${child}`);
      if (led(card) > children[child]!.tableMinutes) say(`${activity.id} too long for ${child}`);
    }
  }
  items.forEach((item, i) => {
    const used = sum(cards, (card) => {
      const use = of(card).uses.find((one) => one.item === i);
      return use ? use.base + use.each * card.focus.length : 0;
    });
    if (used > item.stock + 1e-9) say(`${used} of ${item.words}`);
  });
  return broken;
}
