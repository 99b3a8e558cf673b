import type { Mark } from './page.js';

/**
 * Widths of the letters of Andika from the space on, in thousandths of the type's height (read from the
 * font file; a spec of the server, which has the font, compares them).
 */
const WIDTHS = [
  269, 373, 500, 586, 586, 745, 597, 295, 388, 388, 502, 586, 317, 420, 313, 488, 586, 586, 586,
  586, 586, 586, 586, 586, 586, 586, 313, 317, 586, 586, 586, 513, 831, 681, 627, 662, 701, 566,
  562, 693, 720, 476, 471, 640, 527, 876, 732, 713, 583, 720, 637, 574, 618, 703, 667, 1016, 647,
  645, 601, 386, 488, 386, 415, 622, 283, 562, 564, 498, 581, 535, 366, 549, 574, 276, 291, 505,
  276, 823, 579, 557, 571, 552, 435, 471, 408, 579, 522, 757, 530, 518, 508, 488, 337, 488, 544,
] as const;
const OTHERS: Readonly<Record<string, number>> = {
  '×': 586,
  '÷': 586,
  '−': 586,
  '…': 842,
  '–': 515,
  '—': 847,
  '’': 266,
  '“': 513,
  '”': 493,
  '·': 332,
  ß: 604,
};
/** What no letter of the alphabet is wider than, for one that is not known. */
const WIDEST = 1016;
/** Bold letters are up to so much wider. */
const BOLD = 1.13;

/** Width of words in a type of that height, in the unit of the height. */
export function widthOf(words: string, size: number, isBold = false): number {
  let sum = 0;
  // An accent stands over its letter and takes no room beside it.
  for (const letter of words.normalize('NFD').replace(/\p{M}/gu, '')) {
    sum += OTHERS[letter] ?? WIDTHS[(letter.codePointAt(0) ?? 0) - 32] ?? WIDEST;
  }
  return (sum / 1000) * size * (isBold ? BOLD : 1);
}

/** Type smaller than this nobody reads, in millimeters. */
const LEAST_MM = 2.4;

/** The largest type up to a size in which words fit a width; where even the least does not, they end in dots. */
export function fitted(
  words: string,
  width: number,
  most: number,
  isBold = false,
): { readonly size: number; readonly said: string } {
  const size = Math.min(most, width / Math.max(1e-9, widthOf(words, 1, isBold)));
  if (size >= LEAST_MM || words === '') return { size: Math.min(most, size), said: words };
  let said = words;
  while (said.length > 1 && widthOf(`${said}…`, LEAST_MM, isBold) > width) said = said.slice(0, -1);
  return { size: LEAST_MM, said: `${said.trimEnd()}…` };
}

/** Words in lines that are no wider than the width; a word that is wider stands alone. */
export function linesOf(words: string, size: number, width: number): string[] {
  const lines: string[] = [];
  let last = '';
  for (const word of words.split(/\s+/).filter((one) => one !== '')) {
    const longer = last === '' ? word : `${last} ${word}`;
    if (last !== '' && widthOf(longer, size) > width) {
      lines.push(last);
      last = word;
    } else last = longer;
  }
  return last === '' ? lines : [...lines, last];
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** Parts of the type's height above and below the line it stands on (measured on Andika). */
const ABOVE = 0.73;
const BELOW = 0.23;

/** What words take up on the page. */
export function boxOfText(mark: Extract<Mark, { kind: 'text' }>): Box {
  const w = widthOf(mark.text, mark.size, mark.bold);
  const left = mark.anchor === 'start' ? 0 : mark.anchor === 'end' ? w : w / 2;
  const below = /[gjpqy,;()]/.test(mark.text) ? BELOW : 0.01;
  return { x: mark.x - left, y: mark.y - ABOVE * mark.size, w, h: (ABOVE + below) * mark.size };
}
