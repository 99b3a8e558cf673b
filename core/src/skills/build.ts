import { numberWord } from '../numbers/index.js';
import type { AnswerKind, Item, Skill, Strand } from './types.js';

/** An item before its difficulty is known: listed from first met to last met. */
export interface ItemSeed {
  readonly id: string;
  readonly label: string;
  readonly number: number;
  readonly first?: number;
  readonly parts?: readonly number[];
  readonly form?: string;
  /** One step harder than its place says: look-alike numerals, the teens. */
  readonly harder?: boolean;
}

const EASIEST = -1.5;
const HARDEST = 1.5;

/**
 * Gives listed items difficulties spread evenly from -1.5 to 1.5 in the order given; a harder one
 * moves up by one step. A single item lies at 0.
 */
export function spread(seeds: readonly ItemSeed[]): Item[] {
  const step = seeds.length > 1 ? (HARDEST - EASIEST) / (seeds.length - 1) : 0;
  return seeds.map((seed, place) => ({
    id: seed.id,
    label: seed.label,
    number: seed.number,
    first: seed.first ?? seed.number,
    parts: [...(seed.parts ?? [])],
    form: seed.form ?? null,
    difficulty: seeds.length > 1 ? EASIEST + step * (place + (seed.harder ? 1 : 0)) : 0,
  }));
}

/** The whole numbers from a to b. */
export function range(a: number, b: number): number[] {
  return Array.from({ length: Math.max(0, b - a + 1) }, (_, i) => a + i);
}

/** One item a number, `n7`; numbers in `harder` lie one step up. */
export function numbers(list: readonly number[], harder: readonly number[] = []): ItemSeed[] {
  return list.map((n) => ({
    id: `n${n}`,
    label: numberWord(n),
    number: n,
    harder: harder.includes(n),
  }));
}

/** Stretches of the number row such as `to-12` for eleven and twelve, given as [first, last]. */
export function stretches(list: readonly (readonly [number, number])[]): ItemSeed[] {
  return list.map(([first, last]) => ({
    id: `to-${last}`,
    label: first === last ? numberWord(last) : `${numberWord(first)} to ${numberWord(last)}`,
    number: last,
    first,
  }));
}

/** Every number in every form, numbers first: `n3-ring`. */
export function forms(
  list: readonly number[],
  all: readonly (readonly [form: string, words: string])[],
): ItemSeed[] {
  return list.flatMap((n) =>
    all.map(([form, words]) => ({
      id: `n${n}-${form}`,
      label: `${numberWord(n)} ${words}`,
      number: n,
      form,
    })),
  );
}

/** Items that turn on no number, given as [id, label, form]. */
export function named(
  list: readonly (readonly [id: string, label: string, form?: string])[],
): ItemSeed[] {
  return list.map(([id, label, form]) => ({ id, label, number: 0, ...(form ? { form } : {}) }));
}

/** Pairs such as [3, 2] as items `p3-2`, "three and two"; `number` is their sum or the larger one. */
export function pairs(
  list: readonly (readonly [number, number])[],
  turnsOn: 'sum' | 'larger',
  prefix = 'p',
  form?: string,
): ItemSeed[] {
  return list.map(([a, b]) => ({
    id: `${prefix}${a}-${b}`,
    label: `${numberWord(a)} and ${numberWord(b)}`,
    number: turnsOn === 'sum' ? a + b : Math.max(a, b),
    parts: [a, b],
    ...(form ? { form } : {}),
  }));
}

/**
 * One row of the skill map as written in the data files. The name is the family and what sets the
 * skill apart in it, "say 10"; the id joins the two, `say-10`.
 */
export type Row = readonly [
  name: string,
  title: string,
  short: string,
  items: readonly ItemSeed[],
  buildsOn: string,
  answers: AnswerKind,
  matches: string,
  families: string,
  watchFor: string,
];

/** Makes the skills of one strand from its rows; words in lists are parted by spaces and commas. */
export function strand(of: Strand, rows: readonly Row[]): Skill[] {
  return rows.map(
    ([name, title, short, seeds, buildsOn, answers, matches, families, watchFor]): Skill => ({
      id: name.replaceAll(' ', '-'),
      family: name.split(' ')[0] ?? name,
      strand: of,
      title,
      short,
      families,
      watchFor,
      items: spread(seeds),
      buildsOn: buildsOn.split(' ').filter((word) => word !== ''),
      answers,
      matches: matches.split(', ').filter((word) => word !== ''),
      to: Math.max(...seeds.map((seed) => seed.number)),
    }),
  );
}
