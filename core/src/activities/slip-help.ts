import { partsOfSlip } from '../evidence/index.js';

/** What to try against a kind of slip, and an activity that helps. */
export interface SlipHelp {
  readonly activityId: string | null;
  readonly advice: string;
}

/** One thing to try a kind of slip (common practice, no source). */
const HELP: Readonly<Record<string, SlipHelp>> = {
  'left-out': {
    activityId: 'stairs',
    advice: 'Say the word that is left out a little louder yourself, on the same stair each day.',
  },
  swapped: { activityId: 'song-count', advice: 'Slow down there; a finger for each word.' },
  twice: { activityId: 'stairs', advice: 'One step, one word: the step cannot be taken twice.' },
  stall: {
    activityId: 'count-together',
    advice: 'Whisper the next ten: thirty after twenty-nine, forty after thirty-nine.',
  },
  foreign: { activityId: 'count-together', advice: 'Say that stretch together before going on.' },
  'from-one': {
    activityId: 'count-together',
    advice: 'Hide the first ones under a hand and go on from the number on top.',
  },
  skipped: { activityId: 'tidy-count', advice: 'Each thing counted goes into the box.' },
  doubled: { activityId: 'dot-touch', advice: 'Begin at a marked one; put a counter on each dot.' },
  'ran-apart': { activityId: 'tidy-count', advice: 'Slower: the word comes when the thing drops.' },
  'word-missing': { activityId: 'count-together', advice: 'Say the words alone once, then count.' },
  recounts: {
    activityId: 'handfuls',
    advice: 'Cover them with a hand at once: “You counted them. How many are under here?”',
  },
  'other-total': { activityId: 'handfuls', advice: 'Say the last word together, and stop there.' },
  'look-alike': {
    activityId: 'show-say',
    advice: 'Lay the two side by side and tell them apart: where is its belly?',
  },
  turned: { activityId: 'show-say', advice: 'Build both with tens and ones beside the card.' },
  'sound-alike': {
    activityId: 'count-together',
    advice: 'Say the ends: -teen is long, -ty short.',
  },
  other: { activityId: 'turn-over', advice: 'Fewer cards for a while, these two among them.' },
  'gave-more': {
    activityId: 'land-in-cup',
    advice: 'Say the number asked again half-way: “I asked for four.”',
  },
  'gave-fewer': { activityId: 'land-in-cup', advice: 'Check together: one on each dot of a card.' },
  'first-again': {
    activityId: 'peg-rail',
    advice: 'Tap the first amount once, say its number, and only then the next word for a new one.',
  },
  'one-part': { activityId: 'peg-rail', advice: 'Push both parts together before asking.' },
  'took-away': { activityId: 'peg-rail', advice: 'Do they come or go? Act it out first.' },
  'put-together': { activityId: 'in-the-sack', advice: 'Take them out of sight, then ask.' },
  'counted-twice': { activityId: 'peg-rail', advice: 'Pegs on a rail keep their places.' },
  'missed-one': { activityId: 'peg-rail', advice: 'Touch each one once more, together.' },
  'said-whole': { activityId: 'hidden-part', advice: 'Count in, hide, and point to the cloth.' },
  'said-seen': { activityId: 'hidden-part', advice: '“These I see. How many hide?” Then look.' },
  'off-by-one': { activityId: null, advice: 'Near: look and check together.' },
  near: { activityId: null, advice: 'Near: look and check together.' },
  'far-off': { activityId: null, advice: 'Go to a smaller number today.' },
  'side-by-side': { activityId: 'peg-rail', advice: 'Leave the numerals away and use pegs.' },
  'answers-more': {
    activityId: 'tiles-more',
    advice: 'Ask for fewer first, with plain pairs; “the smaller heap”.',
  },
  'answers-fewer': { activityId: 'tiles-more', advice: 'Pair them off: which has one left over?' },
  'said-amount': { activityId: 'tiles-more', advice: 'Pair them off and count what stands alone.' },
  'on-in-tens': { activityId: null, advice: 'Stop at the last ten, then begin the ones aloud.' },
  'other-way': { activityId: 'one-more-line', advice: 'Point along the track in that direction.' },
  'same-number': { activityId: 'one-more-line', advice: 'Jump first, then say where it landed.' },
  'odd-even': { activityId: null, advice: 'Pair them: is one without a partner?' },
  reversed: { activityId: null, advice: 'A start dot, and the way said aloud.' },
  'start-low': { activityId: null, advice: 'A start dot at the top.' },
  'order-swapped': {
    activityId: 'hop-track',
    advice: 'Say the row up to there while a finger walks along the cards.',
  },
  muddled: { activityId: 'hop-track', advice: 'Fewer cards: the first three, then one more.' },
  'other-end': { activityId: null, advice: 'A flag at the end where counting begins.' },
  'added-groups': { activityId: 'rows-groups', advice: 'Touch a whole group for each word.' },
  'one-group': { activityId: 'rows-groups', advice: 'How many here? And in all of them?' },
  'group-missed': { activityId: 'rows-groups', advice: 'Turn each group over once it is counted.' },
  'left-over': { activityId: 'snack-share', advice: 'Lay what is left beside the plates.' },
  'unit-gaps': { activityId: 'long-line', advice: 'Push them together: no light between them.' },
  'unit-overlaps': { activityId: 'long-line', advice: 'Side by side, none on top of another.' },
  ends: { activityId: 'long-line', advice: 'A wall to start from, for both.' },
  'range-below': { activityId: 'jar-range', advice: 'Count the bottom layer first, then think.' },
  'range-above': { activityId: 'jar-range', advice: 'Take ten away, and look how much is left.' },
  'repeats-last': { activityId: 'copy-next', advice: 'Say it aloud from the beginning.' },
  'pattern-broken': {
    activityId: 'copy-next',
    advice: 'Slide a finger under one unit after the other.',
  },
};

/** What helps against a slip, by its code. */
export function helpFor(code: string): SlipHelp {
  return (
    HELP[partsOfSlip(code).kind] ?? { activityId: null, advice: 'Slow down and look together.' }
  );
}
