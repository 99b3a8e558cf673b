import { shuffled } from '../numbers/index.js';
import { type Ink, type Mark, circle, rect } from './page.js';

/** Pieces of patterns: a shape and a fill, so that they stay apart in black and white. */
export const SHAPES = ['round', 'square', 'triangle', 'drop'] as const;
export const FILLS = ['blue', 'straw', 'paper', 'orange'] as const;
export interface Token {
  readonly shape: (typeof SHAPES)[number];
  readonly fill: (typeof FILLS)[number];
}

const PATHS: Readonly<Record<string, string>> = {
  triangle: 'M0 -1L1 0.85H-1Z',
  drop: 'M0 -1.05C0.5 -0.4 0.85 0 0.85 0.35A0.8 0.72 0 0 1 -0.85 0.35C-0.85 0 -0.5 -0.4 0 -1.05Z',
};

/** A piece with its middle at x, y. */
export function token({ shape, fill }: Token, x: number, y: number, side: number): Mark {
  const r = side * 0.4;
  const style = { width: 0.8, fill, ink: 'black' as Ink };
  if (shape === 'round') return circle(x, y, r, style);
  if (shape === 'square')
    return rect(x - r * 0.9, y - r * 0.9, 1.8 * r, 1.8 * r, { ...style, round: 1 });
  return { kind: 'path', path: PATHS[shape] ?? '', x, y, scale: r, ...style };
}

/** Pieces for the letters of a unit: no two of one shape, no two of one fill. */
export function piecesFor(letters: readonly string[], seed: number): ReadonlyMap<string, Token> {
  const [shapes, fills] = [shuffled(SHAPES, seed), shuffled(FILLS, seed * 13 + 5)];
  return new Map(
    [...new Set(letters)].map((letter, i) => [
      letter,
      { shape: shapes[i % 4] as Token['shape'], fill: fills[i % 4] as Token['fill'] },
    ]),
  );
}
