import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { UnusableDatabase } from './database/open.js';
import { CannotStart, serve } from './serve.js';

const ROOT = fileURLToPath(new URL('../../', import.meta.url));
const DEFAULT_PORT = 4310;

const hasFixedDay = (): boolean => /^\d{4}-\d{2}-\d{2}$/.test(process.env['GUMO_TODAY'] ?? '');

/** Today as the clock of this machine has it, or a fixed day from GUMO_TODAY. */
function today(): string {
  if (hasFixedDay()) return process.env['GUMO_TODAY'] ?? '';
  const now = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return DEFAULT_PORT;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new CannotStart(`PORT must be a whole number from 0 to 65535, not "${text}".`);
  }
  return port;
}

function say(line: string): void {
  process.stdout.write(`${line}\n`);
}

async function main(): Promise<void> {
  // What is kept here is read by nobody else on this machine.
  process.umask(0o077);
  const args = process.argv.slice(2);
  const demoReset = args.includes('--demo-reset');
  const unknown = args.find((arg) => arg !== '--empty' && arg !== '--demo-reset');
  if (unknown !== undefined) {
    throw new CannotStart(`Unknown option ${unknown}. There are --empty and --demo-reset.`);
  }
  const chosen = resolve(process.env['GUMO_DATA'] ?? join(ROOT, 'data/gumo.db'));
  const databasePath = demoReset ? join(dirname(chosen), 'demo.db') : chosen;
  const running = await serve({
    databasePath,
    anew: demoReset,
    port: portFrom(process.env['PORT']),
    demoPath: args.includes('--empty') ? null : join(ROOT, 'demo/spindle-cottage.json'),
    webFolder: process.env['GUMO_API_ONLY'] === '1' ? null : join(ROOT, 'web/dist/browser'),
    today,
    clock: hasFixedDay() ? null : () => new Date(),
    keepsBackups: true,
    requestsAMinute: Number(process.env['GUMO_REQUESTS_A_MINUTE'] ?? 6000),
  });
  say(`Gumo is ready: http://localhost:${running.port}`);
  say(`Records are kept in ${databasePath}. Stop with Ctrl-C.`);
  const stop = (): void => {
    void running.stop().then(() => process.exit(0));
  };
  process.once('SIGINT', stop).once('SIGTERM', stop);
}

main().catch((error: unknown) => {
  const expected = error instanceof UnusableDatabase || error instanceof CannotStart;
  process.stderr.write(`${expected ? error.message : ((error as Error).stack ?? String(error))}\n`);
  process.exit(1);
});
