import type { Question } from '../rounds/question.js';
import type { CaptureKind, Outcome } from '../vocabulary/index.js';

/** What the child did, said plainly: when it managed, and when it is not there yet. */
const WORDS: Partial<Record<CaptureKind, readonly [own: string, yet: string]>> = {
  count: ['“You touched each one.”', '“You counted. Let’s move them one by one.”'],
  give: ['“You stopped just there.”', '“You gave me some. Let’s count them.”'],
  numeral: ['“You knew its name.”', '“You looked at it closely. I’ll say it.”'],
  reach: ['“You went all the way.”', '“You came this far. Let’s say it together.”'],
  order: ['“Each stands in its place.”', '“You moved them about. Let’s say the row.”'],
  draw: ['“I can read it.”', '“You drew it. Watch my finger once more.”'],
  compare: ['“You looked at both.”', '“You looked. Let’s pair them off.”'],
  pattern: ['“It goes on as it began.”', '“You laid it. Let’s say it aloud.”'],
  share: ['“Each has as many.”', '“You dealt them out. Let’s line them up.”'],
  weigh: ['“You held it and thought.”', '“You thought about it. Let’s weigh it.”'],
  guess: ['“You thought, and then we counted.”', '“You thought. Let’s count and see.”'],
  range: ['“You ruled a lot out.”', '“You thought. Let’s count and see.”'],
  catch: ['“You listened closely.”', '“Let’s hear the puppet once more.”'],
};
const OTHER = ['“You found it out.”', '“You had a good look. Let’s see together.”'] as const;

/** Plain words for the adult to say about what the child did, whatever came of it. */
export function acknowledge({ right }: Pick<Question, 'right'>, outcome: Outcome): string {
  if (outcome === 'not-now') return '“We can do it another time.”';
  if (outcome === 'help') return '“You tried, and then we did it together.”';
  const [own, yet] = (right ? WORDS[right.kind] : undefined) ?? OTHER;
  return outcome === 'own' ? own : yet;
}
