import type { IncomingMessage } from 'node:http';
import type { Door, Role } from '@gumo/core/vocabulary';

/** Who asks, once the door knows. */
export interface Asker {
  readonly door: Door;
  readonly role: Role;
  /** Null on the machine itself. */
  readonly deviceId: string | null;
  /** The device's name, or "home". */
  readonly name: string;
}

/** Whoever sits at the machine that keeps the records can read its files anyway. */
export const AT_HOME: Asker = { door: 'home', role: 'owner', deviceId: null, name: 'home' };

const doors = new WeakMap<IncomingMessage, Door>();
const askers = new WeakMap<IncomingMessage, Asker>();

/** Says through which door a request came, before anything else looks at it. */
export const markListener = (request: IncomingMessage, door: Door): void =>
  void doors.set(request, door);

/** A request that nobody vouched for is a stranger's. */
export const listenerOf = (request: IncomingMessage): Door => doors.get(request) ?? 'network';

export const known = (request: IncomingMessage, asker: Asker): void =>
  void askers.set(request, asker);

/** Who asks. @throws Error where the door let somebody by without looking */
export function askerOf(request: IncomingMessage): Asker {
  const asker = askers.get(request);
  if (!asker) throw new Error('nobody is known to ask');
  return asker;
}

export const isKnown = (request: IncomingMessage): boolean => askers.has(request);
