/**
 * The first weeks with children nobody has seen yet: planned week by week, played question by question
 * as the application asks, with invented children whose true place in each strand is known.
 */
import { LIBRARY, findActivity } from '@gumo/core/activities';
import {
  FIRST_LOOK,
  applyFacts,
  emptyState,
  levelsByAge,
  nextLook,
  readySkills,
  statusOf,
} from '@gumo/core/evidence';
import { seeded } from '@gumo/core/numbers';
import { playOut, playStateOf, triedAs, wantsFor, warmUp, warmUps } from '@gumo/core/rounds';
import { greedyPlan, improvePlan, tablePace, weekModel } from '@gumo/core/planning';
import {
  GUESS_CHANCE,
  SKILLS,
  STRANDS,
  findItem,
  skillOf,
  skillsOfStrand,
} from '@gumo/core/skills';
import { addDays, newWeek } from '@gumo/core/vocabulary';
import { aTry } from '@gumo/core/vocabulary/testing';
import { chance, normal } from './learners.mjs';
import { demoWorld } from './weeks.mjs';
import { table } from './lib.mjs';

const MONDAY = '2026-03-16';
const STEPS = 200;
/** Questions that each child is asked on a card. */
const QUESTIONS = { anytime: 3, play: 5, table: 6 };
/** Questions to warm up before a table time. */
const WARM_UPS = 1;
const OFFSET_SD = 1;
/** Ability at the place, for each skill below and above it, and what a try and a week add. */
const [AT_PLACE, BELOW, ABOVE, EACH_TRY, EACH_WEEK] = [1.6, 0.5, 1.1, 0.06, 0.15];
const MOST = 5;
const LOOK_DAYS = 2;
const AGES = [30, 42, 46, 50, 57, 66];
const SEEDS = [100, 200, 300, 400];
const WEEKS = 6;
/** So few say nothing. */
const FEW_DUE = 20;
/** The ability from which a child has a skill. */
const HAS_FROM = 0.8;
const ALMOST_SURE = 0.9;
const HOPELESS = 0.3;

const clamp = (x, low, high) => Math.min(high, Math.max(low, x));
let made = 0;
const newId = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;

/** What a child can do: an ability for each skill, by its distance from the true place in the strand. */
function truthOf(ageMonths, random) {
  const levels = levelsByAge(ageMonths);
  const ability = new Map();
  const known = new Set();
  for (const strand of STRANDS) {
    const skills = skillsOfStrand(strand);
    const place = clamp(Math.round(levels[strand] + OFFSET_SD * normal(random)), 0, skills.length);
    skills.forEach((skill, i) => {
      const below = place - 1 - i;
      if (below >= 0) known.add(skill.id);
      ability.set(
        skill.id,
        below >= 0 ? Math.min(MOST, AT_PLACE + BELOW * below) : AT_PLACE + ABOVE * below,
      );
    });
  }
  return { ability, known };
}

const chanceOn = ({ ability }, skillId, itemId) =>
  chance(
    ability.get(skillId),
    findItem(skillId, itemId ?? '')?.difficulty ?? 0,
    GUESS_CHANCE[skillOf(skillId).answers],
  );

/**
 * The chance of a question: that of its hardest part; of words in order, which are said as far as they
 * go, the share that is on their own.
 */
function chanceOf(truth, { counts, right }) {
  const all = counts.map(({ skillId, itemId }) => chanceOn(truth, skillId, itemId));
  return right?.kind === 'reach' ? mean(all) : Math.min(...all);
}

/** What the child does with a question; a count of the words goes as far as its stretches do. */
function answer({ truth }, question, random) {
  const { counts, right, heard } = question;
  const missed = random() < 0.5 ? 'help' : 'not-yet';
  if (right?.kind === 'reach' && right.from === 1 && right.direction === 'up' && !right.step) {
    const failed = counts.findIndex(
      ({ skillId, itemId }) => random() >= chanceOn(truth, skillId, itemId),
    );
    if (failed < 0) return { outcome: 'own', tapped: null };
    const last = counts[failed - 1];
    const stop = last ? (findItem(last.skillId, last.itemId)?.number ?? 1) : 1;
    return { outcome: 'not-yet', tapped: { ...right, stop } };
  }
  const own = counts.length === 0 || random() < chanceOf(truth, question);
  return { outcome: own ? 'own' : missed, tapped: heard || !own ? null : right };
}

/** Practice helps where the child nearly can. */
function learns({ ability }, skillId, by) {
  const now = ability.get(skillId);
  if (now < MOST) ability.set(skillId, Math.min(Math.max(now, 2.5), now + by));
}

function take(one, facts) {
  const next = applyFacts(one.state, facts);
  if (!('state' in next)) throw new Error('facts came out of order');
  one.state = next.state;
}

const fact = (child, day, more) => ({
  kind: 'observation',
  observation: aTry({
    id: newId(),
    childId: child.id,
    at: `${day}T10:00:00.${String(made % 1000).padStart(3, '0')}Z`,
    day,
    ...more,
  }),
});

