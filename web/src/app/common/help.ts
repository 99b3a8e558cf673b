/** What can be done at a place, written to be read: what to do, and a sentence or two about it. */
export interface Help {
  readonly title: string;
  readonly parts: readonly (readonly [what: string, words: string])[];
}

/** By the beginning of the address, the longest that fits; own words. */
export const HELP: Readonly<Record<string, Help>> = {
  '/today': {
    title: 'Today',
    parts: [
      [
        'Begin',
        'Each card is one activity with the children who are in focus on it. Start opens it at the tray; nothing is kept before the first answer.',
      ],
      [
        'Get ready',
        'Everything the day needs, with counts and boxes. Tick what you have. What is short stands on top, with what could do instead.',
      ],
      [
        'Somebody is away',
        'Tap a child at the top: the groups and Get ready follow. Tap again when the child is back.',
      ],
      [
        'Five minutes',
        '“I have five minutes” offers two or three short games for those who are here, with what lies at hand.',
      ],
      [
        'Change a card',
        'The sliders on a card change its children and ranges, or leave it for another day.',
      ],
      [
        'At the end',
        'End of day shows what was noted, with a place for a sentence in your own words.',
      ],
    ],
  },
  '/week': {
    title: 'Week',
    parts: [
      [
        'Plan the week',
        'Makes a week that one adult can run: who is in focus on what, on which day, in which moment. It can be stopped half-way and keeps the best so far.',
      ],
      [
        'Bend it',
        'Drag a card to another day, or hold Shift and press an arrow. Pin what has to stay, and plan again around it.',
      ],
      [
        'Why',
        'Open a card to read why each child is on it, who minds the others, and what the next best card would be.',
      ],
      [
        'Lighter or fuller',
        'Says how many of your minutes a day may hold. A closed day stays empty.',
      ],
      [
        'Under the board',
        'What each child’s week is about and why something is missing, and one thing to get or make next.',
      ],
    ],
  },
  '/children': {
    title: 'Children',
    parts: [
      [
        'The strings',
        'One string for each strand, one bead for each skill. A bead fills as it is seen: a quarter started, half nearly there, whole secure. An open center means assumed: not yet checked.',
      ],
      [
        'Open a bead',
        'Shows what was asked and how it went, the reason in a sentence, and what would change it. Where you know better, say so there: your word stands until it is contradicted twice.',
      ],
      [
        'Next steps and review',
        'What is most worth doing with this child now. The button starts an activity that asks for it.',
      ],
      [
        'Resting',
        'What hardly ever worked rests for two weeks. Something it builds on takes its place, and then it is counted anew.',
      ],
      [
        'Details',
        'Numerals, number bonds, how far the words go, writing, comparing, measuring and common errors, each in one picture or table.',
      ],
      [
        'Family report',
        'Plain sentences that you choose and change before you save, copy or print them.',
      ],
    ],
  },
  '/activities': {
    title: 'Activities',
    parts: [
      [
        'Find one',
        'Search by a word, or filter by strand, kind, minutes, mess, and by what is at hand.',
      ],
      [
        'Read it',
        'Its page shows how it lies on the table, its steps, what to ask easier and harder, how many of what for these children, and its cautions.',
      ],
      [
        'Start it',
        'Choose the children at the top of its page, and start: it need not be in the plan.',
      ],
      [
        'Make it your own',
        '“Copy as your own” takes its steps and rounds over, to be changed. What you write from nothing is played and planned like the others.',
      ],
      [
        'Songs',
        'The songbook keeps counting songs up and down, with their own first and last number.',
      ],
    ],
  },
  '/measure': {
    title: 'Measure',
    parts: [
      [
        'With real things',
        'Choose the children, let each say what they think, then weigh, balance, lay along or pour, and type what you read: “7,9”, “7 1/2” and “12.9 oz” are all understood.',
      ],
      [
        'Without a scale',
        'The scale on the screen uses made-up weights and says so. Nothing of it is mixed with your readings.',
      ],
      [
        'Put right',
        'A reading, a mark or a count that was wrong is corrected in its place; what was written first stays on record.',
      ],
      [
        'What stays',
        'All that is measured can be read on the child’s page under Details, Measuring: what was thought, what was found, and how far off.',
      ],
      [
        'Graphs',
        'Filled by tapping things or by sorting a basket, saved, and printed with key and scale.',
      ],
    ],
  },
  '/manipulatives': {
    title: 'Manipulatives',
    parts: [
      [
        'To show or to prepare',
        'Frames, beads, plates, trays and more, to be moved on the screen. Nothing done here is kept or counts for anybody.',
      ],
      ['Turn to the child', 'Fills the screen with the picture alone.'],
      [
        'Real things first',
        'Where you have the thing itself, use that: this is for the moment when it is not at hand.',
      ],
    ],
  },
  '/materials': {
    title: 'Materials',
    parts: [
      [
        'Tell what you have',
        'Paste a list, tick ordinary things, or add one at a time. About how many is enough.',
      ],
      [
        'Sizes',
        'A length and width tell whether a thing could fit into a small mouth. What is not measured is treated as small while a child who puts things into the mouth is here.',
      ],
      [
        'What the week needs',
        'On the right: what is short or not listed, with what would do instead.',
      ],
      [
        'Get or make next',
        'One thing a week, the one that opens most for these children, with how to make it.',
      ],
      [
        'Kits',
        'A box that is packed for one activity and used for nothing else. Gumo says when its contents want changing.',
      ],
    ],
  },
  '/print': {
    title: 'Print',
    parts: [
      [
        'Choose a sheet',
        'Seven groups, each sheet with its drawing. The range is the child’s own and the thing is one you have; both can be changed.',
      ],
      ['True size', 'Print at 100 %: the line at the foot of each page is then 100 mm long.'],
      [
        'Print list',
        'Collects sheets over days, and what the coming cards need. One file for the printer.',
      ],
      [
        'Other paper',
        'The week, the day slip, a child’s strings and labels for boxes print from their own places.',
      ],
    ],
  },
  '/settings': {
    title: 'Settings',
    parts: [
      [
        'Preferences',
        'Languages that are counted in, units, paper, how digits are written, how you like to play.',
      ],
      ['The day', 'The moments of a day in your order, and what may happen in each.'],
      [
        'Backup and files',
        'Copies are made by themselves. The whole household goes into one file, and comes in again from it.',
      ],
      [
        'Sharing',
        'Pair another device as a helper or as your own. Nothing leaves this machine otherwise.',
      ],
    ],
  },
  '/start': {
    title: 'The first hour',
    parts: [
      [
        'Five steps',
        'The children, the day, what is in the house, what to begin with, the first week. Leave at any time: what was done is kept, and Today says how far you are.',
      ],
      [
        'Birth month',
        'Is enough: it places a child widely, and nothing is assumed because of it. The first sessions tell.',
      ],
      [
        'First looks or age',
        'A first look takes two or three short sessions a child and plans the week more closely. Starting by age plans at once.',
      ],
    ],
  },
  '/run': {
    title: 'At the tray',
    parts: [
      [
        'Say it, then note it',
        'The sentence in quotation marks can be said as it stands. Then tap what was answered, and how it went: on their own, with help, not yet, not today.',
      ],
      ['What came up', 'Where a die, a hand or the child decides, tap what it was first.'],
      ['With help', 'Counts like not yet. Only what the child did alone counts for it.'],
      ['Easier, harder', 'Change the next question at once.'],
      [
        'Finish',
        'Asks how each child was, then shows what changed and why. A strip for home can be copied there.',
      ],
    ],
  },
};

/** The help of the place that an address belongs to. */
export function helpFor(path: string): Help {
  const [best] = Object.keys(HELP)
    .filter((start) => path.startsWith(start))
    .sort((a, b) => b.length - a.length);
  return HELP[best ?? '/today'] as Help;
}
