import { Audit } from '@gumo/core/contract';
import {
  LockChoice,
  PairingWish,
  PasswordChange,
  Pairing,
  Sharing,
  SharingChoice,
  Unlock,
  Whoever,
} from '@gumo/core/vocabulary';
import { Router, type Request } from 'express';
import QRCode from 'qrcode';
import { DEFAULT_SHARE_PORT } from '../services/access/access.js';
import { checkGiven, looksOf } from '../services/access/certificate.js';
import { askerOf } from './door/listener.js';
import { cookieName, tokenIn } from './door/gate.js';
import { hashed, isCommon, isNearTo, isRight } from '../services/access/passwords.js';
import { Fault, checked, notFound, wrongField } from '../faults.js';
import { type Context, param } from './context.js';
import { answer } from './answer.js';

/** Who asks, what is shared at home, and which devices are let in. */
export function accessRoutes(context: Context): Router {
  const { access, network } = context.door;
  const { audit, devices, pairings, attempts } = access;
  const router = Router();

  function note(request: Request, what: Parameters<typeof audit.add>[0], detail: string): void {
    audit.add(what, detail, askerOf(request).name);
  }

  function deviceId(request: Request): string {
    const id = askerOf(request).deviceId;
    if (id === null) throw new Fault('conflict', 'This machine needs no letting in.');
    return id;
  }

  const sharing = (): Sharing => {
    const choice = access.choice('sharing');
    const encryption = choice?.encryption ?? 'own';
    const shown =
      encryption === 'none' ? null : access.choice(encryption === 'own' ? 'own' : 'given');
    return {
      on: choice?.on ?? false,
      port: choice?.port ?? DEFAULT_SHARE_PORT,
      encryption,
      hasPassword: access.choice('password') !== null,
      trouble: network.trouble,
      addresses: network.addresses(),
      certificate: shown ? looksOf(shown) : null,
      devices: devices.all(),
    };
  };

  router.get('/', (request, response) => {
    const { door, role } = askerOf(request);
    const device = door === 'home' ? null : devices.of(tokenIn(request));
    const whoever: Whoever = {
      door,
      role,
      device: device && {
        id: device.id,
        name: device.name,
        lockMinutes: device.lockMinutes,
        locked: device.locked,
      },
    };
    answer(response, Whoever, whoever);
  });

  router.post('/here', (request, response) => {
    devices.touch(deviceId(request));
    response.status(204).end();
  });

  router.post('/lock', (request, response) => {
    devices.lock(deviceId(request));
    response.status(204).end();
  });

  router.post('/unlock', async (request, response) => {
    const { pin } = checked(Unlock, request.body);
    const id = deviceId(request);
    const found = await devices.unlock(id, pin);
    if (found === 'right') {
      response.status(204).end();
      return;
    }
    if (found === 'wrong') throw wrongField('pin', 'is not right');
    note(request, 'device-removed', 'too many wrong PINs');
    response.clearCookie(cookieName(request), { path: '/' });
    throw new Fault('unknown', 'Too many wrong PINs. Sign in again.');
  });

  /** The lock of the device that asks. */
  router.put('/lock', async (request, response) => {
    const { minutes, pin } = checked(LockChoice, request.body);
    const id = deviceId(request);
    const known = devices.all().find((one) => one.id === id);
    if (minutes !== null && pin === null && known?.lockMinutes === null) {
      throw wrongField('pin', 'is missing');
    }
    await devices.putLock(id, minutes, pin);
    response.status(204).end();
  });

  router.post('/sign-out', (request, response) => {
    const id = deviceId(request);
    devices.remove(id);
    note(request, 'signed-out', '');
    response.clearCookie(cookieName(request), { path: '/' }).status(204).end();
  });

  router.get('/sharing', (_request, response) => answer(response, Sharing, sharing()));

  /** Switches sharing on or off, and how it is encrypted. */
  router.put('/sharing', async (request, response) => {
    const { given, ...choice } = checked(SharingChoice, request.body);
    if (choice.on && access.choice('password') === null) {
      throw wrongField('on', 'needs a password of the household first');
    }
    if (given) checkGiven(given, access.now());
    if (choice.encryption === 'given' && !given && access.choice('given') === null) {
      throw wrongField('given', 'is missing');
    }
    const before = access.choice('sharing');
    if (given) access.choose('given', given);
    access.choose('sharing', choice);
    if (before?.on !== choice.on) note(request, choice.on ? 'sharing-on' : 'sharing-off', '');
    if (askerOf(request).door === 'home') {
      await network.apply();
      answer(response, Sharing, sharing());
      return;
    }
    // The door itself is about to shut: the answer goes first.
    answer(response, Sharing, sharing());
    response.once('finish', () => void network.apply());
  });

  /**
   * Sets the household's password. Over the network the present one is asked for; at home it is not, as that
   * is how a forgotten one is replaced. Every other owner's device has to sign in again.
   */
  router.put('/password', async (request, response) => {
    const { current, next } = checked(PasswordChange, request.body);
    const asker = askerOf(request);
    const kept = access.choice('password');
    if (asker.door === 'network' && kept !== null) {
      const who = asker.deviceId ?? asker.name;
      const wait = attempts.wait(who);
      if (wait > 0) throw new Fault('too-many', `Too many attempts. Wait ${wait} seconds.`);
      attempts.missed(who);
      if (!(await isRight(current, kept))) throw wrongField('current', 'is not the password');
      attempts.succeeded(who);
    }
    if (isCommon(next)) throw wrongField('next', 'is on the list of common passwords');
    const household = context.store.household.all().map((one) => one.name);
    if (isNearTo(next, household)) {
      throw wrongField('next', 'is too near to the name of the household');
    }
    const children = context.store.children.all().map((one) => one.name);
    if (isNearTo(next, children)) throw wrongField('next', 'is too near to the name of a child');
    access.choose('password', await hashed(next));
    const others = devices.all().filter((one) => one.role === 'owner' && one.id !== asker.deviceId);
    for (const { id } of others) devices.remove(id);
    note(request, 'password-set', '');
    answer(response, Sharing, sharing());
  });

  /** A code that lets one device in, and the address to open there. */
  router.post('/pairings', (request, response) => {
    const { role, lockMinutes } = checked(PairingWish, request.body);
    const [address] = network.addresses();
    if (address === undefined) {
      throw new Fault(
        'conflict',
        network.trouble || 'Sharing is off, or this machine is in no network.',
      );
    }
    const { code, seconds } = pairings.begin({ role, lockMinutes });
    // Behind the number sign, so that the code is sent only when the form is.
    const pairing: Pairing = {
      code,
      role,
      seconds,
      address: `${address}/sign-in`,
      qr: qrPath(`${address}/sign-in#${code}`),
    };
    answer(response, Pairing, pairing, 201);
  });

  router.delete('/pairings', (_request, response) => {
    pairings.end();
    response.status(204).end();
  });

  router.delete('/devices/:id', (request, response) => {
    const device = devices.all().find((one) => one.id === param(request, 'id'));
    if (!device) throw notFound('device');
    devices.remove(device.id);
    note(request, 'device-removed', device.name);
    response.status(204).end();
  });

  /** The list of what was done, and by whom. */
  router.get('/audit', (_request, response) => answer(response, Audit, audit.last(AUDIT_LINES)));

  return router;
}

const AUDIT_LINES = 60;

/** A text as a QR code: its side in modules, and its dark modules as an SVG path of unit squares. */
function qrPath(text: string): Pairing['qr'] {
  const { size, data } = QRCode.create(text, { errorCorrectionLevel: 'M' }).modules;
  let path = '';
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) if (data[y * size + x]) path += `M${x} ${y}h1v1h-1z`;
  }
  return { side: size, path };
}
