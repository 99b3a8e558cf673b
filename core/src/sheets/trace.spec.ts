import { type DigitForms, type TraceSeen, seenInTrace } from './index.js';
import { READABLE_WAYS, RIGHT_WAYS, drawnIn, notADigit } from './trace-testing.js';

/** Points as "x,y", strokes apart by a slash: drawn by hand on a field of about 100 by 150. */
const read = (trace: string): [number, number][][] =>
  trace.split('/').map((stroke) =>
    stroke
      .trim()
      .split(' ')
      .map((point) => point.split(',').map(Number) as [number, number]),
  );

const USUAL: DigitForms = { one: 'plain', four: 'open', nine: 'straight' };
const HOOK: DigitForms = { one: 'flagged', four: 'closed', nine: 'curved' };

// Hand-made traces, invented for this spec; what each shows is by common practice, no source.
const TRACES: readonly (readonly [digit: number, seen: TraceSeen, trace: string, DigitForms?])[] = [
  // Right, some of them shaky, lopsided, small, or lifted on the way.
  [0, 'right', '52,10 30,18 16,45 14,80 22,118 44,140 68,136 86,110 90,72 84,36 70,16 54,11'],
  [
    0,
    'right',
    '50,12 40,10 28,24 31,30 18,52 22,60 12,85 20,90 22,120 30,118 45,138 58,132 72,134 84,108 78,100 88,70 80,62 82,38 68,30 66,18 55,14',
  ],
  [1, 'right', '48,8 50,40 47,80 52,112 50,141'],
  [1, 'right', '22,40 36,24 52,8 50,60 53,110 50,142 / 26,141 50,143 78,140', HOOK],
  [2, 'right', '14,34 24,14 48,8 74,18 80,40 66,70 42,104 12,140 46,138 86,141'],
  [
    2,
    'right',
    '18,30 22,20 40,14 44,18 62,14 72,30 70,44 74,50 60,70 54,74 40,100 34,98 16,132 30,136 40,130 60,136 80,132',
  ],
  [3, 'right', '18,22 38,9 64,14 72,36 58,60 38,68 62,72 84,96 76,126 48,141 16,130'],
  [
    3,
    'right',
    '20,26 30,14 50,12 68,26 62,44 66,50 44,64 70,74 78,100 82,106 66,134 50,132 40,140 22,126',
  ],
  [4, 'right', '22,10 20,50 22,86 50,85 88,88 / 66,40 64,90 67,142'],
  [4, 'right', '64,8 40,50 12,94 50,96 90,94 / 63,12 66,70 64,142', HOOK],
  [5, 'right', '22,12 20,38 18,60 40,52 66,58 82,84 76,118 48,140 16,132 / 22,12 50,10 82,13'],
  [
    5,
    'right',
    '26,20 22,40 28,44 22,66 44,60 60,68 70,90 74,96 62,122 40,128 28,122 / 26,20 40,24 54,16 70,20',
  ],
  [6, 'right', '70,10 44,30 24,66 16,102 28,132 54,141 80,126 82,98 62,80 36,84 19,106'],
  [7, 'right', '14,12 50,10 86,13 66,60 48,104 36,142'],
  [7, 'right', '18,18 30,14 44,20 60,14 78,18 70,40 72,44 56,80 58,84 46,110 44,130'],
  [
    8,
    'right',
    '52,10 28,18 20,42 36,64 62,80 82,106 74,132 48,142 22,130 18,104 38,80 62,64 80,40 74,18 54,10',
  ],
  [9, 'right', '80,38 70,16 46,10 20,28 18,58 38,76 64,70 80,42 82,36 82,90 80,142'],
  [
    9,
    'right',
    '78,40 72,18 48,12 24,26 18,52 34,74 60,72 78,44 80,38 79,84 70,122 48,141 24,132',
    HOOK,
  ],
  // Turned round as a whole.
  [2, 'reversed', '86,34 76,14 52,8 26,18 20,40 34,70 58,104 88,140 54,138 14,141'],
  [3, 'reversed', '82,22 62,9 36,14 28,36 42,60 62,68 38,72 16,96 24,126 52,141 84,130'],
  [4, 'reversed', '78,10 80,50 78,86 50,85 12,88 / 34,40 36,90 33,142'],
  [5, 'reversed', '78,12 80,38 82,60 60,52 34,58 18,84 24,118 52,140 84,132 / 78,12 50,10 18,13'],
  [6, 'reversed', '30,10 56,30 76,66 84,102 72,132 46,141 20,126 18,98 38,80 64,84 81,106'],
  [7, 'reversed', '86,12 50,10 14,13 34,60 52,104 64,142'],
  [9, 'reversed', '20,38 30,16 54,10 80,28 82,58 62,76 36,70 20,42 18,36 18,90 20,142'],
  [3, 'reversed', '80,24 70,12 50,14 34,28 38,46 60,64 36,76 22,100 34,132 60,138 78,126'],
  // Begun elsewhere.
  [0, 'start', '50,140 76,128 88,84 80,34 52,10 24,26 12,76 22,124 48,139'],
  [1, 'start', '50,142 48,100 51,50 49,8'],
  [2, 'start', '86,141 46,138 12,140 42,104 66,70 80,40 74,18 48,8 24,14 14,34'],
  [5, 'start', '82,13 50,10 22,12 20,38 18,60 40,52 66,58 82,84 76,118 48,140 16,132'],
  [7, 'start', '36,142 48,104 66,60 86,13 50,10 14,12'],
  [
    8,
    'start',
    '48,142 22,130 18,104 38,80 62,64 80,40 74,18 54,10 28,18 20,42 36,64 62,80 82,106 74,132 50,141',
  ],
  [9, 'start', '80,142 82,90 82,36 70,16 46,10 20,28 18,58 38,76 64,70 80,42'],
  // The other stroke first.
  [4, 'order', '66,10 64,90 67,142 / 66,10 40,50 12,94 50,96 90,94', HOOK],
  [5, 'order', '22,12 50,10 82,13 / 22,12 20,38 18,60 40,52 66,58 82,84 76,118 48,140 16,132'],
  // The other way round, from the right place.
  [0, 'direction', '50,10 74,18 88,60 86,100 72,132 48,141 24,128 12,90 16,46 30,18 49,11'],
  [
    8,
    'direction',
    '50,10 74,18 82,42 64,64 38,80 18,106 26,132 52,142 78,130 82,104 62,80 38,64 20,40 26,18 48,10',
  ],
  // Not closed.
  [0, 'open', '40,12 20,30 12,70 20,118 44,140 70,134 86,104 90,66 88,40'],
  [9, 'open', '80,30 60,10 36,12 20,32 22,58 36,70 46,70 74,88 80,112 80,142'],
  // Nothing that can be read as it.
  [3, 'other-shape', '10,80 30,78 52,82 74,79 92,81'],
];

