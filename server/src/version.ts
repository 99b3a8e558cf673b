import { readFileSync } from 'node:fs';

/** The one version of Gumo, as its package names it. */
export const VERSION = (
  JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8')) as {
    version: string;
  }
).version;
