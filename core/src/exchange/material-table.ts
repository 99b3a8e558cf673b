import * as v from 'valibot';
import { type Shape, Material } from '../vocabulary/index.js';

/** Columns of materials as a table, in their order. */
export const MATERIAL_COLUMNS = [
  'id',
  'name',
  'use',
  'count',
  'colors',
  'alike',
  'shape',
  'box',
  'used up',
  'interests',
  'hazards',
  'holds',
] as const;
export type MaterialColumn = (typeof MATERIAL_COLUMNS)[number];
export type MaterialRow = Readonly<Record<MaterialColumn, string>>;

/** Said of a material that holds no allergen; an empty cell says nothing. */
const NOTHING = 'none';

const yesNo = (value: boolean): string => (value ? 'yes' : 'no');
const listOf = (text: string): string[] =>
  text
    .split(';')
    .map((one) => one.trim())
    .filter((one) => one !== '');

/** A shape in words: "disc 30 x 6", "ball 25", "block 20 x 20 x 20", "rod 60 x 8"; empty where it is not known. */
export function shapeWords(shape: Shape): string {
  switch (shape.kind) {
    case 'ball':
      return `ball ${shape.diameterMm}`;
    case 'disc':
      return `disc ${shape.diameterMm} x ${shape.thicknessMm}`;
    case 'block':
      return `block ${shape.lengthMm} x ${shape.widthMm} x ${shape.heightMm}`;
    case 'rod':
      return `rod ${shape.lengthMm} x ${shape.diameterMm}`;
    case 'unknown':
      return '';
  }
}

/** The shape that the words stand for; null where they stand for none. */
export function shapeOfWords(words: string): Shape | null {
  if (words.trim() === '') return { kind: 'unknown' };
  const [, kind, measures = ''] = /^\s*(ball|disc|block|rod)\s+(.*)$/.exec(words) ?? [];
  const [a, b, c, d] = measures.split(/\s*x\s*/).map(Number);
  if (a === undefined || d !== undefined || [a, b, c].some((one) => Number.isNaN(one))) return null;
  if (kind === 'ball' && b === undefined) return { kind, diameterMm: a };
  if (kind === 'disc' && b !== undefined && c === undefined) {
    return { kind, diameterMm: a, thicknessMm: b };
  }
  if (kind === 'rod' && b !== undefined && c === undefined) {
    return { kind, lengthMm: a, diameterMm: b };
  }
  if (kind === 'block' && b !== undefined && c !== undefined) {
    return { kind, lengthMm: a, widthMm: b, heightMm: c };
  }
  return null;
}

/** A thing of materials as a row of words. */
export const materialRow = (material: Material): MaterialRow => ({
  id: material.id,
  name: material.name,
  use: material.use,
  count: String(material.count),
  colors: material.colors.map(({ name, count }) => `${count} ${name}`).join('; '),
  alike: yesNo(material.alike),
  shape: shapeWords(material.shape),
  box: material.box,
  'used up': yesNo(material.consumable),
  interests: material.interests.join('; '),
  hazards: material.hazards.join('; '),
  holds: material.allergens?.length === 0 ? NOTHING : (material.allergens ?? []).join('; '),
});

/**
 * A row of words as a thing; the version is that of a new one.
 * @param newId an id for a row without one
 */
export function materialOfRow(
  cells: (column: MaterialColumn) => string,
  newId: string,
): Material | { readonly column: MaterialColumn; readonly message: string } {
  const shape = shapeOfWords(cells('shape'));
  if (!shape) {
    return { column: 'shape', message: 'must be like “disc 30 x 6”, “ball 25” or empty' };
  }
  const colors = listOf(cells('colors')).map((one) => /^(\d+)\s+(.+)$/.exec(one));
  if (colors.includes(null)) {
    return { column: 'colors', message: 'must be like “20 blue; 20 orange”' };
  }
  const holds = cells('holds').trim();
  const read = v.safeParse(Material, {
    id: cells('id') || newId,
    name: cells('name'),
    use: cells('use') || 'loose',
    count: cells('count') === '' ? 1 : Number(cells('count')),
    colors: colors.map((one) => ({ name: one?.[2] ?? '', count: Number(one?.[1]) })),
    alike: cells('alike') !== 'no',
    shape,
    box: cells('box'),
    consumable: cells('used up') === 'yes',
    interests: listOf(cells('interests')),
    hazards: listOf(cells('hazards')),
    ...(holds === '' ? {} : { allergens: holds.toLowerCase() === NOTHING ? [] : listOf(holds) }),
    version: 1,
  });
  if (read.success) return read.output;
  const [issue] = read.issues;
  const field = (v.getDotPath(issue) ?? '').split('.')[0];
  const column = field === 'consumable' ? 'used up' : field === 'allergens' ? 'holds' : field;
  return {
    column: MATERIAL_COLUMNS.find((one) => one === column) ?? 'name',
    message: issue.message.startsWith('Invalid') ? 'is not right' : issue.message,
  };
}
