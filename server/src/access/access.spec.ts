import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import jsQrModule from 'jsqr';
import type { Pairing, Sharing, Whoever } from '@gumo/core/vocabulary';
import { addressesOf } from '../app.js';
import { bareContext } from '../testing/bare.js';
import { type Knock, type Opened, freePort, knock } from '../testing/knock.js';
import { TODAY, type World, aChild, openWorld } from '../testing/world.js';
import { openAccess } from './access.js';
import { ownCertificate } from './certificate.js';
import { helperMay } from './roles.js';

// Its types say default export, what is loaded has it one step deeper.
const jsQr = jsQrModule as unknown as typeof jsQrModule.default;

const PASSWORD = 'seven snails on a kite';
const FORM = { 'content-type': 'application/x-www-form-urlencoded' };
const JSON_TYPE = { 'content-type': 'application/json' };
const MINUTE = 60_000;

/** What stands in a QR code, drawn large with its quiet edge. */
function readQr({ side, path }: Pairing['qr']): string | undefined {
  const [scale, edge] = [6, 4];
  const wide = (side + 2 * edge) * scale;
  const pixels = new Uint8ClampedArray(wide * wide * 4).fill(255);
  for (const [, x, y] of path.matchAll(/M(\d+) (\d+)h1v1h-1z/g)) {
    for (let i = 0; i < scale * scale; i++) {
      const px = (Number(x) + edge) * scale + (i % scale);
      const py = (Number(y) + edge) * scale + Math.floor(i / scale);
      pixels.fill(0, (py * wide + px) * 4, (py * wide + px) * 4 + 3);
    }
  }
  return jsQr(pixels, wide, wide)?.data;
}

/** Every address that there is. */
const everyAddress = (): string[] => addressesOf(bareContext(':memory:').context);

/** What a helper may ask: written out once more by hand, so that opening an address takes two. */
const HELPERS = [
  'GET /access',
  'GET /activities',
  'GET /changes',
  'GET /children',
  'GET /children/:id/evidence',
  'GET /children/:id/pace',
  'GET /children/:id/progress',
  'GET /counting',
  'GET /days/:day',
  'GET /days/:day/left',
  'GET /days/:day/now',
  'GET /days/:day/suggestions',
  'GET /days/:day/tops/:activity',
  'GET /health',
  'GET /household',
  'GET /sittings/:id',
  'GET /songs',
  'GET /things',
  'DELETE /notes/:id',
  'POST /access/here',
  'POST /access/lock',
  'POST /access/sign-out',
  'POST /access/unlock',
  'POST /days/:day/left/:id',
  'POST /days/:day/marks',
  'POST /days/:day/plan',
  'POST /notes',
  'POST /observations',
  'POST /plan',
  'POST /sittings/:id/end',
  'POST /sittings/:id/range',
  'POST /voidings',
  'PUT /sittings/:id',
].sort();

