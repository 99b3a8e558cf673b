/**
 * The first weeks with children nobody has seen yet: planned week by week, asked and answered question by
 * question with the code of the application.
 */
import { LIBRARY, findActivity } from '@gumo/core/activities';
import {
  FIRST_LOOK,
  applyFacts,
  emptyState,
  isKnown,
  isResting,
  levelsByAge,
  nextLook,
  readySkills,
  statusOf,
} from '@gumo/core/evidence';
import { HOUSEHOLD_THINGS, needKey } from '@gumo/core/materials';
import { seeded } from '@gumo/core/numbers';
import { playOut, playStateOf, triedAs, wantsFor, warmUp, warmUps } from '@gumo/core/rounds';
import { greedyPlan, improvePlan, tablePace, weekModel } from '@gumo/core/planning';
import { SKILLS, skillOf } from '@gumo/core/skills';
import { addDays, newWeek, speaksOf } from '@gumo/core/vocabulary';
import { aTry } from '@gumo/core/vocabulary/testing';
import {
  answer,
  chanceOf,
  grows,
  hasSkill,
  inventChild,
  practices,
  shareKnown,
} from './invented-children.mjs';
import { demoWorld } from './weeks.mjs';
import { table } from './lib.mjs';

const MONDAY = '2026-03-16';
const STEPS = 200;
/** Questions that each child is asked on a card. */
const QUESTIONS = { anytime: 3, play: 5, table: 6 };
/** Questions to warm up before a table time. */
const WARM_UPS = 1;
const LOOK_DAYS = 2;
const [YOUNGEST, OLDEST] = [30, 66];
const MOST_CHILDREN = 6;
const HOUSEHOLDS = 20;
const WEEKS = 4;
const ALMOST_SURE = 0.9;
const HOPELESS = 0.3;
/** Declared secure below this share of the items is wrong. */
const NOT_SECURE = 0.65;
const CHECKED_WITHIN = 14;
const TRAITS = ['mixes up', 'stuck', 'points'];
const TEN_THINGS = [
  ...['crayons', 'wooden cubes', 'large buttons', 'clothespins', 'printer paper'],
  ...['craft sticks', 'index cards', 'cups', 'small bowls', 'soft balls'],
];

let made = 0;
const newId = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
const sum = (list) => list.reduce((all, one) => all + one, 0);

/** What is in the house: what the demo has, everything, or ten ordinary things. */
function thingsOf(house) {
  const { materials, had } = demoWorld();
  if (house === 'usual') return { materials, had };
  const listed = HOUSEHOLD_THINGS.filter(
    ({ material }) => house === 'rich' || TEN_THINGS.includes(material.name),
  ).map(({ material }) => ({ ...material, id: newId(), version: 1 }));
  const all = LIBRARY.flatMap(({ needs }) => needs.map(needKey));
  return { materials: listed, had: new Set(house === 'rich' ? all : []) };
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
    const { skillId, itemId } = next;
    const own = random() < chanceOf(one.truth, { counts: [next], right: null });
    const outcome = own ? 'own' : 'not-yet';
    session.push({ skillId, outcome, guess: 0 });
    const sessionId = `${one.child.id}-${day}-look`;
    take(one, [
      fact(one.child, day, { sessionId, activityId: FIRST_LOOK, skillId, itemId, outcome }),
    ]);
  }
}

/**
 * A household of new children, one to six, from two and a half to five and a half years old; among them one
 * who takes six for nine, one who is stuck, and one who answers without words.
 * @param start how they are placed: by nothing, by age, or by a first look
 */
