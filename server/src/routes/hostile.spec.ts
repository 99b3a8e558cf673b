import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { type Running, serve } from '../serve.js';
import { knock } from '../testing/knock.js';
import { TODAY } from '../testing/world.js';

const SECRET = 'not for anybody';

describe('requests that mean harm', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-hostile-'));
  let server: Running;
  beforeAll(async () => {
    mkdirSync(join(folder, 'web'));
    writeFileSync(join(folder, 'web/index.html'), '<p>gumo</p>');
    writeFileSync(join(folder, 'secret.txt'), SECRET);
    server = await serve({
      databasePath: join(folder, 'gumo.db'),
      port: 0,
      demoPath: null,
      webFolder: join(folder, 'web'),
      today: () => TODAY,
      log: pino({ level: 'silent' }),
      patience: { headersTimeout: 200, requestTimeout: 400, connectionsCheckingInterval: 50 },
    });
  });
  afterAll(async () => {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  it('reach no file outside, however the way there is written', async () => {
    for (const path of [
      '/../secret.txt',
      '/..%2fsecret.txt',
      '/%2e%2e/secret.txt',
      '/..\\secret.txt',
      '/media/../../secret.txt',
      '//secret.txt',
      '/%00secret.txt',
      '/.git/config',
      '/gumo.db',
      '/../gumo-access.db',
      '/api/records/backups/..%2fsecret.txt/restore',
      '/api/records/backups/..%2f..%2fgumo.db',
      '/api/samples/..%2f..%2fsecret.txt/picture.jpg',
    ]) {
      for (const method of ['GET', 'POST', 'DELETE']) {
        const answer = await knock(server.port, {
          method,
          path,
          headers: { host: 'localhost', 'content-type': 'application/json' },
        });
        expect(answer.text)
          .withContext(`${method} ${path}`)
          .not.toMatch(/not for anybody|SQLite/);
        const isPage = answer.text === '<p>gumo</p>';
        expect(answer.status >= 400 || isPage)
          .withContext(`${method} ${path}`)
          .toBeTrue();
        expect(answer.status).withContext(`${method} ${path}`).toBeLessThan(500);
      }
    }
  });

  it('are cut off where they never end, and others are answered meanwhile', async () => {
    const beginnings = [
      'POST /api/observations HTTP/1.1\r\nHost: localhost\r\n',
      'POST /api/observations HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"a',
    ];
    const ends = beginnings.map(
      (beginning) =>
        new Promise<string>((resolve) => {
          let said = '';
          const socket = connect(server.port, '127.0.0.1', () => socket.write(beginning));
          socket
            .on('data', (piece) => (said += String(piece)))
            .on('error', () => undefined)
            .on('close', () => resolve(said));
        }),
    );
    const health = await knock(server.port, {
      path: '/api/health',
      headers: { host: 'localhost' },
    });
    expect(health.status).toBe(200);
    for (const said of await Promise.all(ends)) expect(said).toMatch(/^(HTTP\/1.1 4|$)/);
  });

  it('are refused where they are too large, before they are read', async () => {
    const body = `{"x":"${'x'.repeat(2_200_000)}"}`;
    const answer = await knock(server.port, {
      method: 'POST',
      path: '/api/notes',
      headers: { host: 'localhost', 'content-type': 'application/json' },
      body,
    }).catch((error: Error) => error.message);
    // The connection may be closed while the rest is still on its way.
    if (typeof answer === 'string') expect(answer).toMatch(/ECONNRESET|EPIPE/);
    else expect(answer.status).toBe(413);
  });
});
