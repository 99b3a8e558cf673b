import fc from 'fast-check';
import {
  HALF_FIGURES,
  alikeCards,
  heftOf,
  UNIT_ORDER,
  bothSides,
  GRID_LINES,
  HINGE_PARTS,
  hingeDegrees,
  opposite,
  picturesSeen,
  hardness,
  mayAsk,
  mirrorImages,
  reflected,
  repeatUnit,
  smallestUnit,
  unfolded,
  MISTAKES,
  growingRow,
  rowsLike,
  withMistake,
  wrongWords,
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
    const hard = UNIT_ORDER.map((unit) => hardness([...unit]));
    expect(hard).toEqual([...hard].sort((a, b) => a - b));
    expect(hardness(['red', 'red', 'blue'])).toBe(1);
    expect(hardness([...'ABCD'])).toBeGreaterThan(Math.max(...hard));
  });
});

describe('mistakes in patterns', () => {
  const rows = (): string[][] => [
    ...['AB', 'AAB', 'ABB', 'ABC', 'AABB', 'ABAC', 'ABCD'].map((unit) =>
      repeatUnit([...unit], 3 * unit.length),
    ),
    growingRow(4),
  ];

  it('are made of the row’s own pieces, and mended at any of the places that count as right', () => {
    for (const row of rows()) {
      for (let place = 2; place < row.length; place++) {
        for (const mistake of MISTAKES) {
          const { row: wrong, places } = withMistake(row, place, mistake);
          const where = `${row.join('')} ${mistake} at ${place}`;
          expect(wrong.every((one) => row.includes(one)))
            .withContext(where)
            .toBeTrue();
          expect(wrong.join('')).withContext(where).not.toBe(row.join(''));
          expect(places.length).withContext(where).toBeGreaterThan(0);
          for (const at of places) {
            expect(at).withContext(where).toBeGreaterThanOrEqual(1);
            expect(at).withContext(where).toBeLessThanOrEqual(wrong.length);
          }
          if (mistake === 'twice') {
            for (const at of places)
              expect(wrong.filter((_, i) => i !== at - 1).join(''))
                .withContext(where)
                .toBe(row.join(''));
          }
          if (mistake === 'left-out') {
            // Put before or behind one of them, the piece is back.
            const back = places.some((at) =>
              [at - 1, at].some(
                (i) =>
                  [...wrong.slice(0, i), row[place - 1]!, ...wrong.slice(i)].join('') ===
                  row.join(''),
              ),
            );
            expect(back).withContext(where).toBeTrue();
          }
        }
      }
    }
    expect(growingRow(3).join('')).toBe('ABABBABBB');
    expect(() => withMistake(['A', 'B'], 1, 'twice')).toThrowError(RangeError);
    expect(() => withMistake(['A', 'A'], 2, 'another')).toThrowError(RangeError);
  });

  it('are named at every length that is shown', () => {
    for (const repeats of [2, 3, 4]) {
      const shown = repeatUnit([...'ABB'], 3 * repeats);
      expect(wrongWords(shown, ['B'], ['A'])).toContain(
        'the first one is the one before, laid again',
      );
      expect(wrongWords(shown, ['A', 'C'], ['A', 'B'])).toContain('the second one is another');
      expect(wrongWords(shown, ['A', 'B'], ['A', 'B'])).toBe('');
    }
  });

  it('lie each in another place of rows that are nearly alike', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 3, max: 6 }), (seed, length) => {
        const row = repeatUnit([...'ABC'], length);
        const like = rowsLike(row, ['A', 'B', 'C'], seed);
        const off = like.map((one) => one.flatMap((piece, i) => (piece === row[i] ? [] : [i])));
        expect(off.every((places) => places.length === 1)).toBeTrue();
        expect(new Set(off.flat()).size).toBe(3);
      }),
    );
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
      expect(hingeDegrees(m)).toBe(opening);
      for (const [at, onMiddle] of [
        [opening / 2, true],
        [opening * 0.37, false],
      ] as const) {
        const images = mirrorImages(opening, at);
        // What is drawn are the pictures; the thing itself is counted with them.
        expect(images.length + 1)
          .withContext(`${m} at ${at}`)
          .toBe(picturesSeen(m, onMiddle));
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
    // Textbook optics: 360 degrees by the opening, the thing itself among them.
    expect([180, 120, 90, 72, 60, 45, 36, 30].map((a) => picturesSeen(360 / a, true))).toEqual([
      2, 3, 4, 5, 6, 8, 10, 12,
    ]);
    expect([HINGE_PARTS[0]!, HINGE_PARTS.at(-1)!].map(hingeDegrees)).toEqual([180, 30]);
    expect(mirrorImages(80, 30).length).toBeGreaterThan(2);
  });

  it('check both sides of a line: pairs, and the first lone piece', () => {
    const at = (row: number, column: number, kind = 'disc') => ({ row, column, kind });
    const pieces = [at(0, 2), at(0, 3), at(1, 1), at(1, 4, 'peg')];
    expect(bothSides('upright', 6, pieces)).toEqual({ pairs: 1, lone: pieces[2]! });
    expect(bothSides('upright', 6, pieces.slice(0, 2))).toEqual({ pairs: 1, lone: null });
    expect(bothSides('level', 4, [at(0, 1), at(3, 1)])).toEqual({ pairs: 1, lone: null });
    expect(bothSides('slanting', 4, [at(0, 1), at(1, 0), at(2, 2)])).toEqual({
      pairs: 2,
      lone: null,
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...GRID_LINES),
        fc.integer({ min: 2, max: 4 }),
        fc.array(fc.tuple(fc.nat(7), fc.nat(7), fc.constantFrom('a', 'b')), { maxLength: 12 }),
        (line, halfSize, some) => {
          const size = 2 * halfSize;
          const laid = new Map<string, ReturnType<typeof at>>();
          for (const [r, c, kind] of some) {
            const here = at(r % size, c % size, kind);
            const there = { ...opposite(line, size, here), kind };
            expect(opposite(line, size, there)).toEqual({ row: here.row, column: here.column });
            for (const one of [here, there]) laid.set(`${one.row}/${one.column}`, one);
          }
          // Every piece laid with its like over the line: both sides are the same.
          expect(bothSides(line, size, [...laid.values()]).lone).toBeNull();
        },
      ),
    );
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
