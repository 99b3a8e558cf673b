import { connect } from 'node:tls';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import jsQrModule from 'jsqr';
import type { Pairing, Sharing, Whoever } from '@gumo/core/vocabulary';
import { addressesOf } from '../app.js';
import { bareContext } from '../../testing/bare.js';
import { type Opened, knock } from '../../testing/knock.js';
import {
  FORM,
  JSON_TYPE,
  MINUTE,
  PASSWORD,
  SharedHome,
  cookieOf,
} from '../../testing/shared-home.js';
import { aChild, openWorld } from '../../testing/world.js';
import { openAccess } from '../../services/access/access.js';
import { ownCertificate } from '../../services/access/certificate.js';

// Its types say default export, what is loaded has it one step deeper.
const jsQr = jsQrModule as unknown as typeof jsQrModule.default;

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

describe('the door to the network', () => {
  const home = new SharedHome();
  const { share, net, post, signIn, code, as } = home;
  beforeEach(() => home.open());
  afterEach(() => home.world.close());

  const addresses = addressesOf(bareContext(':memory:').context);

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
    expect(home.world.sharePort).toBeGreaterThan(0);
    await home.world.restart();
    expect(home.world.sharePort).withContext('after a restart').toBeGreaterThan(0);
    await home.world.ask('PUT', '/access/sharing', { on: false, port: 4311, encryption: 'none' });
    expect(home.world.sharePort).toBe(0);
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
    expect([who.door, who.role, who.device!.name]).toEqual(['network', 'owner', '<b>Loft</b>']);
    const audit = (await home.world.ask('GET', '/access/audit')).body as {
      what: string;
      who: string;
    }[];
    expect(audit.slice(0, 2).map((line) => line.what)).toEqual(['signed-in', 'refused']);
    expect((await as(cookie, '/records/skills.json')).status).toBe(200);
    // Nothing that could be used again lies in the files.
    const secrets = [PASSWORD, cookie.slice('gumo='.length)];
    for (const name of readdirSync(home.world.folder)) {
      if (!/\.db/.test(name)) continue;
      const bytes = readFileSync(join(home.world.folder, name)).toString('latin1');
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
    home.clock += 2_000;
    expect((await guess()).status).toBe(401);
    expect((await guess()).headers['retry-after']).toBe('4');
    home.clock += 61 * MINUTE;
    expect((await post('/sign-in', { password: PASSWORD })).status).toBe(303);
  });

  it('pairs one device with a code, for ten minutes and five misses', async () => {
    await share();
    const { code: digits, qr, address } = await code('owner');
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
    const late = await code('owner');
    home.clock += 10 * MINUTE;
    expect((await post('/pair', { code: late.code })).status)
      .withContext('late')
      .toBe(401);
    const guessed = await code('owner');
    const wrong = guessed.code === '00000000' ? '11111111' : '00000000';
    for (let i = 0; i < 5; i++) {
      await post('/pair', { code: wrong });
      home.clock += 40_000;
    }
    expect((await post('/pair', { code: guessed.code })).status)
      .withContext('missed')
      .toBe(401);
  });

  it('takes nothing from pages of other sites, and no name that is not this household’s', async () => {
    await share();
    const cookie = await signIn();
    const host = `127.0.0.1:${home.world.sharePort}`;
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

  it('speaks TLS with a certificate of its own that a device can trust, and with a given one', async () => {
    const { certificate } = await share({ encryption: 'own' });
    expect(certificate!.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    const stranger = knock(home.world.sharePort, { path: '/sign-in', ca: 'none' });
    await expectAsync(stranger).toBeRejectedWithError(/self-signed|unable to verify|PEM|issuer/i);
    const folder = openAccess(join(home.world.folder, 'gumo.db'));
    const ca = folder.choice('own')!.authority.certificate;
    folder.close();
    const page = await net('/sign-in', { ca });
    expect(page.text).toContain('/gumo-household.crt');
    expect((await net('/gumo-household.crt', { ca })).text).toBe(ca);
    const body = String(new URLSearchParams({ password: PASSWORD }));
    const inside = await net('/sign-in', { ca, method: 'POST', headers: FORM, body });
    expect(inside.headers['set-cookie']![0]).toMatch(/^__Host-gumo=.*; Secure/);

    // Only suites that encrypt and authenticate in one, and no older version of the protocol.
    const shake = (options: object): Promise<string> =>
      new Promise((resolve) => {
        const socket = connect({
          port: home.world.sharePort,
          ca,
          servername: 'localhost',
          ...options,
        });
        socket.once('secureConnect', () => {
          resolve(socket.getCipher().name);
          socket.destroy();
        });
        socket.once('error', () => resolve('refused'));
      });
    const old = { maxVersion: 'TLSv1.2' };
    expect(await shake(old)).toMatch(/GCM|CHACHA20/);
    expect(await shake({ ...old, ciphers: 'ECDHE-ECDSA-AES128-SHA256' })).toBe('refused');
    expect(
      await shake({ minVersion: 'TLSv1', maxVersion: 'TLSv1.1', ciphers: 'ALL@SECLEVEL=0' }),
    ).toBe('refused');

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