function firstLook(one, day, random) {
  const session = [];
  for (;;) {
    const next = nextLook(one.state.look, session, one.ageMonths);
    if (!next) return;
    const outcome = random() < chanceOn(one.truth, next.skillId, next.itemId) ? 'own' : 'not-yet';
    session.push({ skillId: next.skillId, outcome, guess: 0 });
    take(one, [
      fact(one.child, day, {
        sessionId: `${one.child.id}-${day}-look`,
        activityId: FIRST_LOOK,
        skillId: next.skillId,
        itemId: next.itemId,
        outcome,
      }),
    ]);
  }
}

/** A household of new children. @param start how they are placed: nothing, by age, or a first look */
function household(ages, start, seed) {
  const random = seeded(seed);
  const demo = demoWorld();
  const children = demo.children.slice(0, ages.length).map(({ child }, i) => {
    const ageMonths = ages[i];
    const birth = addDays(MONDAY, -Math.round(ageMonths * 30.44));
    const one = {
      child: { ...child, birthDate: birth, answerModes: ['speaks', 'points'] },
      ageMonths,
      truth: truthOf(ageMonths, random),
      state: emptyState(child.id, child.policy),
      tables: [],
      tries: [],
      since: null,
    };
    const day = addDays(MONDAY, -3);
    if (start !== 'nothing') {
      take(one, [
        {
          kind: 'placement',
          placement: {
            id: newId(),
            childId: child.id,
            at: `${day}T08:00:00.000Z`,
            day,
            levels: levelsByAge(ageMonths),
            byAge: true,
            notedBy: '',
          },
        },
      ]);
    }
    if (start === 'first look') {
      for (let d = 0; d < LOOK_DAYS; d++) firstLook(one, addDays(day, d), random);
    }
    return one;
  });
  return { ...demo, children, lately: [], random };
}

function play(world, one, activity, { top, wanted, planned }, day) {
  const { random } = world;
  const wants = wantsFor(activity, top, planned, wanted);
  const session = playStateOf({
    activity,
    top,
    state: one.state,
    name: one.child.name,
    modes: one.child.answerModes,
    wants,
    today: day,
    seed: `${day}/${activity.id}/${one.child.id}`,
  });
  const facts = [];
  const shares = [];
  const many = QUESTIONS[activity.band];
  const played = playOut(session, many, random, (question) => answer(one, question, random));
  for (const { question, tried } of played) {
    if (tried.counts.length > 0) {
      const kinds = tried.counts.map(({ skillId }) => skillId);
      shares.push({
        kinds,
        chance: chanceOf(one.truth, question),
        came: question.came.length > 0,
      });
    }
    for (const { skillId } of tried.counts) learns(one.truth, skillId, EACH_TRY);
    facts.push(
      fact(one.child, day, {
        sessionId: `${day}-${activity.id}`,
        activityId: activity.id,
        ...tried,
      }),
    );
  }
  if (activity.band === 'table') {
    for (const item of warmUps(one.state, day, one.child.answerModes, WARM_UPS)) {
      const question = warmUp(item, one.child.answerModes);
      const { outcome, tapped } = answer(one, question, random);
      const tried = triedAs(question, tapped, outcome);
      if (!tried) continue;
      facts.unshift(
        fact(one.child, day, {
          sessionId: `${day}-${activity.id}`,
          activityId: activity.id,
          ...tried,
          round: undefined,
        }),
      );
      shares.push({
        kinds: [item.skillId],
        chance: chanceOf(one.truth, question),
        came: false,
      });
    }
  }
  one.since ??= facts.length > 0 ? day : null;
  take(one, facts);
  one.tries.push(...shares.map((share) => ({ ...share, day })));
  const servedPlan = planned === undefined || shares.some(({ kinds }) => kinds.includes(planned));
  if (activity.band === 'table') one.tables.push({ day, mood: 'calm', finished: true });
  return servedPlan;
}

/** Which assumptions came due, and when they were settled. */
function watchChecks(one, day, checks) {
  for (const [id, { state, revisit, since }] of Object.entries(one.state.assumed)) {
    const key = `${one.child.id} ${id}`;
    const known = checks.get(key);
    const settled = state !== 'checking' || statusOf(skillOf(id), one.state) !== 'assumed';
    if (
      !known &&
      !settled &&
      !one.servable.has(id) &&
      readySkills(one.state, day).some((w) => w.skillId === id)
    )
      continue;
    if (!known) checks.set(key, { due: revisit.due, settled: settled ? day : null, since, id });
    else if (settled && known.settled === null) known.settled = day;
  }
}

const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
const count = (one, statuses) =>
  SKILLS.filter((skill) => statuses.includes(statusOf(skill, one.state))).length;

