import { seeded, shuffled } from '../numbers/index.js';
import type { Point } from './mirrors.js';

/** A figure that is the same on both sides, by its right half; from the top down, on a field of 10 x 12. */
export interface HalfFigure {
  readonly id: string;
  readonly name: string;
  readonly half: readonly Point[];
}

const half = (...flat: number[]): Point[] =>
  Array.from({ length: flat.length / 2 }, (_, i) => ({
    x: flat[2 * i] ?? 0,
    y: flat[2 * i + 1] ?? 0,
  }));

/** A half circle of straight pieces. @param top its upper end; @param r its radius */
const halfRound = (top: number, r: number): Point[] =>
  Array.from({ length: 13 }, (_, i) => {
    const t = (Math.PI * i) / 12;
    return { x: i % 12 === 0 ? 0 : r * Math.sin(t), y: top + r - r * Math.cos(t) };
  });

/** Own drawings, each cut from a fold or finished across a line. */
export const HALF_FIGURES: readonly HalfFigure[] = [
  {
    id: 'heart',
    name: 'a heart',
    half: half(0, 3, 1.2, 1.4, 3, 1, 4.6, 2.4, 4.6, 4.6, 3, 7.4, 0, 11),
  },
  {
    id: 'tree',
    name: 'a tree',
    half: half(0, 0.5, 2, 3, 1.1, 3, 3.2, 6, 1.9, 6, 4.6, 9.2, 0.8, 9.2, 0.8, 11.5, 0, 11.5),
  },
  { id: 'house', name: 'a house', half: half(0, 0.8, 4.8, 5, 4, 5, 4, 11.2, 0, 11.2) },
  {
    id: 'leaf',
    name: 'a leaf',
    half: half(0, 0.5, 1.8, 2.6, 2.8, 5.6, 2, 8.4, 0.5, 10, 0.4, 11.6, 0, 11.6),
  },
  { id: 'diamond', name: 'a kite', half: half(0, 0.8, 3.6, 4.6, 0, 11.2) },
  {
    id: 'cup',
    name: 'a bowl',
    half: half(0, 3, 4.8, 3, 4.4, 6.2, 2.8, 8.6, 1.4, 9.2, 1.8, 10.4, 0, 10.4),
  },
  { id: 'star', name: 'a star', half: half(0, 0.6, 1.2, 4, 4.8, 4.2, 2, 6.6, 3, 10.6, 0, 8.2) },
  {
    id: 'butterfly',
    name: 'a butterfly',
    half: half(
      0,
      3.2,
      1,
      4.4,
      3.2,
      1.4,
      4.8,
      2.2,
      4.6,
      5,
      2.4,
      6.2,
      4,
      7.6,
      3.8,
      9.8,
      2.2,
      10,
      0.9,
      7.6,
      0,
      9.6,
    ),
  },
  { id: 'hole', name: 'a round hole', half: halfRound(2.6, 3.4) },
];

/** Figures that are an item of the skill: what opens is asked of these, and shown of the others. */
export const ASKED_FIGURES: readonly string[] = ['hole', 'heart', 'leaf', 'house'];

/** Outlines to lay a body, a face or a butterfly on, the same on both sides of an upright line; on 24 x 24. */
export const LINE_OUTLINES: readonly { readonly id: string; readonly path: string }[] = [
  {
    id: 'body',
    path: 'M12 1.5a3 3 0 0 1 0 6a3 3 0 0 1 0-6ZM12 7.500C15 7.500 16.500 8.200 17.500 9.500L22 14.200L20.200 16L16 12.500L16.500 22.500H13L12 15.500L11 22.500H7.500L8 12.500L3.800 16L2 14.200L6.500 9.500C7.500 8.200 9 7.500 12 7.500Z',
  },
  {
    id: 'face',
    path: 'M12 2.500C17 2.500 20.500 6.500 20.500 12C20.500 17.500 17 22 12 22C7 22 3.500 17.500 3.500 12C3.500 6.500 7 2.500 12 2.500ZM3.500 10C1.500 9.600 1.500 14.400 3.600 14M20.500 10C22.500 9.600 22.500 14.400 20.400 14',
  },
  {
    id: 'butterfly',
    path: 'M12 6V20M12 8C14 3 19 1.500 22 3C23.500 7 21 11.500 16 12.500C20 13 21.500 17 19.500 20.500C16 22 13.500 19 12 15.500C10.500 19 8 22 4.500 20.500C2.500 17 4 13 8 12.500C3 11.500 0.500 7 2 3C5 1.500 10 3 12 8ZM12 6C11 4.500 10 3.600 8.600 3M12 6C13 4.500 14 3.600 15.400 3',
  },
];

