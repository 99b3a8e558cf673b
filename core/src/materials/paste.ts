import { type Shape, type Material, USES, type Use } from '../vocabulary/index.js';

/** One pasted line as it was understood, or what is wrong with it. */
export type PastedLine =
  | { readonly line: string; readonly draft: Omit<Material, 'id' | 'version'> }
  | { readonly line: string; readonly fault: string };

const COLORS =
  'red orange yellow green blue purple violet pink brown black white grey gray gold silver natural'.split(
    ' ',
  );
const WORD_OF_USE: readonly (readonly [RegExp, Use])[] = [
  [/\b(disc|counter|bead|pebble|stone|button|bobbin|cap|chip|token)s?\b/i, 'counter'],
  [/\b(snail|shell|acorn|leaf|leaves|animal|figure)s?\b/i, 'loose'],
  [/\bcubes?\b/i, 'cube'],
  [/\b(block|brick)s?\b/i, 'block'],
  [/\b(die|dice)\b/i, 'die'],
  [/\bdomino(e?s)?\b/i, 'tile'],
  [/\b(floor cards?)\b/i, 'floor-card'],
  [/\bcards?\b/i, 'card'],
  [/\b(crayon|pencil|marker|chalk)s?\b/i, 'pen'],
  [/\bpegs?\b/i, 'peg'],
  [/\bsticks?\b/i, 'stick'],
  [/\b(sticker)s?\b/i, 'sticker'],
  [/\bcoins?\b/i, 'coin'],
  [/\b(frame)s?\b/i, 'frame'],
];
/** Thickness of a disc whose one measure is its width, as a share of it. */
const FLAT = 0.2;

function useOf(name: string): Use {
  const found = USES.find((use) => new RegExp(`\\b${use}(s|es)?\\b`, 'i').test(name));
  return found ?? WORD_OF_USE.find(([pattern]) => pattern.test(name))?.[1] ?? 'loose';
}

function shapeOf(text: string, name: string): Shape {
  const numbers = /(\d+(?:\.\d+)?(?:\s*[x×]\s*\d+(?:\.\d+)?){0,2})\s*mm/i.exec(text)?.[1];
  const [a, b, c] = (numbers ?? '').split(/\s*[x×]\s*/).map(Number);
  if (!a) return { kind: 'unknown' };
  if (/\bball|bead|pompom|marble/i.test(name) && !b) return { kind: 'ball', diameterMm: a };
  if (b && c) return { kind: 'block', lengthMm: a, widthMm: b, heightMm: c };
  if (/\bdisc|cap|chip|button|coin|lid|counter|ring/i.test(name)) {
    return { kind: 'disc', diameterMm: a, thicknessMm: b ?? Math.max(0.1, a * FLAT) };
  }
  if (/\bcube|die|dice/i.test(name) && !b) {
    return { kind: 'block', lengthMm: a, widthMm: a, heightMm: a };
  }
  if (b) return { kind: 'rod', lengthMm: a, diameterMm: b };
  return { kind: 'unknown' };
}

/**
 * Reads lines such as "24 cork discs blue, 30 mm, box 3": a count first, then the name, colors
 * among its words, measures in mm, and the box it lives in. A line without a count is one thing.
 */
export function readPasted(text: string): PastedLine[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map(readLine);
}

function readLine(line: string): PastedLine {
  // Without a number there is one of it, until somebody counts.
  const [, digits = '1', rest = line] = /^(\d{1,5})\s*(?:x\s+)?(.*)$/i.exec(line) ?? [];
  const count = Number(digits);
  if (count > 1000) return { line, fault: 'has a count over 1000' };
  const [head = '', ...parts] = rest.split(',').map((part) => part.trim());
  const words = head.split(/\s+/).filter(Boolean);
  const color = words.find((word) => COLORS.includes(word.toLowerCase()))?.toLowerCase();
  const name = words.filter((word) => word.toLowerCase() !== color).join(' ');
  if (name === '') return { line, fault: 'names no material' };
  if (name.length > 60) return { line, fault: 'has a name of more than 60 characters' };
  const box = parts.find((part) => !/\d\s*mm\b/i.test(part)) ?? '';
  return {
    line,
    draft: {
      name,
      use: useOf(name),
      count,
      colors: color ? [{ name: color, count }] : [],
      alike: !/\b(mixed|different|various)\b/i.test(line),
      shape: shapeOf(rest, name),
      box: box.slice(0, 40),
      consumable: false,
      interests: [],
      hazards: /\bmagnet/i.test(line) ? ['magnet'] : /\bglass\b/i.test(line) ? ['glass'] : [],
    },
  };
}