function household(start, house, seed) {
  const random = seeded(seed * 100);
  const demo = demoWorld();
  const many = 1 + (seed % MOST_CHILDREN);
  const base = demo.children[0].child;
  const children = Array.from({ length: many }, (_, i) => {
    const ageMonths = Math.round(YOUNGEST + (OLDEST - YOUNGEST) * random());
    const trait = many < TRAITS.length ? TRAITS[seed % TRAITS.length] : (TRAITS[i] ?? null);
    const child = {
      ...base,
      id: newId(),
      birthDate: addDays(MONDAY, -Math.round(ageMonths * 30.44)),
      answerModes: trait === 'points' ? ['points'] : ['speaks', 'points'],
      cautions: { mouths: false, allergies: [], note: '' },
    };
    const one = {
      child,
      ageMonths,
      truth: inventChild(ageMonths, trait, random),
      state: emptyState(child.id, child.policy),
      tables: [],
      tries: [],
      since: null,
    };
    const day = addDays(MONDAY, -3);
    if (start !== 'nothing') {
      const levels = levelsByAge(ageMonths);
      const at = `${day}T08:00:00.000Z`;
      const placement = {
        id: newId(),
        childId: child.id,
        at,
        day,
        levels,
        byAge: true,
        notedBy: '',
      };
      take(one, [{ kind: 'placement', placement }]);
    }
    if (start === 'first look') {
      for (let d = 0; d < LOOK_DAYS; d++) firstLook(one, addDays(day, d), random);
    }
    return one;
  });
  return { household: demo.household, ...thingsOf(house), children, lately: [], random };
}

/** Plays a card with one child. @returns whether what was planned was asked */
function play(world, one, activity, { top, wanted, planned }, day) {
  const { random } = world;
  const { child, truth } = one;
  const session = playStateOf({
    activity,
    top,
    state: one.state,
    name: child.name,
    modes: child.answerModes,
    wants: wantsFor(activity, top, planned, wanted),
    today: day,
    seed: `${day}/${activity.id}/${child.id}`,
  });
  const facts = [];
  const shares = [];
  const note = (counts, question, slipped) => {
    if (slipped) one.slippedOn ??= day;
    if (counts.length === 0) return;
    const kinds = counts.map(({ skillId }) => skillId);
    shares.push({ kinds, chance: chanceOf(truth, question), came: question.came.length > 0, day });
  };
  const sessionId = `${day}-${activity.id}`;
  let slipped = false;
  const reply = (question) => {
    const said = answer(truth, question, random);
    slipped = said.slipped === true;
    return said;
  };
  if (activity.band === 'table') {
    for (const item of warmUps(one.state, day, child.answerModes, WARM_UPS)) {
      const question = warmUp(item, child.answerModes);
      const { outcome, tapped } = reply(question);
      const tried = triedAs(question, tapped, outcome);
      if (!tried) continue;
      facts.push(
        fact(child, day, { sessionId, activityId: activity.id, ...tried, round: undefined }),
      );
      note(tried.counts, question, slipped);
    }
    one.tables.push({ day, mood: 'calm', finished: true });
  }
  for (const { question, tried } of playOut(session, QUESTIONS[activity.band], random, reply)) {
    note(tried.counts, question, tried.record.kind === 'numeral' && slipped);
    for (const { skillId } of tried.counts) practices(truth, skillId);
    facts.push(fact(child, day, { sessionId, activityId: activity.id, ...tried }));
  }
  one.since ??= facts.length > 0 ? day : null;
  take(one, facts);
  one.tries.push(...shares);
  return planned === undefined || shares.some(({ kinds }) => kinds.includes(planned));
}

/** Which assumptions came due, and when they were settled. */
function watchChecks(one, day, checks) {
  for (const [id, { state, revisit }] of Object.entries(one.state.assumed)) {
    const key = `${one.child.id} ${id}`;
    const known = checks.get(key);
    const settled = state !== 'checking' || statusOf(skillOf(id), one.state) !== 'assumed';
    const isReady = () => readySkills(one.state, day).some((w) => w.skillId === id);
    if (!known && !settled && !one.servable.has(id) && isReady()) continue;
    if (!known) checks.set(key, { due: revisit.due, settled: settled ? day : null });
    else if (settled && known.settled === null) known.settled = day;
  }
}

/** What became secure, with the share of its items that the child then had. */
function watchSecure(one, declared) {
  for (const skill of SKILLS) {
    if (one.secure.has(skill.id) || statusOf(skill, one.state) !== 'secure') continue;
    one.secure.add(skill.id);
    declared.push(shareKnown(one.truth, skill.id));
  }
}

/** Of what is assumed, how much there is and how much of it the child does not have. */
const assumedNow = (children) =>
  children.flatMap((one) =>
    SKILLS.filter((skill) => statusOf(skill, one.state) === 'assumed').map(
      ({ id }) => !hasSkill(one.truth, id),
    ),
  );

