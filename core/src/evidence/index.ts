export * from './ability.js';
export * from './conclude.js';
export { type Core, type Word, holds } from './day.js';
export * from './first-look.js';
export * from './fold.js';
export * from './frontier.js';
export { likelySkills } from './likely.js';
export {
  EMPTY_LEDGER,
  type Ledger,
  NEEDED,
  REVISIT_DAYS,
  isResting,
  itemsNeeded,
  itemsOnOwn,
  replaySkill,
} from './ledger.js';
export { stretchesTo } from './old-counts.js';
export { chanceAt, outlook, places } from './place-model.js';
export * from './prompt.js';
export { type ThingName, notAsked } from './reasons.js';
export * from './slip-words.js';
export * from './slips.js';
export * from './standing.js';
export type { SkillState } from './state.js';
export { type Taken, allBelow } from './taken.js';
export * from './tries.js';
export * from './what-changed.js';
export { type Evidence, afterDay, afterGap, counts } from './update.js';
