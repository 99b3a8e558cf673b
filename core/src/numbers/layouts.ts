import type { Layout } from '../vocabulary/index.js';
import { seeded } from './seeded.js';

/** Middle of a counter, in counter diameters from the upper left of the picture. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly spots: readonly Spot[];
}

const GAP = 1.3;
const ROW = 10;
/** Scattered counters lie no nearer than this, middle to middle. */
const NEAREST = 1.6;
const NEAREST_IN_HEAP = 1.02;
const MOST_ATTEMPTS = 4000;

/**
 * Where n counters (0 to 40) are in a layout; the same seed gives the same picture. Distances are
 * in counter diameters, and every counter lies whole inside the picture.
 */
export function layOut(n: number, layout: Layout, seed: number): Picture {
  switch (layout) {
    case 'row':
    case 'rows':
      return rows(n);
    case 'ring':
      return ring(n);
    case 'slant':
      return framed(Array.from({ length: n }, (_, i) => ({ x: i * 1.05, y: -i * 0.55 })));
    case 'scatter':
      return scattered(n, NEAREST, 1.9, seed);
    case 'heap':
      return scattered(n, NEAREST_IN_HEAP, 1.15, seed);
  }
}

function rows(n: number): Picture {
  return framed(
    Array.from({ length: n }, (_, i) => ({ x: (i % ROW) * GAP, y: Math.floor(i / ROW) * 1.6 })),
  );
}

function ring(n: number): Picture {
  const radius = Math.max(1.1, GAP / 2 / Math.sin(Math.PI / Math.max(2, n)));
  return framed(
    Array.from({ length: n }, (_, i) => {
      const turn = (i / n) * 2 * Math.PI - Math.PI / 2;
      return { x: radius * Math.cos(turn), y: radius * Math.sin(turn) };
    }),
  );
}

/** Throws counters one by one into a box that grows when there is no room left. */
function scattered(n: number, nearest: number, room: number, seed: number): Picture {
  const random = seeded(seed);
  let width = room * Math.sqrt(n * 1.7);
  const spots: Spot[] = [];
  for (let attempts = 0; spots.length < n && attempts < MOST_ATTEMPTS; attempts++) {
    const spot = { x: random() * width, y: (random() * width) / 1.7 };
    const free = spots.every((one) => Math.hypot(one.x - spot.x, one.y - spot.y) >= nearest);
    if (free) spots.push(spot);
    else if (attempts % 200 === 199) width *= 1.1;
  }
  return framed(spots);
}

function framed(spots: readonly Spot[]): Picture {
  if (spots.length === 0) return { width: 1, height: 1, spots: [] };
  const left = Math.min(...spots.map((spot) => spot.x));
  const top = Math.min(...spots.map((spot) => spot.y));
  const moved = spots.map((spot) => ({ x: spot.x - left + 0.5, y: spot.y - top + 0.5 }));
  return {
    width: Math.max(...moved.map((spot) => spot.x)) + 0.5,
    height: Math.max(...moved.map((spot) => spot.y)) + 0.5,
    spots: moved,
  };
}
