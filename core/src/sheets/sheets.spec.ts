import fc from 'fast-check';
import { LIBRARY } from '../activities/index.js';
import { DRAWINGS } from '../measuring/index.js';
import { seeded } from '../numbers/index.js';
import {
  type Ask,
  FACES,
  SHEETS,
  SHEET_GROUPS,
  type SheetKind,
  type SheetWish,
  bingoBoards,
  clipChoices,
  coinsFor,
  crowdOf,
  evenPlaces,
  findSheet,
  firstFull,
  gapsIn,
  partWholes,
  readsTurned,
  sheetFor,
  sheetsOf,
  takenFor,
  usualWish,
  wishFor,
} from './index.js';

const forJuno = (kind: SheetKind, more: Partial<SheetWish> = {}): SheetWish =>
  wishFor(kind, { owner: 'Juno', picture: 'kite', ...more });
const drawn = (kind: SheetKind, wish: SheetWish): string => {
  try {
    return JSON.stringify(sheetFor(kind, wish));
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
};

/** Other values for what can be chosen; one of them has to change the sheet in one of its looks. */
const OTHERS: Readonly<Record<Ask, readonly Partial<SheetWish>[]>> = {
  range: [{ low: 2 }, { high: 4 }, { low: 3, high: 6 }],
  material: [{ materialMm: 15 }, { materialMm: 30 }],
  side: [{ materialMm: 33 }],
  count: [{ count: 3 }],
  answers: [{ answers: true }],
  faces: [{ faces: ['word'] }],
  word: [{ word: 'Wren' }],
  cues: [{ cues: 'rhyme' }],
  target: [{ target: 5 }],
  size: [{ size: 'large' }],
  alike: [{ alike: true }],
  activity: [{ activity: 'two-plates' }],
  seed: [{ seed: 7 }],
  laminate: [{ laminate: true }],
  outline: [{ outline: true }],
};
const looksOf = (kind: SheetKind): readonly string[] =>
  kind.looks.length > 0 ? kind.looks.map(([look]) => look) : [''];

describe('kinds of sheets', () => {
  it('lie in one of seven groups, each with a name and look of its own', () => {
    expect(SHEET_GROUPS.length).toBe(7);
    for (const [group] of SHEET_GROUPS) {
      expect(SHEETS.some((kind) => kind.group === group))
        .withContext(group)
        .toBeTrue();
    }
    for (const key of ['id', 'title'] as const) {
      expect(new Set(SHEETS.map((kind) => kind[key])).size).toBe(SHEETS.length);
    }
  });

  it('ask only what does something, and hide nothing that does', () => {
    for (const kind of SHEETS) {
      for (const [ask, others] of Object.entries(OTHERS) as [Ask, Partial<SheetWish>[]][]) {
        const changes = looksOf(kind).some((look) =>
          others.some(
            (more) =>
              drawn(kind, forJuno(kind, { look })) !==
              drawn(kind, forJuno(kind, { look, ...more })),
          ),
        );
        // What a side or a thing measures is one number of the wish, asked in two ways.
        const isAsked =
          kind.asks.includes(ask) ||
          ((ask === 'side' || ask === 'material') &&
            (kind.asks.includes('side') || kind.asks.includes('material')));
        expect(changes).withContext(`${kind.id}: ${ask}`).toBe(isAsked);
      }
    }
  });

  it('show every number of their range, or say that it cannot be drawn', () => {
    const ids = [
      'number-cards',
      'counting-cards',
      'hop-cards',
      'box-labels',
      'number-track',
      'number-line',
      'press-count',
      'cup-liners',
      'pair-cards',
      'clip-strips',
      'fingerprints',
      'tracing',
    ];
    for (const id of ids) {
      const kind = findSheet(id)!;
      for (const [low, high] of [
        [0, 5],
        [1, 10],
        [0, 20],
        [1, 100],
        [60, 100],
      ] as const) {
        let pages;
        try {
          pages = sheetFor(kind, forJuno(kind, { low, high, owner: '', picture: '' })).pages;
        } catch (error) {
          expect(error).withContext(id).toBeInstanceOf(RangeError);
          continue;
        }
        if (id === 'tracing') {
          expect(pages.length).toBe(Math.ceil((high - low + 1) / 7));
          continue;
        }
        const said = new Set(
          pages.flatMap(({ marks }) =>
            marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])),
          ),
        );
        // No fingerprint, no press and no ring is asked for zero.
        const first = ['press-count', 'fingerprints'].includes(id) ? Math.max(1, low) : low;
        for (let n = first; n <= high; n++) {
          expect(said.has(String(n)))
            .withContext(`${id} ${low} to ${high}: ${n}`)
            .toBeTrue();
        }
      }
    }
  });

  it('go all the way in steps, from any start, and never past what a die can show', () => {
    const steps = findSheet('step-strips')!;
    const walk = (low: number, high: number, look: string): string[] =>
      sheetFor(
        steps,
        forJuno(steps, { low, high, look, answers: true, owner: '', picture: '' }),
      ).pages.flatMap(({ marks }) =>
        marks.flatMap((mark) =>
          mark.kind === 'text' && /^\d+$/.test(mark.text) ? [mark.text] : [],
        ),
      );
    expect(walk(0, 100, '2')).toEqual(Array.from({ length: 51 }, (_, i) => String(2 * i)));
    expect(new Set(walk(3, 23, '5'))).toEqual(new Set(['3', '8', '13', '18', '23']));
    const die = findSheet('dice-net')!;
    for (const [low, high] of [
      [0, 5],
      [5, 10],
      [1, 3],
    ] as const) {
      const { pages } = sheetFor(die, forJuno(die, { low, high, look: 'numeral', owner: '' }));
      const faces = pages[0]!.marks.flatMap((mark) =>
        mark.kind === 'text' && /^\d+$/.test(mark.text) ? [Number(mark.text)] : [],
      );
      expect(faces.length).toBe(6);
      expect(Math.min(...faces)).toBe(low);
      expect(Math.max(...faces)).toBe(high);
    }
  });

  it('are each printed by an activity, and every activity of the library prints one', () => {
    const used = new Set<string>();
    for (const activity of LIBRARY) {
      const sheets = sheetsOf(activity);
      expect(sheets.length).withContext(activity.id).toBeGreaterThan(0);
      for (const { kind, look } of sheets) {
        const found = findSheet(kind);
        expect(found).withContext(`${activity.id}: ${kind}`).toBeDefined();
        if (found) expect(looksOf(found)).withContext(`${activity.id}: ${kind}`).toContain(look);
        used.add(kind);
      }
      const card = sheetFor(findSheet('station-cards')!, { ...usualWish(), activity: activity.id });
      expect(card.title).toBe(activity.title);
      expect(activity.station).withContext(activity.id).toBeDefined();
    }
    const alone = SHEETS.map(({ id }) => id).filter((id) => !used.has(id));
    // Every activity has a card for its place.
    expect(alone).toEqual(['station-cards']);
  });

  it('are those that an activity speaks of', () => {
    const first = (id: string): string => LIBRARY.find((one) => one.id === id)!.sheets[0]!;
    expect(first('dot-pairs')).toBe('bond-dots');
    expect(first('pair-cards')).toBe('pair-cards');
    expect(first('name-frame')).toBe('name-frame');
    expect(first('shape-string')).toBe('sort-cards');
    // What bingo and the squares are evidence for is called and asked on them.
    const said = (id: string, look: string): string =>
      JSON.stringify(sheetFor(findSheet(id)!, forJuno(findSheet(id)!, { look })));
    expect(said('bingo', 'doubles')).toMatch(/double.4/);
    expect(said('bingo', 'parts')).toMatch(/\d.and.\d/);
    expect(said('three-in-line', 'sums')).toContain(' + ');
  });

  it('say so where a range or a thing leaves nothing to print', () => {
    const cases: [string, Partial<SheetWish>][] = [
      ['number-cards', { low: 9, high: 3 }],
      ['number-cards', { high: 40, faces: ['dots'] }],
      ['number-cards', { twoSided: true }],
      ['name-frame', {}],
      ['bingo', { low: 1, high: 4 }],
      ['bingo', { low: 1, high: 10, count: 13 }],
      ['crowd', { low: 4, high: 5 }],
      ['tracing', { low: 20, high: 30 }],
      ['step-strips', { high: 6, look: '5' }],
      ['dice-net', { materialMm: 100, high: 6 }],
      ['dice-net', { low: 0, high: 100 }],
      ['dough-mat', { materialMm: 60, high: 9 }],
      ['chart-grid', { materialMm: 60, count: 10, high: 10 }],
      ['compare-mat', { materialMm: 110 }],
    ];
    for (const [id, more] of cases) {
      expect(() => findSheet(id)!.make({ ...usualWish(), ...more }))
        .withContext(id)
        .toThrowError(RangeError);
    }
  });

  it('leave what is filled white for coloring, large numerals too', () => {
    const kind = findSheet('number-cards')!;
    const { pages } = sheetFor(
      kind,
      forJuno(kind, { faces: ['numeral', 'dots'], low: 1, high: 5, outline: true, picture: '' }),
    );
    const marks = pages.flatMap((page) => page.marks);
    expect(marks.some((mark) => mark.kind === 'text' && mark.hollow)).toBeTrue();
    expect(marks.every((mark) => mark.kind !== 'circle' || mark.fill === 'paper')).toBeTrue();
  });
});

