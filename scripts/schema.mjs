/** npm run schema: writes docs/format/household.schema.json from the schemas of the core. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, build, install, main } from './lib/steps.mjs';

await main(async () => {
  install();
  build();
  const { householdSchema } = await import('../server/dist/testing/household-schema.js');
  const folder = join(ROOT, 'docs/format');
  mkdirSync(folder, { recursive: true });
  writeFileSync(
    join(folder, 'household.schema.json'),
    `${JSON.stringify(householdSchema(), null, 2)}\n`,
  );
});
