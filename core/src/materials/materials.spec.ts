import { findActivity } from '../activities/index.js';
import { seeded } from '../numbers/index.js';
import type { Shape, Material } from '../vocabulary/index.js';
import { type Planned, isSafe, needsOf, smallPart, smallPartReason } from './index.js';

const material = (more: Partial<Material>): Material => ({
  id: '00000000-0000-4000-8000-000000000009',
  name: 'cork discs',
  use: 'counter',
  count: 40,
  colors: [{ name: 'blue', count: 40 }],
  alike: true,
  shape: { kind: 'disc', diameterMm: 30, thicknessMm: 5 },
  box: 'box 3',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
  ...more,
});

// 16 CFR 1501.4 and 1500.18(a)(17), from memory: what fits the cylinder, and small balls.
describe('small parts', () => {
  const cases: [string, Shape, ReturnType<typeof smallPart>][] = [
    ['ball 16', { kind: 'ball', diameterMm: 16 }, 'small-part'],
    ['ball 40', { kind: 'ball', diameterMm: 40 }, 'small-ball'],
    ['ball 50', { kind: 'ball', diameterMm: 50 }, 'neither'],
    ['disc 25 x 3', { kind: 'disc', diameterMm: 25, thicknessMm: 3 }, 'small-part'],
    ['rod', { kind: 'block', lengthMm: 114, widthMm: 10, heightMm: 2 }, 'neither'],
    ['cube 20', { kind: 'block', lengthMm: 20, widthMm: 20, heightMm: 20 }, 'small-part'],
    // Own arithmetic: its face is 35.9 mm across the corners, and the cylinder 31.7 mm wide.
    ['cube 25.4', { kind: 'block', lengthMm: 25.4, widthMm: 25.4, heightMm: 25.4 }, 'neither'],
    ['cube 22', { kind: 'block', lengthMm: 22, widthMm: 22, heightMm: 22 }, 'small-part'],
    ['cube 40', { kind: 'block', lengthMm: 40, widthMm: 40, heightMm: 40 }, 'neither'],
    ['unknown', { kind: 'unknown' }, 'small-part'],
  ];
  for (const [name, shape, verdict] of cases) {
    it(`calls a ${name} ${verdict}`, () => expect(smallPart(shape)).toBe(verdict));
  }

  it('never lets a magnet or a button cell out, whatever its size', () => {
    const big: Shape = { kind: 'ball', diameterMm: 80 };
    expect(
      isSafe(material({ shape: big, hazards: ['magnet'] }), { noSmallParts: false }),
    ).toBeFalse();
    expect(isSafe(material({ shape: big }), { noSmallParts: true })).toBeTrue();
    expect(isSafe(material({}), { noSmallParts: true })).toBeFalse();
  });
});

/**
 * A published shape checked by packing: a thing fits the cylinder if some turn of it does. The
 * cylinder's bottom slants from 25.4 to 57.1 mm; corner points of the turned thing must lie inside.
 * Written for this check alone; random turns can miss a fit, never invent one.
 */
function packs(points: readonly (readonly [number, number, number])[], turns: number): boolean {
  const random = seeded(77);
  const radius = 31.7 / 2;
  for (let t = 0; t < turns; t++) {
    const [a, b, c] = [random() * 2 * Math.PI, random() * Math.PI, random() * 2 * Math.PI];
    const turned = points.map(([x, y, z]) => {
      const [x1, y1] = [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)];
      const [y2, z2] = [y1 * Math.cos(b) - z * Math.sin(b), y1 * Math.sin(b) + z * Math.cos(b)];
      return [
        x1 * Math.cos(c) - y2 * Math.sin(c),
        x1 * Math.sin(c) + y2 * Math.cos(c),
        z2,
      ] as const;
    });
    const lowest = Math.max(...turned.map((one) => one[2]));
    const inside = turned.every(([x, y, z]) => {
      const depth = 57.1 - (lowest - z);
      const bottom = 25.4 + ((57.1 - 25.4) * (x + radius)) / (2 * radius);
      return (
        Math.hypot(x, y) <= radius &&
        depth <= bottom &&
        z - Math.min(...turned.map((one) => one[2])) >= 0 &&
        depth >= 0
      );
    });
    if (inside) return true;
  }
  return false;
}