/** A drawing in flat parts; with all parts in one color it is its own shadow. On a field of 24 x 24. */
export interface Drawing {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly { readonly path: string; readonly tone: 1 | 2 | 3 }[];
}

/** Own drawings of what is about in the house, for shadow and alike cards. */
export const DRAWINGS: readonly Drawing[] = [
  {
    id: 'snail',
    name: 'snail',
    parts: [
      {
        path: 'M2 19C2 17 4 16 6 16H17C19 16 19 12 19 10L18 5M19 10L21.5 5.5L22 6L21 10C21 15 21 20 17 20H3C2.4 20 2 19.6 2 19Z',
        tone: 2,
      },
      { path: 'M10.5 4.5A6.5 6.5 0 1 1 10.4 4.5Z', tone: 1 },
      { path: 'M10.5 8A3 3 0 1 1 10.4 8Z', tone: 3 },
    ],
  },
  {
    id: 'kite',
    name: 'kite',
    parts: [
      { path: 'M14 2L21 9L12 16L8 7Z', tone: 1 },
      { path: 'M14 2L12 16L8 7Z', tone: 2 },
      {
        path: 'M12 16C10 18 12 19 9 20C7 21 7 22 4 22L3.6 21C6 21 6.4 20 8.4 19.2C10.6 18.4 9 17.4 11.4 15.6Z',
        tone: 3,
      },
    ],
  },
  {
    id: 'drum',
    name: 'drum',
    parts: [
      { path: 'M4 9V18C4 20.5 20 20.5 20 18V9Z', tone: 1 },
      { path: 'M4 9A8 2.6 0 1 0 20 9A8 2.6 0 1 0 4 9Z', tone: 2 },
      { path: 'M3 2.6L11 8L10.4 8.9L2.4 3.5ZM21 2.6L13 8L13.6 8.9L21.6 3.5Z', tone: 3 },
    ],
  },
  {
    id: 'bowl',
    name: 'bowl of soup',
    parts: [
      { path: 'M2 10H22C22 16 18 20 12 20C6 20 2 16 2 10Z', tone: 1 },
      { path: 'M8 20H16V22H8Z', tone: 2 },
      {
        path: 'M8 8C6.6 6 9.4 5 8 2.6H9.2C10.6 5 7.8 6 9.2 8ZM14 8C12.6 6 15.4 5 14 2.6H15.2C16.6 5 13.8 6 15.2 8Z',
        tone: 3,
      },
    ],
  },
  {
    id: 'yarn',
    name: 'ball of yarn',
    parts: [
      { path: 'M11 4A7.6 7.6 0 1 1 10.9 4Z', tone: 1 },
      {
        path: 'M5 9C9 7 14 8 17.6 12L16.8 12.8C13.4 9.2 9 8.4 5.4 10ZM4 13C8 11 13 12.6 16 16.6L15.2 17.3C12.4 13.8 8 12.6 4.4 14Z',
        tone: 2,
      },
      { path: 'M15 18C18 17.4 20 19.4 22 21.4L21.2 22.2C19.2 20.2 17.6 18.6 15.2 19.2Z', tone: 3 },
    ],
  },
  {
    id: 'train',
    name: 'train',
    parts: [
      { path: 'M3 9H14V4H21V17H3Z', tone: 1 },
      { path: 'M5 4H8V9H5ZM15.5 6H19.5V10H15.5Z', tone: 2 },
      { path: 'M7 16A2.8 2.8 0 1 1 6.9 16ZM16.5 16A2.8 2.8 0 1 1 16.4 16Z', tone: 3 },
    ],
  },
];

/** A card to look for the one that is alike: what is sought, and what it lies among. */
export interface AlikeCard {
  readonly sought: Drawing;
  readonly among: readonly Drawing[];
}

/** Cards with one drawing to find among four; the same from the same seed. */
export function alikeCards(count: number, seed: number): AlikeCard[] {
  const random = seeded(seed);
  return Array.from({ length: count }, (_, i) => {
    const sought = DRAWINGS[(i + Math.floor(random() * 2)) % DRAWINGS.length] as Drawing;
    const others = shuffled(
      DRAWINGS.filter((one) => one !== sought),
      seed + i,
    ).slice(0, 3);
    return { sought, among: shuffled([sought, ...others], seed * 31 + i) };
  });
}
