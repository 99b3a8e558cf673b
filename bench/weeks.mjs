/** Weeks planned one after the other and lived through by invented children: what becomes of them. */
import { readFileSync } from 'node:fs';
import { LIBRARY } from '../core/dist/activities/index.js';
import { replay, applyFacts, statusOf } from '../core/dist/evidence/index.js';
import { seeded } from '../core/dist/numbers/index.js';
import {
  BAND,
  minutesOfCards,
  boundOf,
  draftWith,
  greedyPlan,
  improvePlan,
  invitationsFor,
  tablePace,
  weekModel,
} from '../core/dist/planning/index.js';
import { brokenRules } from '../core/dist/planning/testing.js';
import { SKILLS, skillOf } from '../core/dist/skills/index.js';
import { STRANDS, addDays, newWeek } from '../core/dist/vocabulary/index.js';
import { aTry } from '../core/dist/vocabulary/testing.js';
import { libraryWeek } from '../server/dist/testing/library-weeks.js';

const MONDAY = '2026-03-16';
const WEEKS = 12;
const REMEMBERED_DAYS = 70;
/** Weeks in a row without it, from which a want counts as unserved. */
const UNSERVED = 8;
/** The chance of on their own: of what is known, of what is new, and what each try adds. */
const KNOWN = 0.88;
const [NEW, EACH_TRY, MOST] = [0.3, 0.04, 0.9];

/** The demo household as it stands, with what its children did at the table. */
export function demoWorld() {
  const file = JSON.parse(readFileSync(new URL('../demo/spindle-cottage.json', import.meta.url)));
  const bandOf = (id) => LIBRARY.find((one) => one.id === id)?.band;
  return {
    household: { ...file.household, closures: [] },
    materials: file.materials,
    had: new Set(),
    children: file.children.map((child) => {
      const own = file.observations.filter((one) => one.childId === child.id);
      const facts = [
        ...own.map((observation) => ({ kind: 'observation', observation })),
        ...file.overrides
          .filter((one) => one.childId === child.id)
          .map((override) => ({ kind: 'override', override })),
      ];
      const tables = file.sessions.filter(
        ({ activityId, participants }) =>
          bandOf(activityId) === 'table' &&
          participants.some(({ childId }) => childId === child.id),
      );
      return {
        child,
        state: replay(child.id, child.policy, facts),
        since: own.map(({ day }) => day).sort()[0] ?? null,
        tables: tables.map(({ day, mood }) => ({ day, mood, finished: true })),
      };
    }),
    lately: file.sessions.map(({ activityId, day }) => ({ activityId, day })),
  };
}

/** A generated household. */
export function libraryWorld(wishes) {
  const { facts } = libraryWeek({ ...wishes, attendance: 'all' });
  return {
    ...facts,
    lately: [...facts.lately],
    children: facts.children.map((one) => ({ ...one, tables: null })),
  };
}

export function factsFor(world, monday) {
  return {
    sheet: newWeek(monday),
    today: monday,
    now: null,
    household: world.household,
    children: world.children.map(({ child, state, tables, since, pace }) => ({
      child,
      state,
      since,
      pace: tables ? tablePace(tables, (day) => day) : pace,
    })),
    activities: LIBRARY,
    materials: world.materials,
    had: world.had,
    away: new Map(),
    entries: [],
    lately: world.lately.filter(({ day }) => day >= addDays(monday, -REMEMBERED_DAYS)),
  };
}

let made = 0;

/** A child's tries on a card: the more often something was asked, the more it is on their own. */
function play(random, one, { activity, option, wants, day }) {
  const facts = [];
  option.hits.forEach(({ want, part }, i) => {
    const { skillId } = wants[want];
    const skill = skillOf(skillId);
    const { tries } = BAND[activity.band];
    const times = i === 0 ? Math.round(tries) : Math.max(1, Math.round(part * 2));
    const seen = one.state.skills[skillId]?.ledger.scored ?? 0;
    const isKnown = ['secure', 'assumed'].includes(statusOf(skill, one.state));
    for (let n = 0; n < times; n++) {
      const chance = isKnown ? KNOWN : Math.min(MOST, NEW + EACH_TRY * (seen + n));
      made++;
      facts.push({
        kind: 'observation',
        observation: aTry({
          id: `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`,
          childId: one.child.id,
          sessionId: `${day}-${activity.id}`,
          activityId: activity.id,
          skillId,
          itemId: skill.items[Math.floor(random() * skill.items.length)].id,
          at: `${day}T10:00:00.${String(made % 1000).padStart(3, '0')}Z`,
          day,
          outcome: random() < chance ? 'own' : random() < 0.6 ? 'help' : 'not-yet',
        }),
      });
    }
  });
  const next = applyFacts(one.state, facts);
  if (!('state' in next)) throw new Error('the tries came out of order');
  one.state = next.state;
  if (activity.band === 'table') one.tables?.push({ day, mood: 'calm', finished: true });
}

