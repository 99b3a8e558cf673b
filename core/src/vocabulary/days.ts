import type { ClockTime, Day } from './basics.js';

const MILLISECONDS_A_DAY = 86_400_000;

const numberByDay = new Map<Day, number>();
const dayByNumber = new Map<number, Day>();
const MOST_KNOWN = 8000;

/** Days since 1970-01-01; takes a valid day and ignores clock changes. */
export function dayNumber(day: Day): number {
  let number = numberByDay.get(day);
  if (number === undefined) {
    if (numberByDay.size >= MOST_KNOWN) numberByDay.clear();
    number = countDays(day);
    numberByDay.set(day, number);
  }
  return number;
}

function countDays(day: Day): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / MILLISECONDS_A_DAY);
}

/** The day that lies `days` later (earlier when negative). */
export function addDays(day: Day, days: number): Day {
  const number = dayNumber(day) + days;
  let later = dayByNumber.get(number);
  if (later === undefined) {
    if (dayByNumber.size >= MOST_KNOWN) dayByNumber.clear();
    later = new Date(number * MILLISECONDS_A_DAY).toISOString().slice(0, 10);
    dayByNumber.set(number, later);
  }
  return later;
}

/** Whole days from `from` to `to`; negative when `to` lies earlier. */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from);
}

/** Full months lived on `day`; zero before birth. */
export function monthsOn(birthDate: Day, day: Day): number {
  const [by, bm, bd] = birthDate.split('-').map(Number) as [number, number, number];
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  return Math.max(0, (y - by) * 12 + (m - bm) - (d < bd ? 1 : 0));
}

/** Full years and months lived on `day`; zero before birth. */
export function ageOn(birthDate: Day, day: Day): { years: number; months: number } {
  const months = monthsOn(birthDate, day);
  return { years: Math.floor(months / 12), months: months % 12 };
}

/** Minutes since midnight of a time such as 08:30. */
export function minutesOfDay(time: ClockTime): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
}

/** 1 = Monday to 7 = Sunday. */
export const weekdayNumber = (day: Day): number => ((dayNumber(day) + 3) % 7) + 1;

/** The Monday of the week in which a day lies. */
export const mondayOf = (day: Day): Day => addDays(day, 1 - weekdayNumber(day));

/** The Monday of the week to plan: this one, or the next once its last open day is over. */
export function weekToPlan(openDays: readonly number[], today: Day): Day {
  const isOver = weekdayNumber(today) > Math.max(0, ...openDays);
  return addDays(mondayOf(today), isOver ? 7 : 0);
}

/** January to December. */
export const MONTH_NAMES: readonly string[] =
  'January February March April May June July August September October November December'.split(
    ' ',
  );

/** "3 March". */
export function dayInWords(day: Day): string {
  const [, month = 1, date = 1] = day.split('-').map(Number);
  return `${date} ${MONTH_NAMES[month - 1]}`;
}
