import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { aChild, aTry, ask } from './testing/world.js';

const SERVE = `
  import { serve } from ${JSON.stringify(new URL('./serve.js', import.meta.url).href)};
  const running = await serve({
    databasePath: process.env.GUMO_DATA, port: 0, demoPath: null, webFolder: null,
    today: () => '2026-03-10',
  });
  process.stdout.write('port ' + running.port + '\\n');
`;

describe('a server that is killed', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-kill-'));
  let server: ChildProcess;

  function start(): Promise<string> {
    server = spawn(process.execPath, ['--input-type=module', '-e', SERVE], {
      cwd: fileURLToPath(new URL('../', import.meta.url)),
      env: { ...process.env, GUMO_DATA: join(folder, 'gumo.db') },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    return new Promise((resolve, reject) => {
      server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
      server.stdout?.on('data', (text) => {
        const port = /port (\d+)/.exec(String(text))?.[1];
        if (port) resolve(`http://127.0.0.1:${port}/api`);
      });
    });
  }

  const kill = (): Promise<unknown> => {
    const gone = new Promise((resolve) => {
      server.removeAllListeners('exit');
      server.once('exit', resolve);
    });
    server.kill('SIGKILL');
    return gone;
  };

  afterAll(async () => {
    await kill();
    rmSync(folder, { recursive: true, force: true });
  });

  it('loses no answered observation and doubles none, killed twenty times between two tries', async () => {
    const child = aChild();
    const answered = new Set<string>();
    let url = await start();
    await ask(`${url}/children`, 'POST', child);
    for (let round = 0; round < 20; round++) {
      const one = aTry(child.id);
      const two = aTry(child.id, { itemId: 'n4' });
      const answer = await ask(`${url}/observations`, 'POST', { observations: [one] });
      expect(answer.status).toBe(201);
      answered.add(one.id);
      // The second one is on its way when the server dies; it may or may not have arrived.
      const onItsWay = ask(`${url}/observations`, 'POST', { observations: [two] }).catch(
        () => null,
      );
      await kill();
      await onItsWay;
      url = await start();
      await ask(`${url}/observations`, 'POST', { observations: [two] });
      answered.add(two.id);
    }
    const kept: string[] = [];
    let before = '';
    for (;;) {
      const { body } = await ask(`${url}/children/${child.id}/observations${before}`, 'GET');
      const page = body as { observations: { observation: { id: string } }[]; next: number | null };
      kept.push(...page.observations.map((row) => row.observation.id));
      if (page.next === null) break;
      before = `?before=${page.next}`;
    }
    expect(kept.length).toBe(40);
    expect(new Set(kept)).toEqual(answered);
  }, 120_000);
});
