/** npm run dev: core and server watched and restarted, the web served with live reload. */
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, bin, compile, install, main } from './lib/steps.mjs';

const start = (command, args, options = {}) =>
  spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });

await main(() => {
  install();
  // After the first time what was compiled before serves until the watcher has something newer.
  if (!existsSync(join(ROOT, 'server/dist/main.js'))) compile();
  const running = [
    start(bin('tsc'), ['-b', '--watch', '--preserveWatchOutput', 'core', 'server']),
    start(
      process.execPath,
      [
        '--enable-source-maps',
        '--watch-path=core/dist',
        '--watch-path=server/dist',
        'server/dist/main.js',
      ],
      {
        env: { ...process.env, GUMO_API_ONLY: '1', GUMO_LOG: 'debug' },
      },
    ),
    start(bin('ng'), ['serve', '--port', '4200'], { cwd: join(ROOT, 'web') }),
  ];
  const stop = () => running.forEach((child) => child.kill('SIGTERM'));
  process.once('SIGINT', stop).once('SIGTERM', stop);
});
