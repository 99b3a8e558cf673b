import type { RoundKind } from '../vocabulary/index.js';

/** A game as any kitchen can play it. */
export interface KitchenGame {
  /** Three things that every kitchen has, none of them small enough for a mouth. */
  readonly things: readonly [string, string, string];
  /** One sentence to say to the child. */
  readonly say: string;
}

const LARGE: KitchenGame['things'] = ['spoons', 'potatoes', 'cups'];
const game = (say: string, things: KitchenGame['things'] = LARGE): KitchenGame => ({ things, say });

/** For each way a game goes; own words, common practice, no source. */
export const KITCHEN: Readonly<Record<RoundKind, KitchenGame>> = {
  rote: game('How far can you count while I stir?', ['a bowl', 'a spoon', 'the stairs']),
  'count-out': game('How many are there? Touch each one as you count.'),
  give: game('Please bring me as many as I say.'),
  'predict-count': game('How many do you think there are? And now let us count.'),
  name: game('What number is this?', ['the clock', 'the oven', 'a calendar']),
  match: game('Lay down as many as the number says.', ['paper', 'a pencil', 'spoons']),
  order: game('Which number comes next?', ['paper', 'a pencil', 'the stairs']),
  'walk-track': game('Where are you now? And one step more?', ['the stairs', 'the hall', 'tiles']),
  'one-step': game('One goes away: how many are left?', ['a cloth bag', 'spoons', 'potatoes']),
  ways: game('How many here, how many there, and how many in all?', [
    'two plates',
    'spoons',
    'lids',
  ]),
  'take-some': game('Take some out: how many are left in it?', [
    'a cloth bag',
    'spoons',
    'potatoes',
  ]),
  hide: game('I hide some: how many are under the towel?', ['a dish towel', 'spoons', 'cups']),
  'by-chance': game('Drop them: how many fell this way up, and how many that way?', [
    'spoons',
    'lids',
    'a tray',
  ]),
  join: game('Some here and some there: how many together?', ['two plates', 'spoons', 'lids']),
  'knock-down': game('How many fell over? And how many still stand?', [
    'cups',
    'a pair of socks',
    'the floor',
  ]),
  'to-ten': game('How many more to make ten?', ['an egg carton', 'potatoes', 'lids']),
  frame: game('How many are in it? How do you see that?', ['an egg carton', 'potatoes', 'lids']),
  glance: game('Look for a moment: how many did you see?', ['a plate', 'spoons', 'a dish towel']),
  compare: game('Which has more, or are they the same?', ['two bowls', 'potatoes', 'spoons']),
  tens: game('How many tens, and how many more?', ['egg cartons', 'spoons', 'cups']),
  groups: game('How many groups, and how many in each?', ['plates', 'lids', 'spoons']),
  share: game('Share them out: does each have the same?', ['plates', 'spoons', 'potatoes']),
  partner: game('Does each one have a partner?', ['socks', 'shoes', 'spoons']),
  jar: game('Could it be more than ten? Fewer than twenty?', ['a plastic jar', 'potatoes', 'lids']),
  weigh: game('Which is heavier? How could we find out?', ['a kitchen scale', 'apples', 'cups']),
  balance: game('Which side goes down, do you think?', [
    'a clothes hanger',
    'two cloth bags',
    'apples',
  ]),
  along: game('How many spoons long is it?', ['spoons', 'the table', 'a tray']),
  cups: game('How many cups does it hold?', ['a pot', 'a cup', 'water']),
  pattern: game('What comes next?', ['spoons', 'forks', 'cups']),
  sort: game('What belongs together, and why?', ['the cutlery drawer', 'lids', 'socks']),
  chart: game('Of which are there most? How many more?', ['apples', 'potatoes', 'carrots']),
  mirror: game('Can you make the other side just like this one?', [
    'a mirror',
    'spoons',
    'a plate',
  ]),
  draw: game('Draw the number with a wet finger, from the top.', ['a tray', 'water', 'a towel']),
  story: game('There were some, and some more came: how many now?', ['cups', 'spoons', 'a towel']),
  call: game('I call a number: who can show it?', ['fingers', 'spoons', 'paper']),
  catch: game('I count, and I slip once: catch me!'),
};
