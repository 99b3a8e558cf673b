import {
  addThreeItem,
  awayItem,
  differItem,
  greaterItem,
  joinItem,
  moreItem,
  sentenceItem,
  shareItem,
  signItem,
  type SkillItem,
} from './find.js';
import { findItem } from './map.js';

/** How items of single pairs were written: a letter, then the numbers. */
const OLD = /^[spgth](\d+)-(\d+)(?:-(\d+))?$/;

type Class = (a: number, b: number, all: readonly number[]) => SkillItem | null;

/** The class that took the place of the pairs of a skill. */
const CLASS_OF: Readonly<Record<string, Class>> = {
  'more-clear': (a, b) => moreItem(a, b, true),
  'more-5': (a, b) => moreItem(a, b),
  'more-10': (a, b) => moreItem(a, b),
  'greater-10': greaterItem,
  'differ-10': differItem,
  'sign-10': signItem,
  'join-5': joinItem,
  'join-10': joinItem,
  'away-10': awayItem,
  'sentence-plus': (a, b) => sentenceItem('plus', a + b),
  'sentence-minus': (a) => sentenceItem('minus', a),
  'sentence-gap': (a, b) => sentenceItem('gap', a + b),
  'add-three-10': (_a, _b, all) => addThreeItem(all),
  'add-three-20': (_a, _b, all) => addThreeItem(all),
  share: shareItem,
};

/**
 * The item that stands today for one noted earlier: the same where it still exists, its class where
 * single pairs became classes. An id nobody knows comes back as it is.
 */
export function currentItem(skillId: string, itemId: string): string {
  if (findItem(skillId, itemId)) return itemId;
  const numbers = OLD.exec(itemId)
    ?.slice(1)
    .filter((one) => one !== undefined)
    .map(Number);
  const [a, b] = numbers ?? [];
  if (numbers === undefined || a === undefined || b === undefined) return itemId;
  const found = CLASS_OF[skillId]?.(a, b, numbers);
  return found?.skillId === skillId ? found.itemId : itemId;
}
