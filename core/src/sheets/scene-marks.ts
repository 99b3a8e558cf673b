import type { Ground, Piece, Scene } from '../handling/index.js';
import { type Ink, type Mark, centered, circle, line, rect } from './page.js';
import { fitted } from './type.js';

const FILLS: Readonly<Record<Piece['color'], Ink>> = { a: 'blue', b: 'paper', c: 'straw' };
const INKS_OF: Readonly<Record<Piece['color'], Ink>> = { a: 'blue', b: 'orange', c: 'black' };

interface Placed {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

function groundMarks(one: Ground, { x, y, scale }: Placed): Mark[] {
  const [left, top, w, h] = [x + one.x * scale, y + one.y * scale, one.w * scale, one.h * scale];
  switch (one.look) {
    case 'number':
    case 'label': {
      // The middle is told, not the corner.
      const { size, said } = fitted(one.text, 60, one.h * scale);
      return one.text === '' ? [] : [centered(left, top, size, said)];
    }
    case 'line':
    case 'string':
    case 'mark':
    case 'stick':
      return [line(left, top, left + w, top + h, { width: one.look === 'stick' ? 1.4 : 0.8 })];
    case 'ring':
      return [circle(left + w / 2, top + h / 2, Math.min(w, h) / 2, { ink: 'spruce', width: 0.8 })];
    case 'plate':
      return [
        rect(left, top, w, h, {
          round: Math.min(w, h) / 2,
          width: 1,
          ink: 'spruce',
          fill: 'paper',
        }),
      ];
    case 'cloth':
      return [rect(left, top, w, h, { round: 3, fill: 'straw', width: 0.6 })];
    default:
      return [
        rect(left, top, w, h, {
          round: one.look === 'hand' ? scale * 0.8 : 1,
          width: 0.6,
          fill: one.look === 'rail' || one.look === 'hand' ? 'light' : 'paper',
        }),
      ];
  }
}

/** A piece with round ends, turned about its middle: a finger, a rod, a stroke. */
function capsule(one: Piece, { x, y, scale }: Placed, fill: Ink): Mark {
  const turn = (one.turn * Math.PI) / 180;
  const isRound = one.look === 'finger' || one.look === 'thumb';
  const across = one.w / 2;
  const along = Math.max(0, isRound ? one.h / 2 - across : one.h / 2);
  const at = (dx: number, dy: number): string =>
    [
      one.x + dx * Math.cos(turn) - dy * Math.sin(turn),
      one.y + dx * Math.sin(turn) + dy * Math.cos(turn),
    ]
      .map((value) => value.toFixed(3))
      .join(' ');
  const end = isRound ? `A${across} ${across} 0 0 1 ` : 'L';
  return {
    kind: 'path',
    path: `M${at(-across, -along)}${end}${at(across, -along)}L${at(across, along)}${end}${at(-across, along)}Z`,
    x,
    y,
    scale,
    width: isRound ? 0.3 : 0.5,
    ink: 'black',
    fill,
  };
}

function pieceMarks(one: Piece, placed: Placed): Mark[] {
  const { x, y, scale } = placed;
  const isFinger = one.look === 'finger' || one.look === 'thumb';
  if (one.hidden && !isFinger) return [];
  const [cx, cy, r] = [x + one.x * scale, y + one.y * scale, (one.w / 2) * scale];
  switch (one.look) {
    case 'finger':
    case 'thumb':
      return [capsule(one, placed, one.hidden ? 'light' : 'paper')];
    case 'rod':
    case 'one':
      return [capsule(one, placed, FILLS[one.color])];
    case 'tally':
    case 'tally-across':
      return [capsule(one, placed, 'black')];
    case 'pip':
      return [circle(cx, cy, r, { width: 0, fill: 'black' })];
    case 'coin':
      return [
        circle(cx, cy, r, { width: 0.8, fill: 'paper' }),
        centered(cx, cy, fitted(String(one.value), r * 1.3, r).size, String(one.value)),
      ];
    case 'symbol':
      if (one.color === 'b') {
        return [rect(cx - r, cy - r, 2 * r, 2 * r, { round: 1, width: 0.8, fill: 'straw' })];
      }
      return [circle(cx, cy, r, { width: 0.8, fill: FILLS[one.color] })];
    default:
      return [
        circle(cx, cy, r * 0.94, {
          width: one.color === 'b' ? r * 0.3 : 0.4,
          fill: FILLS[one.color],
          ink: INKS_OF[one.color],
        }),
      ];
  }
}

/** How large a counter of a scene is drawn at most, in millimeters. */
const MOST_COUNTER_MM = 24;

/** A scene of manipulatives on paper, in the middle of a box and as large as it goes in. */
export function sceneMarks(
  scene: Scene,
  box: { readonly x: number; readonly y: number; readonly w: number; readonly h: number },
): Mark[] {
  const scale = Math.min(box.w / scene.width, box.h / scene.height, MOST_COUNTER_MM);
  const placed = {
    x: box.x + (box.w - scene.width * scale) / 2,
    y: box.y + (box.h - scene.height * scale) / 2,
    scale,
  };
  return [
    ...scene.under.flatMap((one) => groundMarks(one, placed)),
    ...scene.pieces.flatMap((one) => pieceMarks(one, placed)),
    ...scene.over.flatMap((one) => groundMarks(one, placed)),
  ];
}
