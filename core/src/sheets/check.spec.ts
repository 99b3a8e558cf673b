import {
  type Mark,
  type Paper,
  SHEETS,
  type SheetWish,
  circle,
  dot,
  faultsOf,
  line,
  pageOf,
  rect,
  sheetFor,
  text,
  wishFor,
} from './index.js';

const page = (...marks: Mark[]) => pageOf('a4', false, marks, { title: 'Sheet' });
const found = (...marks: Mark[]): string[] => faultsOf(page(...marks)).map(({ what }) => what);

/** What went wrong on sheets before they were checked, as it was drawn then. */
describe('the checker of sheets', () => {
  it('finds nothing on an empty page, and nothing wrong with words in a box, a ring or on a dot', () => {
    expect(found()).toEqual([]);
    expect(found(rect(20, 20, 40, 20), text(40, 34, 10, '12'))).toEqual([]);
    expect(found(circle(60, 60, 15), text(60, 64, 10, '12'))).toEqual([]);
    expect(found(line(10, 60, 100, 60), dot(60, 60, 3), text(60, 61, 3, '1'))).toEqual([]);
  });

  it('finds a numeral over the rings beside it, over a cut line, and out of its ring', () => {
    // Ten at a size that suits one digit, beside the rings to press.
    expect(found(text(68, 120, 90, '10'), circle(118, 100, 14))).toEqual(['words over a mark']);
    // A hundred on a card 60 mm wide.
    expect(
      found(text(100, 100, 36, '100'), line(70, 60, 70, 140), line(130, 60, 130, 140)),
    ).toEqual(['words over a mark', 'words over a mark']);
    expect(found(text(60, 64, 12, '10'), circle(60, 60, 7))).toEqual(['words over a mark']);
  });

  it('finds what lies out of the page, words over words, and dots that run together', () => {
    expect(found(text(105, 120, 130, '100'))).toEqual(['outside']);
    expect(found(text(60, 60, 6, 'Wilhelmina'), text(80, 60, 6, 'name'))).toEqual([
      'words over words',
    ]);
    expect(found(dot(60, 60, 5), dot(66, 60, 5))).toEqual(['mark over a mark']);
    expect(found(dot(60, 60, 5), dot(71, 60, 5))).toEqual([]);
  });

  it('follows lines, arcs and curves, not the box around them', () => {
    const ring: Mark = {
      kind: 'path',
      path: 'M10 0A10 10 0 0 1 -10 0A10 10 0 0 1 10 0Z',
      x: 60,
      y: 60,
      scale: 1,
      width: 1,
      ink: 'black',
      fill: null,
    };
    expect(found(ring, text(60, 62, 5, '8'))).toEqual([]);
    expect(found(ring, text(70, 62, 5, '8'))).toEqual(['words over a mark']);
    expect(found(ring, text(52, 52, 2.4, '1'))).toEqual([]);
  });
});

describe('sheets', () => {
  // The whole of it, every thing and name, is npm run sheets.
  it('have nothing clipped or run together, of every kind, in every look', () => {
    for (const kind of SHEETS) {
      const looks = kind.looks.length > 0 ? kind.looks.map(([look]) => look) : [''];
      for (const look of looks) {
        for (const [paper, low, high, owner] of [
          ['a4', 0, 10, 'Bo'],
          ['letter', 1, 20, 'Wilhelmina-Charlotte'],
          ['a4', 60, 100, 'Juno'],
        ] as [Paper, number, number, string][]) {
          const wish: SheetWish = {
            ...wishFor(kind),
            ...{ paper, look, low, high, owner, picture: 'kite', answers: true },
          };
          let sheet;
          try {
            sheet = sheetFor(kind, wish);
          } catch (error) {
            expect(error).withContext(kind.id).toBeInstanceOf(RangeError);
            continue;
          }
          const faults = sheet.pages.flatMap(faultsOf);
          expect(faults)
            .withContext(`${kind.id} ${look} ${low} to ${high} on ${paper}`)
            .toEqual([]);
        }
      }
    }
  });
});
