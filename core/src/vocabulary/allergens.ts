import * as v from 'valibot';
import { nonEmptyText, boundedArray } from './basics.js';

/**
 * Allergens to choose from: the nine major ones of the United States (FASTER Act of 2021, Public Law
 * 117-11, with FDA's guidance on it), the fourteen of the European Union (Regulation (EU) No 1169/2011,
 * Annex II), and latex and wool, which are touched in play. Lists from memory. Anything else is said in
 * own words.
 */
export const ALLERGENS = {
  milk: 'milk',
  egg: 'egg',
  fish: 'fish',
  crustacean: 'crustaceans',
  mollusk: 'mollusks',
  'tree-nut': 'tree nuts',
  peanut: 'peanuts',
  wheat: 'wheat',
  gluten: 'cereals with gluten',
  soy: 'soy',
  sesame: 'sesame',
  celery: 'celery',
  mustard: 'mustard',
  lupin: 'lupin',
  sulfite: 'sulfites',
  latex: 'latex',
  wool: 'wool',
} as const;
export type Allergen = keyof typeof ALLERGENS;

/** The major food allergens of the FASTER Act. */
export const ALLERGENS_US: readonly Allergen[] = [
  'milk',
  'egg',
  'fish',
  'crustacean',
  'tree-nut',
  'peanut',
  'wheat',
  'soy',
  'sesame',
];
/** Those of Annex II. */
export const ALLERGENS_EU: readonly Allergen[] = [
  'gluten',
  'crustacean',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'tree-nut',
  'celery',
  'mustard',
  'sesame',
  'sulfite',
  'lupin',
  'mollusk',
];

const isAllergen = (word: string): word is Allergen => Object.hasOwn(ALLERGENS, word);

/** An allergen as a person says it. */
export const allergenName = (one: string): string => (isAllergen(one) ? ALLERGENS[one] : one);

const wordsByText = new Map<string, readonly string[]>();
const MOST_KNOWN = 4000;

/** The words of a text, lower-case and in the singular: "Peanut butters" is peanut, butter. */
export function plainWords(text: string): readonly string[] {
  let words = wordsByText.get(text);
  if (words === undefined) {
    if (wordsByText.size >= MOST_KNOWN) wordsByText.clear();
    words = splitWords(text);
    wordsByText.set(text, words);
  }
  return words;
}

function splitWords(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
    .map(singular);
}

