import { plural, capital, joinWords } from '../numbers/index.js';
import {
  type Activity,
  type Child,
  type Day,
  type Hazard,
  type Material,
  type Use,
  ageOn,
  allergenName,
} from '../vocabulary/index.js';
import { activityKeptFrom } from './holds.js';
import type { Kept, NeedLine } from './needs.js';
import { mustNotMeetSmallParts, smallPart } from './small-parts.js';

/** What is about to be done, with whom, and who else is in the house. */
export interface Scene {
  readonly activity: Activity;
  /** What it needs, held against the materials for those in reach. */
  readonly lines: readonly NeedLine[];
  /** Everyone in reach of what is laid out. */
  readonly reach: readonly Child[];
  /** Everyone who is here that day. */
  readonly here: readonly Child[];
  readonly day: Day;
}

/** Under this age round and firm pieces of food are cut small (common practice, no source). */
const CUT_FOOD_UNDER = 5;

/** What to do about a hazard that is out, by what has it. */
const DO: Partial<Record<Hazard, (use: Use) => string>> = {
  cord: () => 'Cords are never worn or left out: they stay with you.',
  glass: () => 'Glass only under adult hands; take plastic where you can.',
  sharp: (use) =>
    use === 'mirror'
      ? 'Safety mirrors (acrylic) with taped edges.'
      : 'Scissors with an adult beside; hand them over handles first.',
  'button-cell': () => 'The lid of the button cell stays shut, and adults change it.',
};

/** What an activity of this kind uses where nothing of the kind is listed. */
const LIKELY: Partial<Record<Hazard, readonly Use[]>> = {
  cord: ['string', 'yarn', 'sack'],
  glass: ['jar', 'mirror'],
  sharp: ['scissors', 'mirror'],
  'button-cell': ['scale'],
};

const names = (children: readonly Pick<Child, 'name'>[]): string =>
  joinWords(children.map((one) => one.name));
const is = (children: readonly unknown[]): string => plural(children.length, 'is', 'are');

/**
 * The cautions that apply now: to who is in reach and to what is out, each with what to do. Nothing is
 * said that would be said on every day.
 */
export function cautionsAt(scene: Scene): string[] {
  return [...new Set([...allergies(scene), ...smallParts(scene), ...hazards(scene)])];
}

function allergies({ activity, lines, reach }: Scene): string[] {
  const found: string[] = [];
  const say = (what: string, { because, allergies: by }: Kept, then: string): void => {
    const who = reach.filter((child) => child.cautions.allergies.some((one) => by.includes(one)));
    if (who.length === 0) return;
    const named = who.map(({ name, cautions }) => ({
      name,
      to: joinWords(cautions.allergies.filter((one) => by.includes(one)).map(allergenName)),
    }));
    const [only] = named;
    const have =
      only && named.length === 1
        ? `${only.name} has an allergy: ${only.to}.`
        : `${joinWords(named.map(({ name, to }) => `${name} (${to})`))} have allergies.`;
    found.push(`${capital(what)}: ${because}. ${have} ${then}`);
  };
  const all = [...new Set(reach.flatMap((child) => child.cautions.allergies))];
  for (const one of all) {
    const because = activityKeptFrom(activity, one);
    if (because) say(activity.title, { because, allergies: [one] }, 'Leave it out.');
  }
  for (const line of lines) {
    if (line.barred) say(line.words, line.barred, instead(line));
    for (const away of line.away) {
      // What would not be taken anyway stays in its box without a word.
      if (!away.wanted) continue;
      const then = line.material ? `Take ${line.material.name}.` : instead(line);
      say(away.material.name, away, then);
    }
  }
  return found;
}

const instead = ({ instead: recipe }: NeedLine): string =>
  recipe
    ? `Make ${recipe.name} instead: ${joinWords(recipe.ingredients)}.`
    : 'Keep it away, and take another activity.';

function smallParts({ lines, reach, here, day }: Scene): string[] {
  const careful = here.filter((child) => mustNotMeetSmallParts(child, day));
  if (careful.length === 0) return [];
  const near = careful.filter((child) => reach.includes(child));
  const far = careful.filter((child) => !reach.includes(child));
  const small = (material: Material): boolean =>
    material.shape.kind !== 'unknown' && smallPart(material.shape) !== 'neither';
  const away = lines.flatMap((line) =>
    line.away.filter((one) => one.wanted && one.because.startsWith('small ')),
  );
  const found: string[] = [];
  if (near.length > 0 && away.length > 0) {
    const materials = joinWords([...new Set(away.map((one) => one.material.name))]);
    found.push(
      `${capital(materials)} stay in their boxes: small parts, and ${names(near)} ${is(near)} in reach.`,
    );
  }
  const out = lines.flatMap(({ material }) => (material && small(material) ? [material.name] : []));
  if (far.length > 0 && out.length > 0) {
    found.push(
      `${capital(joinWords([...new Set(out)]))} are small parts: put them away before ${names(far)} ${plural(far.length, 'comes', 'come')} near.`,
    );
  }
  return found;
}

function hazards({ activity, lines, reach, day }: Scene): string[] {
  const found: string[] = [];
  for (const [hazard, say] of Object.entries(DO) as [Hazard, (use: Use) => string][]) {
    const out = lines.find(
      (line) =>
        line.material?.hazards.includes(hazard) ||
        (line.material === null &&
          activity.hazards.includes(hazard) &&
          LIKELY[hazard]?.includes(line.use)),
    );
    if (out) found.push(say(out.use));
  }
  const food = lines.find(
    (line) => line.use === 'snack' || line.material?.hazards.includes('food'),
  );
  const young = reach.filter((child) => ageOn(child.birthDate, day).years < CUT_FOOD_UNDER);
  if (food && young.length > 0) {
    found.push('Cut grapes and other round pieces lengthwise, and stay beside while anybody eats.');
  }
  return found;
}
