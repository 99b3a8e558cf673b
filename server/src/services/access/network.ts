import { createServer as createPlain, type Server } from 'node:http';
import { createServer as createSecure } from 'node:https';
import type { RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Access } from './access.js';
import { homeAddresses, homeNames } from './addresses.js';
import { type Certificate, ownCertificate } from './certificate.js';

/** Time that a request may take to arrive, in ms; slower ones are cut off. */
export interface Patience {
  readonly headersTimeout: number;
  readonly requestTimeout: number;
  readonly connectionsCheckingInterval: number;
  readonly keepAliveTimeout?: number;
}
export const PATIENCE: Patience = {
  headersTimeout: 10_000,
  requestTimeout: 30_000,
  connectionsCheckingInterval: 5_000,
  // Longer than a client keeps an idle line: one that is used again is not just being closed.
  keepAliveTimeout: 65_000,
};

/** TLS 1.2 and newer, with suites that encrypt and authenticate in one (RFC 9325, section 4.2; from memory). */
const TLS = {
  minVersion: 'TLSv1.2',
  ciphers: [
    'TLS_AES_256_GCM_SHA384',
    'TLS_CHACHA20_POLY1305_SHA256',
    'TLS_AES_128_GCM_SHA256',
    'ECDHE-ECDSA-AES256-GCM-SHA384',
    'ECDHE-RSA-AES256-GCM-SHA384',
    'ECDHE-ECDSA-CHACHA20-POLY1305',
    'ECDHE-RSA-CHACHA20-POLY1305',
    'ECDHE-ECDSA-AES128-GCM-SHA256',
    'ECDHE-RSA-AES128-GCM-SHA256',
  ].join(':'),
} as const;

/** The second door: open to the home's network while sharing is on. */
export interface Network {
  /** Opens or shuts it as chosen; afterwards `trouble` says why it could not. */
  apply(): Promise<void>;
  readonly trouble: string;
  /** Addresses that other devices can type; empty while it is shut. */
  addresses(): string[];
  /** The port it is open on; 0 while it is shut. */
  readonly port: number;
  close(): Promise<void>;
}

export function makeNetwork(
  access: Access,
  listener: RequestListener,
  patience: Patience,
): Network {
  let server: Server | null = null;
  let trouble = '';
  let turn: Promise<void> = Promise.resolve();

  const shut = async (): Promise<void> => {
    const open = server;
    server = null;
    if (!open) return;
    await new Promise<void>((resolve) => {
      open.close(() => resolve());
      open.closeAllConnections();
    });
  };

  async function certificate(): Promise<Certificate | null> {
    const encryption = access.choice('sharing')?.encryption;
    if (encryption === 'none') return null;
    if (encryption === 'given') return access.choice('given');
    const names = [...homeNames(), ...homeAddresses(), 'localhost', '127.0.0.1'];
    const own = await ownCertificate(access.choice('own'), names, access.now());
    access.choose('own', own);
    return { ...own, certificate: `${own.certificate.trim()}\n${own.authority.certificate}` };
  }

  async function open(): Promise<void> {
    await shut();
    trouble = '';
    const sharing = access.choice('sharing');
    if (!sharing?.on || access.choice('password') === null) return;
    const pair = await certificate();
    const next = pair
      ? createSecure({ ...patience, ...TLS, cert: pair.certificate, key: pair.key }, listener)
      : createPlain(patience, listener);
    try {
      await new Promise<void>((resolve, reject) => {
        next.once('error', reject).listen(sharing.port, '0.0.0.0', resolve);
      });
      server = next;
    } catch (error) {
      const taken = (error as { code?: string }).code === 'EADDRINUSE';
      trouble = taken
        ? `Port ${sharing.port} is taken by another program: choose another one.`
        : `Port ${sharing.port} cannot be opened.`;
    }
  }

  return {
    apply() {
      turn = turn.then(open);
      return turn;
    },
    get trouble() {
      return trouble;
    },
    addresses() {
      if (!server) return [];
      const scheme = access.choice('sharing')?.encryption === 'none' ? 'http' : 'https';
      return [...homeAddresses(), ...homeNames().slice(1)].map(
        (name) => `${scheme}://${name}:${this.port}`,
      );
    },
    get port() {
      return (server?.address() as AddressInfo | null)?.port ?? 0;
    },
    close: () => turn.then(shut),
  };
}
