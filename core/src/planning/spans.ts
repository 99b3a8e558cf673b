import { type Day, ageOn, daysBetween } from '../vocabulary/index.js';

/** Days of a week. */
export const DAYS = 7;

/** A child's age in years and parts of one. */
export const ageInYears = (birthDate: Day, day: Day): number => {
  const { years, months } = ageOn(birthDate, day);
  return years + months / 12;
};

/** Whole weeks from one day to another. */
export const weeksBetween = (from: Day, to: Day): number =>
  Math.floor(daysBetween(from, to) / DAYS);
