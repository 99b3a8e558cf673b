import * as v from 'valibot';
import { nonEmptyText, flag, boundedArray, oneOf } from './basics.js';

/** owner: all of it; helper: today, the tray and quick notes. */
export const ROLES = ['owner', 'helper'] as const;
export type Role = (typeof ROLES)[number];

/** Where somebody asks from: on the machine that keeps the records, or from another device at home. */
export const DOORS = ['home', 'network'] as const;
export type Door = (typeof DOORS)[number];

/** Minutes without a touch after which a device locks. */
export const LOCK_MINUTES = [5, 10, 30] as const;
const LockMinutes = v.nullable(
  v.picklist(LOCK_MINUTES, `must be one of ${LOCK_MINUTES.join(', ')}, or empty`),
);

/** Fewest and most characters of the household's password: NIST SP 800-63B asks for 64 or more at most. */
export const PASSWORD_LEAST = 10;
export const PASSWORD_MOST = 128;
const Password = v.pipe(
  v.string('must be text'),
  v.minLength(PASSWORD_LEAST, `must have at least ${PASSWORD_LEAST} characters`),
  v.maxLength(PASSWORD_MOST, `must have at most ${PASSWORD_MOST} characters`),
);
/** A password as somebody typed it, right or wrong. */
const Typed = v.pipe(v.string('must be text'), v.maxLength(PASSWORD_MOST, 'is too long'));

/** Four to eight digits that open a device that locked itself. */
export const Pin = v.pipe(v.string('must be text'), v.regex(/^\d{4,8}$/, 'must be 4 to 8 digits'));

/** Who asks, and what they may do here. */
export const Whoever = v.object({
  door: oneOf(DOORS),
  role: oneOf(ROLES),
  device: v.nullable(
    v.object({ id: v.string(), name: v.string(), lockMinutes: LockMinutes, locked: flag }),
  ),
});
export type Whoever = v.InferOutput<typeof Whoever>;

/** A device that may ask over the network. */
export const Device = v.object({
  id: v.string(),
  name: nonEmptyText(60),
  role: oneOf(ROLES),
  addedAt: v.string(),
  seenAt: v.string(),
  lockMinutes: LockMinutes,
  locked: flag,
});
export type Device = v.InferOutput<typeof Device>;

/** own: Gumo makes a certificate; given: one that the household has; none: not encrypted. */
export const ENCRYPTIONS = ['own', 'given', 'none'] as const;
export type Encryption = (typeof ENCRYPTIONS)[number];

const Port = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(1024, 'must be 1024 or more'),
  v.maxValue(65_535, 'must be 65535 or less'),
);
const Pem = v.pipe(v.string('must be text'), v.maxLength(40_000, 'is too long'));

/** What is chosen about sharing at home. */
export const SharingChoice = v.object({
  on: flag,
  port: Port,
  encryption: oneOf(ENCRYPTIONS),
  /** A certificate and its key as PEM, where one is given anew. */
  given: v.optional(v.object({ certificate: Pem, key: Pem })),
});
export type SharingChoice = v.InferOutput<typeof SharingChoice>;

/** Sharing at home as it is. */
export const Sharing = v.object({
  on: flag,
  port: v.number(),
  encryption: oneOf(ENCRYPTIONS),
  hasPassword: flag,
  /** Why it is on and yet nobody can reach it; empty where all is well. */
  trouble: v.string(),
  addresses: boundedArray(v.string(), 40),
  certificate: v.nullable(v.object({ fingerprint: v.string(), until: v.string() })),
  devices: boundedArray(Device, 200),
});
export type Sharing = v.InferOutput<typeof Sharing>;

/** A code that lets one device in, for a few minutes. */
export const Pairing = v.object({
  code: v.string(),
  role: oneOf(ROLES),
  /** How long it is good from now: clocks of two devices may differ. */
  seconds: v.number(),
  address: v.string(),
  /** The address with the code as a QR code: side in modules, and the dark ones as an SVG path. */
  qr: v.object({ side: v.number(), path: v.string() }),
});
export type Pairing = v.InferOutput<typeof Pairing>;

export const PairingWish = v.object({ role: oneOf(ROLES), lockMinutes: LockMinutes });
export const PasswordChange = v.object({ current: v.optional(Typed, ''), next: Password });
export const LockChoice = v.object({ minutes: LockMinutes, pin: v.nullable(Pin) });
export const Unlock = v.object({ pin: Pin });

/** What is typed at the door. */
export const SignIn = v.object({ password: Typed, device: v.optional(v.string(), '') });
export const PairIn = v.object({
  code: v.pipe(
    v.string('must be text'),
    v.transform((text) => text.replace(/\s/g, '')),
    v.regex(/^\d{8}$/, 'must be 8 digits'),
  ),
  device: v.optional(v.string(), ''),
  pin: v.optional(v.union([v.literal(''), Pin], 'must be 4 to 8 digits'), ''),
});
