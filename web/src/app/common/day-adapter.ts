import { Injectable, inject } from '@angular/core';
import {
  DateAdapter,
  MAT_DATE_FORMATS,
  MAT_DATE_LOCALE,
  type MatDateFormats,
} from '@angular/material/core';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatTimepickerModule } from '@angular/material/timepicker';
import { ClockTime, Day, addDays } from '@gumo/core/vocabulary';
import { addMonths } from 'date-fns/addMonths';
import { addYears } from 'date-fns/addYears';
import { getDaysInMonth } from 'date-fns/getDaysInMonth';
import { parse } from 'date-fns/parse';
import * as v from 'valibot';
import { Clock } from './clock';

/** Words are a teacher's in English, the week begins on a Monday. */
const LOCALE = 'en-GB';
/** How people write a day; it is shown in words as soon as the field is left. */
const TYPED = ['yyyy-MM-dd', 'd MMMM yyyy', 'd MMM yyyy', 'MMMM d, yyyy', 'd/M/yyyy', 'd.M.yyyy'];
/** What no day and no time is. */
const NEITHER = 'neither';

const isDay = (text: unknown): text is string => v.is(Day, text);
const isTime = (text: unknown): text is string => v.is(ClockTime, text);
const two = (n: number): string => String(n).padStart(2, '0');
const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
/** After midnight no time is left of a day. */
const timeOf = (minutes: number): string =>
  minutes < 24 * 60 ? `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}` : NEITHER;
/** A day as the browser knows it: at its midnight here. */
const dateOf = (day: string): Date =>
  new Date(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10)));
const dayOf = (date: Date | null): string =>
  date === null || Number.isNaN(date.getTime())
    ? NEITHER
    : `${String(date.getFullYear()).padStart(4, '0')}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

const shown = (date: Date, how: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(LOCALE, how).format(date);

/**
 * Lets Material's pickers work on days and times as they are written in records: a day is
 * `2026-11-24`, a time `08:30`. What is typed may also be a day in words, or `8.30`.
 */
@Injectable()
export class DayAdapter extends DateAdapter<string, string> {
  private readonly clock = inject(Clock);

  constructor() {
    super();
    this.setLocale(LOCALE);
  }

  override getYear = (day: string): number => Number(day.slice(0, 4));
  override getMonth = (day: string): number => Number(day.slice(5, 7)) - 1;
  override getDate = (day: string): number => Number(day.slice(8, 10));
  override getDayOfWeek = (day: string): number => dateOf(day).getDay();
  override getMonthNames = (style: 'long' | 'short' | 'narrow'): string[] =>
    Array.from({ length: 12 }, (_, i) => shown(new Date(2024, i, 1), { month: style }));
  override getDateNames = (): string[] => Array.from({ length: 31 }, (_, i) => String(i + 1));
  override getDayOfWeekNames = (style: 'long' | 'short' | 'narrow'): string[] =>
    // The first of September 2024 was a Sunday, with which the names begin.
    Array.from({ length: 7 }, (_, i) => shown(new Date(2024, 8, 1 + i), { weekday: style }));
  override getYearName = (day: string): string => day.slice(0, 4);
  override getFirstDayOfWeek = (): number => 1;
  override getNumDaysInMonth = (day: string): number => getDaysInMonth(dateOf(day));
  override clone = (day: string): string => day;
  override createDate = (year: number, month: number, date: number): string =>
    dayOf(new Date(year, month, date));
  override today = (): string => this.clock.today();
  override addCalendarYears = (day: string, years: number): string =>
    dayOf(addYears(dateOf(day), years));
  override addCalendarMonths = (day: string, months: number): string =>
    dayOf(addMonths(dateOf(day), months));
  override addCalendarDays = (day: string, days: number): string => addDays(day, days);
  override toIso8601 = (day: string): string => day;
  override isDateInstance = (value: unknown): boolean => typeof value === 'string' && value !== '';
  override isValid = (value: string): boolean => isDay(value) || isTime(value);
  override invalid = (): string => NEITHER;

  override parse(value: unknown): string | null {
    const typed = String(value ?? '').trim();
    if (typed === '') return null;
    const read = TYPED.map((how) => dayOf(parse(typed, how, dateOf(this.today()))));
    return read.find(isDay) ?? NEITHER;
  }

  override format(value: string, how: Intl.DateTimeFormatOptions | 'time'): string {
    return how === 'time' ? value : shown(dateOf(value), how);
  }

  override setTime = (_on: string, hours: number, minutes: number): string =>
    timeOf(hours * 60 + minutes);
  override getHours = (time: string): number => Math.floor(minutesOf(time) / 60);
  override getMinutes = (time: string): number => minutesOf(time) % 60;
  override getSeconds = (): number => 0;
  override addSeconds = (time: string, seconds: number): string =>
    timeOf(minutesOf(time) + Math.round(seconds / 60));

  override parseTime(value: unknown): string | null {
    const typed = String(value ?? '').trim();
    if (typed === '') return null;
    const [, hours, minutes = '0'] = /^(\d{1,2})(?:\s*[.:h]?\s*(\d{2}))?$/.exec(typed) ?? [];
    const time = `${two(Number(hours ?? NaN))}:${two(Number(minutes))}`;
    return isTime(time) ? time : NEITHER;
  }

  override deserialize(value: unknown): string | null {
    return value === '' ? null : super.deserialize(value);
  }
}

const FORMATS: MatDateFormats = {
  parse: { dateInput: null, timeInput: null },
  display: {
    dateInput: { day: 'numeric', month: 'long', year: 'numeric' },
    monthYearLabel: { month: 'short', year: 'numeric' },
    dateA11yLabel: { day: 'numeric', month: 'long', year: 'numeric' },
    monthYearA11yLabel: { month: 'long', year: 'numeric' },
    timeInput: 'time',
    timeOptionLabel: 'time',
  },
};

/** Pickers of days and times, and what they need to work on text. */
export const DAY_FIELDS = [MatDatepickerModule, MatTimepickerModule] as const;
export const DAYS_AS_TEXT = [
  { provide: MAT_DATE_LOCALE, useValue: LOCALE },
  { provide: DateAdapter, useClass: DayAdapter },
  { provide: MAT_DATE_FORMATS, useValue: FORMATS },
];
