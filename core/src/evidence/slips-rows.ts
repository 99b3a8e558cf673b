import { counted } from '../numbers/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type Slip, offBy, slip } from './slips-sums.js';

/** Two neighbors exchanged, or more than that. */
function orderSlips({ placed }: RecordOf<'order'>): Slip[] {
  const right = [...placed].sort((a, b) => a - b);
  const wrong = placed.flatMap((n, i) => (n === right[i] ? [] : [i]));
  const [first, second] = wrong;
  if (first === undefined || second === undefined) return [];
  const [a, b] = [right[first] ?? 0, right[second] ?? 0];
  if (wrong.length > 2) return [slip('muddled', 'several stood in other places')];
  return [slip(`order-swapped-${a}-${b}`, `${a} and ${b} changed places`)];
}

function gapSlips({ gaps, answers }: RecordOf<'gap'>): Slip[] {
  return gaps.flatMap((gap, i) => {
    const answer = answers[i] ?? null;
    if (answer === null || answer === gap) return [];
    return [offBy(answer, gap, `put ${answer} where ${gap} was missing: off by one`)];
  });
}

/** Places are counted among five; the same one from the other end is its mirror. */
const PLACES = 5;

function placeSlips({ asked, answer }: RecordOf<'place'>): Slip[] {
  if (answer === null || answer === asked) return [];
  return answer === PLACES + 1 - asked
    ? [slip('other-end', 'counted from the other end')]
    : [offBy(answer, asked, 'pointed to the one beside it')];
}

function groupsSlips({ groups, size, answer }: RecordOf<'groups'>): Slip[] {
  const all = groups * size;
  if (answer === null || answer === all) return [];
  if (answer === groups + size) {
    return [slip('added-groups', `said ${answer}: the groups and their size put together`)];
  }
  if (answer === size || answer === groups) {
    return [slip('one-group', `said ${answer}, one group or the number of groups`)];
  }
  if (Math.abs(answer - all) === size) {
    return [slip('group-missed', `said ${answer}: one group more or fewer`)];
  }
  return [
    offBy(
      answer,
      all,
      `said ${answer} for ${counted(groups, 'group', 'groups')} of ${size}: off by one`,
    ),
  ];
}

function shareSlips({ n, among, answer, leftOver }: RecordOf<'share'>): Slip[] {
  const each = Math.floor(n / Math.max(1, among));
  const found: Slip[] = [];
  if (answer !== null && answer !== each) {
    found.push(offBy(answer, each, `gave ${answer} to each, where ${each} were fair: off by one`));
  }
  if (leftOver !== null && answer === each && leftOver !== n - each * among) {
    found.push(slip('left-over', `said ${leftOver} were left over`));
  }
  return found;
}

function lengthSlips({ gaps, overlaps, endsLinedUp }: RecordOf<'length'>): Slip[] {
  return [
    ...(gaps ? [slip('unit-gaps', 'left gaps between the units')] : []),
    ...(overlaps ? [slip('unit-overlaps', 'let the units overlap')] : []),
    ...(endsLinedUp === false ? [slip('ends', 'the ends were not lined up')] : []),
  ];
}

function rangeSlips({ low, high, actual }: RecordOf<'range'>): Slip[] {
  if (high < actual) return [slip('range-below', `at most ${high}, and it was ${actual}`)];
  if (low > actual) return [slip('range-above', `at least ${low}, and it was ${actual}`)];
  return [];
}

/** How many pieces a child adds to a pattern that is to be gone on with. */
const MOST_ADDED = 3;

/** Gone on with wrongly; a row that was copied or matched is judged where its prompt is known. */
function patternSlips({ unit, shown, answer }: RecordOf<'pattern'>): Slip[] {
  // A place that was pointed to is a number.
  const isLaid = answer.every((one) => !/^\d+$/.test(one));
  const goesOn =
    unit.length > 0 && shown >= 2 * unit.length && answer.length <= MOST_ADDED && isLaid;
  if (!goesOn || answer.length === 0) return [];
  const wrong = answer.findIndex((one, i) => one !== unit[(shown + i) % unit.length]);
  if (wrong < 0) return [];
  const before = wrong === 0 ? unit[(shown - 1) % unit.length] : answer[wrong - 1];
  return answer[wrong] === before
    ? [slip('repeats-last', 'laid the last one again')]
    : [slip('pattern-broken', `went another way at place ${wrong + 1}`)];
}

/** Slips of the records about rows, groups, shares, lengths and ranges. */
export function rowSlips(record: CaptureRecord): Slip[] {
  switch (record.kind) {
    case 'order':
      return orderSlips(record);
    case 'gap':
      return gapSlips(record);
    case 'place':
      return placeSlips(record);
    case 'groups':
      return groupsSlips(record);
    case 'share':
      return shareSlips(record);
    case 'length':
      return lengthSlips(record);
    case 'range':
      return rangeSlips(record);
    case 'pattern':
      return patternSlips(record);
    default:
      return [];
  }
}
