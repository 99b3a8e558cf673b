import {
  type Mark,
  type Paper,
  SHEETS,
  type SheetKind,
  type SheetWish,
  bingoBoards,
  cellFor,
  FACES,
  clipPreferences,
  coinsFor,
  crowdOf,
  findSheet,
  gapsIn,
  sheetFor,
  sheetIdsFor,
  suitedTo,
  usualWish,
} from '@gumo/core/sheets';
import { LIBRARY } from '@gumo/core/activities';
import { seeded } from '@gumo/core/numbers';
import { type Drawn, readPdf } from '../testing/pdf-reader.js';
import { pdfOf } from './pdf.js';

const TENTH_MM = 0.1;
const wishFor = (kind: SheetKind, more: Partial<SheetWish> = {}): SheetWish => ({
  ...usualWish(),
  ...suitedTo(kind.id),
  ...(kind.id === 'step-strips' ? { high: 40 } : {}),
  owner: 'Juno',
  picture: 'kite',
  ...more,
});
const fileOf = (kind: SheetKind, wish: SheetWish): Promise<Buffer> => pdfOf([sheetFor(kind, wish)]);

/** Whether a straight mark stands in the file, within a tenth of a millimeter on every side. */
function isFound(mark: Mark, drawn: readonly Drawn[]): boolean {
  if (mark.kind !== 'line' && !(mark.kind === 'rect' && mark.round === 0)) return true;
  const [x, y, w, h] =
    mark.kind === 'rect'
      ? [mark.x, mark.y, mark.w, mark.h]
      : [
          Math.min(mark.x1, mark.x2),
          Math.min(mark.y1, mark.y2),
          Math.abs(mark.x1 - mark.x2),
          Math.abs(mark.y1 - mark.y2),
        ];
  return drawn.some((one) =>
    [one.x - x, one.y - y, one.w - w, one.h - h].every((apart) => Math.abs(apart) < TENTH_MM),
  );
}

