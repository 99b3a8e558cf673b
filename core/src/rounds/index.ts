export { ROUND_TITLES } from './titles.js';
export { type Played, type RoundModule } from './game.js';
export { MODULES, creditsOf, roundsOf } from './kinds.js';
export { type Session, lastPart, sessionOf, playedOf, questionFor } from './session.js';
export { type CameUp, type Choice, type Pick, type Question, isComplete } from './question.js';
export { nearRows } from './pattern.js';
export { type Tried, bringUp, playOut, roundSeen, triedAs } from './play.js';
export { questionForItem } from './item.js';
export { warmUp, warmUps } from './warm-ups.js';
