import type { Faces, Need, Shape, Material } from '../vocabulary/index.js';

/** What a name tells of what is on a thing; the first that matches (common practice, no source). */
const NAMED: readonly (readonly [words: RegExp, faces: Faces])[] = [
  [/\b(blank|index|empty)\b/i, 'blank'],
  [/\b(dots? in pairs|dot pairs?)\b/i, 'dot pairs'],
  [/\btwo-?colou?r(ed)? dots?\b/i, 'two-color dots'],
  [/\bdoubles\b/i, 'doubles'],
  [/\blook-?alikes?\b/i, 'look-alikes'],
  [/\bshapes?\b/i, 'shapes'],
  [/\broads?\b/i, 'roads'],
  [/\bnames?\b/i, 'name'],
  [/\bnumber words?\b/i, 'number words'],
  [/\b(dots?|domino(e?s)?)\b/i, 'dots'],
  [/\b(numbers?|numerals?|digits?)\b/i, 'numerals'],
  [/\b(pictures?|photos?)\b/i, 'pictures'],
];

/** What is on a thing: as it was said, or else as its name tells; null where neither does. */
export const facesOf = ({ faces, name }: Pick<Material, 'faces' | 'name'>): Faces | null =>
  faces ?? NAMED.find(([words]) => words.test(name))?.[1] ?? null;

/** The longest side of a thing in mm; null where it is not known. */
export function longestOf(shape: Shape): number | null {
  switch (shape.kind) {
    case 'ball':
      return shape.diameterMm;
    case 'disc':
      return Math.max(shape.diameterMm, shape.thicknessMm);
    case 'block':
      return Math.max(shape.lengthMm, shape.widthMm, shape.heightMm);
    case 'rod':
      return Math.max(shape.lengthMm, shape.diameterMm);
    case 'unknown':
      return null;
  }
}

/**
 * True where nothing about a thing is against a need: the right faces are on it, and it is as large as
 * it has to be. What is not known of its size is given the benefit of the doubt; faces are not.
 */
export function fits(material: Material, need: Need): boolean {
  if (need.faces !== undefined && facesOf(material) !== need.faces) return false;
  const longest = longestOf(material.shape);
  return need.acrossMm === undefined || longest === null || longest >= need.acrossMm;
}
