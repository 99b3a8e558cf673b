/** Writes demo/spindle-cottage.json anew; the build of core must be up to date. */
import { writeFileSync } from 'node:fs';
import { generate } from '../demo/generate.mjs';

const file = generate();
const lines = Object.entries(file).map(([key, value]) =>
  Array.isArray(value) && value.length > 0
    ? `${JSON.stringify(key)}: [\n${value.map((one) => JSON.stringify(one)).join(',\n')}\n]`
    : `${JSON.stringify(key)}: ${JSON.stringify(value)}`,
);
writeFileSync(
  new URL('../demo/spindle-cottage.json', import.meta.url),
  `{\n${lines.join(',\n')}\n}\n`,
);
process.stdout.write(
  `${file.observations.length} observations, ${file.sessions.length} sessions\n`,
);
