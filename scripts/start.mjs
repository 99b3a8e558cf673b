/** npm start: installs what is missing, builds what has changed, serves. */
import { build, install, main } from './lib/steps.mjs';

await main(async () => {
  install();
  build();
  await import('../server/dist/main.js');
});
