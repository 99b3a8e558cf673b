import { HOLLOW_MM, INKS, type Mark, type Page } from './page.js';

const escaped = (words: string): string =>
  words.replace(/[&<>"]/g, (one) => `&#${one.charCodeAt(0)};`);
const round = (n: number): string => String(Number(n.toFixed(3)));

/** A page as an SVG file of its own, in true size. */
export function svgOf({ width, height, marks }: Page): string {
  const size = `width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} font-family="Andika, sans-serif">${marks.map(markOf).join('')}</svg>`;
}

function markOf(mark: Mark): string {
  const ink = INKS[mark.ink];
  const fill = 'fill' in mark && mark.fill ? INKS[mark.fill] : 'none';
  const stroke =
    'width' in mark && mark.width > 0 ? ` stroke="${ink}" stroke-width="${round(mark.width)}"` : '';
  const dash = 'dash' in mark && mark.dash ? ` stroke-dasharray="${mark.dash.join(' ')}"` : '';
  switch (mark.kind) {
    case 'line':
      return `<path d="M${round(mark.x1)} ${round(mark.y1)}L${round(mark.x2)} ${round(mark.y2)}"${stroke}${dash} fill="none"/>`;
    case 'rect':
      return `<rect x="${round(mark.x)}" y="${round(mark.y)}" width="${round(mark.w)}" height="${round(mark.h)}" rx="${round(mark.round)}" fill="${fill}"${stroke}/>`;
    case 'circle':
      return `<circle cx="${round(mark.x)}" cy="${round(mark.y)}" r="${round(mark.r)}" fill="${fill}"${stroke}/>`;
    case 'path': {
      const scaled =
        mark.width > 0 ? ` stroke="${ink}" stroke-width="${round(mark.width / mark.scale)}"` : '';
      const broken = mark.dash
        ? ` stroke-dasharray="${mark.dash.map((one) => round(one / mark.scale)).join(' ')}"`
        : '';
      return `<path d="${mark.path}" transform="translate(${round(mark.x)} ${round(mark.y)}) scale(${round(mark.scale)})" fill="${fill}" stroke-linecap="round" stroke-linejoin="round"${scaled}${broken}/>`;
    }
    case 'text':
      return `<text x="${round(mark.x)}" y="${round(mark.y)}" font-size="${round(mark.size)}" text-anchor="${mark.anchor}" ${mark.hollow ? `fill="none" stroke="${ink}" stroke-width="${HOLLOW_MM}"` : `fill="${ink}"`}${mark.bold ? ' font-weight="700"' : ''}>${escaped(mark.text)}</text>`;
  }
}
