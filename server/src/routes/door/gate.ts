import type { IncomingMessage } from 'node:http';
import { isIP } from 'node:net';
import type { RequestHandler } from 'express';
import { parseCookie } from 'cookie';
import { Fault } from '../../faults.js';
import type { Access } from '../../services/access/access.js';
import { homeNames } from '../../services/access/addresses.js';
import { namesOf } from '../../services/access/certificate.js';
import { AT_HOME, askerOf, listenerOf, isKnown, known } from './listener.js';
import { helperMay } from '../../services/access/roles.js';

/** What is served to a stranger: the sign-in page and what it is drawn with. */
const OPEN =
  /^\/(sign-in|pair|gumo-household\.crt|icon\.svg|sign-in\.(css|js)|media\/[\w-]+\.woff2)$/;
/** What a locked device may ask: how its lock stands, and to be opened. */
export const WHILE_LOCKED: readonly string[] = ['GET /api/access', 'POST /api/access/unlock'];

export const isEncrypted = (request: IncomingMessage): boolean => 'encrypted' in request.socket;

/** With the prefix the browser itself insists on TLS, this host and every path (RFC 6265bis). */
export const cookieName = (request: IncomingMessage): string =>
  isEncrypted(request) ? '__Host-gumo' : 'gumo';

export const tokenIn = (request: IncomingMessage): string =>
  parseCookie(request.headers.cookie ?? '')[cookieName(request)] ?? '';

/**
 * Looks who asks. Everybody is let by at home; over the network only a device that was let in, and a
 * stranger as far as the sign-in page.
 */
export const gate =
  (access: Access): RequestHandler =>
  (request, response, next) => {
    if (listenerOf(request) === 'home') {
      known(request, AT_HOME);
      next(isOfThisMachine(request) ? undefined : new Fault('forbidden', NOT_HERE));
      return;
    }
    if (!isOfThisHousehold(request, access)) {
      next(new Fault('forbidden', NOT_HERE));
      return;
    }
    const device = access.devices.of(tokenIn(request));
    // Addresses are matched in any case further on, so here too.
    const path = request.path.toLowerCase();
    if (!device) {
      if (OPEN.test(request.path)) next();
      else if (request.method === 'GET' && request.accepts('html') && !path.startsWith('/api')) {
        if (/\.\w+$/.test(path)) next(new Fault('unknown', SIGN_IN));
        else response.setHeader('cache-control', 'no-store').redirect(303, '/sign-in');
      } else next(new Fault('unknown', SIGN_IN));
      return;
    }
    known(request, {
      door: 'network',
      role: device.role,
      deviceId: device.id,
      name: device.name,
    });
    const asked = `${request.method} ${path.replace(/(.)\/+$/, '$1')}`;
    const locked = device.locked && path.startsWith('/api/') && !WHILE_LOCKED.includes(asked);
    next(locked ? new Fault('locked', 'This device is locked.') : undefined);
  };

/** What routers at home put behind a name; never a name that anybody can buy. */
const HOME_ENDS = ['local', 'lan', 'home', 'home.arpa', 'internal'];

const NOT_HERE = 'This address is not allowed to ask.';
const SIGN_IN = 'Sign in first.';

const hostOf = ({ headers }: IncomingMessage): string =>
  (headers.host ?? '')
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase();

/** A name that a page of another site made point here is refused. */
const isOfThisMachine = (request: IncomingMessage): boolean =>
  ['localhost', '127.0.0.1', '::1'].includes(hostOf(request));

function isOfThisHousehold(request: IncomingMessage, access: Access): boolean {
  const host = hostOf(request);
  if (isIP(host) !== 0 || host === 'localhost') return true;
  const given = access.choice('given');
  return [...homeNames(), ...(given ? namesOf(given) : [])].some(
    (name) => host === name || HOME_ENDS.some((end) => host === `${name}.${end}`),
  );
}

/** A page of another site, open in the same browser, may not write here, nor read. */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const { origin, host = '' } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    (origin !== undefined && origin.replace(/^https?:\/\//, '') !== host) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none');
  next(foreign ? new Fault('forbidden', NOT_HERE) : undefined);
};

/** Whatever is not named for helpers is the owner's. */
export const byRole: RequestHandler = (request, _response, next) => {
  if (!isKnown(request)) {
    next(new Fault('unknown', SIGN_IN));
    return;
  }
  const path = request.path.replace(/(.)\/+$/, '$1');
  const may = askerOf(request).role === 'owner' || helperMay(request.method, path);
  next(may ? undefined : new Fault('forbidden', 'This is for the owner of the household.'));
};