function singular(word: string): string {
  if (word.length <= 3 || word.endsWith('ss')) return word;
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(s|x|z|ch|sh)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

const byName = new Map(
  Object.entries(ALLERGENS).flatMap(([tag, name]) =>
    [tag, name].map((words) => [plainWords(words).join(' '), tag] as const),
  ),
);

/** The list's own tag where the words are its name, such as "Peanut" or "tree nuts"; else the words. */
export const asAllergen = (words: string): string =>
  byName.get(plainWords(words).join(' ')) ?? words.trim();

/** Allergens, from the list by tag or in own words; none twice. */
export const Allergens = v.pipe(
  boundedArray(nonEmptyText(60), 24),
  v.transform((all) => [...new Set(all.map(asAllergen))]),
);

/** What own words and names of things mean, by their words in the singular. */
const MEANS: readonly (readonly [words: string, ...tags: Allergen[]])[] = [
  // What is only called after food.
  ['bread board'],
  ['egg cup'],
  ['nut', 'tree-nut', 'peanut'],
  ['peanut', 'peanut'],
  ['groundnut', 'peanut'],
  ['almond', 'tree-nut'],
  ['brazil nut', 'tree-nut'],
  ['cashew', 'tree-nut'],
  ['chestnut', 'tree-nut'],
  ['hazelnut', 'tree-nut'],
  ['macadamia', 'tree-nut'],
  ['marzipan', 'tree-nut'],
  ['pecan', 'tree-nut'],
  ['pine nut', 'tree-nut'],
  ['pistachio', 'tree-nut'],
  ['walnut', 'tree-nut'],
  ['bread', 'wheat', 'gluten'],
  ['breadstick', 'wheat', 'gluten'],
  ['couscous', 'wheat', 'gluten'],
  ['cracker', 'wheat', 'gluten'],
  ['dough', 'wheat', 'gluten'],
  ['playdough', 'wheat', 'gluten'],
  ['flour', 'wheat', 'gluten'],
  ['macaroni', 'wheat', 'gluten'],
  ['noodle', 'wheat', 'gluten'],
  ['pasta', 'wheat', 'gluten'],
  ['pretzel', 'wheat', 'gluten'],
  ['semolina', 'wheat', 'gluten'],
  ['spaghetti', 'wheat', 'gluten'],
  ['barley', 'gluten'],
  ['oat', 'gluten'],
  ['oatmeal', 'gluten'],
  ['rye', 'gluten'],
  ['cheese', 'milk'],
  ['dairy', 'milk'],
  ['lactose', 'milk'],
  ['yogurt', 'milk'],
  ['eggshell', 'egg'],
  ['soya', 'soy'],
  ['tofu', 'soy'],
  ['tahini', 'sesame'],
  ['crab', 'crustacean'],
  ['lobster', 'crustacean'],
  ['prawn', 'crustacean'],
  ['shrimp', 'crustacean'],
  ['shellfish', 'crustacean', 'mollusk'],
  ['clam', 'mollusk'],
  ['mussel', 'mollusk'],
  ['oyster', 'mollusk'],
  ['squid', 'mollusk'],
  ['lupine', 'lupin'],
  ['raisin', 'sulfite'],
  ['balloon', 'latex'],
  ['rubber', 'latex'],
  ['felt', 'wool'],
  ['knitting', 'wool'],
  ['skein', 'wool'],
  ['woolen', 'wool'],
  ['yarn', 'wool'],
];

const meaning = new Map<string, readonly Allergen[]>([
  ...Object.keys(ALLERGENS).map((tag) => [tag.replace('-', ' '), [tag as Allergen]] as const),
  ...MEANS.map(([words, ...tags]) => [words, tags] as const),
]);
const LONGEST_MEANING = 2;

/** Allergens that the words of a text speak of; a longer reading wins: "pine nut" is no peanut. */
export function allergensNamed(text: string): Allergen[] {
  const words = plainWords(text);
  const found = new Set<Allergen>();
  for (let at = 0; at < words.length;) {
    let taken = 1;
    for (let length = LONGEST_MEANING; length >= 1; length--) {
      const tags = meaning.get(words.slice(at, at + length).join(' '));
      if (!tags) continue;
      for (const tag of tags) found.add(tag);
      taken = length;
      break;
    }
    at += taken;
  }
  return [...found];
}

/** Wheat is a cereal with gluten, and what holds gluten may hold wheat. */
const BESIDE: Partial<Record<Allergen, Allergen>> = { wheat: 'gluten', gluten: 'wheat' };

const tagsOf = (one: string): readonly Allergen[] => {
  const named = isAllergen(one) ? [one] : allergensNamed(one);
  return named.flatMap((tag) => [tag, ...(BESIDE[tag] ? [BESIDE[tag]] : [])]);
};

/** True where the words hold the others, whole and in their order, whatever their number. */
export function holdsWords(text: string, words: string): boolean {
  const wanted = plainWords(words);
  const all = plainWords(text);
  return wanted.length > 0 && all.some((_, i) => wanted.every((word, k) => all[i + k] === word));
}

/** True where something that holds `held` is to be kept from somebody with the allergy. */
export function meetsAllergy(held: string, allergy: string): boolean {
  if (holdsWords(held, allergy) || holdsWords(allergy, held)) return true;
  const tags = tagsOf(allergy);
  return tagsOf(held).some((tag) => tags.includes(tag));
}