describe('what lies on a sheet', () => {
  it('is worth what the card of coins asks, and never more than a card holds', () => {
    for (let amount = 1; amount <= 50; amount++) {
      for (const seed of [1, 2, 3]) {
        const coins = coinsFor(amount, seed);
        expect(coins.reduce((sum, worth) => sum + worth, 0)).toBe(amount);
        expect(coins.every((worth) => [1, 5, 10].includes(worth))).toBeTrue();
      }
    }
  });

  it('has the right answer of a clip card at any place, as often at each, and just one', () => {
    const at = [0, 0, 0];
    for (let seed = 0; seed < 300; seed++) {
      const random = seeded(seed);
      const places = evenPlaces(20, seed);
      places.forEach((place, i) => {
        const n = i + 1;
        const choices = clipChoices(n, place, random);
        expect(new Set(choices).size).toBe(3);
        expect(choices[place]).toBe(n);
        expect(choices.every((one) => one >= 0)).toBeTrue();
        at[place]!++;
      });
      const counts = [0, 1, 2].map((place) => places.filter((one) => one === place).length);
      expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
    }
    expect(Math.max(...at) - Math.min(...at)).toBeLessThanOrEqual(at[0]! / 100);
  });

  it('has no gap that a number before it does not tell', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 1, max: 20 }), (seed, places) => {
        const gaps = gapsIn(places, Math.floor((places - 1) / 2), seeded(seed));
        expect(gaps.has(0)).toBeFalse();
        for (const at of gaps) expect(gaps.has(at - 1)).toBeFalse();
      }),
    );
  });

  it('is a set of different bingo boards, of which each wins one round alone', () => {
    for (const [low, high, count] of [
      [1, 20, 6],
      [1, 10, 4],
      [0, 5, 4],
      [1, 100, 8],
    ] as const) {
      for (const seed of [1, 2, 3]) {
        const { boards, rounds } = bingoBoards(low, high, count, seed);
        const keys = boards.map((board) => [...board].sort((a, b) => a - b).join());
        expect(new Set(keys).size).withContext(`${low} to ${high}`).toBe(count);
        expect(rounds.map((order) => firstFull(boards, order))).toEqual(boards.map((_, i) => i));
        for (const order of rounds) expect(new Set(order).size).toBe(high - low + 1);
      }
    }
    expect(firstFull([[1], [1]], [1])).toBeNull();
  });

  it('is a crowd with the numeral that was asked for, in any size, among look-alikes if wished', () => {
    for (let seed = 1; seed <= 40; seed++) {
      for (const size of ['small', 'medium', 'large'] as const) {
        const { target, columns, cells } = crowdOf(0, 9, seed, { target: 6, size, alike: true });
        expect(target).toBe(6);
        expect(cells.length).toBe(columns * columns);
        const times = cells.filter((n) => n === 6).length;
        expect(times).toBeGreaterThanOrEqual(Math.round(cells.length / 6) - 1);
        expect(times).toBeLessThanOrEqual(Math.round(cells.length / 6) + 1);
        expect(cells.filter((n) => n !== 6).every((n) => takenFor(6).includes(n))).toBeTrue();
      }
    }
    expect(takenFor(13)).toContain(31);
    expect(takenFor(10)).not.toContain(1);
  });

  it('is a part-whole card that does not come twice', () => {
    for (const isPartOpen of [false, true]) {
      const all = partWholes(2, 5, isPartOpen, 4);
      // A number has one way more than itself: 3 + 4 + 5 + 6.
      expect(all.length).toBe(18);
      expect(new Set(all.map(({ amounts }) => amounts.join())).size).toBe(18);
      expect(all.every(({ amounts: [whole, a, b] }) => whole === a + b)).toBeTrue();
    }
  });

  it('has a line under numerals that read as another number upside down', () => {
    const turned = Array.from({ length: 101 }, (_, n) => n).filter(readsTurned);
    expect(turned).toEqual([6, 9, 16, 18, 19, 61, 66, 68, 81, 86, 89, 91, 98, 99]);
  });

  it('shows every number in every way', () => {
    const kind = findSheet('number-cards')!;
    const { pages } = sheetFor(kind, forJuno(kind, { low: 0, high: 10, faces: [...FACES] }));
    expect(pages.length).toBe(Math.ceil((11 * FACES.length) / 9));
    const words = pages.flatMap(({ marks }) =>
      marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])),
    );
    expect(words).toContain('seven');
    const totals = words
      .filter((one) => / \+ /.test(one))
      .map((one) => one.split(' + ').reduce((sum, n) => sum + Number(n), 0));
    expect(totals).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });

  it('is a drawing of its own for each that a child may like', () => {
    expect(new Set(DRAWINGS.map(({ parts }) => JSON.stringify(parts))).size).toBe(DRAWINGS.length);
  });
});