function live(ages, start, weeks, seed) {
  const world = household(ages, start, seed);
  const checks = new Map();
  const firstTops = world.children.map(() => []);
  let [cards, served] = [0, 0];
  for (let w = 0; w < weeks; w++) {
    const monday = addDays(MONDAY, 7 * w);
    const week = weekModel({
      sheet: newWeek(monday),
      today: monday,
      now: null,
      household: { ...world.household, closures: [] },
      children: world.children.map(({ child, state, tables, since }) => ({
        child,
        state,
        since,
        pace: tablePace(tables, (day) => day),
      })),
      activities: LIBRARY,
      materials: world.materials,
      had: world.had,
      away: new Map(),
      entries: [],
      lately: world.lately,
    });
    const { model } = week;
    world.children.forEach((one, c) => {
      one.servable = new Set(
        model.activities.flatMap(({ barred, options }) =>
          barred[c] === null
            ? options[c].flatMap(({ hits }) =>
                hits.map(({ want }) => model.children[c].wants[want].skillId),
              )
            : [],
        ),
      );
    });
    const { cards: chosen } = improvePlan(model, greedyPlan(model), { steps: STEPS, seed: w + 1 });
    for (const card of [...chosen].sort((a, b) => a.day - b.day)) {
      const activity = findActivity(model.activities[card.activity].id);
      const { day } = model.days[card.day];
      world.lately.push({ activityId: activity.id, day });
      for (const { child: c, option } of card.focus) {
        const one = world.children[c];
        const { top, hits } = model.activities[card.activity].options[c][option];
        const planned = model.children[c].wants[hits[0].want].skillId;
        if (w === 0) firstTops[c].push(top);
        cards++;
        const wanted = readySkills(one.state, day).map(({ skillId }) => skillId);
        if (play(world, one, activity, { top, wanted, planned }, day)) served++;
        watchChecks(one, day, checks);
      }
    }
    for (const { truth } of world.children) {
      for (const { id } of SKILLS) learns(truth, id, truth.ability.get(id) > -1 ? EACH_WEEK : 0.05);
    }
  }
  const end = addDays(MONDAY, 7 * weeks);
  const due = [...checks.values()].filter((one) => addDays(one.due, 14) < end);
  const inTime = due.filter((one) => one.settled && one.settled <= addDays(one.due, 14));
  const tries = world.children.flatMap((one) => one.tries);
  const asked = tries.filter((one) => !one.came);
  const share = (test) => (100 * asked.filter(test).length) / asked.length;
  return {
    due: due.length,
    checked: inTime.length,
    sure: share((one) => one.chance > ALMOST_SURE),
    hopeless: share((one) => one.chance < HOPELESS),
    served: (100 * served) / cards,
    tops: firstTops.map((list) => mean(list)),
    children: world.children.map((one) => ({
      knows: one.truth.known.size,
      tries: one.tries.length,
      secure: count(one, ['secure']),
      assumed: count(one, ['assumed']),
      wrong: SKILLS.filter(
        (skill) =>
          ['secure', 'assumed'].includes(statusOf(skill, one.state)) &&
          one.truth.ability.get(skill.id) < HAS_FROM,
      ).length,
    })),
  };
}

/** Four households a row: what is asked, what is checked, and what is known of whom. */
export async function firstMonth() {
  const rows = ['nothing', 'by age', 'first look'].map((start) => {
    const all = SEEDS.map((seed) => live(AGES, start, WEEKS, seed));
    const sum = (get) => all.reduce((total, one) => total + get(one), 0);
    const one = (get) => (sum(get) / all.length).toFixed(1);
    const child = (c) =>
      ['secure', 'assumed', 'wrong']
        .map((name) => one((life) => life.children[c][name]))
        .join(' / ');
    const due = sum((life) => life.due);
    return [
      start,
      one(({ sure }) => sure),
      one(({ hopeless }) => hopeless),
      one(({ served }) => served),
      due < FEW_DUE ? '–' : ((100 * sum(({ checked }) => checked)) / due).toFixed(1),
      `${one(({ tops }) => tops[0])} / ${one(({ tops }) => tops[4])}`,
      child(1),
      child(4),
    ];
  });
  return [
    '## The first weeks',
    '',
    `${SEEDS.length} households a row with six invented children each, whom nobody has seen yet (${AGES.join(', ')} months; a true place in each strand, known skills the surer the further they lie below it), planned and played question by question for ${WEEKS} weeks with the things of the demo. In percent of the questions that chance does not decide: those of which a child is almost sure (chance over ${ALMOST_SURE}; at most 35) and those nearly without hope (under ${HOPELESS}; at most 8); of the cards, those on which what was planned was asked; of what was assumed and due and could be asked with what there is, what was checked within two weeks (at least 90). Then the mean range of the first week for the youngest and for a child of ${AGES[4]} months, and for two of the children how much is secure / assumed / of both wrongly.`,
    '',
    table([
      [
        'start',
        'almost sure',
        'hopeless',
        'asked as planned',
        'checked in time',
        'ranges of the first week',
        `${AGES[1]} months`,
        `${AGES[4]} months`,
      ],
      ...rows,
    ]),
  ].join('\n');
}
