import {
  HALF_FIGURES,
  alikeCards,
  heftOf,
  UNIT_ORDER,
  bothSides,
  hardness,
  mayAsk,
  mirrorImages,
  reflected,
  repeatUnit,
  seenInMirrors,
  smallestUnit,
  snapHinge,
  unfolded,
  withMistake,
  wholePictures,
} from './index.js';

describe('patterns', () => {
  it('have the smallest unit that trying every length finds, on all rows to ten over three things', () => {
    const rows = (length: number): string[] =>
      length === 0 ? [''] : rows(length - 1).flatMap((row) => ['A', 'B', 'C'].map((x) => row + x));
    for (let length = 1; length <= 10; length++) {
      for (const row of rows(length)) {
        let size = 1;
        while (!row.slice(0, size).repeat(length).startsWith(row)) size++;
        if (smallestUnit([...row]).length !== size) fail(`${row}: not ${size}`);
      }
    }
    expect(smallestUnit([])).toEqual([]);
  });

  it('grow, hide a mistake, and are in the order of what is harder', () => {
    expect(repeatUnit(['a', 'a', 'b'], 7).join('')).toBe('aabaaba');
    expect([mayAsk(['a', 'b'], 3), mayAsk(['a', 'b'], 4)]).toEqual([false, true]);
    expect(withMistake(['a', 'b', 'a'], 2, ['b', 'c']).join('')).toBe('aca');
    const hard = UNIT_ORDER.map((unit) => hardness([...unit]));
    expect(hard).toEqual([...hard].sort((a, b) => a - b));
    expect(hardness(['red', 'red', 'blue'])).toBe(1);
    expect(hardness([...'ABCD'])).toBeGreaterThan(Math.max(...hard));
  });
});

describe('mirrors', () => {
  /** A point over a line through zero at an angle, by vectors: no angle is added up. */
  const over = (p: { x: number; y: number }, line: number): { x: number; y: number } => {
    const [ux, uy] = [Math.cos(line), Math.sin(line)];
    const along = p.x * ux + p.y * uy;
    return { x: 2 * along * ux - p.x, y: 2 * along * uy - p.y };
  };
  const names = (p: { x: number; y: number }): string => `${p.x.toFixed(6)},${p.y.toFixed(6)}`;

  // Textbook optics: 360/a - 1 pictures, one more for an odd part where the thing is off the middle.
  it('show as many pictures as the textbook says, where reflecting by turns puts them', () => {
    for (let m = 2; m <= 12; m++) {
      const opening = 360 / m;
      const a = (opening * Math.PI) / 180;
      expect(wholePictures(opening)).toBe(m);
      for (const [at, onMiddle] of [
        [opening / 2, true],
        [opening * 0.37, false],
      ] as const) {
        const images = mirrorImages(opening, at);
        expect(images.length).withContext(`${m} at ${at}`).toBe(seenInMirrors(m, onMiddle));
        const start = {
          x: 5 * Math.cos((at * Math.PI) / 180),
          y: 5 * Math.sin((at * Math.PI) / 180),
        };
        // All points that reflecting in the two lines by turns, m times, can reach.
        const reached = new Set<string>();
        for (const first of [0, 1]) {
          let p = start;
          for (let n = 0; n < m; n++) {
            p = over(p, (n + first) % 2 === 0 ? 0 : a);
            reached.add(names({ x: p.x || 0, y: p.y || 0 }));
          }
        }
        for (const image of images) {
          const p = reflected(image, start);
          const near = [...reached].some((one) => {
            const [x, y] = one.split(',').map(Number) as [number, number];
            return Math.hypot(x - p.x, y - p.y) < 1e-5;
          });
          expect(near)
            .withContext(`${m} ${names(p)}`)
            .toBeTrue();
        }
      }
    }
    expect([180, 120, 90, 72, 60, 45, 36, 30].map((a) => seenInMirrors(360 / a, true))).toEqual([
      1, 2, 3, 4, 5, 7, 9, 11,
    ]);
    expect(wholePictures(80)).toBeNull();
    expect([snapHinge(88), snapHinge(80)]).toEqual([90, 80]);
    expect(mirrorImages(80, 30).length).toBeGreaterThan(2);
  });

  it('check both sides of a line: pairs, and the first lone piece', () => {
    const at = (side: 'left' | 'right', row: number, step: number, kind = 'disc') => ({
      side,
      row,
      step,
      kind,
    });
    const pieces = [
      at('left', 0, 1),
      at('right', 0, 1),
      at('left', 1, 2),
      at('right', 1, 2, 'peg'),
    ];
    expect(bothSides(pieces)).toEqual({ pairs: 1, lone: pieces[2]! });
    expect(bothSides(pieces.slice(0, 2))).toEqual({ pairs: 1, lone: null });
    const half = [
      { x: 0, y: 0 },
      { x: 3, y: 4 },
      { x: 0, y: 8 },
    ];
    expect(unfolded(half).map((p) => p.x)).toEqual([0, 3, 0, 0, -3, 0]);
  });
});

describe('drawings and hefts', () => {
  it('make cards with the drawing that is sought among four, the same from the same seed', () => {
    const cards = alikeCards(30, 4);
    for (const { sought, among } of cards) {
      expect(new Set(among.map((one) => one.id)).size).toBe(4);
      expect(among).toContain(sought);
    }
    expect(alikeCards(30, 4)).toEqual(cards);
    expect(alikeCards(30, 5)).not.toEqual(cards);
  });

  it('open to figures that stay on their field and begin and end on the fold', () => {
    for (const { id, half } of HALF_FIGURES) {
      expect([half[0]!.x, half.at(-1)!.x])
        .withContext(id)
        .toEqual([0, 0]);
      for (const { x, y } of half) {
        if (x < 0 || x > 5 || y < 0 || y > 12) fail(`${id}: ${x}, ${y} is off the field`);
      }
    }
  });

  it('weigh a thing by its volume, by its name, and otherwise the same every time', () => {
    expect([heftOf('blocks', 100), heftOf('blocks', 1)]).toEqual([70, 2]);
    expect([heftOf('two stones', null), heftOf('stone', null)]).toEqual([620, 620]);
    const other = heftOf('zither', null);
    expect(other).toBe(heftOf('zither', null));
    expect(other).toBeGreaterThanOrEqual(30);
    expect(other).toBeLessThanOrEqual(700);
  });
});
