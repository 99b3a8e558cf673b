import type { Sharing } from '@gumo/core/vocabulary';
import { addressesOf } from '../app.js';
import { bareContext } from '../../testing/bare.js';
import { knock } from '../../testing/knock.js';
import { MINUTE, PASSWORD, SharedHome, cookieOf } from '../../testing/shared-home.js';
import { TODAY, aChild } from '../../testing/world.js';
import { WHILE_LOCKED } from './gate.js';
import { helperMay } from '../../services/access/roles.js';

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
  'GET /sessions/:id',
  'GET /songs',
  'GET /materials',
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
  'POST /sessions/:id/end',
  'POST /sessions/:id/range',
  'POST /voidings',
  'PUT /sessions/:id',
].sort();

describe('a device that was let in', () => {
  const home = new SharedHome();
  const { share, net, post, signIn, pair, as } = home;
  beforeEach(() => home.open());
  afterEach(() => home.world.close());

  const addresses = addressesOf(bareContext(':memory:').context);

  it('gives a helper today, the tray and notes, and no owner’s address', async () => {
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
    home.clock += 4 * MINUTE;
    await as(cookie, '/access/here', 'POST', {});
    home.clock += 4 * MINUTE;
    expect((await as(cookie, '/children')).status).toBe(200);
    home.clock += 1 * MINUTE;
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
    const heard = knock(home.world.sharePort, { path: '/api/changes', headers: { cookie } });
    const sharing = (await home.world.ask('GET', '/access/sharing')).body as Sharing;
    expect(sharing.devices.map((one) => [one.name, one.role])).toEqual([['Loft', 'owner']]);
    await home.world.ask('DELETE', `/access/devices/${sharing.devices[0]!.id}`);
    expect((await heard).status).toBe(200);
    expect((await as(cookie, '/children')).status).toBe(401);
    home.clock += 31 * 24 * 60 * MINUTE;
    const old = await signIn();
    home.clock += 31 * 24 * 60 * MINUTE;
    expect((await as(old, '/children')).status)
      .withContext('a month without a word')
      .toBe(401);
  });

  it('asks for the present password over the network, and signs other owners out', async () => {
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

  it('lets nobody in again when an old backup is restored, and keeps the list of what was done', async () => {
    await share();
    const cookie = await signIn();
    const copy = (await home.world.ask('POST', '/records/backups', {})).body as { name: string };
    await as(cookie, '/access/sign-out', 'POST', {});
    await home.world.ask('POST', `/records/backups/${copy.name}/restore`, {});
    expect((await as(cookie, '/children')).status).toBe(401);
    const audit = (await home.world.ask('GET', '/access/audit')).body as { what: string }[];
    expect(audit.slice(0, 3).map((line) => line.what)).toEqual([
      'restored',
      'signed-out',
      'signed-in',
    ]);
  });

  it('answers, while it is locked, only how its lock stands and to be opened: all addresses asked', async () => {
    await share();
    const cookie = cookieOf(await pair('owner', { pin: '2846' }, 5));
    home.clock += 6 * MINUTE;
    for (const line of addresses) {
      const [method = '', path = ''] = line.split(' ');
      const filled = path.replace(':day', TODAY).replace(/:\w+/g, 'x');
      const isOpen = WHILE_LOCKED.includes(`${method} /api${path}`);
      for (const odd of isOpen ? [] : [filled, `${filled}/`, filled.toUpperCase()]) {
        const answer = await as(cookie, odd, method, method === 'GET' ? undefined : {});
        expect(answer.status).withContext(`${method} ${odd}`).toBe(423);
      }
    }
    expect((await as(cookie, '/access/lock', 'PUT', { minutes: null, pin: null })).status).toBe(
      423,
    );
    expect((await as(cookie, '/access')).status).toBe(200);
    expect((await as(cookie, '/access/unlock', 'POST', { pin: '2846' })).status).toBe(204);
  });

  it('counts no right sign-in against anybody', async () => {
    await share();
    for (let i = 0; i < 40; i++)
      expect((await post('/sign-in', { password: PASSWORD })).status).toBe(303);
    expect((await post('/sign-in', { password: 'wrong one' })).status).toBe(401);
    expect((await post('/sign-in', { password: PASSWORD })).status).toBe(303);
  });

  it('ends the streams of a device that makes room, signs in anew or has its time', async () => {
    await share();
    const cookie = await signIn();
    const heard = knock(home.world.sharePort, { path: '/api/changes', headers: { cookie } });
    const again = await post('/sign-in', { password: PASSWORD, device: 'Loft' }, { cookie });
    expect(again.status).toBe(303);
    expect((await heard).status).toBe(200);
  });

  it('gives its own oldest stream for a new one, and takes none from others', async () => {
    await share();
    const [one, other] = [await signIn(), await signIn()];
    const streams = Array.from({ length: 32 }, () =>
      knock(home.world.sharePort, { path: '/api/changes', headers: { cookie: one } }),
    );
    let isOver = false;
    const beside = knock(home.world.sharePort, {
      path: '/api/changes',
      headers: { cookie: other },
    }).then(() => (isOver = true));
    // Whoever has most gives way, and is told so.
    const first = await Promise.race(streams);
    expect(first.text).toContain('event: displaced');
    let ended = 0;
    const second = new Promise<void>((resolve) => {
      for (const stream of streams) void stream.then(() => ++ended === 2 && resolve());
    });
    const more = knock(home.world.sharePort, { path: '/api/changes', headers: { cookie: one } });
    await second;
    expect(isOver).toBeFalse();
    await home.world.stop();
    await Promise.all([...streams, beside, more]);
    await home.world.start();
  });
});

describe('a password', () => {
  it('is not near the name of the household or of a child, spaces, signs and case aside', async () => {
    const home = new SharedHome();
    await home.open();
    await home.world.ask('POST', '/children', aChild({ name: 'Wrennifer Jo' }));
    const set = async (next: string): Promise<number> =>
      (await home.world.ask('PUT', '/access/password', { next })).status;
    for (const next of [
      'W r e n n i f e r 1',
      'WRENNIFER-jo-22',
      'my household 12',
      'MyHousehold!!',
      'wrennifer99wrennifer',
    ]) {
      expect(await set(next))
        .withContext(next)
        .toBe(422);
    }
    expect(await set('seven snails and wrennifer')).toBe(200);
    await home.world.close();
  });
});