describe('the small-part verdict', () => {
  it('is never less careful than packing the thing into the cylinder', () => {
    const random = seeded(5);
    for (let i = 0; i < 60; i++) {
      const [l, w, h] = [8 + 60 * random(), 4 + 40 * random(), 2 + 30 * random()];
      const corners = [-1, 1].flatMap((x) =>
        [-1, 1].flatMap((y) =>
          [-1, 1].map((z) => [(x * l) / 2, (y * w) / 2, (z * h) / 2] as const),
        ),
      );
      if (packs(corners, 400)) {
        const shape: Shape = { kind: 'block', lengthMm: l, widthMm: w, heightMm: h };
        expect(smallPart(shape)).withContext(JSON.stringify(shape)).toBe('small-part');
      }
    }
  });

  it('gives its reason, and doubt counts as a small part', () => {
    expect(smallPartReason({ kind: 'unknown' })).toContain('treat it as a small part');
    expect(smallPartReason({ kind: 'ball', diameterMm: 40 })).toContain('small ball');
    expect(smallPartReason({ kind: 'ball', diameterMm: 50 })).toContain('wider than');
  });

  it('lets a bowl of unknown measures stay, and a loose thing not', () => {
    const care = { noSmallParts: true };
    const unknown: Shape = { kind: 'unknown' };
    expect(isSafe(material({ use: 'bowl', shape: unknown }), care)).toBeTrue();
    expect(isSafe(material({ use: 'loose', shape: unknown }), care)).toBeFalse();
  });

  it('keeps away what somebody here is allergic to', () => {
    const bits = material({
      name: 'walnut halves',
      use: 'snack',
      shape: { kind: 'ball', diameterMm: 60 },
    });
    expect(isSafe(bits, { noSmallParts: false, allergies: ['walnut'] })).toBeFalse();
    expect(isSafe(bits, { noSmallParts: false })).toBeTrue();
  });
});

describe('stand-ins', () => {
  const under = findActivity('counters-under')!;
  const planned = (noSmallParts: boolean): Planned[] => [
    { activity: under, sizes: { tops: [10] }, care: { noSmallParts } },
  ];

  it('name what is short, and what would do', () => {
    const bobbins = material({
      id: '00000000-0000-4000-8000-000000000010',
      name: 'bobbins',
      count: 48,
      colors: [],
    });
    const line = needsOf(planned(false), [material({}), bobbins]).find(
      (one) => one.use === 'counter',
    )!;
    expect(line.count).toBe(55);
    expect(line.sum).toBe('1 + 2 + … + 10 = 55');
    expect(line.material?.name).toBe('bobbins');
    expect(line.short).toBe(7);
    expect(line.standIns[0]?.material.name).toBe('cork discs');
  });

  it('are safe for the youngest, and say what stays away', () => {
    const line = needsOf(planned(true), [material({})]).find((one) => one.use === 'counter')!;
    expect(line.material).toBeNull();
    expect(line.short).toBe(55);
    expect(line.standIns).toEqual([]);
    expect(line.away.map((one) => one.because)).toEqual(['small part']);
  });

  it('sum what is used up, and not what is used again', () => {
    const stickers = findActivity('sticker-cards')!;
    const care = { noSmallParts: false };
    const twice = [0, 1].map(() => ({ activity: stickers, sizes: { tops: [5] }, care }));
    const lines = needsOf(twice, []);
    expect(lines.find((one) => one.use === 'sticker')!.count).toBe(30);
    const again = needsOf([...planned(false), ...planned(false)], []);
    expect(again.find((one) => one.use === 'counter')!.count).toBe(55);
  });
});

describe('laying ready', () => {
  const handfuls = findActivity('handfuls')!;
  const dice = findActivity('dice-touch')!;

  it('takes the most wanted at once, and names what is short with a stand-in', () => {
    const care = { noSmallParts: false };
    const planned = [
      { activity: handfuls, sizes: { tops: [5, 20] }, care },
      { activity: dice, sizes: { tops: [5, 5] }, care },
    ];
    const lines = needsOf(planned, [
      material({ count: 20, colors: [{ name: 'blue', count: 20 }] }),
      material({
        id: '00000000-0000-4000-8000-000000000011',
        name: 'felt balls',
        alike: false,
      }),
    ]);
    const counters = lines[0]!;
    expect(counters.count).toBe(36);
    expect(counters.short).toBe(16);
    expect(counters.sum).toBe('36');
    expect(counters.standIns[0]?.material.name).toBe('felt balls');
    expect(counters.standIns[0]?.because).toContain('not all alike');
    expect(counters.for).toEqual(['A lot and a few', 'Roll and touch']);
  });

  it('prefers what is safe for the youngest who is here', () => {
    const big = material({
      name: 'felt discs',
      count: 30,
      shape: { kind: 'disc', diameterMm: 60, thicknessMm: 8 },
      colors: [],
    });
    const line = (noSmallParts: boolean) =>
      needsOf(
        [{ activity: handfuls, sizes: { tops: [5] }, care: { noSmallParts } }],
        [material({}), big],
      ).find((one) => one.use === 'counter');
    expect(line(true)?.material?.name).toBe('felt discs');
    expect(line(false)?.material?.name).toBe('cork discs');
  });

  it('has a line for each kind of care: what is small for one moment, and large for another', () => {
    const id = '00000000-0000-4000-8000-000000000012';
    const big = material({ id, name: 'felt discs', count: 30, colors: [] });
    const large = { ...big, shape: { kind: 'disc', diameterMm: 60, thicknessMm: 8 } as const };
    const lines = needsOf(
      [true, false].map((noSmallParts) => ({
        activity: handfuls,
        sizes: { tops: [5] },
        care: { noSmallParts },
      })),
      [material({}), large],
    ).filter((one) => one.use === 'counter');
    expect(lines.map((one) => one.material?.name)).toEqual(['felt discs', 'cork discs']);
    expect(new Set(lines.map((one) => one.key)).size).toBe(2);
  });
});
