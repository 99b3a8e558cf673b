import { type Prompt, pileSizes } from '../activities/index.js';
import { numberWord } from '../numbers/index.js';
import { expectedRecord, shownRow } from '../pads/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { signScene, twoHeapsScene, twoLinesScene } from './compare.js';
import { cardScene, cardsScene } from './dice.js';
import { type DotPicture, dotsScene } from './dots.js';
import { fingersFor, fingersScene } from './fingers.js';
import { type Fill, cellsFor, frameScene } from './frame.js';
import { groupsScene, rowsScene } from './groups.js';
import { hidingScene } from './hiding.js';
import { looseScene, platesScene } from './plates.js';
import { chartScene, lengthScene, mirrorScene, placesScene, symbolsScene } from './rows.js';
import { type Scene, beside } from './scene.js';
import { shareScene } from './share.js';
import { tallyScene } from './tally.js';
import { coinsFor, coinsScene, tensScene } from './tens.js';

/** What the household has chosen for its pictures, and the seed that lays them. */
export interface SceneSetting {
  readonly fill: Fill;
  readonly seed: string;
}

const FRAME_SIZE = 10;
/** Loose things beyond this many are not drawn one by one. */
const MOST_LOOSE = 40;

function frameOf(n: number, fill: Fill): Scene {
  return frameScene(cellsFor(n, n > FRAME_SIZE ? 2 * FRAME_SIZE : FRAME_SIZE, fill));
}

function glance({ form, expected: n, parts }: Prompt, { seed, fill }: SceneSetting): Scene {
  switch (form) {
    case 'fingers':
      return fingersScene(fingersFor(Math.min(10, n), 'thumb'));
    case 'row':
      return frameOf(n, 'row');
    case 'pairs':
      return frameOf(n, 'pairs');
    case null:
      return beside(
        parts.map((part) => dotsScene(part, 'dice', seed)),
        0.8,
        'two groups',
      );
    default:
      return form === 'frame' ? frameOf(n, fill) : dotsScene(n, form as DotPicture, seed);
  }
}

/** One number in one of its forms. */
function numeral(prompt: Prompt, { seed, fill }: SceneSetting): Scene {
  const { expected: n, form, skillId } = prompt;
  if (skillId.startsWith('match')) {
    return form === 'amount' ? cardScene(String(n)) : looseScene(n, 'scatter', seed);
  }
  switch (form) {
    case 'dots':
      return dotsScene(n, 'dice', seed);
    case 'pairs':
      return dotsScene(n, 'pairs', seed);
    case 'fingers':
      return fingersScene(fingersFor(n, 'thumb'));
    case 'frame':
      return frameOf(n, fill);
    case 'tally':
      return tallyScene(n);
    case 'word':
      return cardScene(numberWord(n), 8);
    case 'sum':
      return cardScene(n > 1 ? `${n - 1} + 1` : `${n} + 0`, 8);
    default:
      return cardScene(String(n), n > 9 ? 4.6 : 3.6);
  }
}

function compare(record: RecordOf<'compare'>, prompt: Prompt): Scene {
  const { left, right, asked } = record;
  if (prompt.skillId.startsWith('greater')) return cardsScene([left, right]);
  if (asked === 'sign') return signScene(left, right);
  return asked === 'difference' ? twoLinesScene(left, right) : twoHeapsScene(left, right);
}

function add(prompt: Prompt, { seed }: SceneSetting): Scene | null {
  const { skillId, parts, number } = prompt;
  const [a = 0, b = 0] = parts;
  if (skillId.startsWith('fluent')) return null;
  if (skillId === 'sentence-gap') return cardScene(`${a} + ? = ${a + b}`, 12);
  if (skillId === 'on-10') return hidingScene(b, a, false);
  if (skillId.startsWith('away') || skillId === 'sentence-minus') {
    return looseScene(a, 'row', seed);
  }
  if (parts.length > 2) return platesScene(parts);
  return Math.max(a, b) > FRAME_SIZE ? looseScene(number, 'row', seed) : platesScene([a, b], true);
}