describe('a traced digit', () => {
  it('is told apart: right, turned round, begun elsewhere, in another order, shaky', () => {
    expect(TRACES.length).toBe(40);
    const said = TRACES.map(([digit, seen, trace, forms = USUAL]) => ({
      digit,
      seen,
      found: seenInTrace(digit, forms, read(trace)),
    }));
    const wrong = said.filter(({ seen, found }) => seen !== found);
    expect(said.length - wrong.length)
      .withContext(JSON.stringify(wrong))
      .toBeGreaterThanOrEqual(38);
    expect(said.filter(({ seen, found }) => seen === 'right' && found !== 'right')).toEqual([]);
  });

  it('is not marked down for its size, its place, or a pencil that was lifted', () => {
    const two = read('14,34 24,14 48,8 74,18 80,40 66,70 42,104 12,140 46,138 86,141');
    const small = two.map((one) => one.map(([x, y]): [number, number] => [900 + x / 9, 7 + y / 9]));
    expect(seenInTrace(2, USUAL, small)).toBe('right');
    const [line] = two as [[number, number][]];
    const lifted = [line.slice(0, 5), line.slice(4), [[2, 2] as const, [2, 3] as const]];
    expect(seenInTrace(2, USUAL, lifted)).toBe('right');
    expect(seenInTrace(2, USUAL, [])).toBe('other-shape');
  });
});

