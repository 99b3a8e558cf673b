import type { Household } from '../vocabulary/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import {
  CHECK_LINE_MM,
  MARGIN_MM,
  type Mark,
  NO_SEED,
  type Page,
  type Sheet,
  text,
} from './page.js';
import { fitted } from './type.js';
import { type SheetWish, usualWish } from './wish.js';

/** A little drawing at the foot of a page, and the name beside it, in millimeters. */
const PICTURE_MM = 8;
const OWNER_MM = 4;
/** What a name may take up, between the check line and the title. */
const OWNER_ROOM_MM = 34;

/** What a kind of sheet is first made for, and what else is wished. */
export const wishFor = (kind: SheetKind, more: Partial<SheetWish> = {}): SheetWish => ({
  ...usualWish(),
  ...kind.suits,
  look: kind.looks[0]?.[0] ?? '',
  ...more,
});

/** What a household chose once for all its sheets. */
export const chosenBy = ({
  paper,
  digitForms: forms,
  digitCue: cues,
  digitWords: says = [],
}: Pick<Household, 'paper' | 'digitForms' | 'digitCue' | 'digitWords'>): Partial<SheetWish> => ({
  paper,
  forms,
  cues,
  says,
});

/** The sheet as it was wished for, or why it cannot be made so. */
export function attempt(
  kind: SheetKind,
  wish: SheetWish,
): { readonly sheet: Sheet | null; readonly problem: string } {
  try {
    return { sheet: sheetFor(kind, wish), problem: '' };
  } catch (error) {
    if (error instanceof RangeError) return { sheet: null, problem: error.message };
    throw error;
  }
}

/**
 * A sheet of a kind as it was wished for: whom it is for and what that child likes stand at its foot.
 * @throws RangeError where it cannot be made so
 */
export function sheetFor(kind: SheetKind, wish: SheetWish): Sheet {
  const sheet = kind.make(kind.asks.includes('seed') ? wish : { ...wish, seed: NO_SEED });
  const isOutline = wish.outline && kind.asks.includes('outline');
  return {
    ...sheet,
    pages: sheet.pages.map((page) => ({
      ...page,
      marks: [...(isOutline ? page.marks.map(outlined) : page.marks), ...footOf(page, wish)],
    })),
    notes:
      wish.laminate && kind.asks.includes('laminate')
        ? [...sheet.notes, 'To laminate: 3 mm of film stay around each card.']
        : sheet.notes,
  };
}

/** Type that is large enough to be colored, in millimeters. */
const COLORED_MM = 16;
const OUTLINE_MM = 0.6;

/** A mark left white, for a child to color. */
function outlined(mark: Mark): Mark {
  if (mark.kind === 'text') return mark.size < COLORED_MM ? mark : { ...mark, hollow: true };
  if (mark.kind === 'line' || mark.fill === null || mark.fill === 'paper') return mark;
  return { ...mark, fill: 'paper', ink: 'black', width: Math.max(mark.width, OUTLINE_MM) };
}

function footOf({ height }: Page, { picture, owner }: SheetWish): Mark[] {
  const left = MARGIN_MM + CHECK_LINE_MM + 5;
  const base = height - MARGIN_MM;
  const marks = drawing(picture, left, base - PICTURE_MM - 0.4, PICTURE_MM);
  if (owner === '') return marks;
  const { size, said } = fitted(owner, OWNER_ROOM_MM, OWNER_MM);
  return [
    ...marks,
    text(left + (picture === '' ? 0 : PICTURE_MM + 2), base - 2, size, said, { anchor: 'start' }),
  ];
}
