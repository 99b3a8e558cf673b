import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, watch } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** A server in a process of its own, on a database that stays when it is killed. */
export class KilledServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'gumo-kill-'));
  readonly databasePath = join(this.folder, 'gumo.db');
  private server: ChildProcess | null = null;

  /** @param demoPath a household file that it begins with; empty where nothing is named */
  constructor(private readonly demoPath: string | null = null) {}

  /** Starts it, and says where its API is. */
  start(): Promise<string> {
    const code = `
      import { serve } from ${JSON.stringify(new URL('../serve.js', import.meta.url).href)};
      const running = await serve({
        databasePath: process.env.GUMO_DATA, port: 0, webFolder: null,
        demoPath: ${JSON.stringify(this.demoPath)}, today: () => '2026-03-10',
      });
      process.stdout.write('port ' + running.port + '\\n');
    `;
    const server = spawn(process.execPath, ['--input-type=module', '-e', code], {
      cwd: fileURLToPath(new URL('../../', import.meta.url)),
      env: { ...process.env, GUMO_DATA: this.databasePath },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.server = server;
    return new Promise((resolve, reject) => {
      server.once('exit', (exit) => reject(new Error(`the server ended with ${exit}`)));
      server.stdout.on('data', (text) => {
        const port = /port (\d+)/.exec(String(text))?.[1];
        if (port) resolve(`http://127.0.0.1:${port}/api`);
      });
    });
  }

  /** When so many changes were made to the files of the household, among them its copies. */
  changes(many: number): Promise<void> {
    return new Promise((resolve) => {
      let left = many;
      const watcher = watch(this.folder, { recursive: true }, () => {
        if (--left > 0) return;
        watcher.close();
        resolve();
      });
      watcher.unref();
    });
  }

  /** Ends it without a word, as a power cut would. */
  async kill(): Promise<void> {
    const { server } = this;
    if (!server) return;
    const gone = new Promise((resolve) => {
      server.removeAllListeners('exit');
      server.once('exit', resolve);
    });
    server.kill('SIGKILL');
    await gone;
    this.server = null;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