function planned(world, monday) {
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
  const { cards } = improvePlan(model, greedyPlan(model), { steps: STEPS, seed: 1 });
  return { model, cards: [...cards].sort((a, b) => a.day - b.day) };
}

/** Some weeks of one household, and what there is to say of them. */
export function live(start, house, seed, tell = () => {}) {
  const world = household(start, house, seed);
  const checks = new Map();
  const declared = [];
  const firstTops = world.children.map(() => []);
  const atOnce = world.children.map(() => null);
  const used = new Set();
  const assumed = [];
  let [cards, served] = [0, 0];
  for (const one of world.children) one.secure = new Set();
  for (let w = 0; w < WEEKS; w++) {
    const monday = addDays(MONDAY, 7 * w);
    const { model, cards: chosen } = planned(world, monday);
    world.children.forEach((one, c) => {
      const open = new Set(
        readySkills(one.state, monday, speaksOf(one.child))
          .map(({ skillId }) => skillId)
          .filter((id) => one.servable.has(id)),
      );
      // What stood open in every week, and can be asked with what there is.
      atOnce[c] = atOnce[c] ? atOnce[c].filter((id) => open.has(id)) : [...open];
    });
    for (const card of chosen) {
      const activity = findActivity(model.activities[card.activity].id);
      const { day } = model.days[card.day];
      used.add(activity.id);
      world.lately.push({ activityId: activity.id, day });
      for (const { child: c, option } of card.focus) {
        const one = world.children[c];
        const { top, hits } = model.activities[card.activity].options[c][option];
        const want = model.children[c].wants[hits[0].want];
        if (w === 0) firstTops[c].push(top);
        cards++;
        const ready = readySkills(one.state, day, speaksOf(one.child));
        const wanted = ready.map(({ skillId }) => skillId);
        const isServed = play(world, one, activity, { top, wanted, planned: want.skillId }, day);
        if (isServed) served++;
        else tell({ activity, top, planned: want.skillId, one, day });
        watchChecks(one, day, checks);
        watchSecure(one, declared);
        if (one.slippedOn && readySkills(one.state, day).some(({ slip }) => slip !== null)) {
          one.namedOn ??= day;
        }
      }
    }
    if (w === 0) assumed.push(assumedNow(world.children));
    for (const { truth } of world.children) grows(truth);
  }
  assumed.push(assumedNow(world.children));
  const end = addDays(MONDAY, 7 * WEEKS);
  const due = [...checks.values()].filter((one) => addDays(one.due, CHECKED_WITHIN) < end);
  const known = world.children.flatMap((one) =>
    [...one.truth.known]
      .filter((id) => (one.state.skills[id]?.ledger.scored ?? 0) > 0)
      .map((id) => ({
        secure: statusOf(skillOf(id), one.state) === 'secure',
        checked: one.state.assumed[id]?.state === 'known',
        assumed: isKnown(statusOf(skillOf(id), one.state)),
      })),
  );
  const stuck = world.children.filter(({ truth }) => truth.trait === 'stuck');
  return {
    due: due.length,
    checked: due.filter((one) => one.settled && one.settled <= addDays(one.due, CHECKED_WITHIN))
      .length,
    tries: world.children.flatMap((one) => one.tries).filter((one) => !one.came),
    cards,
    served,
    declared,
    assumed,
    known,
    used: used.size,
    waiting: atOnce.flatMap((ids, c) =>
      ids.map((id) => !world.children[c].tries.some(({ kinds }) => kinds.includes(id))),
    ),
    slipped: world.children.filter(({ slippedOn }) => slippedOn && addDays(slippedOn, 14) <= end),
    rested: stuck.map((one) =>
      SKILLS.some(({ id }) => isResting(one.state.skills[id]?.ledger, end)),
    ),
    tops: world.children.map((one, c) => ({ ageMonths: one.ageMonths, top: mean(firstTops[c]) })),
  };
}

const percent = (part, whole) => (whole === 0 ? '–' : ((100 * part) / whole).toFixed(1));
const share = (list) => percent(list.filter(Boolean).length, list.length);