const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
const secureOf = ({ state }) => SKILLS.filter((one) => statusOf(one, state) === 'secure').length;
const OPEN = ['nearly', 'started', 'open', 'review'];
const SUMS = ['bond', 'add'].map((strand) => STRANDS.indexOf(strand));

/**
 * Plans twelve weeks, each after what became of those before it.
 * @returns the figures by which a week is judged, as texts
 */
export function simulate(world, { weeks = WEEKS, steps, seed = 5, solver = null }) {
  const random = seeded(seed);
  const before = world.children.reduce((sum, one) => sum + secureOf(one), 0);
  const days = [];
  const minutes = [];
  const focus = { anytime: [], play: [], table: [] };
  const again = [];
  const distinct = [];
  const strands = [];
  const gaps = [];
  const used = new Set();
  const waiting = new Map();
  const unserved = new Set();
  const wanted = new Set();
  let [last, broken, noTable, noSums, longest] = [new Set(), 0, 0, 0, 0];
  for (let w = 0; w < weeks; w++) {
    const monday = addDays(MONDAY, 7 * w);
    const week = weekModel(factsFor(world, monday));
    const { model } = week;
    const begun = performance.now();
    const { cards, worth } = improvePlan(model, greedyPlan(model), { steps, seed: w + 1 });
    longest = Math.max(longest, performance.now() - begun);
    if (solver) gaps.push(boundOf(model, solver, 60) / worth - 1);
    broken += brokenRules(model, cards).length;
    const draft = draftWith(model, cards);
    const ids = new Set(cards.map(({ activity }) => model.activities[activity].id));
    const laidOut = invitationsFor(week, cards);
    again.push([...ids].filter((id) => last.has(id)).length);
    distinct.push(ids.size);
    last = ids;
    for (const { activity, day } of [...cards, ...laidOut]) {
      const { id } = model.activities[activity];
      used.add(id);
      world.lately.push({ activityId: id, day: model.days[day].day });
    }
    model.days.forEach(({ open }, d) => {
      if (!open) return;
      const on = cards.filter((card) => card.day === d);
      days.push(on.length);
      minutes.push(minutesOfCards(model, on));
    });
    for (const card of cards) focus[model.activities[card.activity].band].push(card.focus.length);
    model.children.forEach((child, c) => {
      const own = draft.children[c];
      strands.push([...own.strandHits].filter((hits) => hits > 0).length);
      if (child.tableFits && own.tables() === 0) noTable++;
      child.wants.forEach(({ skillId }, i) => {
        const isServable = model.activities.some(
          ({ barred, options }) =>
            barred[c] === null && options[c].some(({ hits }) => hits.some((h) => h.want === i)),
        );
        if (!isServable) return;
        const key = `${child.id} ${skillId}`;
        wanted.add(key);
        waiting.set(key, own.hits[i] > 0 ? 0 : (waiting.get(key) ?? 0) + 1);
        if (waiting.get(key) >= UNSERVED) unserved.add(key);
      });
      const isReady = child.wants.some(
        ({ strand, why }) => SUMS.includes(strand) && OPEN.includes(why),
      );
      if (isReady && SUMS.every((strand) => own.strandHits[strand] === 0)) noSums++;
    });
    for (const card of [...cards].sort((x, y) => x.day - y.day)) {
      const activity = model.activities[card.activity];
      for (const { child, option } of card.focus) {
        const { wants } = model.children[child];
        const how = { activity, option: activity.options[child][option], wants };
        play(random, world.children[child], { ...how, day: model.days[card.day].day });
      }
    }
  }
  const alone = focus.table.filter((size) => size === 1).length;
  const after = world.children.reduce((sum, one) => sum + secureOf(one), 0);
  const one = (list) => mean(list).toFixed(1);
  return {
    'cards a day': one(days),
    'adult minutes a day, mean (most)': `${mean(minutes).toFixed(0)} (${Math.max(...minutes)})`,
    'focus group anytime / play / table': `${one(focus.anytime)} / ${one(focus['play'])} / ${one(focus.table)}`,
    'table cards for one child': `${alone} of ${focus.table.length}`,
    'same activities as last week': `${one(again.slice(1))} of ${one(distinct)}`,
    'different activities': String(used.size),
    [`wants unserved ${UNSERVED} weeks or more`]: `${unserved.size} of ${wanted.size}`,
    'child-weeks without adding or bonds, though ready': String(noSums),
    'newly secure skills': String(after - before),
    'strands in focus a child and week': one(strands),
    'child-weeks without a table time that fits': String(noTable),
    'rules broken': String(broken),
    'gap to the bound, mean (most)': solver
      ? `${(100 * mean(gaps)).toFixed(1)} % (${(100 * Math.max(...gaps)).toFixed(1)} %)`
      : '–',
    'longest plan': `${(longest / 1000).toFixed(1)} s`,
  };
}
