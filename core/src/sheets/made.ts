import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { CHECK_LINE_MM, MARGIN_MM, type Mark, type Page, type Sheet, text } from './page.js';
import type { SheetWish } from './wish.js';

/** A little drawing at the foot of a page, and the name beside it, in millimeters. */
const PICTURE_MM = 8;
const OWNER_MM = 4;
/** What a name may take up, between the check line and the title. */
const OWNER_ROOM_MM = 34;
const LETTER_PART = 0.56;

/**
 * A sheet of a kind as it was wished for: whom it is for and what that child likes stand at its foot.
 * @throws RangeError where it cannot be made so
 */
export function sheetFor(kind: SheetKind, wish: SheetWish): Sheet {
  const sheet = kind.make(wish);
  return {
    ...sheet,
    pages: sheet.pages.map((page) => ({ ...page, marks: [...page.marks, ...footOf(page, wish)] })),
    notes: wish.laminate
      ? [...sheet.notes, 'To laminate: 3 mm of film stay around each card.']
      : sheet.notes,
  };
}

function footOf({ height }: Page, { picture, owner }: SheetWish): Mark[] {
  const left = MARGIN_MM + CHECK_LINE_MM + 5;
  const base = height - MARGIN_MM;
  const size = Math.min(OWNER_MM, OWNER_ROOM_MM / (LETTER_PART * Math.max(1, owner.length)));
  const marks = drawing(picture, left, base - PICTURE_MM - 0.4, PICTURE_MM);
  return owner === ''
    ? marks
    : [
        ...marks,
        text(left + (picture === '' ? 0 : PICTURE_MM + 2), base - 2, size, owner, {
          anchor: 'start',
        }),
      ];
}
