import type { NonNullableFormBuilder } from '@angular/forms';
import { type Face, SheetWish } from '@gumo/core/sheets';
import { valid } from '../../common/forms';

const FIELDS = SheetWish.entries;
const field = <T>(value: T, key: keyof typeof FIELDS): [T, ReturnType<typeof valid>] => [
  value,
  valid(FIELDS[key]),
];

/** The fields of what a sheet is made for. */
export const sheetForm = (builder: NonNullableFormBuilder) =>
  builder.group({
    paper: field<SheetWish['paper']>('a4', 'paper'),
    low: field<number | null>(1, 'low'),
    high: field<number | null>(10, 'high'),
    materialMm: field<number | null>(25, 'materialMm'),
    count: field<number | null>(4, 'count'),
    seed: field<number | null>(1, 'seed'),
    target: field<number | null>(null, 'target'),
    size: field<SheetWish['size']>('medium', 'size'),
    look: field('', 'look'),
    faces: field<Face[]>(['numeral'], 'faces'),
    cues: field<SheetWish['cues']>('movement', 'cues'),
    picture: field('', 'picture'),
    word: field('', 'word'),
    activity: field('', 'activity'),
    answers: false,
    alike: false,
    outline: false,
    twoSided: false,
    laminate: false,
  });