/** Distorted digits, made from seeds: sixty a digit. What counts as each way is invented for this spec. */
describe('a traced digit among others', () => {
  const ALL: readonly DigitForms[] = [USUAL, HOOK, { ...USUAL, four: 'closed', nine: 'slanted' }];
  const DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];
  const WAYS = [...RIGHT_WAYS, ...READABLE_WAYS];

  it('is read at least 95 times in a hundred, however it was drawn', () => {
    for (const digit of DIGITS) {
      let read = 0;
      for (let k = 0; k < 60; k++) {
        const forms = ALL[k % ALL.length]!;
        const drawn = drawnIn(WAYS[k % WAYS.length]!, digit, forms, 1000 * digit + k);
        if (seenInTrace(digit, forms, drawn) !== 'other-shape') read++;
      }
      expect(read).withContext(String(digit)).toBeGreaterThanOrEqual(57);
    }
  });

  it('is never taken for another digit, nor a zigzag or a scribble for a digit', () => {
    for (const digit of DIGITS) {
      for (const drew of DIGITS.filter((one) => one !== digit)) {
        for (let k = 0; k < 2; k++) {
          const forms = ALL[(digit + drew + k) % ALL.length]!;
          const way = RIGHT_WAYS[(drew + 2 * k) % RIGHT_WAYS.length]!;
          const seen = seenInTrace(digit, forms, drawnIn(way, drew, forms, 500 * drew + digit + k));
          expect(seen).withContext(`asked ${digit}, drew ${drew}, ${way}`).toBe('other-shape');
        }
      }
      for (const kind of ['zigzag', 'scribble'] as const) {
        for (let k = 0; k < 6; k++) {
          const seen = seenInTrace(digit, USUAL, notADigit(kind, 77 * digit + k));
          expect(seen).withContext(`${kind} for ${digit}`).toBe('other-shape');
        }
      }
    }
  });

  it('is a one by its flag, and no seven', () => {
    for (let k = 0; k < 60; k++) {
      const forms = ALL[k % ALL.length]!;
      const seven = drawnIn(RIGHT_WAYS[k % RIGHT_WAYS.length]!, 7, forms, 99000 + k);
      expect(seenInTrace(1, forms, seven))
        .withContext(String(k))
        .toBe('other-shape');
    }
    const flagAndStem = read('24,36 36,22 50,8 50,60 52,110 50,142');
    expect(seenInTrace(1, HOOK, flagAndStem)).toBe('right');
    expect(seenInTrace(1, HOOK, read('14,12 50,10 86,13 66,60 48,104 36,142'))).toBe('other-shape');
  });

  it('is no line, but for a one that stands nearly upright', () => {
    const line = (degrees: number): [number, number][][] => {
      const t = (degrees * Math.PI) / 180;
      return [
        Array.from({ length: 20 }, (_, i): [number, number] => [
          7 * i * Math.sin(t),
          7 * i * Math.cos(t),
        ]),
      ];
    };
    for (const digit of DIGITS) {
      for (const degrees of [-90, -60, -40, -20, 0, 20, 40, 60, 90]) {
        const isOne = digit === 1 && Math.abs(degrees) <= 20;
        const seen = seenInTrace(digit, USUAL, line(degrees));
        expect(seen === 'other-shape')
          .withContext(`${digit}, ${degrees} degrees: ${seen}`)
          .toBe(!isOne);
      }
    }
  });
});
