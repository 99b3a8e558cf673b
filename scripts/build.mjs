/** npm run build: installs what is missing, builds what has changed. */
import { build, install, main } from './lib/steps.mjs';

await main(() => {
  install();
  build();
});