/** What is measured: its name, what is wanted of it, and how it is counted over all households. */
const FIGURES = [
  [
    'almost sure, % of questions',
    '≤ 35',
    (all) => share(all.flatMap(({ tries }) => tries.map((t) => t.chance > ALMOST_SURE))),
  ],
  [
    'hopeless, % of questions',
    '≤ 8',
    (all) => share(all.flatMap(({ tries }) => tries.map((t) => t.chance < HOPELESS))),
  ],
  [
    'asked as planned, % of pairs',
    '≥ 95',
    (all) => percent(sum(all.map((one) => one.served)), sum(all.map((one) => one.cards))),
  ],
  [
    'checked within two weeks, % of due',
    '≥ 90',
    (all) => percent(sum(all.map((one) => one.checked)), sum(all.map((one) => one.due))),
  ],
  [
    'secure too early, % of decisions',
    '≤ 2',
    (all) => share(all.flatMap(({ declared }) => declared.map((m) => m <= NOT_SECURE))),
  ],
  [
    'assumed and wrong after one week, %',
    '≤ 8',
    (all) => share(all.flatMap(({ assumed }) => assumed[0])),
  ],
  [
    'assumed and wrong after four, %',
    '≤ 3',
    (all) => share(all.flatMap(({ assumed }) => assumed[1])),
  ],
  [
    'of what is known and was asked: secure or checked, %',
    '≥ 50',
    (all) => share(all.flatMap(({ known }) => known.map((k) => k.secure || k.checked))),
  ],
  [
    '… secure, checked or assumed, %',
    '',
    (all) =>
      share(all.flatMap(({ known }) => known.map((k) => k.secure || k.checked || k.assumed))),
  ],
  [
    'secure a child',
    '',
    (all) =>
      (
        sum(all.map(({ declared }) => declared.length)) / sum(all.map(({ tops }) => tops.length))
      ).toFixed(1),
  ],
  [
    'a mix-up named within two weeks, %',
    '',
    (all) =>
      share(
        all.flatMap(({ slipped }) =>
          slipped.map((c) => c.namedOn && c.namedOn <= addDays(c.slippedOn, 14)),
        ),
      ),
  ],
  [
    'a child who is stuck rests something, %',
    '',
    (all) => share(all.flatMap(({ rested }) => rested)),
  ],
  ['different activities in four weeks', '', (all) => mean(all.map(({ used }) => used)).toFixed(1)],
  [
    'open for four weeks, never asked, %',
    '',
    (all) => share(all.flatMap(({ waiting }) => waiting)),
  ],
  [
    'ranges of the first week under four / over four and a half',
    '',
    (all) => {
      const tops = all.flatMap((one) => one.tops).filter(({ top }) => top > 0);
      const of = (test) =>
        mean(tops.filter(({ ageMonths }) => test(ageMonths)).map(({ top }) => top)).toFixed(1);
      return `${of((age) => age < 48)} / ${of((age) => age >= 54)}`;
    },
  ],
];

/** Twenty households a column: what is asked, what is checked, and what is known of whom. */
export async function firstMonth() {
  const columns = [
    ['nothing', 'usual'],
    ['by age', 'usual'],
    ['first look', 'usual'],
    ['first look', 'rich'],
    ['first look', 'thin'],
  ];
  const lives = columns.map(([start, house]) =>
    Array.from({ length: HOUSEHOLDS }, (_, i) => live(start, house, i + 1)),
  );
  return [
    '## The first weeks',
    '',
    `${HOUSEHOLDS} households a column with one to ${MOST_CHILDREN} invented children each, whom nobody has seen yet (${YOUNGEST} to ${OLDEST} months; a true place in each strand, known skills the surer the further they lie below it; one takes six for nine, one is stuck in counting objects, one answers without words), planned, asked and answered question by question for ${WEEKS} weeks with the code of the application. The first line says how they began, the second what is in the house: the things of the demo, everything, or ten ordinary things. Numbers that chance brings are left out of the first two rows; a check counts where what there is can ask for it; known is what a child had from the beginning.`,
    '',
    table([
      ['', 'wanted', ...columns.map(([start, house]) => `${start}, ${house}`)],
      ...FIGURES.map(([name, wanted, of]) => [name, wanted, ...lives.map((all) => of(all))]),
    ]),
  ].join('\n');
}
