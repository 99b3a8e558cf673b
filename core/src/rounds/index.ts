export { ROUND_TITLES } from './titles.js';
export { type Played, type RoundModule } from './game.js';
export { MODULES, creditsOf, roundsOf } from './kinds.js';
export { type PlayState, lastPart, playStateOf, playedOf, questionFor } from './play-state.js';
export { type CameUp, type Choice, type Pick, type Question, isComplete } from './question.js';
export { nearRows } from './pattern.js';
export { type Tried, bringUp, playOut, roundSeen, triedAs } from './play.js';
export { questionForItem } from './item.js';
export { warmUp, warmUps } from './warm-ups.js';
