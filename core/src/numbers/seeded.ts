/** A stream of numbers in [0, 1) that depends on nothing but its seed. */
export type Random = () => number;

/** 32-bit hash of a text (FNV-1a), for seeds and for settling ties the same way every time. */
export function hashText(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  }
  return hash >>> 0;
}

/** Seeded generator (mulberry32); good enough for play and demo data, never for secrets. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** The list in an order drawn from the seed (Fisher-Yates), never the order given if it can differ. */
export function shuffled<T>(list: readonly T[], seed: number): T[] {
  const random = seeded(seed);
  const mixed = [...list];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [mixed[i], mixed[j]] = [mixed[j] as T, mixed[i] as T];
  }
  const same = mixed.every((one, i) => one === list[i]);
  return same && mixed.length > 1 ? [...mixed.slice(1), mixed[0] as T] : mixed;
}
