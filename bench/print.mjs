/**
 * Sheets: forty of them laid out and written as one PDF, beside the PDF package alone writing as many
 * pages with as many plain lines in the same run.
 */
import PDFDocument from 'pdfkit';
import { SHEETS, sheetFor, wishFor } from '../core/dist/sheets/index.js';
import { pdfOf } from '../server/dist/sheets/pdf.js';
import { median, table } from './lib.mjs';

const SHEETS_WRITTEN = 40;
const ROUNDS = 5;

const chosen = Array.from({ length: SHEETS_WRITTEN }, (_, i) => SHEETS[i % SHEETS.length]);
const lay = (seed) =>
  chosen.map((kind) => sheetFor(kind, wishFor(kind, { owner: 'Dilara', picture: 'snail', seed })));

function bare(pages, lines) {
  const document = new PDFDocument({ autoFirstPage: false, margin: 0 });
  const done = new Promise((resolve) => document.on('end', resolve));
  document.on('data', () => undefined);
  for (let p = 0; p < pages; p++) {
    document.addPage({ size: 'A4', margin: 0 });
    for (let i = 0; i < lines; i++) {
      document
        .moveTo(20, 20 + i)
        .lineTo(500, 20 + i)
        .stroke();
    }
  }
  document.end();
  return done;
}

export async function printing() {
  const [own, plain, sizes] = [[], [], []];
  let [pages, marks] = [0, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    const sheets = lay(round + 1);
    const file = await pdfOf(sheets);
    own.push(performance.now() - start);
    sizes.push(file.length);
    const all = sheets.flatMap((sheet) => sheet.pages);
    pages = all.length;
    marks = all.reduce((sum, page) => sum + page.marks.length, 0);
    const begun = performance.now();
    await bare(pages, Math.round(marks / pages));
    plain.push(performance.now() - begun);
  }
  const [ms, bareMs] = [median(own), median(plain)];
  return [
    '## The print shop',
    '',
    `${SHEETS_WRITTEN} sheets of all kinds on ${pages} pages with ${marks} marks, laid out and written as one file, beside the PDF package alone writing as many pages with as many plain lines in the same run; middle of ${ROUNDS} rounds. Goal: 2 s for 40 pages.`,
    '',
    table([
      ['', 'ms', 'ms for 40 pages', 'file'],
      [
        'sheets',
        ms.toFixed(0),
        ((ms / pages) * 40).toFixed(0),
        `${(median(sizes) / 1000).toFixed(0)} kB`,
      ],
      ['plain lines', bareMs.toFixed(0), ((bareMs / pages) * 40).toFixed(0), ''],
    ]),
    '',
    `Ratio: ${(ms / bareMs).toFixed(1)}; the rest is words in an embedded font, curves and colors.`,
  ].join('\n');
}
