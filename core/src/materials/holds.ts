import {
  type Activity,
  type Hazard,
  type Need,
  type Material,
  type Use,
  allergenName,
  allergensNamed,
  holdsWords,
  meetsAllergy,
  plainWords,
} from '../vocabulary/index.js';

/** What is food, or made of food, or goes onto the skin: nobody knows what it holds before it is said. */
const ASKED_USES: readonly Use[] = ['dough', 'paint', 'snack'];
const ASKED_HAZARDS: readonly Hazard[] = ['food', 'allergen'];
/** Words of names that speak of food or of what goes onto the skin. */
const ASKED_WORDS = [
  ...['bean', 'lentil', 'chickpea', 'pea', 'rice', 'corn', 'popcorn', 'cereal', 'seed', 'fruit'],
  ...['cookie', 'biscuit', 'candy', 'chocolate', 'butter', 'jam', 'honey', 'spice', 'salt dough'],
  ...['shaving foam', 'shaving cream', 'lotion', 'soap', 'cream', 'glove'],
];

/** What is known of a thing: said by the household, or only guessed from what it is. */
export type Holds =
  | { readonly kind: 'said'; readonly allergens: readonly string[] }
  /** Nobody said; its name speaks of these, and where `anything`, of whatever else. */
  | { readonly kind: 'unsaid'; readonly maybe: readonly string[]; readonly anything: boolean };

/** Printed things are what they are called after in name only: a dough mat is paper. */
export const PRINTED: readonly Use[] = [
  ...(['paper', 'sheet', 'card', 'floor-card', 'mat', 'board', 'frame'] as const),
  ...(['track', 'chart', 'book', 'sticker', 'tile', 'coin', 'letter'] as const),
];

/** What a thing holds that somebody may be allergic to, as far as it is known. */
export function holdsOf(material: Pick<Material, 'name' | 'use' | 'hazards' | 'allergens'>): Holds {
  if (material.allergens) return { kind: 'said', allergens: material.allergens };
  const isPrinted = PRINTED.includes(material.use);
  const anything =
    ASKED_USES.includes(material.use) ||
    material.hazards.some((hazard) => ASKED_HAZARDS.includes(hazard)) ||
    (!isPrinted && ASKED_WORDS.some((words) => holdsWords(material.name, words)));
  return { kind: 'unsaid', maybe: isPrinted ? [] : allergensNamed(material.name), anything };
}

/** True where the household is asked once what a thing holds. */
export function asksWhatItHolds(
  material: Pick<Material, 'name' | 'use' | 'hazards' | 'allergens'>,
): boolean {
  const holds = holdsOf(material);
  return holds.kind === 'unsaid' && (holds.anything || holds.maybe.length > 0);
}

/** Why a thing is kept from somebody with an allergy; null where it is not. */
export function keptFrom(
  material: Pick<Material, 'name' | 'use' | 'hazards' | 'allergens'>,
  allergy: string,
): string | null {
  const holds = holdsOf(material);
  if (holds.kind === 'said') {
    const held = holds.allergens.find((one) => meetsAllergy(one, allergy));
    if (held !== undefined) return `holds ${allergenName(held)}`;
    return holdsWords(material.name, allergy) ? `is called ${allergenName(allergy)}` : null;
  }
  const isCalled = !PRINTED.includes(material.use) && holdsWords(material.name, allergy);
  if (isCalled || holds.maybe.some((one) => meetsAllergy(one, allergy))) {
    return `may hold ${allergenName(allergy)}`;
  }
  return holds.anything ? 'nobody has said yet what it holds' : null;
}

/**
 * Why something that is needed and not listed among the materials is kept from somebody with an
 * allergy; null where it is not.
 */
export function needKeptFrom(
  need: Pick<Need, 'use' | 'words' | 'allergens'>,
  allergy: string,
): string | null {
  return keptFrom(
    {
      name: need.words,
      use: need.use,
      hazards: [],
      ...(need.allergens ? { allergens: need.allergens } : {}),
    },
    allergy,
  );
}

/**
 * Why an activity itself is kept from somebody with an allergy: it has to do with food, and none of its
 * needs says with which; null where it is not.
 */
export function activityKeptFrom(
  { title, hazards, needs }: Pick<Activity, 'title' | 'hazards' | 'needs'>,
  allergy: string,
): string | null {
  const isAsked = hazards.some((hazard) => ASKED_HAZARDS.includes(hazard));
  const isSaid = needs.some((need) => need.allergens || ASKED_USES.includes(need.use));
  return isAsked && !isSaid ? keptFrom({ name: title, use: 'snack', hazards: [] }, allergy) : null;
}

/** Something that can be made in place of what is kept away, named by what goes into it. */
export interface Recipe {
  readonly use: Use;
  readonly name: string;
  readonly ingredients: readonly string[];
}

/** Plain recipes without the listed allergens (common practice, no source). */
export const RECIPES: readonly Recipe[] = [
  {
    use: 'dough',
    name: 'cornstarch dough',
    ingredients: ['cornstarch', 'baking soda', 'water'],
  },
  { use: 'dough', name: 'rice dough', ingredients: ['ground rice', 'salt', 'water', 'oil'] },
  { use: 'paint', name: 'water on dark paper', ingredients: ['water'] },
];

/** The first recipe for a use that nobody with these allergies has to be kept from. */
export const recipeFor = (use: Use, allergies: readonly string[]): Recipe | null =>
  RECIPES.find(
    (recipe) =>
      recipe.use === use &&
      !recipe.ingredients.some((one) =>
        allergies.some((allergy) => meetsAllergy(one, allergy) || sharesAWord(one, allergy)),
      ),
  ) ?? null;

/** Corn keeps cornstarch away too: better one recipe too few. */
const sharesAWord = (ingredient: string, allergy: string): boolean =>
  plainWords(allergy).some((word) => ingredient.toLowerCase().includes(word));
