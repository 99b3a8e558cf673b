/**
 * Durable writes: observations a second through POST /api/observations with eight clients, beside a
 * bare insert with synchronous FULL in the same run.
 */
import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import express from 'express';
import { openDatabase } from '../server/dist/database/open.js';
import { startServer } from '../scripts/lib/steps.mjs';
import { median, table } from './lib.mjs';

const CLIENTS = 8;
const SECONDS = 1;
const ROUNDS = 5;
/** Tries that gather in a device's outbox while one request is on its way. */
const GATHERED = 10;
const SELF = fileURLToPath(import.meta.url);

const observation = (childId) => ({
  id: randomUUID(),
  childId,
  sessionId: null,
  activityId: 'handfuls',
  skillId: 'touch-5',
  itemId: 'n3',
  at: '2026-03-10T09:00:00.000Z',
  day: '2026-03-10',
  outcome: 'own',
  triedFirst: true,
  answered: 'spoken',
  reason: null,
  materials: [],
  notedBy: '',
  note: '',
  record: { kind: 'give', asked: 3, given: 3 },
});

/** The same row into the same table by better-sqlite3 alone, a commit each. */
function bare(path, childId) {
  const { db } = openDatabase(path);
  const insert = db.prepare(
    `INSERT INTO facts (id, kind, child_id, skill_id, day, body)
     VALUES (?, 'observation', ?, 'touch-5', '2026-03-10', ?)`,
  );
  const body = JSON.stringify(observation(childId));
  const until = performance.now() + SECONDS * 1000;
  let count = 0;
  for (; performance.now() < until; count++) insert.run(randomUUID(), childId, body);
  db.close();
  return count / SECONDS;
}

/** A route of Express that reads the same JSON and keeps nothing. */
async function bareRoute(childId) {
  const app = express();
  app.post('/api/observations', express.json(), (request, response) => {
    response.status(201).json({ added: request.body.observations.length });
  });
  const server = await new Promise((resolve) => {
    const started = app.listen(0, '127.0.0.1', () => resolve(started));
  });
  const rate = await clientsApart(`http://127.0.0.1:${server.address().port}`, childId, 1);
  server.close();
  server.closeAllConnections();
  return rate;
}

/** One client on a socket of its own: plain HTTP/1.1 by hand, so that asking costs little itself. */
function client(port) {
  const socket = connect(port, '127.0.0.1').setNoDelay(true);
  let answer = '';
  let done = null;
  socket.setEncoding('latin1').on('data', (text) => {
    answer += text;
    const end = answer.indexOf('\r\n\r\n');
    if (end < 0) return;
    const length = /content-length: (\d+)/i.exec(answer);
    if (answer.length < end + 4 + Number(length?.[1] ?? 0)) return;
    const status = Number(answer.slice(9, 12));
    answer = '';
    done(status);
  });
  return {
    post: (body) =>
      new Promise((resolve) => {
        done = resolve;
        socket.write(
          'POST /api/observations HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\n' +
            `content-length: ${Buffer.byteLength(body)}\r\n\r\n${body}`,
        );
      }),
    close: () => socket.destroy(),
  };
}

/** The clients run in a process of their own, so that they do not slow the server down. */
async function clients(url, childId, gathered) {
  const port = Number(new URL(url).port);
  const until = performance.now() + SECONDS * 1000;
  let count = 0;
  await Promise.all(
    Array.from({ length: CLIENTS }, async () => {
      const one = client(port);
      while (performance.now() < until) {
        const observations = Array.from({ length: gathered }, () => observation(childId));
        const status = await one.post(JSON.stringify({ observations }));
        if (status !== 201) throw new Error(`answered ${status}`);
        count += gathered;
      }
      one.close();
    }),
  );
  return count / SECONDS;
}

function clientsApart(url, childId, gathered) {
  return new Promise((resolve, reject) => {
    const child = fork(SELF, ['clients', url, childId, String(gathered)]);
    child.once('message', resolve).once('error', reject);
  });
}

export async function writes() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-bench-'));
  const { child, url } = await startServer({
    GUMO_DATA: join(folder, 'gumo.db'),
    PORT: '0',
    GUMO_TODAY: '2026-03-10',
    GUMO_REQUESTS_A_MINUTE: '100000000',
  });
  child.removeAllListeners('exit');
  try {
    return await measure(url, folder);
  } finally {
    child.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}

async function measure(url, folder) {
  const host = url.replace('localhost', '127.0.0.1');
  const [first] = await (await fetch(`${host}/api/children`)).json();
  await clientsApart(host, first.id, 1);
  const rounds = [];
  for (let round = 0; round < ROUNDS; round++) {
    rounds.push({
      bare: bare(join(folder, 'gumo.db'), first.id),
      single: await clientsApart(host, first.id, 1),
      gathered: await clientsApart(host, first.id, GATHERED),
      route: await bareRoute(first.id),
    });
  }
  const rate = (name) => median(rounds.map((one) => one[name])).toFixed(0);
  const ratio = (name) => median(rounds.map((one) => one[name] / one.bare)).toFixed(2);
  return [
    '## Durable writes',
    '',
    `Observations a second, synchronous FULL, ${CLIENTS} clients in a process of their own, median of ${ROUNDS} rounds of ${SECONDS} s; each ratio is to the bare insert of the same round. Goal: at least 0.5.`,
    '',
    table([
      ['', 'a second', 'ratio'],
      ['the same row into the same table, better-sqlite3 alone, a commit each', rate('bare'), '1'],
      ['through the API, one a request', rate('single'), ratio('single')],
      [
        `through the API, ${GATHERED} a request, as an outbox gathers them`,
        rate('gathered'),
        ratio('gathered'),
      ],
      [
        'for comparison: requests of a bare Express route that keeps nothing',
        rate('route'),
        ratio('route'),
      ],
    ]),
  ].join('\n');
}

if (process.argv[2] === 'clients') {
  process.send(await clients(process.argv[3], process.argv[4], Number(process.argv[5])));
  process.exit(0);
}
