import type { Strand } from '../vocabulary/index.js';

/** Something to do at home with what any kitchen has. */
export interface AtHome {
  readonly title: string;
  readonly words: string;
  /** A skill the child has before it is of any use; null where any child can join in. */
  readonly after: string | null;
  /** True where it wants things that a small child must not put into the mouth. */
  readonly small: boolean;
}

const idea = (
  title: string,
  words: string,
  after: string | null = null,
  small = false,
): AtHome => ({ title, words, after, small });

/** For each strand the harder ones first, the last for any child; own words, common practice, no source. */
const IDEAS: Readonly<Record<Strand, readonly AtHome[]>> = {
  say: [
    idea(
      'Stairs from anywhere',
      'Say a number word on each step, up and down, and let the child begin at another number than one.',
      'say-10',
    ),
    idea(
      'Stirring',
      'Stir the batter and count the turns together; stop, and let the child say what comes next.',
      'say-5',
    ),
    idea('Stairs', 'Say a number word on each step together, going up.'),
  ],
  count: [
    idea(
      'Laying the table',
      'Ask for as many spoons as there are people. “How do you know that it is enough?”',
      'give-3',
    ),
    idea(
      'Putting the shopping away',
      'Count the apples into the bowl, one word for each. “So how many are there?”',
    ),
  ],
  glance: [
    idea(
      'Under the cup',
      'Put two to five large things on the table, lift the cup for a moment, and cover them again. “How many did you see?”',
      'glance-3',
    ),
    idea(
      'Dice',
      'Throw a die while supper cooks, and say the number before anyone counts.',
      'glance-5',
      true,
    ),
    idea('Quick fingers', 'Show one, two or three fingers for a moment. “How many did you see?”'),
  ],
  numeral: [
    idea(
      'Numbers in the kitchen',
      'Look for numerals on the oven, the clock, the scale. “Where is a seven?”',
      'name-5',
    ),
    idea(
      'In flour',
      'Write a numeral with a finger in flour on a tray. Start at the top.',
      'draw-lines',
    ),
    idea('Our number', 'Find the number of your house, and say it each time you come home.'),
  ],
  compare: [
    idea(
      'More potatoes',
      'Two bowls with potatoes: which has more, and how many more? Give every potato a partner to find out.',
      'more-5',
    ),
    idea(
      'One more',
      '“You have three crackers. And with one more?” Let the child say it before it is put down.',
      'total-5',
    ),
    idea(
      'A lot and a few',
      'Two bowls, one with a lot and one with a few: “Which has more? Which has fewer?”',
    ),
  ],
  bond: [
    idea(
      'Two plates',
      'Five slices on two plates: find every way to share them out. Write each down as a sum, or draw it.',
      'bond-3',
    ),
    idea(
      'How many hide?',
      'Show four clothespins, hide some behind your back. “How many are hidden?”',
      'bond-2',
    ),
    idea(
      'Here and there',
      'Three slices on two plates: “How many here? How many there?”',
      'give-3',
    ),
  ],
  add: [
    idea(
      'Both hands',
      'Show some fingers of one hand and some of the other: how many together, without starting at one?',
      'join-5',
    ),
    idea(
      'Story at supper',
      '“Three peas on your plate, and two more roll down. How many?” Let the child make up the next one.',
      'total-5',
    ),
  ],
  beyond: [
    idea('Counting socks', 'Pair the socks from the wash and count them in twos.', 'partner-10'),
    idea(
      'Sharing out',
      'Share orange pieces fairly for all at the table. Is something left, and what becomes of it?',
    ),
    idea('Pairs of socks', 'Sort the wash in pairs. Is one left without a partner?'),
  ],
  measure: [
    idea(
      'How long in spoons?',
      'Lay spoons along the table, end to end, without gaps. Guess first.',
      'total-5',
    ),
    idea(
      'Which holds more?',
      'Guess which of two jars holds more water, then pour from one into the other.',
    ),
  ],
  sort: [
    idea(
      'What did we eat?',
      'Lay one dry pasta for each fruit of the week in columns: which column is longest?',
      'sort-one',
      true,
    ),
    idea('Drawer', 'Sort the spoons and forks one way, then another. “What is your rule?”'),
  ],
  pattern: [
    idea(
      'Fruit on a plate',
      'Apple, apple, cracker, apple, apple … what comes next? Let the child make one for you.',
      'pattern-copy',
    ),
    idea('Clap and tap', 'Clap, tap, clap, tap: the child joins in, then makes up another.'),
  ],
};

/** Strands in which any child can join in. */
const FOR_ANYBODY: readonly Strand[] = ['count', 'pattern', 'say', 'sort'];

/**
 * Ideas that fit what a child can do now: of each strand named the furthest that is within reach, then
 * one of another strand; none with small things if they must not be.
 * @param can skills that the child has, or is about to have
 */
export function ideasFor(
  strands: readonly Strand[],
  many: number,
  noSmall: boolean,
  can: ReadonlySet<string>,
): AtHome[] {
  const fits = ({ after, small }: AtHome): boolean =>
    !(noSmall && small) && (after === null || can.has(after));
  return [...new Set([...strands, ...FOR_ANYBODY])]
    .flatMap((strand) => IDEAS[strand].find(fits) ?? [])
    .slice(0, many);
}
