/**
 * Eight devices over the network door, signed in, noting as fast as they are answered while a week of the
 * demo is planned and a copy is made; beside a bare Express route in the same run.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import { noting } from '../server/dist/testing/devices.js';
import { freePort, knock } from '../server/dist/testing/knock.js';
import { startServer } from '../scripts/lib/steps.mjs';
import { table } from './lib.mjs';

const DEVICES = 8;
/** Five a second for ten minutes. */
const TRIES = 3_000;
const PASSWORD = 'seven snails on a kite';

const share = (waits, part) => [...waits].sort((a, b) => a - b)[Math.floor(waits.length * part)];
const ms = (value) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;

async function bareRoute(children) {
  const app = express();
  app.use(express.json());
  app.post('/observations', (_request, response) => void response.status(201).json({ added: 1 }));
  const server = await new Promise((resolve) => {
    const one = app.listen(0, '127.0.0.1', () => resolve(one));
  });
  const base = `http://127.0.0.1:${server.address().port}`;
  const { waits } = await noting(
    base,
    children,
    TRIES,
    Array.from({ length: DEVICES }, () => ({})),
  );
  server.close();
  return waits;
}

export async function load() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-load-'));
  const { url, child } = await startServer({
    GUMO_DATA: join(folder, 'gumo.db'),
    PORT: '0',
    GUMO_TODAY: '2026-03-10',
    GUMO_REQUESTS_A_MINUTE: '100000',
  });
  try {
    const ask = async (method, path, body) => {
      const answer = await fetch(`${url}/api${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
      return answer.json();
    };
    const children = (await ask('GET', '/children')).map((one) => one.id);
    await ask('PUT', '/access/password', { next: PASSWORD });
    const port = await freePort();
    await ask('PUT', '/access/sharing', { on: true, port, encryption: 'none' });
    const headers = [];
    for (let n = 0; n < DEVICES; n++) {
      const answer = await knock(port, {
        method: 'POST',
        path: '/sign-in',
        headers: { 'content-type': 'application/x-www-form-urlencoded' },
        body: String(new URLSearchParams({ password: PASSWORD, device: `Tablet ${n}` })),
      });
      headers.push({ cookie: answer.headers['set-cookie'][0].split(';')[0] });
    }
    const base = `http://127.0.0.1:${port}/api`;
    const alone = (await noting(base, children, TRIES, headers)).waits;
    const planning = ask('POST', '/weeks/2026-03-16/plan', { seconds: 10 });
    const copy = ask('POST', '/records/backups', {});
    const { ids, waits } = await noting(base, children, TRIES, headers);
    await Promise.all([planning, copy]);
    const file = await ask('GET', '/records/household.json');
    const kept = new Set(file.observations.map((one) => one.id));
    const lost = ids.filter((id) => !kept.has(id)).length;
    const doubled = file.observations.length - kept.size;
    const bare = await bareRoute(children);
    const row = (name, some) => [
      name,
      ms(share(some, 0.5)),
      ms(share(some, 0.99)),
      ms(Math.max(...some)),
      (share(some, 0.99) / share(bare, 0.99)).toFixed(1),
    ];
    return [
      '## Eight devices',
      '',
      `${TRIES.toLocaleString('en')} tries (five a second for ten minutes), noted one a request by ${DEVICES} signed-in devices as fast as they are answered; one in twenty is sent twice. Lost: ${lost}, doubled: ${doubled}. Goal: none, and no answer over 250 ms at the 99th percentile. The ratio is that of the 99th percentiles, to a bare Express route in the same run.`,
      '',
      table([
        ['', 'half within', '99 of 100 within', 'all within', 'ratio'],
        row('a bare Express route that keeps nothing', bare),
        row('noting alone', alone),
        row('while a week is planned and a copy is made', waits),
      ]),
    ].join('\n');
  } finally {
    child.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}
