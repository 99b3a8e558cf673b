import { INKS, type Mark, PAPERS, circle, line, rect } from './page.js';
import { svgOf } from './svg.js';

const drawn = (...marks: Mark[]): string => svgOf({ ...PAPERS.a4, marks });
const text: Mark = {
  kind: 'text',
  x: 10,
  y: 20,
  size: 6,
  text: 'five',
  anchor: 'middle',
  ink: 'black',
};
const path: Mark = {
  kind: 'path',
  path: 'M0 0L10 0',
  x: 5,
  y: 6,
  scale: 2,
  width: 1,
  ink: 'gray',
  fill: null,
};

describe('a page as a drawing', () => {
  // ISO 216; ANSI/ASME Y14.1.
  it('is as large as the paper, in millimeters, one unit to each', () => {
    expect(svgOf({ ...PAPERS.a4, marks: [] })).toContain(
      'width="210mm" height="297mm" viewBox="0 0 210 297"',
    );
    expect(svgOf({ ...PAPERS.letter, marks: [] })).toContain('width="215.9mm" height="279.4mm"');
  });

  it('holds lines, rectangles and circles where they are, to the thousandth', () => {
    expect(drawn(line(1, 2, 3.00049, 4, { dash: [2, 1] }))).toContain(
      `<path d="M1 2L3 4" stroke="${INKS.black}" stroke-width="0.5" stroke-dasharray="2 1" fill="none"/>`,
    );
    expect(drawn(rect(1, 2, 30, 40, { round: 2, fill: 'blue' }))).toContain(
      `x="1" y="2" width="30" height="40" rx="2" fill="${INKS.blue}" stroke="${INKS.black}"`,
    );
    expect(drawn(circle(5, 6, 7, { width: 0, fill: 'orange' }))).toContain(
      `<circle cx="5" cy="6" r="7" fill="${INKS.orange}"/>`,
    );
  });

  it('keeps a line as wide as it was said, however much its path is scaled', () => {
    expect(drawn(path)).toContain('translate(5 6) scale(2)');
    expect(drawn(path)).toContain('stroke-width="0.5"');
    expect(drawn({ ...path, dash: [4, 2] })).toContain('stroke-dasharray="2 1"');
    expect(drawn({ ...path, width: 0, fill: 'black' })).not.toContain('stroke-width');
  });

  it('holds words as they are, whatever signs are in them', () => {
    expect(drawn(text)).toContain('text-anchor="middle"');
    expect(drawn({ ...text, bold: true })).toContain('font-weight="700"');
    const [, said = ''] = /<text[^>]*>(.*)<\/text>/.exec(drawn({ ...text, text: 'a<b & "c"' }))!;
    expect(said).toBe('a&#60;b &#38; &#34;c&#34;');
  });
});