describe('sheets', () => {
  // ISO 216 and ANSI/ASME Y14.1 for the papers; read back by pdfjs, which had no part in writing.
  it('come out in true size on both papers, every kind and look, with the font in the file', async () => {
    for (const kind of SHEETS) {
      for (const paper of ['a4', 'letter'] as Paper[]) {
        for (const [look] of kind.looks.length > 0 ? kind.looks : [['']]) {
          const context = `${kind.id} ${look} on ${paper}`;
          const sheet = sheetFor(kind, wishFor(kind, { paper, look: look ?? '' }));
          const file = await pdfOf([sheet]);
          expect(file.length).withContext(context).toBeLessThan(300_000);
          const { pages, fonts } = await readPdf(file);
          expect([...fonts].some((one) => one.includes('Andika')))
            .withContext(context)
            .toBeTrue();
          expect(pages.length).withContext(context).toBe(sheet.pages.length);
          const size = paper === 'a4' ? [210, 297] : [215.9, 279.4];
          for (const page of pages) {
            const sides = [page.width, page.height].sort((a, b) => a - b);
            sides.forEach((side, i) => {
              expect(Math.abs(side - size[i]!))
                .withContext(context)
                .toBeLessThan(TENTH_MM);
            });
            const check = page.drawn.filter(
              (one) => one.kind === 'line' && Math.abs(one.w - 100) < TENTH_MM && one.h < 0.01,
            );
            expect(check.some((one) => Math.abs(one.x - 10) < TENTH_MM && one.y > page.height - 20))
              .withContext(`${context}: check line`)
              .toBeTrue();
            // Every straight edge lies where the layout says.
            const laid = sheet.pages[pages.indexOf(page)]!.marks;
            const lost = laid.filter((mark) => !isFound(mark, page.drawn));
            expect(lost).withContext(context).toEqual([]);
            // Nothing lies where no printer prints.
            for (const { x, y, w, h } of page.drawn) {
              const isIn =
                x > 9.9 && y > 9.9 && x + w < page.width - 9.9 && y + h < page.height - 9.9;
              if (!isIn) fail(`${context}: a mark at ${x}, ${y}, ${w} x ${h} lies in the margin`);
            }
          }
        }
      }
    }
  });

  // Cell = thing + max(4 mm, 20 %): 25 mm counters, 30 mm cells, 150 x 60 upright; 38 mm turned.
  it('give a frame the cells that its things need, turned or tiled where it must be', async () => {
    expect([cellFor(25), cellFor(38), cellFor(10)]).toEqual([30, 45.6, 14]);
    const frame = findSheet('ten-frame')!;
    for (const [materialMm, width, height] of [
      [25, 150, 60],
      [38, 228, 91.2],
    ] as const) {
      for (const paper of ['a4', 'letter'] as Paper[]) {
        const { pages } = await readPdf(await fileOf(frame, { ...usualWish(), paper, materialMm }));
        expect(pages.length).toBe(1);
        const [page] = pages;
        expect(page!.width > page!.height).toBe(materialMm === 38);
        const outline = page!.drawn.find(
          (one) => Math.abs(one.w - width) < TENTH_MM && Math.abs(one.h - height) < TENTH_MM,
        )!;
        expect(outline).withContext(`${materialMm} on ${paper}`).toBeDefined();
        const cell = cellFor(materialMm);
        const inner = page!.drawn
          .filter((one) => one.w < 0.01 && Math.abs(one.h - height) < TENTH_MM)
          .map((one) => one.x - outline.x)
          .sort((a, b) => a - b);
        for (const c of [1, 2, 3, 4]) {
          expect(inner.some((x) => Math.abs(x - c * cell) < TENTH_MM)).toBeTrue();
        }
      }
    }
    const large = await readPdf(await fileOf(frame, { ...usualWish(), materialMm: 60 }));
    expect(large.pages.length).toBe(2);
    expect(() => frame.make({ ...usualWish(), materialMm: 120 })).toThrowError(RangeError);
  });

  it('are the same file from the same seed, and another from another', async () => {
    for (const id of ['clip-strips', 'crowd', 'bingo', 'step-strips']) {
      const kind = findSheet(id)!;
      const [one, two, other] = await Promise.all(
        [5, 5, 6].map((seed) => fileOf(kind, wishFor(kind, { seed }))),
      );
      expect(one!.equals(two!)).withContext(id).toBeTrue();
      expect(one!.equals(other!)).withContext(id).toBeFalse();
    }
  });

  it('are named by activities of the library, and by none that is not there', () => {
    const named = LIBRARY.filter((activity) => sheetIdsFor(activity.id).length > 0);
    expect(named.length).toBeGreaterThan(40);
    for (const { id } of named) {
      for (const sheet of sheetIdsFor(id)) expect(findSheet(sheet)).withContext(id).toBeDefined();
    }
  });

  it('show coins that are worth what the card asks, and never more than a card holds', () => {
    for (let amount = 1; amount <= 50; amount++) {
      for (const seed of [1, 2, 3]) {
        const coins = coinsFor(amount, seed);
        expect(coins.reduce((sum, worth) => sum + worth, 0)).toBe(amount);
        expect(coins.every((worth) => [1, 5, 10].includes(worth))).toBeTrue();
      }
    }
  });

  it('say so where a range or a thing leaves nothing to print', () => {
    const cases: [string, Partial<SheetWish>][] = [
      ['number-cards', { low: 9, high: 3 }],
      ['number-cards', { high: 40, faces: ['dots'] }],
      ['number-cards', { twoSided: true }],
      ['name-frame', {}],
      ['bingo', { low: 1, high: 9 }],
      ['bingo', { low: 1, high: 12, count: 13 }],
      ['crowd', { low: 4, high: 5 }],
      ['tracing', { low: 20, high: 30 }],
      ['step-strips', { high: 6, look: '5' }],
      ['dice-net', { materialMm: 100 }],
    ];
    for (const [id, more] of cases) {
      expect(() => findSheet(id)!.make({ ...usualWish(), ...more }))
        .withContext(id)
        .toThrowError(RangeError);
    }
  });

  it('deal bingo boards that are all different and win equally often in 20,000 games', () => {
    const boards = bingoBoards(1, 20, 6, 3);
    const keys = boards.map((board) => [...board].sort((a, b) => a - b).join());
    expect(new Set(keys).size).toBe(6);
    const random = seeded(11);
    const wins: number[] = [];
    for (let game = 0; game < 20_000; game++) {
      const open = boards.map((board) => new Set(board));
      const called = Array.from({ length: 20 }, (_, i) => i + 1);
      for (let left = called.length; left > 0; left--) {
        const [n] = called.splice(Math.floor(random() * left), 1);
        open.forEach((board) => board.delete(n!));
        const full = open.flatMap((board, i) => (board.size === 0 ? [i] : []));
        if (full.length === 0) continue;
        wins.push(full[Math.floor(random() * full.length)]!);
        break;
      }
    }
    const counts = boards.map((_, i) => wins.filter((one) => one === i).length);
    const expected = 20_000 / 6;
    const chi = counts.reduce((sum, n) => sum + (n - expected) ** 2 / expected, 0);
    // The 0.999 point of chi-square with 5 degrees of freedom is 20.515 (printed tables).
    expect(chi).withContext(counts.join()).toBeLessThan(20.515);
  });

  // Printed on both sides and turned over, the second page lies mirrored behind the first.
  it('lay the backs of two-sided cards behind their fronts, and film around laminated ones', async () => {
    const kind = findSheet('number-cards')!;
    const wish = wishFor(kind, { low: 1, high: 5, faces: ['numeral', 'word'], twoSided: true });
    const { pages } = await readPdf(await fileOf(kind, wish));
    expect(pages.length).toBe(2);
    const middles = (words: readonly string[], p: number): number[] =>
      words.map((word) => {
        const found = pages[p]!.placed.find((one) => one.words === word)!;
        return found.x + found.w / 2;
      });
    const fronts = middles(['1', '2', '3', '4', '5'], 0);
    const backs = middles(['one', 'two', 'three', 'four', 'five'], 1);
    const { width } = pages[0]!;
    fronts.forEach((x, i) => expect(Math.abs(x - (width - backs[i]!))).toBeLessThan(0.5));

    const film = { low: 1, high: 4, faces: ['numeral'], laminate: true } as const;
    const laminated = await readPdf(
      await fileOf(kind, wishFor(kind, { ...film, faces: ['numeral'] })),
    );
    const cards = laminated.pages[0]!.drawn.filter(
      (one) => Math.abs(one.w - 60) < TENTH_MM && Math.abs(one.h - 80) < TENTH_MM,
    );
    expect(cards.length).toBe(4);
    expect(cards[1]!.x - (cards[0]!.x + 60)).toBeCloseTo(6, 1);
  });

  it('show every number in every way, and stay on the paper', async () => {
    const kind = findSheet('number-cards')!;
    const sheet = sheetFor(kind, wishFor(kind, { low: 0, high: 10, faces: [...FACES] }));
    const { pages } = await readPdf(await pdfOf([sheet]));
    expect(pages.length).toBe(Math.ceil((11 * FACES.length) / 9));
    const words = pages.flatMap((page) => page.words);
    expect(words).toContain('seven');
    const sums = words.filter((one) => / \+ /.test(one));
    const totals = sums.map((one) => one.split(' + ').reduce((sum, n) => sum + Number(n), 0));
    expect(totals).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });

  it('have no clip card with two right answers, and no gap that a neighbor does not tell', () => {
    for (let seed = 0; seed < 300; seed++) {
      const random = seeded(seed);
      for (let n = 0; n <= 20; n++) {
        const choices = clipPreferences(n, random);
        expect(new Set(choices).size).toBe(3);
        expect(choices.filter((one) => one === n).length).toBe(1);
        expect(choices.every((one) => one >= 0)).toBeTrue();
      }
      for (const places of [1, 2, 4, 7, 10]) {
        const gaps = gapsIn(places, Math.floor((places - 1) / 2), random);
        expect(gaps.has(0)).toBeFalse();
        for (const at of gaps) expect(gaps.has(at - 1)).toBeFalse();
      }
    }
  });

  it('hold the numeral to find as often as the page says', async () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { target, cells } = crowdOf(1, 10, seed);
      const times = cells.filter((n) => n === target).length;
      expect(times).toBeGreaterThanOrEqual(9);
      expect(times).toBeLessThanOrEqual(14);
    }
    const { pages } = await readPdf(await fileOf(findSheet('crowd')!, { ...usualWish(), seed: 4 }));
    const words = pages[0]!.words.map((word) => word.trim());
    const target = words.find((word) => word.startsWith('Find '))!.slice(5);
    const said = Number(words.find((word) => word.endsWith('times'))!.replace(' times', ''));
    expect(words.filter((word) => word === target).length).toBe(said);
  });
});
