import { type ChildState, nextPrompt, readySkills, statusOf } from '../evidence/index.js';
import { SKILLS, type Skill, type SkillItem, findSkill, saidAloud } from '../skills/index.js';
import type { AnswerMode, Day } from '../vocabulary/index.js';
import { questionForItem } from './item.js';

/** What can be asked before anything lies on the table. */
const needsNothing = (skill: Skill): boolean =>
  saidAloud(skill) || ['plus1', 'minus1', 'fluent', 'double'].includes(skill.family);
const MOST = 3;

/**
 * Up to three questions to begin with, of what the child is sure of: first what is to be checked, then
 * those not asked for longest, of each family one. They are kept as reviews.
 * @param modes how the child can answer
 */
export function warmUps(
  state: ChildState,
  today: Day,
  modes: readonly AnswerMode[],
  most = MOST,
): SkillItem[] {
  const toCheck = new Set(
    readySkills(state, today, modes.includes('speaks')).flatMap(({ skillId, why }) =>
      why === 'check' || why === 'due' ? [skillId] : [],
    ),
  );
  const lastSeen = (id: string): string => (toCheck.has(id) ? '' : (state.skills[id]?.day ?? '0'));
  const sure = SKILLS.filter(
    (skill) =>
      needsNothing(skill) && (toCheck.has(skill.id) || statusOf(skill, state) === 'secure'),
  )
    .sort((a, b) => lastSeen(a.id).localeCompare(lastSeen(b.id)))
    .filter((one, i, all) => all.findIndex(({ family }) => family === one.family) === i);
  return sure
    .flatMap(({ id: skillId, items }): SkillItem[] => {
      const cells = items
        .map((item) => ({ skillId, itemId: item.id, key: `${skillId}-${item.id}` }))
        .filter(({ itemId }) => questionForItem(skillId, itemId, modes) !== null);
      const chosen = nextPrompt(cells, state, [], today, `${state.childId}/${today}`);
      return chosen ? [{ skillId, itemId: chosen.itemId }] : [];
    })
    .slice(0, most);
}

/** The question of a warm-up; null where the map has no such item any more. */
export function warmUp({ skillId, itemId }: SkillItem, modes: readonly AnswerMode[]) {
  const question = findSkill(skillId) ? questionForItem(skillId, itemId, modes) : null;
  return question && { ...question, step: null, warmUp: true };
}
