import { isIP } from 'node:net';
import { PairIn, SignIn } from '@gumo/core/vocabulary';
import { stringifySetCookie } from 'cookie';
import express, { type Request, type Response, Router } from 'express';
import { ipKeyGenerator } from 'express-rate-limit';
import * as v from 'valibot';
import { type Access } from '../../services/access/access.js';
import type { NewDevice } from '../../services/access/devices.js';
import { listenerOf } from './listener.js';
import { cookieName, isEncrypted, sameOrigin, tokenIn } from './gate.js';
import { isRight } from '../../services/access/passwords.js';
import { type Words, signInPage } from './sign-in-page.js';

const FORM_LIMIT = '4kb';
const COOKIE_DAYS = 180;
/** Passwords that may wait to be looked at; looking takes long on purpose. */
const MOST_WAITING = 8;

const plainAddress = (request: Request): string => {
  const address = request.socket.remoteAddress ?? '';
  return isIP(address) === 6 ? ipKeyGenerator(address) : address;
};

/** The page at the door, and the two ways in: the household's password, or a code for one device. */
export function signInRoutes(access: Access, webFolder: string | null): Router {
  const router = Router();
  const isDrawn = webFolder !== null;
  let waiting = 0;

  function page(request: Request, response: Response, status: number, words: Words): void {
    const own = isEncrypted(request) && access.choice('sharing')?.encryption === 'own';
    response.status(status).setHeader('cache-control', 'no-store');
    response.type('html').send(signInPage({ ...words, isDrawn, hasCertificate: own }));
  }

  /** Lets the device in: its token goes into a cookie that no script can read. */
  async function letIn(request: Request, response: Response, device: NewDevice): Promise<void> {
    // Who signs in anew is one device, not two.
    const before = access.devices.of(tokenIn(request));
    if (before) access.devices.remove(before.id);
    const { token } = await access.devices.add(device);
    response.setHeader(
      'set-cookie',
      stringifySetCookie(cookieName(request), token, {
        httpOnly: true,
        sameSite: 'strict',
        secure: isEncrypted(request),
        path: '/',
        maxAge: COOKIE_DAYS * 86_400,
      }),
    );
    response.setHeader('cache-control', 'no-store').redirect(303, '/');
  }

  /** True where this address must wait; it is told how long. */
  function mustWait(request: Request, response: Response, words: Words): boolean {
    const seconds = waiting >= MOST_WAITING ? 5 : access.attempts.wait(plainAddress(request));
    if (seconds === 0) return false;
    const wait = seconds < 120 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
    response.setHeader('retry-after', String(seconds));
    page(request, response, 429, { ...words, message: `Too many attempts. Wait ${wait}.` });
    return true;
  }

  const nameOf = (typed: string, request: Request): string =>
    typed.trim().slice(0, 60) || guessed(request.headers['user-agent'] ?? '');

  router.use((request, _response, next) =>
    next(listenerOf(request) === 'home' ? 'router' : undefined),
  );
  router.get('/sign-in', (request, response) => page(request, response, 200, {}));
  router.get('/pair', (_request, response) => response.redirect(303, '/sign-in'));
  /** The household's own authority, for a device that is to trust it. */
  router.get('/gumo-household.crt', (_request, response, next) => {
    const own = access.choice('own');
    if (!own) {
      next();
      return;
    }
    response.type('application/x-x509-ca-cert').send(own.authority.certificate);
  });

  const form = [sameOrigin, express.urlencoded({ extended: false, limit: FORM_LIMIT })];

  router.post('/sign-in', form, async (request: Request, response: Response) => {
    const typed = v.safeParse(SignIn, request.body);
    const device = typed.success ? typed.output.device : '';
    if (mustWait(request, response, { device })) return;
    const address = plainAddress(request);
    const kept = access.choice('password') ?? '';
    // Counted as a miss until it proves right, so that many at once gain nothing.
    access.attempts.missed(address);
    waiting++;
    const right =
      typed.success && (await isRight(typed.output.password, kept).finally(() => waiting--));
    if (!typed.success) waiting--;
    if (!right) {
      access.audit.add('refused', 'a wrong password', address);
      page(request, response, 401, { device, message: 'This is not the household’s password.' });
      return;
    }
    access.attempts.succeeded(address);
    const name = nameOf(device, request);
    access.audit.add('signed-in', 'with the password', name);
    await letIn(request, response, { name, role: 'owner', lockMinutes: null, pin: null });
  });

  router.post('/pair', form, async (request: Request, response: Response) => {
    const body = (request.body ?? {}) as Record<string, unknown>;
    const words: Words = {
      code: String(body['code'] ?? '').slice(0, 20),
      device: String(body['device'] ?? '').slice(0, 60),
    };
    if (mustWait(request, response, words)) return;
    const typed = v.safeParse(PairIn, body);
    if (!typed.success) {
      const pin = typed.issues.some((issue) => v.getDotPath(issue) === 'pin');
      page(request, response, 400, {
        ...words,
        wantsPin: pin,
        message: pin ? 'The PIN must be 4 to 8 digits.' : 'The code has 8 digits.',
      });
      return;
    }
    const address = plainAddress(request);
    const { code, device, pin } = typed.output;
    const terms = access.pairings.look(code);
    if (!terms) {
      access.attempts.missed(address);
      access.audit.add('refused', 'a wrong code', address);
      page(request, response, 401, {
        ...words,
        message: 'This code is not valid, or has expired. The owner can make a new one.',
      });
      return;
    }
    if (terms.lockMinutes !== null && pin === '') {
      page(request, response, 400, {
        ...words,
        wantsPin: true,
        message: `This device locks after ${terms.lockMinutes} minutes alone. Choose a PIN for it.`,
      });
      return;
    }
    access.pairings.end();
    access.attempts.succeeded(address);
    const name = nameOf(device, request);
    const { role, lockMinutes } = terms;
    access.audit.add('paired', `as ${role}`, name);
    const kept = terms.lockMinutes === null ? null : pin;
    await letIn(request, response, { name, role, lockMinutes, pin: kept });
  });

  return router;
}

/** What kind of device it calls itself, where nobody named it. */
function guessed(agent: string): string {
  if (/iPad|Tablet/i.test(agent)) return 'A tablet';
  if (/Android|iPhone|Mobile/i.test(agent)) return 'A phone';
  return 'A computer';
}
