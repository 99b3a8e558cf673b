import { hostname, networkInterfaces } from 'node:os';

/** This machine's addresses in the home's network, IPv4, as other devices can type them. */
export function homeAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((one) => one.family === 'IPv4' && !one.internal)
    .map((one) => one.address);
}

/** Names under which it may be found there. */
export function homeNames(): string[] {
  const name = hostname().toLowerCase().split('.')[0] ?? '';
  return /^[a-z0-9-]+$/.test(name) ? [name, `${name}.local`] : [];
}
