export * from './ability.js';
export * from './conclude.js';
export { type EvidenceState, type OverrideState, holds } from './day.js';
export { chanceKnown } from './expectation.js';
export * from './first-look.js';
export * from './replay.js';
export * from './ready-skills.js';
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
export { type MaterialName, insteadOf, notAsked } from './reason-words.js';
export * from './slip-words.js';
export * from './slips.js';
export * from './status.js';
export * from './status-words.js';
export type { SkillState } from './state.js';
export { type Assumption, CHECK_TRIES, prerequisitesOf } from './assumption.js';
export * from './tries.js';
export * from './what-changed.js';
export { type Evidence, afterDay, afterGap, counts } from './update.js';
