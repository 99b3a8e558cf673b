import { randomInt, timingSafeEqual } from 'node:crypto';
import type { Device, Role } from '@gumo/core/vocabulary';
import { secretHash } from './devices.js';

const MINUTES = 10;
const DIGITS = 8;
/** Wrong codes of anybody after which the code is worth nothing. */
const MOST_MISSES = 5;

export interface PairingTerms {
  readonly role: Role;
  readonly lockMinutes: Device['lockMinutes'];
}

interface Open extends PairingTerms {
  readonly hash: Buffer;
  readonly until: number;
  misses: number;
}

/** One code at a time, good for one device and ten minutes; a restart ends it. */
export interface Pairings {
  begin(terms: PairingTerms): { code: string; seconds: number };
  end(): void;
  /** What a code allows, without using it up; null counts as a miss. */
  look(code: string): PairingTerms | null;
}

export function makePairings(now: () => Date): Pairings {
  let open: Open | null = null;
  return {
    begin(terms) {
      const code = String(randomInt(10 ** DIGITS)).padStart(DIGITS, '0');
      const until = now().getTime() + MINUTES * 60_000;
      open = { ...terms, hash: secretHash(code), until, misses: 0 };
      return { code, seconds: MINUTES * 60 };
    },
    end() {
      open = null;
    },
    look(code) {
      if (!open) return null;
      if (now().getTime() >= open.until) {
        open = null;
        return null;
      }
      if (timingSafeEqual(open.hash, secretHash(code))) return open;
      if (++open.misses >= MOST_MISSES) open = null;
      return null;
    },
  };
}
