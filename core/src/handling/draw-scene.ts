import type { Layout, SceneName } from '../vocabulary/index.js';
import { beadScene } from './beads.js';
import { signScene, twoHeapsScene } from './compare.js';
import { cardsScene, dieScene } from './dice.js';
import { dominoScene } from './dominoes.js';
import { fingersFor, fingersScene } from './fingers.js';
import { type Fill, cellsFor, frameScene } from './frame.js';
import { groupsScene, rowsScene } from './groups.js';
import { hidingScene } from './hiding.js';
import { looseScene, platesScene } from './plates.js';
import { holesFor, railScene } from './rail.js';
import { type Scene, beside } from './scene.js';
import { coinsFor, coinsScene, tensScene } from './tens.js';
import {
  cupsScene,
  mirroredScene,
  pipCard,
  towerScene,
  tubesScene,
  twoColorCard,
} from './tubes.js';
import { trackScene } from './tracks.js';
import { trayScene } from './tray.js';

/** What lies there, as plain numbers, and how it is to be drawn. */
export interface Lying {
  readonly scene: SceneName;
  /** The amounts, part by part; for a track where one stands, for rows and groups how many of what. */
  readonly numbers: readonly number[];
  /** How many there are in all, or how far the row goes, where the numbers do not say it. */
  readonly whole?: number;
  /** The last amount lies there and is not seen. */
  readonly hidden?: boolean;
  readonly layout?: Layout;
}

const FRAME = 10;
/** Loose things beyond this many are not drawn one by one. */
const MOST_LOOSE = 40;
const MOST_FINGERS = 10;
const HAND = 5;
/** Pips are drawn for so many. */
const MOST_PIPS = 9;

/** Fingers for two parts: a hand each where both fit on one, else up and folded. */
function fingers([a = 0, b]: readonly number[]): Scene | null {
  if (b === undefined) return a <= MOST_FINGERS ? fingersScene(fingersFor(a, 'thumb')) : null;
  if (a <= HAND && b <= HAND && a + b !== MOST_FINGERS) {
    return fingersScene([
      ...fingersFor(a, 'thumb').slice(0, HAND),
      ...fingersFor(b, 'thumb').slice(0, HAND),
    ]);
  }
  return fingersScene(fingersFor(a, 'thumb'));
}

/** A folding hand has as many fingers as the whole; a of them are up. */
const hands = ([a = 0, b = 0]: readonly number[]): Scene =>
  fingersScene(Array.from({ length: a + b }, (_, i) => i < a));

function frames(numbers: readonly number[], fill: Fill): Scene {
  const [a = 0, b = 0] = numbers;
  if (numbers.length < 2) return frameScene(cellsFor(a, a > FRAME ? 2 * FRAME : FRAME, fill));
  return beside(
    [frameScene(cellsFor(a, FRAME, fill)), frameScene(cellsFor(b, FRAME, fill, 0))],
    1,
    `two frames, ${a} and ${b}`,
  );
}

function materials({ numbers, layout }: Lying, seed: string): Scene | null {
  const [a = 0, b] = numbers;
  if (b !== undefined) return Math.max(a, b) <= 20 ? twoHeapsScene(a, b) : null;
  return a > 0 && a <= MOST_LOOSE ? looseScene(a, layout ?? 'row', seed) : null;
}

/**
 * Draws what lies on the table; null where nothing does, or too much to be drawn. The same seed
 * lays the same picture.
 */
export function drawScene(lying: Lying, seed: string, fill: Fill): Scene | null {
  const { scene, numbers, hidden = false, whole } = lying;
  const [a = 0, b = 0] = numbers;
  switch (scene) {
    case 'none':
    case 'chart':
      return null;
    case 'things':
      return materials(lying, seed);
    case 'fingers':
      return fingers(numbers);
    case 'hands':
      return hands(numbers);
    case 'plates':
      return platesScene(numbers, false, hidden ? numbers.length - 1 : null);
    case 'tray':
      return trayScene(numbers, hidden ? 'last' : 'off', seed);
    case 'beads':
      return beadScene(a + b, a, a + b > 5);
    case 'rail': {
      const holes = a + b > FRAME ? 2 * FRAME : FRAME;
      return railScene(holesFor(a, b, holes, a + b < holes && b > 0 ? 1 : 0));
    }
    case 'tubes':
      return tubesScene(numbers, !hidden);
    case 'towers':
      return numbers.length > 1 && !hidden ? towerScene(numbers) : towerScene([a]);
    case 'sack':
      return hidingScene(a, b, !hidden, 'sack');
    case 'cloth':
      return hidingScene(a, b, !hidden, 'cloth');
    case 'frame':
      return frameScene(cellsFor(a, a > FRAME ? 2 * FRAME : FRAME, fill));
    case 'frames':
      return frames(numbers, fill);
    case 'tile':
      return Math.max(a, b) <= MOST_PIPS ? dominoScene(a, b) : cardsScene(numbers);
    case 'dots':
      return numbers.length > 1 ? twoColorCard(a, b) : a <= MOST_PIPS ? pipCard(a) : null;
    case 'dice':
      return Math.max(...numbers) <= MOST_PIPS
        ? beside(numbers.map(dieScene), 1, `dice: ${numbers.join(', ')}`)
        : cardsScene(numbers);
    case 'cups':
      return cupsScene(
        Array.from({ length: whole ?? 7 }, (_, i) => i + 1),
        numbers,
      );
    case 'cards':
      return cardsScene(numbers);
    case 'track':
    case 'strip':
      return trackScene(Math.min(20, Math.max(whole ?? FRAME, a)), a);
    case 'line':
      return trackScene(Math.min(20, Math.max(whole ?? FRAME, a)), a);
    case 'groups':
      return a * b <= 120 ? groupsScene(a, b) : null;
    case 'rows':
      return a * b <= 120 ? rowsScene(a, b) : null;
    case 'tens':
      return tensScene(a, b);
    case 'coins':
      return coinsScene(...coinsFor(a));
    case 'signs':
      return signScene(a, b);
    case 'mirror':
      return mirroredScene(a);
  }
}
