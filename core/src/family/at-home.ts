import type { Strand } from '../vocabulary/index.js';

/** Something to do at home with what any kitchen has. */
export interface AtHome {
  readonly title: string;
  readonly words: string;
  /** True where it wants things that a small child must not put into the mouth. */
  readonly small: boolean;
}

const idea = (title: string, words: string, small = false): AtHome => ({ title, words, small });

/** Two for each strand; own words, common practice, no source. */
const IDEAS: Readonly<Record<Strand, readonly AtHome[]>> = {
  say: [
    idea(
      'Stairs',
      'Say a number word on each step, up and down. Let the child begin somewhere else than one.',
    ),
    idea(
      'Stirring',
      'Stir the batter and count the turns together; stop, and let the child say what comes next.',
    ),
  ],
  count: [
    idea(
      'Laying the table',
      'Ask for as many spoons as there are people. “How do you know that it is enough?”',
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
    ),
    idea('Dice', 'Throw a die while supper cooks, and say the number before anyone counts.'),
  ],
  numeral: [
    idea(
      'Numbers in the kitchen',
      'Look for numerals on the oven, the clock, the scales. “Where is a seven?”',
    ),
    idea('In flour', 'Write a numeral with a finger in flour on a tray. Begin at the top.'),
  ],
  compare: [
    idea(
      'More potatoes',
      'Two bowls with potatoes: which has more, and how many more? Give every potato a partner to find out.',
    ),
    idea(
      'One more',
      '“You have four crackers. And with one more?” Let the child say it before it is put down.',
    ),
  ],
  bond: [
    idea(
      'Two plates',
      'Five slices on two plates: find every way to share them out. Write each down as a sum, or draw it.',
    ),
    idea(
      'How many hide?',
      'Show five clothespins, hide some behind your back. “How many are hidden?”',
    ),
  ],
  add: [
    idea(
      'Story at supper',
      '“Three peas on your plate, and two more roll down. How many?” Let the child make up the next one.',
    ),
    idea(
      'Both hands',
      'Show some fingers of one hand and some of the other: how many together, without beginning at one?',
    ),
  ],
  beyond: [
    idea(
      'Pairs of socks',
      'Sort the wash in pairs. Is one left without a partner? Count the socks in twos.',
    ),
    idea(
      'Sharing out',
      'Share orange pieces fairly for all at the table. Is something left, and what becomes of it?',
    ),
  ],
  measure: [
    idea(
      'Which holds more?',
      'Guess which of two jars holds more water, then pour from one into the other.',
    ),
    idea(
      'How long in spoons?',
      'Lay spoons along the table, end to end, without gaps. Guess first.',
    ),
  ],
  sort: [
    idea('Drawer', 'Sort the cutlery one way, then another. “What is your rule?”'),
    idea(
      'What did we eat?',
      'Lay one dry pasta for each fruit of the week in columns: which column is longest?',
      true,
    ),
  ],
  pattern: [
    idea(
      'Fruit on a plate',
      'Apple, apple, cracker, apple, apple … what comes next? Let the child make one for you.',
    ),
    idea(
      'Clap and tap',
      'Clap, tap, tap, clap, tap, tap: the child goes on, then makes up another.',
    ),
  ],
};

/** Ideas for the strands named, one of each before a second; none with small things if they must not be. */
export function ideasFor(strands: readonly Strand[], many: number, noSmall: boolean): AtHome[] {
  const chosen: AtHome[] = [];
  for (let round = 0; round < 2; round++) {
    for (const strand of new Set(strands)) {
      const one = IDEAS[strand].filter((each) => !(noSmall && each.small))[round];
      if (one && chosen.length < many) chosen.push(one);
    }
  }
  return chosen;
}