describe('the door to the network', () => {
  let world: World;
  let clock: number;
  const addresses = everyAddress();

  const share = async (more: object = {}): Promise<Sharing> => {
    const port = await freePort();
    const wish = { on: true, port, encryption: 'none', ...more };
    const answer = await world.ask('PUT', '/access/sharing', wish);
    expect(answer.status).withContext(JSON.stringify(answer.body)).toBe(200);
    return answer.body;
  };
  const net = (path: string, more: Omit<Knock, 'path'> = {}): Promise<Opened> =>
    knock(world.sharePort, { path, ...more });
  const post = (path: string, form: Record<string, string>, headers = {}): Promise<Opened> =>
    net(path, {
      method: 'POST',
      headers: { ...FORM, ...headers },
      body: String(new URLSearchParams(form)),
    });
  const cookieOf = ({ headers }: Opened): string =>
    (headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
  const signIn = async (): Promise<string> =>
    cookieOf(await post('/sign-in', { password: PASSWORD, device: 'Loft' }));
  const code = async (role: string, lockMinutes: number | null = null): Promise<Pairing> => {
    const answer = await world.ask('POST', '/access/pairings', { role, lockMinutes });
    // A machine in no network has no address to show.
    if (answer.status === 409) pending('this machine is in no network');
    return answer.body;
  };
  const pair = async (
    role: string,
    form: Record<string, string> = {},
    lock: number | null = null,
  ) => {
    const { code: digits } = await code(role, lock);
    return post('/pair', { code: digits, device: 'Tray', ...form });
  };
  const as = (cookie: string, path: string, method = 'GET', body?: object): Promise<Opened> =>
    net(`/api${path}`, {
      method,
      headers: { cookie, ...JSON_TYPE },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });

  beforeEach(async () => {
    clock = Date.parse('2026-03-10T08:00:00Z');
    world = await openWorld(null, () => new Date(clock));
    await world.ask('PUT', '/access/password', { next: PASSWORD });
  });
  afterEach(() => world.close());

  it('is shut until there is a password and somebody opens it', async () => {
    const bare = await openWorld();
    expect(bare.sharePort).toBe(0);
    const wish = { on: true, port: 4311, encryption: 'none' };
    const early = await bare.ask('PUT', '/access/sharing', wish);
    expect(early.status).toBe(422);
    expect((early.body as { errors: { field: string }[] }).errors[0]!.field).toBe('on');
    for (const [next, words] of [
      ['kite', 'at least 10'],
      ['Password123', 'common'],
      ['1q2w3e4r5t', 'common'],
      ['aaaaaaaaaaaa', 'common'],
    ] as const) {
      const weak = await bare.ask('PUT', '/access/password', { next });
      expect((weak.body as { title: string }).title)
        .withContext(next)
        .toContain(words);
    }
    await bare.close();
    await share();
    expect(world.sharePort).toBeGreaterThan(0);
    await world.restart();
    expect(world.sharePort).withContext('after a restart').toBeGreaterThan(0);
    await world.ask('PUT', '/access/sharing', { on: false, port: 4311, encryption: 'none' });
    expect(world.sharePort).toBe(0);
  });

  it('shows a stranger the sign-in page and nothing else', async () => {
    await share();
    expect(addresses.length).toBeGreaterThan(90);
    for (const line of addresses) {
      const [method = '', path = ''] = line.split(' ');
      const answer = await net(`/api${path}`, {
        method,
        headers: JSON_TYPE,
        ...(method === 'GET' ? {} : { body: '{}' }),
      });
      expect(answer.status).withContext(line).toBe(401);
      expect(answer.text.length).toBeLessThan(80);
    }
    for (const path of ['/', '/today', '/pair', '/children/1', '/sign-in/x']) {
      const answer = await net(path, { headers: { accept: 'text/html' } });
      expect([answer.status, answer.headers.location]).withContext(path).toEqual([303, '/sign-in']);
    }
    for (const path of [
      '/main-ABCDEFGH.js',
      '/API/children',
      '/ngsw.json',
      '/..%2fgumo.db',
      '/media/../index.html',
    ]) {
      expect((await net(path)).status)
        .withContext(path)
        .toBe(401);
    }
    const page = await net('/sign-in');
    expect(page.status).toBe(200);
    expect(page.text).toContain('name="password"');
    const policy = String(page.headers['content-security-policy']);
    expect(policy).toMatch(/script-src 'self'(;|$)/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(page.headers['cache-control']).toBe('no-store');
  });

  it('lets in with the password, by a cookie that no script and no other site can use', async () => {
    await share();
    const wrong = await post('/sign-in', { password: 'seven snails on a cart' });
    expect(wrong.status).toBe(401);
    expect(wrong.headers['set-cookie']).toBeUndefined();
    const odd = await post('/sign-in', { password: 'x', device: '"><script>' });
    expect(odd.text).not.toContain('<script>');
    const right = await post('/sign-in', { password: PASSWORD, device: '<b>Loft</b>' });
    expect([right.status, right.headers.location]).toEqual([303, '/']);
    expect(right.headers['set-cookie']![0]).toMatch(/^gumo=[\w-]{43}; .*HttpOnly.*SameSite=Strict/);
    const cookie = cookieOf(right);
    const who = JSON.parse((await as(cookie, '/access')).text) as Whoever;
    expect([who.door, who.role, who.device!.name]).toEqual(['network', 'keeper', '<b>Loft</b>']);
    const audit = (await world.ask('GET', '/access/audit')).body as { what: string; who: string }[];
    expect(audit.slice(0, 2).map((line) => line.what)).toEqual(['signed-in', 'refused']);
    expect((await as(cookie, '/records/skills.json')).status).toBe(200);
    // Nothing that could be used again lies in the files.
    const secrets = [PASSWORD, cookie.slice('gumo='.length)];
    for (const name of readdirSync(world.folder)) {
      if (!/\.db/.test(name)) continue;
      const bytes = readFileSync(join(world.folder, name)).toString('latin1');
      for (const secret of secrets) expect(bytes.includes(secret)).withContext(name).toBeFalse();
    }
    await as(cookie, '/access/sign-out', 'POST', {});
    expect((await as(cookie, '/access')).status).toBe(401);
  });

  it('makes who guesses wait longer each time', async () => {
    await share();
    const guess = (): Promise<Opened> => post('/sign-in', { password: 'x' });
    for (let i = 0; i < 3; i++) expect((await guess()).status).toBe(401);
    const fourth = await guess();
    expect(fourth.status).toBe(429);
    expect(fourth.headers['retry-after']).toBe('2');
    // Even the right one waits, and a code is no way around it.
    expect((await post('/sign-in', { password: PASSWORD })).status).toBe(429);
    expect((await post('/pair', { code: '12345678' })).status).toBe(429);
    clock += 2_000;
    expect((await guess()).status).toBe(401);
    expect((await guess()).headers['retry-after']).toBe('4');
    clock += 61 * MINUTE;
    expect((await post('/sign-in', { password: PASSWORD })).status).toBe(303);
  });

  it('pairs one device with a code, for ten minutes and five misses', async () => {
    await share();
    const { code: digits, qr, address } = await code('keeper');
    expect(digits).toMatch(/^\d{8}$/);
    expect(address).toContain('/sign-in');
    // Read back by a library that reads pictures of codes.
    expect(readQr(qr)).toBe(`${address}#${digits}`);
    const paired = await post('/pair', {
      code: `${digits.slice(0, 4)} ${digits.slice(4)}`,
      device: '',
    });
    expect(paired.status).toBe(303);
    expect((await post('/pair', { code: digits })).status)
      .withContext('used')
      .toBe(401);
    const late = await code('keeper');
    clock += 10 * MINUTE;
    expect((await post('/pair', { code: late.code })).status)
      .withContext('late')
      .toBe(401);
    const guessed = await code('keeper');
    const wrong = guessed.code === '00000000' ? '11111111' : '00000000';
    for (let i = 0; i < 5; i++) {
      await post('/pair', { code: wrong });
      clock += 40_000;
    }
    expect((await post('/pair', { code: guessed.code })).status)
      .withContext('missed')
      .toBe(401);
  });

  it('gives a helper today, the tray and jotting, and no keeper’s address', async () => {
    await share();
    const cookie = cookieOf(await pair('helper'));
    const open = addresses.filter((line) => {
      const [method = '', path = ''] = line.split(' ');
      return helperMay(method, path);
    });
    expect(open.sort()).toEqual(HELPERS);
    for (const line of addresses) {
      const [method = '', path = ''] = line.split(' ');
      if (line === 'GET /changes' || line === 'POST /access/sign-out') continue;
      const filled = path.replace(':day', TODAY).replace(/:\w+/g, 'x');
      const answer = await as(cookie, filled, method, method === 'GET' ? undefined : {});
      if (HELPERS.includes(line)) expect(answer.status).withContext(line).not.toBe(403);
      else expect(answer.status).withContext(line).toBe(403);
    }
    for (const odd of [
      '/records/',
      '/Records/audit',
      '/children/../records/backups',
      '//household/',
    ]) {
      expect((await as(cookie, odd, 'PUT', {})).status)
        .withContext(odd)
        .toBeGreaterThan(399);
    }
  });

  it('locks a shared device that is left alone, and opens it by its PIN', async () => {
    await share();
    const asked = await pair('helper', {}, 5);
    expect(asked.status).toBe(400);
    expect(asked.text).toContain('Choose a PIN');
    const cookie = cookieOf(await pair('helper', { pin: '2846' }, 5));
    clock += 4 * MINUTE;
    await as(cookie, '/access/here', 'POST', {});
    clock += 4 * MINUTE;
    expect((await as(cookie, '/children')).status).toBe(200);
    clock += 1 * MINUTE;
    expect((await as(cookie, '/children')).status).toBe(423);
    expect((await as(cookie, '/observations', 'POST', {})).status).toBe(423);
    expect((await net('/API/children', { headers: { cookie } })).text).not.toContain('Wren');
    // Being there is not enough any more.
    expect((await as(cookie, '/access/here', 'POST', {})).status).toBe(423);
    expect((await as(cookie, '/access/unlock', 'POST', { pin: '0000' })).status).toBe(422);
    expect((await as(cookie, '/access/unlock', 'POST', { pin: '2846' })).status).toBe(204);
    expect((await as(cookie, '/children')).status).toBe(200);
    await as(cookie, '/access/lock', 'POST', {});
    expect((await as(cookie, '/children')).status).toBe(423);
    const misses = [];
    for (let i = 0; i < 5; i++) {
      misses.push((await as(cookie, '/access/unlock', 'POST', { pin: '1111' })).status);
    }
    expect(misses).toEqual([422, 422, 422, 422, 401]);
    expect((await as(cookie, '/access')).status).toBe(401);
  });

  it('lists devices, and a removed one neither asks nor hears any more', async () => {
    await share();
    const cookie = await signIn();
    const heard = knock(world.sharePort, { path: '/api/changes', headers: { cookie } });
    const sharing = (await world.ask('GET', '/access/sharing')).body as Sharing;
    expect(sharing.devices.map((one) => [one.name, one.role])).toEqual([['Loft', 'keeper']]);
    await world.ask('DELETE', `/access/devices/${sharing.devices[0]!.id}`);
    expect((await heard).status).toBe(200);
    expect((await as(cookie, '/children')).status).toBe(401);
    clock += 31 * 24 * 60 * MINUTE;
    const old = await signIn();
    clock += 31 * 24 * 60 * MINUTE;
    expect((await as(old, '/children')).status)
      .withContext('a month without a word')
      .toBe(401);
  });

  it('takes nothing from pages of other sites, and no name that is not this household’s', async () => {
    await share();
    const cookie = await signIn();
    const host = `127.0.0.1:${world.sharePort}`;
    const child = { method: 'POST', body: JSON.stringify(aChild()) };
    const foreign: Record<string, string>[] = [
      { origin: 'https://elsewhere.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { host: 'elsewhere.example' },
    ];
    for (const headers of foreign) {
      const answer = await net('/api/children', {
        ...child,
        headers: { cookie, ...JSON_TYPE, ...headers },
      });
      expect(answer.status).withContext(JSON.stringify(headers)).toBe(403);
    }
    expect(
      (await post('/sign-in', { password: PASSWORD }, { origin: 'https://elsewhere.example' }))
        .status,
    ).toBe(403);
    const own = { cookie, ...JSON_TYPE, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' };
    expect((await net('/api/children', { ...child, headers: own })).status).toBe(201);
  });

  it('asks for the present password over the network, and signs other keepers out', async () => {
    await share();
    const [one, other] = [await signIn(), await signIn()];
    const next = 'eight snails in the soup';
    const blind = await as(one, '/access/password', 'PUT', { next });
    expect(blind.status).toBe(422);
    const done = await as(one, '/access/password', 'PUT', { current: PASSWORD, next });
    expect(done.status).toBe(200);
    expect((await as(one, '/children')).status).toBe(200);
    expect((await as(other, '/children')).status).toBe(401);
    expect((await post('/sign-in', { password: PASSWORD })).status).toBe(401);
  });

  it('lets nobody in again when an old copy is taken back, and keeps the list of what was done', async () => {
    await share();
    const cookie = await signIn();
    const copy = (await world.ask('POST', '/records/backups', {})).body as { name: string };
    await as(cookie, '/access/sign-out', 'POST', {});
    await world.ask('POST', `/records/backups/${copy.name}/restore`, {});
    expect((await as(cookie, '/children')).status).toBe(401);
    const audit = (await world.ask('GET', '/access/audit')).body as { what: string }[];
    expect(audit.slice(0, 3).map((line) => line.what)).toEqual([
      'restored',
      'signed-out',
      'signed-in',
    ]);
  });

  it('speaks TLS with a certificate of its own that a device can trust, and with a given one', async () => {
    const { certificate } = await share({ encryption: 'own' });
    expect(certificate!.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    const stranger = knock(world.sharePort, { path: '/sign-in', ca: 'none' });
    await expectAsync(stranger).toBeRejectedWithError(/self-signed|unable to verify|PEM|issuer/i);
    const folder = openAccess(join(world.folder, 'gumo.db'));
    const ca = folder.choice('own')!.authority.certificate;
    folder.close();
    const page = await net('/sign-in', { ca });
    expect(page.text).toContain('/gumo-household.crt');
    expect((await net('/gumo-household.crt', { ca })).text).toBe(ca);
    const body = String(new URLSearchParams({ password: PASSWORD }));
    const inside = await net('/sign-in', { ca, method: 'POST', headers: FORM, body });
    expect(inside.headers['set-cookie']![0]).toMatch(/^__Host-gumo=.*; Secure/);

    const other = await ownCertificate(null, ['localhost'], new Date());
    const again = await share({
      encryption: 'given',
      given: { certificate: other.certificate, key: other.key },
    });
    expect(again.certificate!.fingerprint).not.toBe(certificate!.fingerprint);
    expect((await net('/sign-in', { ca: other.authority.certificate })).status).toBe(200);
  });

  it('says why it cannot open, and stays shut', async () => {
    const { port } = await share();
    const second = await openWorld();
    await second.ask('PUT', '/access/password', { next: PASSWORD });
    const taken = await second.ask('PUT', '/access/sharing', {
      on: true,
      port,
      encryption: 'none',
    });
    expect((taken.body as Sharing).trouble).toContain(`Port ${port} is taken`);
    await second.close();
  });
});
