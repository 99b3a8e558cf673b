/**
 * Writes the demo household, always the same from the same seed: eleven weeks of invented records
 * of six invented children, one of whom leaves out fifteen and one who takes 6 and 9 for each other.
 */
import { findActivity, promptFor, promptsOf, readyPrompts, topFor } from '@gumo/core/activities';
import { FIRST_LOOK, emptyState, foldAll, nextLook, nextPrompt } from '@gumo/core/evidence';
import { seeded } from '@gumo/core/numbers';
import { SKILLS, STRANDS, skillOf } from '@gumo/core/skills';
import { addDays, dayNumber, newHousehold } from '@gumo/core/vocabulary';
import { CHILDREN, DAYS, SONGS, STORIES, THINGS, TODAY } from './household.mjs';
import { recordOf, storyChance } from './records.mjs';

const SEED = 20260310;
const WEEKS = 11;
/** Weeks before today without preschool. */
const HOLIDAY_WEEK = 4;

const JOTTED = ['measure', 'sort', 'pattern', 'compare', 'numeral', 'count', 'beyond', 'glance'];
/** Ilse is the newest; her first look lies near the beginning. */
const FIRST_LOOK_DAYS = ['2025-12-29', '2025-12-30'];

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
  const household = {
    ...newHousehold(uuid(), 'Spindle Cottage'),
    closures: [{ from: '2026-04-06', to: '2026-04-10', name: 'Spring break' }],
  };
  const states = new Map(children.map(({ row }) => [row.id, emptyState(row.id, row.policy)]));
  const facts = new Map(children.map(({ row }) => [row.id, []]));
  const sittings = [];
  const observations = [];
  const voidings = [];
  const allPegs = [];
  const words = [];

  const outcomeOf = (p) =>
    random() < p ? 'own' : random() < 0.55 ? 'help' : random() < 0.9 ? 'not-yet' : 'not-now';

  /** Writes one try down. */
  function note(child, prompt, outcome, { sittingId, activityId, at, day, things: used }) {
    const observation = {
      id: uuid(),
      childId: child.row.id,
      sittingId,
      activityId,
      skillId: prompt.skillId,
      itemId: prompt.itemId,
      at,
      day,
      outcome,
      triedFirst: true,
      answered: prompt.way,
      reason: null,
      things: used,
      notedBy: 'demo',
      note: '',
      record: recordOf(child, prompt, outcome === 'own', random()),
    };
    observations.push(observation);
    facts.get(child.row.id).push({ kind: 'observation', observation });
  }

  /** Chance of on own: nearly sure for what is known, falling off beyond the child's place. */
  function chance(child, prompt, progress) {
    const skill = skillOf(prompt.skillId);
    const item = skill.items.find((one) => one.id === prompt.itemId);
    const strand = SKILLS.filter((one) => one.strand === skill.strand);
    const [from, to] = child.places[skill.strand] ?? [0, 0];
    const ahead = from + (to - from) * progress - strand.indexOf(skill);
    const logit = 2.4 * ahead - 0.7 * item.difficulty + 1.1;
    return 0.05 + 0.9 / (1 + Math.exp(-logit));
  }

  const clock = (day, minute) =>
    `${day}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

  function sit(
    day,
    minute,
    activityId,
    names,
    progress,
    skillId = null,
    story = null,
    items = null,
  ) {
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
      const top = skillId ? skillOf(skillId).to : topFor(activity, activity.capture, state(), day);
      sitting.takers.push({ childId: child.row.id, top });
      const asked = [];
      const tries = story ? 6 : 4 + Math.floor(random() * 4);
      for (let t = 0; t < tries; t++) {
        const all = promptsOf(activity, top, activity.capture, child.row.answerModes);
        const pool = skillId
          ? all.filter((one) => one.skillId === skillId)
          : readyPrompts(all, state(), day, activity.capture[0]);
        const seed = `${sitting.id}-${t}`;
        const prompt = items
          ? pool.find((one) => one.itemId === items[t])
          : nextPrompt(pool, state(), asked, day, seed, t === tries - 1);
        if (!prompt) break;
        const outcome = story
          ? story(t)
          : outcomeOf(storyChance(child, prompt, chance(child, prompt, progress)));
        const at = `${clock(day, minute + Math.floor(second / 60))}:${String(second % 60).padStart(2, '0')}.000Z`;
        note(child, prompt, outcome, { sittingId: sitting.id, activityId, at, day, things: used });
        second += 25;
        asked.push({ key: prompt.key, outcome });
      }
    }
    sitting.endedAt = `${clock(day, minute + Math.ceil(second / 60))}:00.000Z`;
    sittings.push(sitting);
    here.forEach(takeIn);
  }

  /** What was noted last becomes known. */
  function takeIn({ row }) {
    states.set(row.id, foldAll(row.id, row.policy, facts.get(row.id)));
  }

  /** In passing, without an activity: what is heard and seen along the day. */
  function jot(day, minute, child, progress) {
    const strand = pick(JOTTED.filter((one) => child.places[one]));
    const skills = SKILLS.filter((one) => one.strand === strand);
    const [from, to] = child.places[strand];
    const place = from + (to - from) * progress + (random() - 0.6) * 2;
    const usual = skills[Math.min(skills.length - 1, Math.max(0, Math.floor(place)))];
    // The two oldest write a digit now and then.
    const writes = ['Kofi', 'Sunniva'].includes(child.row.name) && random() < 0.35;
    const skill = writes ? skillOf(pick(['draw-lines', 'write-first', 'write-slant'])) : usual;
    const prompt = promptFor(skill.id, pick(skill.items).id, child.row.answerModes);
    const outcome = outcomeOf(storyChance(child, prompt, chance(child, prompt, progress)));
    note(child, prompt, outcome, {
      sittingId: null,
      activityId: null,
      at: `${clock(day, minute)}:00.000Z`,
      day,
      things: [],
    });
  }

  /** A first look in two parts at a child who is new. */
  function firstLook(child, days, place) {
    const pegs = Object.fromEntries(STRANDS.map((strand) => [strand, place[strand] ?? 0]));
    const began = {
      id: uuid(),
      childId: child.row.id,
      at: `${clock(days[0], 9 * 60)}:00.000Z`,
      day: days[0],
      pegs,
      byAge: false,
      notedBy: 'demo',
    };
    allPegs.push(began);
    facts.get(child.row.id).push({ kind: 'pegs', pegs: began });
    takeIn(child);
    for (const day of days) {
      const sittingId = uuid();
      const tried = [];
      for (let t = 0; t < 12; t++) {
        const next = nextLook(states.get(child.row.id).look, tried);
        if (!next) break;
        const prompt = promptFor(next.skillId, next.itemId, child.row.answerModes);
        const outcome = random() < chance(child, prompt, 0.2) ? 'own' : 'not-yet';
        tried.push({ skillId: next.skillId, outcome, guess: 0.05 });
        const at = `${clock(day, 9 * 60 + 2 + Math.floor(t / 2))}:${t % 2 ? '30' : '00'}.000Z`;
        note(child, prompt, outcome, { sittingId, activityId: FIRST_LOOK, at, day, things: [] });
        takeIn(child);
      }
      sittings.push({
        id: sittingId,
        activityId: FIRST_LOOK,
        planEntryId: null,
        day,
        startedAt: `${clock(day, 9 * 60 + 1)}:00.000Z`,
        endedAt: `${clock(day, 9 * 60 + 9)}:00.000Z`,
        mood: 'calm',
        takers: [{ childId: child.row.id, top: 5 }],
      });
    }
  }

  const ROUND = [
    ['count-together', 'stairs', 'song-count'],
    ['handfuls', 'card-hunt', 'turn-over', 'land-in-cup', 'tidy-count', 'numbers-about'],
    [
      'show-say',
      'dice-touch',
      'dot-touch',
      'layouts',
      'dot-plates',
      'build-frame',
      'tiles-more',
      'one-more-line',
      'two-plates',
      'two-plates',
      'hidden-part',
      'in-the-sack',
      'peg-rail',
    ],
  ];
  const first = addDays(TODAY, -7 * WEEKS);
  for (let day = first; day < TODAY; day = addDays(day, 1)) {
    const weekday = (dayNumber(day) + 3) % 7;
    const ago = (dayNumber(TODAY) - dayNumber(day)) / 7;
    if (weekday > 4 || (ago > HOLIDAY_WEEK && ago <= HOLIDAY_WEEK + 1)) continue;
    const progress = 1 - ago / WEEKS;
    if (day === FIRST_LOOK_DAYS[0])
      firstLook(children[0], FIRST_LOOK_DAYS, { sort: 1, pattern: 1 });
    for (let n = 0; n < 4; n++) jot(day, 10 * 60 + 12 + n * 7, pick(children), progress);
    for (const [on, name, activityId, skillId, outcomes, items] of STORIES) {
      if (on !== day) continue;
      const told = outcomes.split('');
      sit(
        day,
        11 * 60 + 20,
        activityId,
        [name],
        progress,
        skillId,
        (t) => (told[t % told.length] === 'o' ? 'own' : 'not-yet'),
        items ?? null,
      );
    }
    ROUND.forEach((activities, band) => {
      if (band === 2 && random() < 0.2) return;
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

  const sunniva = children[5];
  words.push({
    id: uuid(),
    childId: sunniva.row.id,
    skillId: 'share',
    at: `${clock(addDays(TODAY, -8), 600)}:00.000Z`,
    day: addDays(TODAY, -8),
    says: 'secure',
    note: 'Shares the plums every day, and says what is left over.',
    notedBy: 'demo',
  });
  facts.get(sunniva.row.id).push({ kind: 'word', word: words[0] });
  takeIn(sunniva);

  const plan = [];
  for (let offset = 0; offset < 14; offset++) {
    const day = addDays(TODAY, offset);
    for (const [momentId, activityId, minutes, words, names] of DAYS[offset % DAYS.length]) {
      const activity = findActivity(activityId);
      const takers = children
        .filter(({ row }) => names.includes(row.name))
        .map(({ row }) => ({
          childId: row.id,
          top: topFor(activity, activity.capture, states.get(row.id), TODAY),
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
    version: 2,
    day: TODAY,
    household,
    children: children.map((child) => child.row),
    things,
    activities: [],
    songs: SONGS.map((song) => ({ ...song, id: uuid(), version: 1 })),
    kits: [],
    sittings,
    observations,
    voidings,
    words,
    pegs: allPegs,
    plan,
    days: [],
  };
}
