/**
 * Writes the demo household, always the same from the same seed: eleven weeks of invented records
 * of six invented children, one of whom leaves out fifteen and one who takes 6 and 9 for each other.
 */
import { LIBRARY, findActivity, topFor } from '@gumo/core/activities';
import { FIRST_LOOK, emptyState, replay, readySkills, nextLook } from '@gumo/core/evidence';
import { FORMAT_VERSION } from '@gumo/core/exchange';
import { seeded } from '@gumo/core/numbers';
import { playOut, questionForItem, playStateOf, triedAs, wantsFor } from '@gumo/core/rounds';
import {
  STEPS,
  chosenCards,
  entryOf,
  greedyPlan,
  improvePlan,
  invitationEntry,
  invitationsFor,
  tablePace,
  weekModel,
} from '@gumo/core/planning';
import { SKILLS, STRANDS, skillOf } from '@gumo/core/skills';
import {
  addDays,
  dayNumber,
  mondayOf,
  monthsOn,
  newHousehold,
  newWeek,
} from '@gumo/core/vocabulary';
import { CHILDREN, SET_TODAY, SONGS, STORIES, MATERIALS, TODAY } from './household.mjs';
import { answerOf, difficultyOf, storyChance, toldInFull } from './records.mjs';

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
  const materials = MATERIALS.map((material) => ({ ...material, id: uuid(), version: 1 }));
  const household = {
    ...newHousehold(uuid(), 'Spindle Cottage'),
    closures: [{ from: '2026-04-06', to: '2026-04-10', name: 'Spring break' }],
  };
  const states = new Map(children.map(({ row }) => [row.id, emptyState(row.id, row.policy)]));
  const facts = new Map(children.map(({ row }) => [row.id, []]));
  const sessions = [];
  const observations = [];
  const voidings = [];
  const placements = [];
  const overrides = [];

  const outcomeOf = (p) =>
    random() < p ? 'own' : random() < 0.55 ? 'help' : random() < 0.9 ? 'not-yet' : 'not-now';

  /** Writes one try down; one asked by itself belongs to no round. */
  function note(child, tried, { sessionId, activityId, at, day, materials: used }, alone = false) {
    const { round, counts, ...rest } = tried;
    const observation = {
      id: uuid(),
      childId: child.row.id,
      sessionId,
      activityId,
      ...rest,
      at,
      day,
      triedFirst: true,
      reason: null,
      materials: used,
      notedBy: 'demo',
      note: '',
      ...(alone ? { counts } : { round, counts }),
    };
    observations.push(observation);
    facts.get(child.row.id).push({ kind: 'observation', observation });
  }

  /** What stands on the pad, and how it went. */
  function answered(child, question, given) {
    const told = toldInFull(child, question);
    const outcome = told && given === 'help' ? 'not-yet' : given;
    const right = outcome === 'own' || outcome === 'help';
    const tapped = outcome === 'not-now' ? null : answerOf(child, question, right, random());
    const untold = outcome === 'not-yet' && random() < 0.3 && !told;
    return { outcome, tapped: untold ? null : tapped };
  }

  /** Chance of on own: nearly sure for what is known, falling off beyond the child's place. */
  function chance(child, { skillId, itemId }, progress) {
    const skill = skillOf(skillId);
    const strand = SKILLS.filter((one) => one.strand === skill.strand);
    const [from, to] = child.places[skill.strand] ?? [0, 0];
    const ahead = from + (to - from) * progress - strand.indexOf(skill);
    const logit = 2.4 * ahead - 0.7 * difficultyOf(skillId, itemId) + 1.1;
    return 0.05 + 0.9 / (1 + Math.exp(-logit));
  }

  /** How far a child counts by now: what is known of the words, and a part of the next stretch. */
  function reachOf(child, progress) {
    const [from, to] = child.places.say ?? [0, 0];
    const place = from + (to - from) * progress;
    const strand = SKILLS.filter((one) => one.strand === 'say');
    const stretches = strand.filter((one) => one.family === 'say');
    const known = stretches.filter((one) => strand.indexOf(one) < place);
    const far = known.at(-1)?.to ?? 3;
    const next = stretches[known.length]?.to ?? far;
    return Math.floor(far + (next - far) * 0.5 * (place % 1));
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
    const fitting = materials.filter((material) =>
      activity.needs.some((need) => need.use === material.use),
    );
    const used = fitting.length > 0 ? [pick(fitting).id] : [];
    const session = {
      id: uuid(),
      activityId,
      planEntryId: null,
      day,
      startedAt: `${clock(day, minute)}:00.000Z`,
      endedAt: null,
      mood: random() < 0.12 ? pick(['tired', 'tense']) : pick(['calm', 'calm', 'great']),
      participants: [],
    };
    let second = 0;
    for (const child of here) {
      child.reach = reachOf(child, progress);
      const state = states.get(child.row.id);
      const top = skillId ? rangeOf(skillOf(skillId)) : topFor(activity, state, day);
      session.participants.push({ childId: child.row.id, rangeMax: top });
      const ready = readySkills(state, day).map((one) => one.skillId);
      const wants = skillId ? [skillId] : wantsFor(activity, top, undefined, ready);
      const tries = story ? 6 : 4 + Math.floor(random() * 4);
      const play = playStateOf({
        activity,
        top,
        state,
        name: child.row.name,
        modes: child.row.answerModes,
        wants,
        today: day,
        seed: `${session.id}/${child.row.id}`,
      });
      const played = playOut(play, tries, random, (question, t) => {
        // An answer that the numbers decide is what they say.
        const fixed = question.right.kind === 'range' ? rangeOutcome(question.right) : null;
        const told = story && (items === null || items.length > t) ? story(t) : null;
        const usual = outcomeOf(
          storyChance(child, question, chance(child, question, progress), day),
        );
        return answered(child, question, fixed ?? told ?? usual);
      });
      for (const { tried } of played) {
        const at = `${clock(day, minute + Math.floor(second / 60))}:${String(second % 60).padStart(2, '0')}.000Z`;
        note(child, tried, { sessionId: session.id, activityId, at, day, materials: used });
        second += 25;
      }
    }
    session.endedAt = `${clock(day, minute + Math.ceil(second / 60))}:00.000Z`;
    sessions.push(session);
    here.forEach(takeIn);
  }

  const rangeOf = ({ to }) => [5, 10, 20, 50, 100].find((top) => to <= top) ?? 100;
  const rangeOutcome = ({ low, high, actual }) =>
    low <= actual && actual <= high ? 'own' : 'not-yet';

  /** What was noted last becomes known. */
  function takeIn({ row }) {
    states.set(row.id, replay(row.id, row.policy, facts.get(row.id)));
  }

  /** In passing, without an activity: what is heard and seen along the day. */
  function quickNote(day, minute, child, progress) {
    const strand = pick(JOTTED.filter((one) => child.places[one]));
    const skills = SKILLS.filter((one) => one.strand === strand);
    const [from, to] = child.places[strand];
    const place = from + (to - from) * progress + (random() - 0.6) * 2;
    const usual = skills[Math.min(skills.length - 1, Math.max(0, Math.floor(place)))];
    // The two oldest write a digit now and then.
    const writes = ['Kofi', 'Sunniva'].includes(child.row.name) && random() < 0.35;
    const skill = writes ? skillOf(pick(['draw-lines', 'write-first', 'write-slant'])) : usual;
    child.reach = reachOf(child, progress);
    const question = questionForItem(skill.id, pick(skill.items).id, child.row.answerModes);
    if (!question) return;
    const outcome = outcomeOf(storyChance(child, question, chance(child, question, progress), day));
    const { tapped } = answered(child, question, outcome);
    const when = { at: `${clock(day, minute)}:00.000Z`, day };
    const where = { sessionId: null, activityId: null, materials: [] };
    note(child, triedAs(question, tapped, outcome), { ...when, ...where }, true);
  }

  /** A first look in two parts at a child who is new. */
  function firstLook(child, days, place) {
    const levels = Object.fromEntries(STRANDS.map((strand) => [strand, place[strand] ?? 0]));
    const began = {
      id: uuid(),
      childId: child.row.id,
      at: `${clock(days[0], 9 * 60)}:00.000Z`,
      day: days[0],
      levels,
      byAge: false,
      notedBy: 'demo',
    };
    placements.push(began);
    facts.get(child.row.id).push({ kind: 'placement', placement: began });
    takeIn(child);
    child.reach = reachOf(child, 0.2);
    for (const day of days) {
      const sessionId = uuid();
      const tried = [];
      for (let t = 0; t < 12; t++) {
        const next = nextLook(
          states.get(child.row.id).look,
          tried,
          monthsOn(child.row.birthDate, day),
        );
        if (!next) break;
        const question = questionForItem(next.skillId, next.itemId, child.row.answerModes);
        if (!question) break;
        const outcome = random() < chance(child, question, 0.2) ? 'own' : 'not-yet';
        const { tapped } = answered(child, question, outcome);
        tried.push({ skillId: next.skillId, outcome, guess: 0.05 });
        const at = `${clock(day, 9 * 60 + 2 + Math.floor(t / 2))}:${t % 2 ? '30' : '00'}.000Z`;
        const where = { sessionId, activityId: FIRST_LOOK, at, day, materials: [] };
        note(child, triedAs(question, tapped, outcome), where, true);
        takeIn(child);
      }
      sessions.push({
        id: sessionId,
        activityId: FIRST_LOOK,
        planEntryId: null,
        day,
        startedAt: `${clock(day, 9 * 60 + 1)}:00.000Z`,
        endedAt: `${clock(day, 9 * 60 + 9)}:00.000Z`,
        mood: 'calm',
        participants: [{ childId: child.row.id, rangeMax: 5 }],
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
    for (let n = 0; n < 4; n++) quickNote(day, 10 * 60 + 12 + n * 7, pick(children), progress);
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
  overrides.push({
    id: uuid(),
    childId: sunniva.row.id,
    skillId: 'share',
    at: `${clock(addDays(TODAY, -8), 600)}:00.000Z`,
    day: addDays(TODAY, -8),
    says: 'secure',
    note: 'Shares the plums every day, and says what is left over.',
    notedBy: 'demo',
  });
  facts.get(sunniva.row.id).push({ kind: 'override', override: overrides[0] });
  takeIn(sunniva);

  /** This week from today on and the next, planned as a household plans them. */
  function planned() {
    const plan = [];
    const tables = (child) =>
      sessions
        .filter(
          ({ activityId, participants }) =>
            findActivity(activityId)?.band === 'table' &&
            participants.some(({ childId }) => childId === child.row.id),
        )
        .map(({ day, mood }) => ({ day, mood, finished: true }));
    const byHand = SET_TODAY.map(([momentId, activityId, minutes, words, names]) => ({
      id: uuid(),
      day: TODAY,
      momentId,
      activityId,
      participants: children
        .filter(({ row }) => names.includes(row.name))
        .map(({ row }) => ({
          childId: row.id,
          rangeMax: topFor(findActivity(activityId), states.get(row.id), TODAY),
        })),
      minutes,
      with: words,
      state: 'planned',
      version: 1,
    }));
    plan.push(...byHand);
    for (const from of [mondayOf(TODAY), addDays(mondayOf(TODAY), 7)]) {
      const week = weekModel({
        sheet: newWeek(from),
        today: TODAY,
        now: null,
        household,
        children: children.map((child) => ({
          child: child.row,
          state: states.get(child.row.id),
          pace: tablePace(tables(child), (day) => day),
          since: facts.get(child.row.id)[0]?.observation?.day ?? null,
        })),
        activities: LIBRARY,
        materials,
        had: new Set(),
        away: new Map(),
        entries: plan.map((entry) => ({ ...entry, pinned: true })),
        lately: [...sessions, ...plan].map(({ activityId, day }) => ({ activityId, day })),
      });
      const { cards } = improvePlan(week.model, greedyPlan(week.model), { steps: STEPS });
      const entries = [
        ...chosenCards(week.model, cards).map((card) => entryOf(week, card, uuid())),
        ...invitationsFor(week, cards).map((one) => invitationEntry(week, one, uuid())),
      ];
      plan.push(...entries);
    }
    return plan;
  }

  return {
    format: 'gumo-household',
    version: FORMAT_VERSION,
    day: TODAY,
    household,
    children: children.map((child) => child.row),
    materials,
    activities: [],
    songs: SONGS.map((song) => ({ ...song, id: uuid(), version: 1 })),
    kits: [],
    sessions,
    observations,
    voidings,
    overrides,
    placements,
    plan: planned(),
    days: [],
  };
}