function tens({ skillId, number, form }: Prompt): Scene {
  if (skillId === 'teens') return frameOf(number, 'row');
  return skillId === 'tens-ones' && form !== 'change'
    ? cardScene(String(number), 4.6)
    : tensScene(Math.floor(number / 10), number % 10);
}

function pattern(record: RecordOf<'pattern'>, { skillId }: Prompt): Scene | null {
  if (record.unit.length === 0) return null;
  const row = shownRow(record, skillId);
  if (skillId === 'mirror-make') return mirrorScene(row);
  const columns =
    Number.isInteger(Math.sqrt(row.length)) && row.length > 3 && skillId === 'pattern-copy'
      ? Math.sqrt(row.length)
      : undefined;
  return symbolsScene(row, skillId === 'pattern-next' ? record.answer.length : 0, columns);
}

function count(prompt: Prompt, { seed }: SceneSetting): Scene | null {
  const { expected: n, skillId, layout, way } = prompt;
  if (skillId === 'coins') return coinsScene(...coinsFor(n));
  if (way === 'pointed' && skillId.startsWith('total')) {
    const piles = pileSizes(n).map((size) => dotsScene(size, 'scatter', `${seed}/${size}`));
    return beside(piles, 0.6, `piles of ${pileSizes(n).join(', ')}`);
  }
  return looseScene(n, layout ?? 'row', seed);
}

const loose = (n: number, layout: 'row' | 'scatter' | 'heap', seed: string): Scene | null =>
  n > 0 && n <= MOST_LOOSE ? looseScene(n, layout, seed) : null;

/** What a planned slip is about, before the puppet makes it. */
function before(prompt: Prompt, seed: string): Scene | null {
  if (prompt.skillId.startsWith('name')) return cardScene(String(prompt.number));
  return /^(touch|total)/.test(prompt.skillId) ? loose(prompt.number, 'row', seed) : null;
}

/**
 * What should lie there for a prompt, as it is before the child answers; null where nothing does.
 * The same seed lays the same picture.
 */
export function sceneFor(prompt: Prompt, setting: SceneSetting): Scene | null {
  const record: CaptureRecord = expectedRecord(prompt, '');
  const { seed, fill } = setting;
  switch (record.kind) {
    case 'count':
      return count(prompt, setting);
    case 'give':
      return looseScene(Math.max(record.asked + 3, 8), 'scatter', seed);
    case 'frame':
      return frameOf(record.n, fill);
    case 'glance':
      return glance(prompt, setting);
    case 'numeral':
      return numeral(prompt, setting);
    case 'order':
      return cardsScene(record.given);
    case 'gap':
      return cardsScene(record.row);
    case 'draw':
      return /^\d+$/.test(record.figure)
        ? cardScene(record.figure, record.figure.length > 1 ? 4.6 : 3.6)
        : null;
    case 'compare':
      return compare(record, prompt);
    case 'after':
      return prompt.skillId.startsWith('say') ? null : loose(record.number, 'row', seed);
    case 'bond':
      return record.parts.length < 2
        ? loose(record.whole, 'row', seed)
        : prompt.skillId.startsWith('hide')
          ? hidingScene(record.inView[0] ?? 0, prompt.expected, false)
          : platesScene(record.parts, false, 1);
    case 'add':
      return add(prompt, setting);
    case 'place':
      return placesScene(record.fromEnd);
    case 'tens':
      return tens(prompt);
    case 'groups':
      return prompt.skillId === 'rows'
        ? rowsScene(record.groups, record.size)
        : groupsScene(record.groups, record.size);
    case 'share':
      return shareScene(
        record.n,
        Array.from({ length: record.among }, () => 0),
      );
    case 'partner':
      return looseScene(record.n, 'scatter', seed);
    case 'pattern':
      return pattern(record, prompt);
    case 'chart':
      return chartScene(record.groups);
    case 'length':
      return prompt.skillId.startsWith('units') ? lengthScene(prompt.expected) : null;
    case 'range':
      return loose(prompt.expected, 'heap', seed);
    case 'guess':
      return prompt.skillId === 'mirror-see' ? null : loose(prompt.expected, 'scatter', seed);
    case 'catch':
      return before(prompt, seed);
    default:
      return null;
  }
}
