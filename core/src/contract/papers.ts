import * as v from 'valibot';
import { PrintItem, SheetWish } from '../sheets/index.js';
import { Day, FamilyLetter, SampleLine } from '../vocabulary/index.js';

const Line = v.object({ key: v.string(), words: v.string() });
/** A report for the family, before the educator has chosen from it. */
export const FamilyDraft = v.object({
  title: v.string(),
  knows: v.array(Line),
  growing: v.array(Line),
  next: v.array(Line),
  home: v.array(Line),
  cautions: v.array(Line),
  goals: FamilyLetter.entries.goals,
  note: v.string(),
});
export const FamilyReports = v.array(FamilyLetter);

/** Work samples without their pictures. */
export const SampleLines = v.array(SampleLine);

export const PrintItems = v.array(PrintItem);
/** Sheets that the plan needs and that are not on the print list. */
export const ProposedSheets = v.array(
  v.object({
    kind: v.string(),
    childId: v.nullable(v.string()),
    because: v.string(),
    day: Day,
    wish: SheetWish,
  }),
);
/** Cards of the plan in a moment of the day. */
export const MomentCards = v.array(
  v.object({ id: v.string(), day: v.string(), title: v.string() }),
);

export type FamilyDraft = v.InferOutput<typeof FamilyDraft>;
export type ProposedSheet = v.InferOutput<typeof ProposedSheets>[number];
export type MomentCards = v.InferOutput<typeof MomentCards>;
