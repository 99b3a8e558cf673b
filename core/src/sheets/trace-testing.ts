import { seeded } from '../numbers/index.js';
import { type DigitForms, strokesOf } from './strokes.js';

type P = readonly [x: number, y: number];
export type Drawn = readonly (readonly P[])[];
type Random = () => number;

/** Ways in which a digit is drawn that is the one asked for; the last three can be read, and are told apart. */
export const RIGHT_WAYS = ['fast', 'slow', 'shaky', 'small', 'left-handed'] as const;
export const READABLE_WAYS = ['wrong order', 'reversed', 'from the end'] as const;
export type Way = (typeof RIGHT_WAYS)[number] | (typeof READABLE_WAYS)[number];

const between = (random: Random, low: number, high: number): number =>
  low + random() * (high - low);

/** A smooth bend of the whole field: a few slow waves, as a hand leans and drifts. */
function bend(random: Random, most: number): (p: P) => P {
  const waves = Array.from({ length: 2 }, () => ({
    ax: between(random, -most, most),
    ay: between(random, -most, most),
    fx: between(random, 0.15, 0.4),
    fy: between(random, 0.1, 0.3),
    at: between(random, 0, 2 * Math.PI),
  }));
  return ([x, y]) => {
    let [u, w] = [x, y];
    for (const one of waves) {
      u += one.ax * Math.sin(one.fy * y + one.at);
      w += one.ay * Math.sin(one.fx * x + one.at);
    }
    return [u, w];
  };
}

/** Turned a little, slanted, and drawn out. */
function lean(random: Random, degrees: number, slant: number): (p: P) => P {
  const t = (between(random, -degrees, degrees) * Math.PI) / 180;
  const s = between(random, -slant, slant);
  const [a, b] = [between(random, 0.8, 1.2), between(random, 0.85, 1.15)];
  return ([x, y]) => {
    const [u, w] = [(x - 5) * a + s * (8 - y), (y - 8) * b];
    return [u * Math.cos(t) - w * Math.sin(t), u * Math.sin(t) + w * Math.cos(t)];
  };
}

/** So many points at equal steps of a line. */
function resampled(line: readonly P[], many: number): P[] {
  const steps = line.slice(1).map(([x, y], i) => {
    const [u, w] = line[i] as P;
    return Math.hypot(x - u, y - w);
  });
  const whole = steps.reduce((sum, one) => sum + one, 0);
  let [at, gone] = [0, 0];
  return Array.from({ length: many }, (_, k): P => {
    const wanted = (whole * k) / (many - 1);
    while (at < steps.length - 1 && gone + (steps[at] as number) < wanted)
      gone += steps[at++] as number;
    const [[x, y], [u, w]] = [line[at] as P, line[at + 1] as P];
    const part = Math.min(1, (wanted - gone) / ((steps[at] as number) || 1));
    return [x + (u - x) * part, y + (w - y) * part];
  });
}

/** Corners are cut by a hand in a hurry: each point is the middle of its neighbors. */
const hurried = (line: readonly P[], times: number): P[] => {
  let points = [...line];
  for (let i = 0; i < times; i++) {
    points = points.map((p, k): P => {
      const [before, after] = [points[k - 1] ?? p, points[k + 1] ?? p];
      return [(before[0] + 2 * p[0] + after[0]) / 4, (before[1] + 2 * p[1] + after[1]) / 4];
    });
  }
  return points;
};

/** A hand that trembles. */
const trembling = (line: readonly P[], random: Random, most: number): P[] =>
  line.map(([x, y]): P => [x + between(random, -most, most), y + between(random, -most, most)]);

/** The same digit as a child draws it in one of the ways; always the same from the same seed. */
export function drawnIn(way: Way, digit: number, forms: DigitForms, seed: number): Drawn {
  const random = seeded(seed);
  const bent = bend(random, way === 'slow' ? 0.35 : 0.28);
  const leans = lean(random, 10, way === 'left-handed' ? 0.3 : 0.16);
  let lines = strokesOf(digit, forms).map(({ points }) =>
    resampled(points, Math.max(8, way === 'fast' ? 14 : way === 'slow' ? 60 : 32))
      .map(bent)
      .map(leans),
  );
  if (way === 'fast') lines = lines.map((one) => hurried(one, 2));
  if (way === 'shaky') lines = lines.map((one) => trembling(one, random, 0.32));
  if (way === 'small')
    lines = lines.map((one) =>
      trembling(one, random, 0.22).map(([x, y]): P => [40 + x / 7, 20 + y / 7]),
    );
  if (way === 'left-handed')
    // What goes across is drawn from the right.
    lines = lines.map((one) => {
      const [[x, y], [u, w]] = [one[0] as P, one.at(-1) as P];
      const isAcross = one.length > 0 && Math.abs(u - x) > 3 * Math.abs(w - y) && lines.length > 1;
      return isAcross ? [...one].reverse() : one;
    });
  if (way === 'wrong order') lines = [...lines].reverse();
  if (way === 'reversed') lines = lines.map((one) => one.map(([x, y]): P => [-x, y]));
  if (way === 'from the end') lines = lines.map((one) => [...one].reverse()).reverse();
  return lines;
}

/** What is no digit: a line at any slant, a zigzag, a scribble; always the same from the same seed. */
export function notADigit(kind: 'line' | 'zigzag' | 'scribble', seed: number): Drawn {
  const random = seeded(seed);
  if (kind === 'line') {
    const t = between(random, 0, Math.PI);
    const line = resampled(
      [
        [0, 0],
        [14 * Math.cos(t), 14 * Math.sin(t)],
      ],
      24,
    );
    return [trembling(line.map(bend(random, 0.12)), random, 0.12)];
  }
  if (kind === 'zigzag') {
    const turns = 3 + Math.floor(random() * 5);
    const [wide, high] = [between(random, 2.5, 8), between(random, 8, 15)];
    const corners = Array.from({ length: turns + 1 }, (_, i): P => [
      (i % 2) * wide,
      (high * i) / turns,
    ]);
    const lies = random() < 0.4;
    const line = resampled(lies ? corners.map(([x, y]): P => [y, x]) : corners, 40);
    return [trembling(line.map(bend(random, 0.2)), random, 0.15)];
  }
  let [x, y, t] = [0, 0, between(random, 0, 2 * Math.PI)];
  const points = Array.from({ length: 90 }, (): P => {
    t += between(random, -0.9, 0.9) + 0.25;
    x += Math.cos(t);
    y += Math.sin(t);
    return [x, y];
  });
  return [points];
}
