import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import {
  type Mark,
  type Paper,
  SHEETS,
  type SheetKind,
  type SheetWish,
  cellFor,
  findSheet,
  sheetFor,
  usualWish,
  wishFor,
  widthOf,
} from '@gumo/core/sheets';
import { type Font, create } from 'fontkit';
import { type Drawn, readPdf } from '../../testing/pdf-reader.js';
import { pdfOf } from './pdf.js';

const TENTH_MM = 0.1;
const forJuno = (kind: SheetKind, more: Partial<SheetWish> = {}): SheetWish =>
  wishFor(kind, { owner: 'Juno', picture: 'kite', ...more });
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
  it('come out in true size on both papers, every kind, with the font in the file', async () => {
    for (const kind of SHEETS) {
      for (const paper of ['a4', 'letter'] as Paper[]) {
        // Every look is looked at in the core; here it is the file that counts.
        for (const [look] of kind.looks.length > 0 ? kind.looks.slice(0, 1) : [['']]) {
          const context = `${kind.id} ${look} on ${paper}`;
          const sheet = sheetFor(kind, forJuno(kind, { paper, look: look ?? '' }));
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
        [5, 5, 6].map((seed) => fileOf(kind, forJuno(kind, { seed }))),
      );
      expect(one!.equals(two!)).withContext(id).toBeTrue();
      expect(one!.equals(other!)).withContext(id).toBeFalse();
    }
  });

  // Printed on both sides and turned over, the second page lies mirrored behind the first.
  it('lay the backs of two-sided cards behind their fronts, and film around laminated ones', async () => {
    const kind = findSheet('number-cards')!;
    const wish = forJuno(kind, { low: 1, high: 5, faces: ['numeral', 'word'], twoSided: true });
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
      await fileOf(kind, forJuno(kind, { ...film, faces: ['numeral'] })),
    );
    const cards = laminated.pages[0]!.drawn.filter(
      (one) => Math.abs(one.w - 60) < TENTH_MM && Math.abs(one.h - 80) < TENTH_MM,
    );
    expect(cards.length).toBe(4);
    expect(cards[1]!.x - (cards[0]!.x + 60)).toBeCloseTo(6, 1);
  });

  // The widths that sheets are laid out with are those of the font that prints them.
  it('are laid out with letters as wide as the font has them, in both weights at most', () => {
    const file = (weight: number): Font =>
      create(
        readFileSync(
          createRequire(import.meta.url).resolve(
            `@fontsource/andika/files/andika-latin-${weight}-normal.woff`,
          ),
        ),
      ) as Font;
    const [read, bold] = [file(400), file(700)];
    const widthIn = (font: Font, words: string): number =>
      font.layout(words).advanceWidth / font.unitsPerEm;
    const letters = Array.from({ length: 95 }, (_, i) => String.fromCharCode(32 + i));
    for (const words of [
      ...letters,
      '×',
      '÷',
      '−',
      '…',
      '–',
      '’',
      'José',
      'Zoë',
      'Wilhelmina 12',
    ]) {
      expect(widthOf(words, 1)).withContext(words).toBeCloseTo(widthIn(read, words), 2);
    }
    for (const words of ['Wilhelmina', 'Ways to make 10', 'The week of 16 March']) {
      expect(widthOf(words, 1, true)).toBeGreaterThanOrEqual(widthIn(bold, words));
    }
  });
});
