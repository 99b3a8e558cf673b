import { joinWords } from '../numbers/index.js';
import { type Band, dayInWords } from '../vocabulary/index.js';
import {
  type Card,
  type ModelActivity,
  type WeekModel,
  minutesOf,
  minutesOfCards,
} from './model.js';
import { BAND, MOST_A_WEEK, RANGES_APART } from './settings.js';
import { besideDay, termsOn } from './terms.js';

/** A rule that a card does not keep. */
export interface Violation {
  /** A caution is never passed over; a limit may be, by hand. */
  readonly level: 'caution' | 'limit';
  readonly sentence: string;
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** "Monday"; the date as well where asked for. */
export function weekdayOf(day: string, withDate = false): string {
  const name = WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()] ?? day;
  return withDate ? `${name} ${dayInWords(day)}` : name;
}

/** What an activity of a band is called in a sentence. */
const ACTIVITIES: Readonly<Record<Band, string>> = {
  anytime: 'anytime activities',
  play: 'play activities',
  table: 'table times',
};

const namesOf = (children: WeekModel['children'], some: readonly number[]): string =>
  joinWords(some.map((c) => children[c]?.name ?? 'a child'));

const isIn = ({ focus }: Card, c: number): boolean => focus.some(({ child }) => child === c);

/**
 * The rules that a card breaks beside other cards of the week, cautions first.
 * @param others all other cards, fixed and not
 */
export function violationsOf(model: WeekModel, card: Card, others: readonly Card[]): Violation[] {
  return [
    ...cautionsOf(model, card).map((sentence): Violation => ({ level: 'caution', sentence })),
    ...limitsOf(model, card, others).map((sentence): Violation => ({ level: 'limit', sentence })),
  ];
}

function cautionsOf(model: WeekModel, card: Card): string[] {
  const { activities, children, days } = model;
  const activity = activities[card.activity];
  const day = days[card.day];
  if (!activity || !day) return [];
  const found: string[] = [];
  const on = weekdayOf(day.day);
  if (!day.open) found.push(`${on} is closed or over.`);
  const gone = card.focus.flatMap(({ child }) => (day.here.includes(child) ? [] : [child]));
  if (gone.length > 0 && day.open) {
    found.push(`${namesOf(children, gone)} ${gone.length > 1 ? 'are' : 'is'} away on ${on}.`);
  }
  if (card.focus.length === 0) found.push(`Nobody is left for ${activity.title} on ${on}.`);
  return [...found, ...dangersOf(model, card)];
}

/** What could hurt a child in a card: small parts, and what holds an allergen. No hand may pass over these. */
export function dangersOf(model: WeekModel, card: Card): string[] {
  const { activities, children, days, moments } = model;
  const activity = activities[card.activity];
  const day = days[card.day];
  if (!activity || !day) return [];
  const found: string[] = [];
  const careful = day.here.filter((c) => children[c]?.careful);
  const smallParts = activity.needsSmall && careful.length > 0;
  const mouths = card.focus.flatMap(({ child }) => (children[child]?.careful ? [child] : []));
  if (smallParts && mouths.length > 0) {
    found.push(
      `${activity.title} needs small parts, and the house has nothing larger for it: not with ${namesOf(children, mouths)}.`,
    );
  } else if (smallParts && moments[card.moment]?.shared) {
    found.push(
      `${activity.title} needs small parts, and ${namesOf(children, careful)} ${careful.length > 1 ? 'are' : 'is'} in the room at ${moments[card.moment]?.name ?? 'that moment'}.`,
    );
  }
  const shared = moments[card.moment]?.shared ?? true;
  const allergic = activity.keptFrom.filter((c) => (shared ? day.here.includes(c) : isIn(card, c)));
  if (allergic.length > 0) {
    const has = allergic.length > 1 ? 'have' : 'has';
    found.push(
      `Nothing here that can be used for ${activity.title} is free of what ${namesOf(children, allergic)} ${has} an allergy to.`,
    );
  }
  return found;
}

/** What a card would make too much of, in sentences. */
function limitsOf(model: WeekModel, card: Card, others: readonly Card[]): string[] {
  const { activities, days, items } = model;
  const activity = activities[card.activity];
  const day = days[card.day];
  if (!activity || !day) return [];
  const on = weekdayOf(day.day);
  const same = others.filter((other) => other.activity === card.activity);
  const near = same.find((other) => besideDay(model, card.day).includes(other.day));
  return [
    ...ofDay(model, card, others, on),
    ...(same.length + 1 > MOST_A_WEEK
      ? [`${activity.title} then comes ${same.length + 1} times this week.`]
      : []),
    ...(same.some((other) => other.day === card.day)
      ? [`${activity.title} is on ${on} already.`]
      : []),
    ...(near
      ? [
          `${activity.title} then comes on ${weekdayOf(days[near.day]?.day ?? '')} and ${on}, two days running.`,
        ]
      : []),
    ...ofGroup(model, card),
    ...card.focus.flatMap(({ child }) => ofChild(model, card, others, child, on)),
    ...activity.uses.flatMap(({ item }) => {
      const stock = items[item]?.stock ?? 0;
      const used = [...others, card].reduce((sum, other) => {
        const one = activities[other.activity]?.uses.find((each) => each.item === item);
        return sum + (one ? one.base + one.each * other.focus.length : 0);
      }, 0);
      return used > stock
        ? [`The week then uses ${used} ${items[item]?.words}; there are ${stock}.`]
        : [];
    }),
  ];
}

