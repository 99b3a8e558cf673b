import { type DigitForms, strokesOf } from './strokes.js';
import { type Line, type P, type Path, pathOf } from './trace-paths.js';

interface Way {
  readonly seen: 'right' | 'reversed' | 'start' | 'order' | 'direction';
  readonly lines: readonly Line[];
}

const backward = (one: Line): Line => [...one].reverse();

const mirrored = (lines: readonly Line[]): Line[] =>
  lines.map((one) => one.map(([x, y]): P => [-x, y]));

/** Ways in which children write a digit, the one that is taught first. */
function waysFor(digit: number, forms: DigitForms, strokes: readonly Line[]): Way[] {
  const [one, two, three] = strokes as [Line, Line?, Line?];
  const ways: Way[] = [{ seen: 'right', lines: strokes }];
  if (two && three) return [...ways, ...flaggedWays(one, two, three)];
  if (two) {
    ways.push({ seen: 'order', lines: [two, one] }, { seen: 'order', lines: [two, backward(one)] });
    ways.push({ seen: 'order', lines: [backward(two), one] });
    ways.push({ seen: 'direction', lines: [backward(one), two] });
    ways.push({ seen: 'direction', lines: [one, backward(two)] });
    ways.push({ seen: 'direction', lines: [backward(one), backward(two)] });
    ways.push({ seen: 'order', lines: [backward(two), backward(one)] });
  } else ways.push({ seen: 'direction', lines: [backward(one)] });
  const isRound = digit === 0 || digit === 8;
  if (isRound) {
    for (const part of [0.25, 0.5, 0.75]) {
      const at = Math.floor(one.length * part);
      const shifted = [...one.slice(at), ...one.slice(0, at + 1)];
      ways.push({ seen: 'start', lines: [shifted] }, { seen: 'start', lines: [backward(shifted)] });
    }
  }
  if (digit === 8) ways.push({ seen: 'direction', lines: mirrored(strokes) });
  const looksTheSame = isRound || (digit === 1 && forms.one === 'plain');
  if (looksTheSame) return ways;
  return [...ways, ...ways.map(({ lines }): Way => ({ seen: 'reversed', lines: mirrored(lines) }))];
}

/** Ways of a one with its flag and its base: often the flag is drawn up and the stem down in one line. */
function flaggedWays(stem: Line, flag: Line, base: Line): Way[] {
  const upAndDown = [...backward(flag), ...stem];
  const ways: Way[] = [
    { seen: 'right', lines: [upAndDown, base] },
    { seen: 'right', lines: [upAndDown] },
    { seen: 'right', lines: [stem] },
    { seen: 'order', lines: [flag, stem, base] },
    { seen: 'order', lines: [base, flag, stem] },
    { seen: 'order', lines: [base, stem, flag] },
    { seen: 'order', lines: [base, upAndDown] },
    { seen: 'direction', lines: [backward(stem), flag, base] },
    { seen: 'direction', lines: [stem, flag, backward(base)] },
    { seen: 'direction', lines: [upAndDown, backward(base)] },
    { seen: 'order', lines: [backward(base), backward(flag), backward(stem)] },
  ];
  const turned = ways
    .filter(({ lines }) => lines[0] !== stem || lines.length > 1)
    .map(({ lines }): Way => ({ seen: 'reversed', lines: mirrored(lines) }));
  return [...ways, ...turned];
}

/** Every form of every digit, in every way in which it can be read. */
const ALL_FORMS: readonly DigitForms[] = [
  { one: 'plain', four: 'open', nine: 'straight' },
  { one: 'flagged', four: 'closed', nine: 'curved' },
  { one: 'flagged', four: 'closed', nine: 'slanted' },
];

/** Digits that are written in more than one form. */
const FORMED: readonly number[] = [1, 4, 9];

/** A way of writing a digit, and its path. */
export interface WayPath {
  readonly seen: Way['seen'];
  readonly path: Path;
}

const known = new Map<string, readonly WayPath[]>();

/** Ways in which a digit is written in a form, the one that is taught first; worked out once. */
export function waysOf(digit: number, forms: DigitForms): readonly WayPath[] {
  const key = `${digit}/${forms.one}/${forms.four}/${forms.nine}`;
  const found = known.get(key);
  if (found) return found;
  const strokes = strokesOf(digit, forms).map(({ points }): Line => points);
  const made = waysFor(digit, forms, strokes).map(({ seen, lines }): WayPath => ({
    seen,
    path: pathOf(lines),
  }));
  known.set(key, made);
  return made;
}

/** Every path on which a digit can be read, in all its forms, but turned round. */
export const readablePaths = (digit: number): readonly Path[] =>
  (FORMED.includes(digit) ? ALL_FORMS : ALL_FORMS.slice(0, 1)).flatMap((forms) =>
    waysOf(digit, forms).flatMap(({ seen, path }) => (seen === 'reversed' ? [] : [path])),
  );
