import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { CannotStart, type Running, serve } from '../serve.js';
import { TODAY, aChild, aTry, ask } from '../testing/world.js';

/** What a browser sends for a page of this name; returns the status. */
function askAs(port: number, host: string, path = '/api/health'): Promise<number> {
  return new Promise((resolve, reject) => {
    const sent = request({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    sent.once('error', reject).end();
  });
}

describe('what is private', () => {
  let folder: string;
  let running: Running;
  let url: string;
  const lines: string[] = [];

  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'gumo-private-'));
    running = await serve({
      databasePath: join(folder, 'gumo.db'),
      port: 0,
      demoPath: null,
      webFolder: null,
      today: () => TODAY,
      log: pino({ level: 'trace', base: null }, { write: (line: string) => lines.push(line) }),
    });
    url = `http://127.0.0.1:${running.port}/api`;
  });
  afterAll(async () => {
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  it('never stands in the log: no name, no note, no id, whatever goes wrong', async () => {
    const child = aChild({ name: 'Saxifrage', interests: ['zeppelins'] });
    await ask(`${url}/children`, 'POST', child);
    const note = 'cried about the quincunx';
    await ask(`${url}/observations`, 'POST', { observations: [aTry(child.id, { note })] });
    await ask(`${url}/observations`, 'POST', { observations: [{ ...aTry(child.id), note: 7 }] });
    await ask(`${url}/children`, 'POST', '{"name": "Saxifrage"');
    await ask(`${url}/children/${child.id}/progress?name=Saxifrage`, 'GET');
    await ask(`${url}/children/Saxifrage/progress`, 'GET');
    await ask(`${url}/nowhere/Saxifrage`, 'GET');
    const log = lines.join('');
    expect(lines.length).toBeGreaterThanOrEqual(7);
    for (const word of ['Saxifrage', 'zeppelins', 'quincunx', child.id]) {
      expect(log).withContext(word).not.toContain(word);
    }
  });

  it('is not answered to a page of another name (against DNS rebinding)', async () => {
    for (const host of ['localhost', '127.0.0.1', '[::1]']) {
      expect(await askAs(running.port, `${host}:${running.port}`))
        .withContext(host)
        .toBe(200);
    }
    for (const host of [
      'elsewhere.example',
      `elsewhere.example:${running.port}`,
      'localhost.evil',
    ]) {
      expect(await askAs(running.port, host))
        .withContext(host)
        .toBe(403);
    }
  });

  it('is answered as data that may not run or be kept', async () => {
    const { headers } = await fetch(`${url}/children`);
    expect(headers.get('cache-control')).toBe('no-store');
    expect(headers.get('content-security-policy')).toContain("default-src 'none'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('access-control-allow-origin')).toBeNull();
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('tells other devices what changed, and not what was seen', async () => {
    const child = aChild({ name: 'Saxifrage' });
    await ask(`${url}/children`, 'POST', child);
    const stop = new AbortController();
    const stream = await fetch(`${url}/changes`, { signal: stop.signal });
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    const reader = stream.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
    const decoder = new TextDecoder();
    let heard = '';
    const posted = ask(`${url}/observations`, 'POST', {
      observations: [aTry(child.id, { note: 'quincunx' })],
    });
    while (!heard.includes(child.id)) {
      const { value, done } = await reader.read();
      if (done) break;
      heard += decoder.decode(value, { stream: true });
    }
    await posted;
    stop.abort();
    expect(heard).toContain(child.id);
    for (const word of ['Saxifrage', 'quincunx', 'touch-5', 'own']) {
      expect(heard).withContext(word).not.toContain(word);
    }
  });

  it('is kept on this machine: a taken port is said plainly, and another one offered', async () => {
    const other = createServer((_request, response) => response.end('{}'));
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const second = serve({
      databasePath: join(folder, 'elsewhere', 'second.db'),
      port: (other.address() as AddressInfo).port,
      demoPath: null,
      webFolder: null,
      today: () => TODAY,
      log: pino({ level: 'silent' }),
    });
    await expectAsync(second).toBeRejectedWithError(CannotStart, /taken by another program.*PORT=/);
    await new Promise((resolve) => other.close(resolve));
  });
});

describe('too many requests', () => {
  it('are answered with 429 and words', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-many-'));
    const running = await serve({
      databasePath: join(folder, 'gumo.db'),
      port: 0,
      demoPath: null,
      webFolder: null,
      today: () => TODAY,
      requestsAMinute: 3,
      log: pino({ level: 'silent' }),
    });
    const url = `http://127.0.0.1:${running.port}/api/health`;
    const statuses: number[] = [];
    for (let i = 0; i < 5; i++) statuses.push((await ask(url, 'GET')).status);
    expect(statuses).toEqual([200, 200, 200, 429, 429]);
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  });
});
