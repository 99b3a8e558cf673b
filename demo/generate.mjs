/**
 * Writes the demo household, always the same from the same seed: eleven weeks of invented records
 * of six invented children, one of whom leaves out fifteen and one who takes 6 and 9 for each other.
 */
import { findActivity, promptsOf, topFor } from '@gumo/core/activities';
import { emptyState, fold, foldAll, nextPrompt } from '@gumo/core/evidence';
import { seeded } from '@gumo/core/numbers';
import { SKILLS, skillOf } from '@gumo/core/skills';
import { addDays, dayNumber, newHousehold } from '@gumo/core/vocabulary';
import { CHILDREN, DAYS, THINGS, TODAY } from './household.mjs';

const SEED = 20260310;
const WEEKS = 11;
/** Weeks before today without preschool. */
const HOLIDAY_WEEK = 4;
const KINDS = ['reach', 'count', 'give', 'numeral'];

/** Makes the whole file as an object. */
export function generate() {
  const random = seeded(SEED);
  const pick = (list) => list[Math.floor(random() * list.length)];
  const uuid = () => {
    const hex = () => Math.floor(random() * 16).toString(16);
    const part = (length) => Array.from({ length }, hex).join('');
    return `${part(8)}-${part(4)}-4${part(3)}-8${part(3)}-${part(12)}`;
  };
  const children = CHILDREN.map(({ places, ...child }) => ({
    row: { ...child, id: uuid(), archived: false, version: 1 },
    places,
  }));
  const things = THINGS.map((thing) => ({ ...thing, id: uuid(), version: 1 }));
  const household = newHousehold(uuid(), 'Spindle Cottage');
  const states = new Map(children.map(({ row }) => [row.id, emptyState(row.id, row.policy)]));
  const facts = new Map(children.map(({ row }) => [row.id, []]));
  const sittings = [];
  const observations = [];
  const voidings = [];

  /** Chance of on own: nearly sure for what is known, falling off beyond the child's place. */
  function chance(child, skillId, item, progress) {
    const skill = skillOf(skillId);
    const strand = SKILLS.filter((one) => one.strand === skill.strand);
    const [from, to] = child.places[skill.strand] ?? [0, 0];
    const ahead = from + (to - from) * progress - strand.indexOf(skill);
    const logit = 2.2 * ahead - 0.7 * item.difficulty + 0.4;
    return 0.05 + 0.9 / (1 + Math.exp(-logit));
  }

  function recordOf(child, prompt, right) {
    const n = prompt.expected;
    const slip = random();
    switch (prompt.kind) {
      case 'count': {
        const base = { kind: 'count', language: 'en', n, layout: prompt.layout ?? 'row' };
        const fine = { words: n, lastWord: n, skipped: 0, doubled: 0, answer: n, recounted: false };
        if (right) return { ...base, ...fine };
        if (child.row.name === 'Mirela' || slip < 0.3) return { ...base, ...fine, recounted: true };
        if (slip < 0.65)
          return { ...base, ...fine, words: n + 1, lastWord: n + 1, doubled: 1, answer: n + 1 };
        return { ...base, ...fine, words: n - 1, lastWord: n - 1, skipped: 1, answer: n - 1 };
      }
      case 'give':
        return { kind: 'give', asked: n, given: right ? n : n + (slip < 0.6 ? 1 : -1) };
      case 'numeral': {
        const twins = { 6: 9, 9: 6, 2: 5, 5: 2, 12: 20, 13: 30 };
        const answer = right ? n : (twins[n] ?? Math.max(0, n + (slip < 0.5 ? 1 : -1)));
        const way = child.row.answerModes.includes('speaks') ? 'spoken' : 'pointed';
        return { kind: 'numeral', shown: n, answer, way };
      }
      default: {
        const base = {
          kind: 'reach',
          language: 'en',
          direction: prompt.direction,
          from: prompt.from,
          to: n,
          leftOut: [],
          repeated: [],
          swapped: [],
          said: null,
          guess: null,
        };
        if (right) return { ...base, stop: n };
        if (prompt.direction === 'down') return { ...base, stop: Math.max(1, prompt.from - 2) };
        if (prompt.from > 1) return { ...base, stop: prompt.from };
        if (n >= 20) {
          if (child.row.name === 'Kofi' || slip < 0.4)
            return { ...base, stop: Math.min(n, 20), leftOut: [15] };
          return { ...base, stop: Math.min(n - 1, slip < 0.7 ? 29 : 16) };
        }
        return { ...base, stop: Math.max(1, n - 1 - Math.floor(slip * 3)) };
      }
    }
  }

  /** Which item a child's own story makes hard. */
  function storyChance(child, prompt, usual) {
    const name = child.row.name;
    if (name === 'Mirela' && prompt.kind === 'numeral' && [6, 9].includes(prompt.expected))
      return 0.25;
    if (name === 'Kofi' && prompt.kind === 'reach' && prompt.from === 1 && prompt.expected >= 20)
      return 0.1;
    return usual;
  }

  const clock = (day, minute) =>
    `${day}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

  function sit(day, minute, activityId, names, progress) {
    const activity = findActivity(activityId);
    const here = children.filter(({ row }) => names.includes(row.name));
    const things1 = things.filter((thing) => activity.needs.some((need) => need.use === thing.use));
    const used = things1.length > 0 ? [pick(things1).id] : [];
    const sitting = {
      id: uuid(),
      activityId,
      planEntryId: null,
      day,
      startedAt: `${clock(day, minute)}:00.000Z`,
      endedAt: null,
      mood: random() < 0.12 ? pick(['tired', 'tense']) : pick(['calm', 'calm', 'great']),
      takers: [],
    };
    let second = 0;
    for (const child of here) {
      const state = () => states.get(child.row.id);
      const top = topFor(activity, KINDS, state(), day);
      sitting.takers.push({ childId: child.row.id, top });
      const asked = [];
      const tries = 4 + Math.floor(random() * 4);
      for (let t = 0; t < tries; t++) {
        const pool = promptsOf(activity, top, KINDS, child.row.answerModes);
        const seed = `${sitting.id}-${t}`;
        const prompt = nextPrompt(pool, state(), asked, day, seed, t === tries - 1);
        if (!prompt) break;
        const item = skillOf(prompt.skillId).items.find((one) => one.id === prompt.itemId);
        const usual = chance(child, prompt.skillId, item, progress);
        const right = random() < storyChance(child, prompt, usual);
        const outcome = right
          ? 'own'
          : random() < 0.55
            ? 'help'
            : random() < 0.9
              ? 'not-yet'
              : 'not-now';
        const observation = {
          id: uuid(),
          childId: child.row.id,
          sittingId: sitting.id,
          activityId,
          skillId: prompt.skillId,
          itemId: prompt.itemId,
          at: `${clock(day, minute + Math.floor(second / 60))}:${String(second % 60).padStart(2, '0')}.000Z`,
          day,
          outcome,
          triedFirst: true,
          answered: child.row.answerModes.includes('speaks') ? 'spoken' : 'shown',
          reason: null,
          things: used,
          notedBy: 'demo',
          note: '',
          record: recordOf(child, prompt, right),
        };
        second += 25;
        asked.push({ key: prompt.key, outcome });
        observations.push(observation);
        facts.get(child.row.id).push({ kind: 'observation', observation });
      }
    }
    sitting.endedAt = `${clock(day, minute + Math.ceil(second / 60))}:00.000Z`;
    sittings.push(sitting);
    for (const child of here) {
      const known = facts.get(child.row.id);
      const next = known
        .filter((fact) => fact.observation.sittingId === sitting.id)
        .reduce((folded, fact) => {
          const one = fold(folded, fact);
          return 'state' in one ? one.state : foldAll(child.row.id, child.row.policy, known);
        }, states.get(child.row.id));
      states.set(child.row.id, next);
    }
  }

  const ROUND = [
    ['count-together', 'stairs', 'song-count'],
    ['handfuls', 'card-hunt', 'turn-over', 'land-in-cup', 'tidy-count', 'numbers-about'],
    ['show-say', 'dice-touch', 'dot-touch', 'layouts'],
  ];
  const first = addDays(TODAY, -7 * WEEKS);
  for (let day = first; day < TODAY; day = addDays(day, 1)) {
    const weekday = (dayNumber(day) + 3) % 7;
    const ago = (dayNumber(TODAY) - dayNumber(day)) / 7;
    if (weekday > 4 || (ago > HOLIDAY_WEEK && ago <= HOLIDAY_WEEK + 1)) continue;
    const progress = 1 - ago / WEEKS;
    ROUND.forEach((activities, band) => {
      if (band === 2 && random() < 0.35) return;
      const chosen = pick(activities);
      const least = findActivity(chosen).fromAge;
      const able = children.filter(
        ({ row }) => dayNumber(day) - dayNumber(row.birthDate) >= least * 365,
      );
      const size = band === 2 ? 2 : 3;
      const names = able
        .map((child) => ({ name: child.row.name, order: random() }))
        .sort((a, b) => a.order - b.order)
        .slice(0, size)
        .map((one) => one.name);
      sit(day, [8 * 60 + 32, 9 * 60 + 18, 11 * 60 + 2][band], chosen, names, progress);
    });
  }

  const plan = [];
  for (let offset = 0; offset < 14; offset++) {
    const day = addDays(TODAY, offset);
    for (const [momentId, activityId, minutes, words, names] of DAYS[offset % DAYS.length]) {
      const activity = findActivity(activityId);
      const takers = children
        .filter(({ row }) => names.includes(row.name))
        .map(({ row }) => ({
          childId: row.id,
          top: topFor(activity, KINDS, states.get(row.id), TODAY),
        }));
      plan.push({
        id: uuid(),
        day,
        momentId,
        activityId,
        takers,
        minutes,
        with: words,
        state: 'planned',
        version: 1,
      });
    }
  }
  return {
    format: 'gumo-household',
    version: 1,
    day: TODAY,
    household,
    children: children.map((child) => child.row),
    things,
    sittings,
    observations,
    voidings,
    plan,
    days: [],
  };
}
