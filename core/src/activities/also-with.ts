import { type ChildState, type Candidate, readySkills } from '../evidence/index.js';
import { creditsOf } from '../rounds/index.js';
import { type Activity, type Child, type Day, ageOn, speaksOf } from '../vocabulary/index.js';
import { topFor } from './ranges.js';

/** A game for what lies on the table already. */
export interface AlsoWith {
  readonly activity: Activity;
  /** The range of each child for it, in the order given. */
  readonly tops: readonly number[];
}

/** Longest beginning of what counts as short, in minutes. */
const SHORT = 5;
const MOST = 2;

/** Things with something printed or drawn on them: only the same ones do, not any of their kind. */
const PRINTED: readonly string[] = [
  'board',
  'card',
  'chart',
  'floor-card',
  'mat',
  'plate',
  'sheet',
  'tile',
];

/** The things of an activity, by use; what is printed by its name, too. */
const materialsOf = ({ needs }: Activity): Set<string> =>
  new Set(needs.map(({ use, words }) => (PRINTED.includes(use) ? `${use}: ${words}` : use)));

/** True where all that a game needs is out already, and it needs some of it. */
function liesThere(game: Activity, out: ReadonlySet<string>): boolean {
  const materials = [...materialsOf(game)];
  return materials.length > 0 && materials.every((one) => out.has(one));
}

/** The age of a child in years, with its fraction. */
const yearsOf = (child: Child, today: Day): number => {
  const { years, months } = ageOn(child.birthDate, today);
  return years + months / 12;
};

/**
 * Up to two short games for the things of an activity that was just played, those that serve most
 * of the children's next steps first; none that is used for no one.
 * @param all the activities to choose from
 */
export function alsoWith(
  played: Activity,
  all: readonly Activity[],
  children: readonly { readonly child: Child; readonly state: ChildState }[],
  today: Day,
): AlsoWith[] {
  const out = materialsOf(played);
  const oldEnough = (game: Activity): boolean =>
    children.every(({ child }) => yearsOf(child, today) >= game.fromAge);
  const frontiers = children.map(({ child, state }) => readySkills(state, today, speaksOf(child)));
  const worth = (game: Activity): number => {
    const credited = creditsOf(game);
    const served = (wanted: readonly Candidate[]): number =>
      wanted.reduce((sum, one) => sum + (credited.has(one.skillId) ? one.value : 0), 0);
    return frontiers.reduce((sum, wanted) => sum + served(wanted), 0);
  };
  return all
    .filter((game) => game.id !== played.id && game.minutes[0] <= SHORT)
    .filter((game) => liesThere(game, out) && oldEnough(game))
    .map((activity) => ({ activity, worth: worth(activity) }))
    .filter((one) => one.worth > 0)
    .sort((a, b) => b.worth - a.worth || a.activity.id.localeCompare(b.activity.id))
    .slice(0, MOST)
    .map(({ activity }) => ({
      activity,
      tops: children.map(({ state }, i) => topFor(activity, state, today, frontiers[i])),
    }));
}
