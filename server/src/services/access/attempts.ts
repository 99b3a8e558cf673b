/** Misses that cost nothing, then a wait that doubles. */
const FREE = 3;
const LONGEST_SECONDS = 15 * 60;
/** Misses of all addresses together before everybody at the door waits too. */
const FREE_OF_ALL = 30;
const FORGET_MS = 60 * 60_000;
const MOST_ADDRESSES = 5_000;

interface Misses {
  count: number;
  until: number;
  last: number;
}

/** Counts misses at the door, and says how long to wait before the next attempt. */
export interface Attempts {
  /** Seconds that this address must wait yet; 0 where it may try. */
  wait(address: string): number;
  missed(address: string): void;
  /** What was counted as a miss proved right: it counts against nobody. */
  succeeded(address: string): void;
}

const pause = (misses: number): number => Math.min(LONGEST_SECONDS, 2 ** Math.min(misses, 20));

export function makeAttempts(now: () => number): Attempts {
  const byAddress = new Map<string, Misses>();
  const all: Misses = { count: 0, until: 0, last: 0 };

  const known = (address: string): Misses => {
    const found = byAddress.get(address);
    if (found && now() - found.last < FORGET_MS) return found;
    return { count: 0, until: 0, last: 0 };
  };
  function count(misses: Misses, free: number): void {
    if (now() - misses.last >= FORGET_MS) misses.count = 0;
    misses.count++;
    misses.last = now();
    if (misses.count >= free) misses.until = now() + pause(misses.count - free + 1) * 1000;
  }

  return {
    wait(address) {
      return Math.max(0, Math.ceil((Math.max(known(address).until, all.until) - now()) / 1000));
    },
    missed(address) {
      const misses = known(address);
      count(misses, FREE);
      byAddress.delete(address);
      byAddress.set(address, misses);
      if (byAddress.size > MOST_ADDRESSES) byAddress.delete(byAddress.keys().next().value ?? '');
      count(all, FREE_OF_ALL);
    },
    succeeded(address) {
      byAddress.delete(address);
      // It was counted as a miss beforehand.
      all.count = Math.max(0, all.count - 1);
      if (all.count < FREE_OF_ALL) all.until = 0;
    },
  };
}
