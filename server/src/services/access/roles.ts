/**
 * What a helper may ask for: today, the tray and quick notes. Whatever is not named is the owner's, so that a
 * new address is closed until somebody opens it.
 */
const HELPER: readonly (readonly [method: string, path: RegExp])[] = [
  ['GET', /^\/(health|changes|counting|household|activities|children|materials|songs)$/],
  ['GET', /^\/children\/[^/]+\/(evidence|progress|pace)$/],
  ['GET', /^\/days\/[^/]+$/],
  ['POST', /^\/days\/[^/]+\/(marks|plan)$/],
  ['GET', /^\/days\/[^/]+\/(now|left|suggestions)$/],
  ['GET', /^\/days\/[^/]+\/tops\/[^/]+$/],
  ['POST', /^\/days\/[^/]+\/left\/[^/]+$/],
  ['POST', /^\/plan$/],
  ['GET', /^\/sessions\/[^/]+$/],
  ['PUT', /^\/sessions\/[^/]+$/],
  ['POST', /^\/sessions\/[^/]+\/(end|range)$/],
  ['POST', /^\/(observations|voidings|notes)$/],
  ['DELETE', /^\/notes\/[^/]+$/],
  ['GET', /^\/access$/],
  ['POST', /^\/access\/(here|lock|unlock|sign-out)$/],
];

/** @param path below /api, without its query */
export const helperMay = (method: string, path: string): boolean =>
  HELPER.some(([one, pattern]) => one === method && pattern.test(path));
