import type { Mark, SkillStatus } from './status.js';

/** What a status is called, within a sentence. */
export const STATUS_WORDS: Readonly<Record<SkillStatus, string>> = {
  'not-started': 'not started',
  started: 'started',
  nearly: 'nearly there',
  secure: 'secure',
  review: 'review',
  assumed: 'assumed',
};

/** What a mark beside a status is called. */
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
  due: 'due for review',
  'look-again': 'look again',
  resting: 'resting',
};