function ofDay(model: WeekModel, card: Card, others: readonly Card[], on: string): string[] {
  const { activities, days, moments, limits } = model;
  const activity = activities[card.activity] as ModelActivity;
  const { band } = activity;
  const sameDay = [...others.filter((other) => other.day === card.day), card];
  const found: string[] = [];
  const inBand = sameDay.filter((other) => activities[other.activity]?.band === band).length;
  const most = limits.cards[band] - (days[card.day]?.emptied[band] ?? 0);
  if (inBand > most)
    found.push(`${on} then has ${inBand} ${ACTIVITIES[band]}; ${most} is the most.`);
  const adult = minutesOfCards(model, sameDay);
  if (adult > limits.dayMinutes) {
    found.push(
      `${on} then takes ${Math.round(adult)} of your minutes; ${Math.round(limits.dayMinutes)} is the most.`,
    );
  }
  const moment = moments[card.moment];
  if (!moment) return found;
  if (!moment.bands.includes(band)) found.push(`${moment.name} is not for ${ACTIVITIES[band]}.`);
  const led = sameDay
    .filter((other) => other.moment === card.moment)
    .reduce((sum, one) => sum + ledMinutes(model, one), 0);
  if (led > moment.minutes) {
    found.push(`${moment.name} has ${moment.minutes} minutes, and then holds ${led}.`);
  }
  return found;
}

/** Minutes of a card, also where it has more children than its longest time takes. */
const ledMinutes = (model: WeekModel, { activity, focus }: Card): number => {
  const one = model.activities[activity] as ModelActivity;
  return minutesOf(one, focus.length);
};

function ofGroup(model: WeekModel, card: Card): string[] {
  const activity = model.activities[card.activity] as ModelActivity;
  if (activity.missing.length > 0) {
    return [`The house has no ${joinWords(activity.missing)} for ${activity.title}.`];
  }
  const found: string[] = [];
  const ranges = card.focus.flatMap(
    ({ child, option }) => activity.options[child]?.[option]?.range ?? [],
  );
  const size = card.focus.length;
  const enough = termsOn(model, card.activity, card.day).most[Math.max(0, ...ranges)] ?? 0;
  if (size > enough) {
    found.push(
      enough === 0
        ? `The house does not have what ${activity.title} needs.`
        : `There is enough for ${enough} at a time in ${activity.title}, not for ${size}.`,
    );
  }
  const watched = Math.min(BAND[activity.band].focus, activity.minutes.length);
  if (size > watched && enough >= size) {
    found.push(`${activity.title} has time to watch ${watched} closely, not ${size}.`);
  }
  if (activity.band === 'play' && Math.max(...ranges) - Math.min(...ranges) > RANGES_APART) {
    found.push(`The ranges in ${activity.title} are then far apart.`);
  }
  return found;
}

function ofChild(
  model: WeekModel,
  card: Card,
  others: readonly Card[],
  c: number,
  on: string,
): string[] {
  const child = model.children[c];
  const activity = model.activities[card.activity] as ModelActivity;
  if (!child) return [];
  const found: string[] = [];
  const { title, band } = activity;
  if (activity.barred[c] === 'age') found.push(`${child.name} is young for ${title}.`);
  const own = others.filter((other) => isIn(other, c));
  const today = own.filter((other) => other.day === card.day);
  if (today.length + 1 > child.cardsADay) {
    found.push(`${child.name} is then in focus ${today.length + 1} times on ${on}.`);
  }
  const minutes = [...today, card].reduce((sum, one) => sum + ledMinutes(model, one), 0);
  if (minutes > child.minutesADay) {
    found.push(
      `${child.name} is then in focus for ${minutes} minutes on ${on}; ${child.minutesADay} is the most.`,
    );
  }
  if (band !== 'table') return found;
  const tables = own.filter((other) => model.activities[other.activity]?.band === 'table');
  if (tables.some((other) => other.day === card.day)) {
    found.push(`${child.name} is at the table on ${on} already.`);
  }
  if (tables.length + 1 > child.tablesAWeek) {
    found.push(`${child.name} is then at the table ${tables.length + 1} times this week.`);
  }
  if (child.restOn === model.days[card.day]?.day) {
    found.push(`${child.name} has a day without table time on ${on}.`);
  }
  if (ledMinutes(model, card) > child.tableMinutes) {
    found.push(`${title} is longer than the ${child.tableMinutes} minutes of ${child.name}.`);
  }
  return found;
}
