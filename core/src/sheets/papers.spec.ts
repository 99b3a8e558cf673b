import fc from 'fast-check';
import { type Block, linesOf, proposedFor, rangeUpTo, sheetFor } from './index.js';
import { SHEETS, pictureFor, widthOf, wishFor, wordPages } from './index.js';

describe('papers', () => {
  it('break words into lines that are no wider than the page, losing none', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[a-z]{1,14}$/), { maxLength: 60 }), (words) => {
        const lines = linesOf(words.join(' '), 4, 60);
        expect(lines.join(' ')).toBe(words.join(' '));
        for (const line of lines) {
          if (line.includes(' ')) expect(widthOf(line, 4)).toBeLessThanOrEqual(60);
        }
      }),
    );
  });

  it('go on to another page, keep a heading with what follows, and lose no line', () => {
    const blocks: Block[] = Array.from({ length: 40 }, (_, i): Block[] => [
      { kind: 'heading', words: `part ${i}` },
      { kind: 'text', words: `said ${i} `.repeat(12) },
    ]).flat();
    const { pages } = wordPages('a4', 'Words', blocks);
    expect(pages.length).toBeGreaterThan(1);
    const texts = pages.map(({ marks }) =>
      marks.flatMap((mark) => (mark.kind === 'text' && mark.anchor === 'start' ? [mark] : [])),
    );
    expect(texts.flat().filter((one) => one.text.startsWith('part')).length).toBe(40);
    for (const page of texts) {
      // The check line's own words come last.
      expect(page.at(-2)!.text.startsWith('part')).toBeFalse();
      for (const { y } of page) expect(y).toBeLessThan(297 - 10);
    }
  });
});

describe('what an activity wants on paper', () => {
  it('ends its range where its kind can be drawn, for any top', () => {
    for (const { id } of SHEETS) {
      for (const top of [1, 3, 5, 8, 10, 20, 60, 100]) {
        const { low, high } = rangeUpTo(id, top);
        expect(low).withContext(id).toBeLessThanOrEqual(high);
        const kind = SHEETS.find((one) => one.id === id)!;
        const wish = { ...wishFor(kind), low, high, owner: 'A' };
        const look = kind.looks[0]?.[0] ?? '';
        expect(() => sheetFor(kind, { ...wish, look }))
          .withContext(`${id} to ${top}`)
          .not.toThrow();
      }
    }
  });

  it('is a mat for each child, and cards once for all', () => {
    const participants = [
      { childId: 'a', rangeMax: 5 },
      { childId: 'b', rangeMax: 10 },
    ];
    expect(
      proposedFor({ sheets: ['ten-frame'] }, participants).map((one) => [one.childId, one.high]),
    ).toEqual([
      ['a', 5],
      ['b', 10],
    ]);
    expect(proposedFor({ sheets: ['number-cards'] }, participants)).toEqual([
      { kind: 'number-cards', look: '', childId: null, low: 0, high: 10 },
    ]);
    expect(proposedFor({ sheets: ['number-cards'] }, [])).toEqual([]);
    expect(proposedFor({ sheets: [] }, participants)).toEqual([]);
  });

  it('shows what a child likes where there is a drawing of it', () => {
    expect(pictureFor(['Snails', 'mud'])).toBe('snail');
    expect(pictureFor(['trains'])).toBe('train');
    expect(pictureFor(['the sea'])).toBe('');
  });
});
