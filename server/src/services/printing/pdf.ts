import { createRequire } from 'node:module';
import { HOLLOW_MM, INKS, type Mark, type Sheet } from '@gumo/core/sheets';
import PDFDocument from 'pdfkit';

/** Points in a millimeter. */
const MM = 72 / 25.4;
const files = createRequire(import.meta.url);
const FONTS = {
  read: files.resolve('@fontsource/andika/files/andika-latin-400-normal.woff'),
  bold: files.resolve('@fontsource/andika/files/andika-latin-700-normal.woff'),
} as const;
/** The same sheet gives the same file: it says nothing of when it was made. */
const NO_DATE = new Date(0);

/** A sheet as a PDF file in true size, with its font inside. */
export function pdfOf(sheets: readonly Sheet[]): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    compress: true,
    info: {
      Title: sheets.map((sheet) => sheet.title).join(', '),
      Creator: 'Gumo',
      Producer: 'Gumo',
      CreationDate: NO_DATE,
      ModDate: NO_DATE,
    },
  });
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
  });
  for (const [name, file] of Object.entries(FONTS)) document.registerFont(name, file);
  for (const page of sheets.flatMap((sheet) => sheet.pages)) {
    document.addPage({ size: [page.width * MM, page.height * MM], margin: 0 });
    document.scale(MM);
    for (const mark of page.marks) draw(document, mark);
  }
  document.end();
  return done;
}

function draw(document: PDFKit.PDFDocument, mark: Mark): void {
  document.save();
  const ink = INKS[mark.ink];
  document.lineCap('round').lineJoin('round');
  const close = (width: number, fill: keyof typeof INKS | null): void => {
    if (width > 0) document.lineWidth(width);
    if (fill && width > 0) document.fillAndStroke(INKS[fill], ink);
    else if (fill) document.fill(INKS[fill]);
    else document.stroke(ink);
  };
  if ('dash' in mark && mark.dash) {
    const scale = mark.kind === 'path' ? mark.scale : 1;
    document.dash(mark.dash[0] / scale, { space: mark.dash[1] / scale });
  }
  switch (mark.kind) {
    case 'line':
      document.lineCap('butt').moveTo(mark.x1, mark.y1).lineTo(mark.x2, mark.y2);
      close(mark.width, null);
      break;
    case 'rect':
      if (mark.round > 0) document.roundedRect(mark.x, mark.y, mark.w, mark.h, mark.round);
      else document.rect(mark.x, mark.y, mark.w, mark.h);
      close(mark.width, mark.fill);
      break;
    case 'circle':
      document.circle(mark.x, mark.y, mark.r);
      close(mark.width, mark.fill);
      break;
    case 'path':
      document.translate(mark.x, mark.y).scale(mark.scale).path(mark.path);
      close(mark.width / mark.scale, mark.fill);
      break;
    case 'text': {
      document
        .font(mark.bold ? 'bold' : 'read')
        .fontSize(mark.size)
        .fillColor(ink);
      const wide = document.widthOfString(mark.text);
      const left = mark.anchor === 'start' ? 0 : mark.anchor === 'end' ? wide : wide / 2;
      const hollow = mark.hollow ? { fill: false, stroke: true } : {};
      if (mark.hollow) document.lineWidth(HOLLOW_MM).strokeColor(ink);
      document.text(mark.text, mark.x - left, mark.y, {
        lineBreak: false,
        baseline: 'alphabetic',
        ...hollow,
      });
      break;
    }
  }
  document.restore();
}
