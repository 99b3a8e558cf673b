/** Invented records for benchmarks, as the checks of the server have them. */
import * as years from '../server/dist/testing/ten-years.js';

/** `count` observations of one child over `days` days, the same each time. */
export const observations = (...wishes) => [...years.observations(...wishes)];
export const { fillTenYears } = years;
