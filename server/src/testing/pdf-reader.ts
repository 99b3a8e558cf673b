import { OPS, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const POINTS_A_MM = 72 / 25.4;

/** A straight line, the outline of a rectangle or what holds a curve on a page, in millimeters from the upper left. */
export interface Drawn {
  readonly kind: 'line' | 'rect' | 'curve';
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly drawn: readonly Drawn[];
  readonly words: readonly string[];
  /** The same words with their left end and width. */
  readonly placed: readonly { readonly words: string; readonly x: number; readonly w: number }[];
}

type Matrix = readonly [number, number, number, number, number, number];

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

/** What a PDF file holds, read back by a library that had no part in writing it. */
export async function readPdf(
  file: Uint8Array,
): Promise<{ readonly pages: ReadPage[]; readonly fonts: ReadonlySet<string> }> {
  const document = await getDocument({ data: new Uint8Array(file), verbosity: 0 }).promise;
  const pages: ReadPage[] = [];
  for (let i = 1; i <= document.numPages; i++) {
    const page = await document.getPage(i);
    const [left = 0, bottom = 0, right = 0, top = 0] = page.view;
    const { fnArray, argsArray } = await page.getOperatorList();
    const content = await page.getTextContent();
    pages.push({
      width: (right - left) / POINTS_A_MM,
      height: (top - bottom) / POINTS_A_MM,
      drawn: pathsOf(fnArray, argsArray, top),
      words: content.items.flatMap((item) => ('str' in item ? [item.str] : [])),
      placed: content.items.flatMap((item) =>
        'str' in item
          ? [
              {
                words: item.str,
                x: ((item.transform as number[])[4] as number) / POINTS_A_MM,
                w: item.width / POINTS_A_MM,
              },
            ]
          : [],
      ),
    });
  }
  // Names of embedded fonts carry a tag of six letters for the part that is in the file.
  const fonts = new Set(
    Buffer.from(file)
      .toString('latin1')
      .match(/\/[A-Z]{6}\+[\w-]+/g) ?? [],
  );
  await document.destroy();
  return { pages, fonts };
}

function pathsOf(fns: readonly number[], args: readonly unknown[], top: number): Drawn[] {
  const drawn: Drawn[] = [];
  let now: Matrix = [1, 0, 0, 1, 0, 0];
  const kept: Matrix[] = [];
  let pen: [number, number] = [0, 0];
  const at = (x: number, y: number): [number, number] => [
    (now[0] * x + now[2] * y + now[4]) / POINTS_A_MM,
    (top - (now[1] * x + now[3] * y + now[5])) / POINTS_A_MM,
  ];
  const add = (kind: Drawn['kind'], a: [number, number], b: [number, number]): void => {
    drawn.push({
      kind,
      x: Math.min(a[0], b[0]),
      y: Math.min(a[1], b[1]),
      w: Math.abs(a[0] - b[0]),
      h: Math.abs(a[1] - b[1]),
    });
  };
  /** The box around a curve's ends and handles, which holds all of it. */
  const curve = (pen: [number, number], flat: readonly number[]): void => {
    const points = [pen];
    for (let k = 0; k < flat.length; k += 2)
      points.push(at(flat[k] as number, flat[k + 1] as number));
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    add('curve', [Math.min(...xs), Math.min(...ys)], [Math.max(...xs), Math.max(...ys)]);
  };
  fns.forEach((fn, i) => {
    if (fn === OPS.save) kept.push(now);
    else if (fn === OPS.restore) now = kept.pop() ?? now;
    else if (fn === OPS.transform) now = times(now, args[i] as unknown as Matrix);
    else if (fn === OPS.constructPath) {
      const [ops, flat] = args[i] as [number[], number[]];
      let k = 0;
      for (const op of ops) {
        if (op === OPS.rectangle) {
          const [x, y, w, h] = flat.slice(k, k + 4) as [number, number, number, number];
          add('rect', at(x, y), at(x + w, y + h));
          k += 4;
        } else if (op === OPS.moveTo || op === OPS.lineTo) {
          const to = at(flat[k] as number, flat[k + 1] as number);
          if (op === OPS.lineTo) add('line', pen, to);
          pen = to;
          k += 2;
        } else if (op === OPS.curveTo) {
          curve(pen, flat.slice(k, k + 6));
          pen = at(flat[k + 4] as number, flat[k + 5] as number);
          k += 6;
        } else if (op === OPS.curveTo2 || op === OPS.curveTo3) {
          curve(pen, flat.slice(k, k + 4));
          pen = at(flat[k + 2] as number, flat[k + 3] as number);
          k += 4;
        }
      }
    }
  });
  return drawn;
}
