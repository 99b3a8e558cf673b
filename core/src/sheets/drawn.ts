import { DRAWINGS } from '../measuring/index.js';
import type { Ink, Mark } from './page.js';

/** Inks for the three tones of a drawing, so that it reads in black and white. */
const TONES: readonly Ink[] = ['paper', 'straw', 'spruce'];

/** One of the house's own drawings, from its upper left corner; as a shadow all in black. */
export function drawing(id: string, x: number, y: number, side: number, shadow = false): Mark[] {
  const found = DRAWINGS.find((one) => one.id === id);
  return (found?.parts ?? []).map(({ path, tone }): Mark => ({
    kind: 'path',
    path,
    x,
    y,
    scale: side / 24,
    width: Math.max(0.35, side / 60),
    ink: 'black',
    fill: shadow ? 'black' : (TONES[tone - 1] ?? 'paper'),
  }));
}

/** The drawing of what a child likes; empty where there is none of it. */
export function pictureFor(interests: readonly string[]): string {
  const liked = interests.map((one) => one.toLowerCase());
  const found = DRAWINGS.find((drawn) =>
    liked.some((one) => one.includes(drawn.id) || drawn.id.includes(one.replace(/s$/, ''))),
  );
  return found?.id ?? '';
}
