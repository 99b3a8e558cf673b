import type { Pairing, Sharing } from '@gumo/core/vocabulary';
import { type Knock, type Opened, freePort, knock } from './knock.js';
import { type World, openWorld } from './world.js';

export const PASSWORD = 'seven snails on a kite';
export const JSON_TYPE = { 'content-type': 'application/json' };
export const FORM = { 'content-type': 'application/x-www-form-urlencoded' };
export const MINUTE = 60_000;

export const cookieOf = ({ headers }: Opened): string =>
  (headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';

/** A household with a password, its door to the network, and a clock that a check sets on. */
export class SharedHome {
  world!: World;
  clock = 0;

  async open(): Promise<void> {
    this.clock = Date.parse('2026-03-10T08:00:00Z');
    this.world = await openWorld(null, () => new Date(this.clock));
    await this.world.ask('PUT', '/access/password', { next: PASSWORD });
  }

  readonly share = async (more: object = {}): Promise<Sharing> => {
    const wish = { on: true, port: await freePort(), encryption: 'none', ...more };
    const answer = await this.world.ask('PUT', '/access/sharing', wish);
    expect(answer.status).withContext(JSON.stringify(answer.body)).toBe(200);
    return answer.body;
  };
  readonly net = (path: string, more: Omit<Knock, 'path'> = {}): Promise<Opened> =>
    knock(this.world.sharePort, { path, ...more });
  readonly post = (path: string, form: Record<string, string>, headers = {}): Promise<Opened> =>
    this.net(path, {
      method: 'POST',
      headers: { ...FORM, ...headers },
      body: String(new URLSearchParams(form)),
    });
  readonly signIn = async (): Promise<string> =>
    cookieOf(await this.post('/sign-in', { password: PASSWORD, device: 'Loft' }));
  readonly code = async (role: string, lockMinutes: number | null = null): Promise<Pairing> => {
    const answer = await this.world.ask('POST', '/access/pairings', { role, lockMinutes });
    // A machine in no network has no address to show.
    if (answer.status === 409) pending('this machine is in no network');
    return answer.body;
  };
  readonly pair = async (
    role: string,
    form: Record<string, string> = {},
    lock: number | null = null,
  ): Promise<Opened> => {
    const { code } = await this.code(role, lock);
    return this.post('/pair', { code, device: 'Tray', ...form });
  };
  readonly as = (cookie: string, path: string, method = 'GET', body?: object): Promise<Opened> =>
    this.net(`/api${path}`, {
      method,
      headers: { cookie, ...JSON_TYPE },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
}
