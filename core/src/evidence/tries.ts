import { reachOf } from '../numbers/index.js';
import { type Item, SKILLS, type Skill, findItem, findSkill } from '../skills/index.js';
import type { Day, Observation, Outcome, RecordOf } from '../vocabulary/index.js';
import { countedRight, readCount, slipsOf } from './slips.js';
import type { Evidence } from './update.js';

/** One try as it counts for one skill; a record may hold several. */
export interface Try extends Evidence {
  readonly observationId: string;
  readonly skillId: string;
  readonly at: string;
  readonly day: Day;
  /** Tries of one sitting share this; a jotted one stands alone. */
  readonly sitting: string;
  readonly things: readonly string[];
  readonly slips: readonly string[];
}

interface Judged {
  readonly skillId: string;
  readonly itemId: string | null;
  readonly outcome: Outcome;
}

/** Where a record says more than its outcome: what was right counts, helped or not. */
function judge(outcome: Outcome, right: boolean): Outcome {
  if (outcome === 'help' || outcome === 'not-now') return outcome;
  return right ? 'own' : 'not-yet';
}

const family = (skillId: string): string => skillId.replace(/-\w+$/, '');

/** The skill of a family whose items hold the number, such as touch-10 for touch and 7. */
function skillAt(name: string, number: number): { skill: Skill; item: Item } | null {
  for (const skill of SKILLS) {
    if (family(skill.id) !== name) continue;
    const item = skill.items.find((one) => one.number === number && one.form === null);
    if (item) return { skill, item };
  }
  return null;
}

function countTries(observation: Observation, record: RecordOf<'count'>): Judged[] {
  const asked = family(observation.skillId);
  if (asked !== 'touch' && asked !== 'total') return [];
  const right = countedRight(record);
  const { cardinality } = readCount(record);
  if (right === null && cardinality === null) return [];
  const judged: Judged[] = [];
  const add = (name: string, ok: boolean | null): void => {
    const found = ok === null ? null : skillAt(name, record.n);
    if (!found || ok === null) return;
    judged.push({
      skillId: found.skill.id,
      itemId: found.item.id,
      outcome: judge(observation.outcome, ok),
    });
  };
  add('touch', right);
  add('total', cardinality);
  return judged;
}

function reachTries(observation: Observation, record: RecordOf<'reach'>): Judged[] {
  if (record.stop === null && record.said === null) return [];
  const { reach } = reachOf(record);
  if (record.direction === 'down' || record.from > 1) {
    const sign = record.direction === 'up' ? 1 : -1;
    const done = reach !== null && sign * (reach - record.to) >= 0;
    const { skillId, itemId } = observation;
    return [{ skillId, itemId, outcome: judge(observation.outcome, done) }];
  }
  const judged: Judged[] = [];
  const rows = SKILLS.filter((skill) => /^say-\d+$/.test(skill.id)).sort((a, b) => a.to - b.to);
  for (const skill of rows) {
    for (const item of skill.items) {
      if (item.number > record.to) return judged;
      const done = reach !== null && reach >= item.number;
      judged.push({
        skillId: skill.id,
        itemId: item.id,
        outcome: judge(observation.outcome, done),
      });
      if (!done) return judged;
    }
  }
  return judged;
}

function orderTries(observation: Observation, record: RecordOf<'order'>): Judged[] {
  const right = [...record.given].sort((a, b) => a - b);
  return right.flatMap((number, place) => {
    const itemId = `n${number}`;
    if (!findItem(observation.skillId, itemId) || record.placed.length === 0) return [];
    const ok = record.placed[place] === number;
    return [{ skillId: observation.skillId, itemId, outcome: judge(observation.outcome, ok) }];
  });
}

/**
 * The tries that an observation holds. Reach gives one a stretch up to and with the first one not
 * completed, order one an item placed, count one for touching and one for the total; every other
 * record gives the outcome noted, for the item asked. An unknown skill gives none.
 */
export function triesOf(observation: Observation): Try[] {
  const { record, outcome } = observation;
  const asked: Judged = { skillId: observation.skillId, itemId: observation.itemId, outcome };
  let judged: Judged[] = [];
  if (outcome !== 'not-now') {
    if (record.kind === 'count') judged = countTries(observation, record);
    else if (record.kind === 'reach') judged = reachTries(observation, record);
    else if (record.kind === 'order') judged = orderTries(observation, record);
  }
  const slips = slipsOf(record).map((slip) => slip.code);
  return (judged.length > 0 ? judged : [asked])
    .filter((one) => findSkill(one.skillId) !== undefined)
    .map((one) => ({
      ...one,
      triedFirst: observation.triedFirst,
      observationId: observation.id,
      at: observation.at,
      day: observation.day,
      sitting: observation.sittingId ?? observation.id,
      things: observation.things,
      slips,
    }));
}
