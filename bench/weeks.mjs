/** Weeks planned one after the other and lived through by invented children: what becomes of them. */
import { readFileSync } from 'node:fs';
import { LIBRARY } from '../core/dist/activities/index.js';
import { foldAll, foldMore, standingOf } from '../core/dist/evidence/index.js';
import { seeded } from '../core/dist/numbers/index.js';
import { SKILLS, skillOf } from '../core/dist/skills/index.js';
import { STRANDS, addDays, newWeek } from '../core/dist/vocabulary/index.js';
import { aTry } from '../core/dist/vocabulary/testing.js';
import { highsSolver } from '../server/dist/planning/highs.js';
import {
  BAND,
  boundOf,
  weekProgram,
  adultMinutes,
  draftWith,
  greedyPlan,
  invitationsFor,
  improvePlan,
  tablePace,
  weekModel,
} from '../core/dist/planning/index.js';

const MONDAY = '2026-03-16';
const WEEKS = 12;
const REMEMBERED_DAYS = 70;

export function demoFacts() {
  const file = JSON.parse(readFileSync(new URL('../demo/spindle-cottage.json', import.meta.url)));
  const children = file.children.map((child) => {
    const facts = [
      ...file.observations
        .filter((one) => one.childId === child.id)
        .map((observation) => ({ kind: 'observation', observation })),
      ...file.words
        .filter((one) => one.childId === child.id)
        .map((word) => ({ kind: 'word', word })),
    ];
    const days = file.observations.filter((o) => o.childId === child.id).map((o) => o.day);
    return {
      child,
      state: foldAll(child.id, child.policy, facts),
      sittings: file.sittings.filter(({ takers }) => takers.some((t) => t.childId === child.id)),
      since: days.sort()[0] ?? null,
    };
  });
  return {
    household: { ...file.household, closures: [] },
    things: file.things,
    children,
    activities: LIBRARY,
    lately: file.sittings.map(({ activityId, day }) => ({ activityId, day })),
  };
}

const bandOf = (id) => LIBRARY.find((one) => one.id === id)?.band;

export function factsFor(world, monday) {
  return {
    sheet: newWeek(monday),
    today: monday,
    now: null,
    household: world.household,
    children: world.children.map(({ child, state, sittings, since }) => ({
      child,
      state,
      since,
      pace: tablePace(
        sittings
          .filter((one) => bandOf(one.activityId) === 'table')
          .map(({ day, takers }) => ({
            day,
            mood: takers.find((one) => one.childId === child.id)?.mood ?? 'calm',
            finished: true,
          })),
        (day) => day,
      ),
    })),
    activities: world.activities,
    things: world.things,
    had: new Set(),
    away: new Map(),
    entries: [],
    lately: world.lately.filter(({ day }) => day >= addDays(monday, -REMEMBERED_DAYS)),
  };
}

let made = 0;
/** A child's tries on a card: the more often it was seen, the more it is on own. */
function tries(random, one, activity, option, model, c, day) {
  const { wants } = model.children[c];
  const facts = [];
  let state = one.state;
  option.hits.forEach(({ want, part }, i) => {
    const { skillId } = wants[want];
    const skill = skillOf(skillId);
    const times =
      i === 0 ? Math.round(BAND[activity.band].tries) : Math.max(1, Math.round(part * 2));
    for (let n = 0; n < times; n++) {
      const seen = state.skills[skillId]?.ledger.scored ?? 0;
      const known = ['secure', 'taken'].includes(standingOf(skill, state));
      const chance = known ? 0.88 : Math.min(0.9, 0.3 + 0.04 * seen);
      const item = skill.items[Math.floor(random() * skill.items.length)];
      const outcome = random() < chance ? 'own' : random() < 0.6 ? 'help' : 'not-yet';
      made++;
      facts.push({
        kind: 'observation',
        observation: aTry({
          id: `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`,
          childId: one.child.id,
          sittingId: `${day}-${activity.id}`,
          activityId: activity.id,
          skillId,
          itemId: item.id,
          at: `${day}T10:00:00.${String(made % 1000).padStart(3, '0')}Z`,
          day,
          outcome,
        }),
      });
    }
  });
  const next = foldMore(one.state, facts);
  if (!('state' in next)) throw new Error('facts out of order');
  one.state = next.state;
}

const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);

export function simulate(
  world,
  { weeks = WEEKS, steps = 400, seed = 5, log = false, solver = null } = {},
) {
  const random = seeded(seed);
  const secureAt = new Map(
    world.children.map((one) => [
      one.child.id,
      new Set(SKILLS.filter((s) => standingOf(s, one.state) === 'secure').map((s) => s.id)),
    ]),
  );
  const figures = {
    cards: [],
    minutes: [],
    focus: { woven: [], 'set-out': [], table: [] },
    same: [],
    distinct: [],
    invitations: [],
    cardsOfWeek: [],
    strands: [],
    tables: [],
    short: 0,
    noSums: 0,
  };
  const used = new Set();
  let before = new Set();
  const lastServed = new Map();
  let unserved = new Set();
  const nowhere = new Set();
  let alone = 0;
  let tableCards = 0;
  let missed = 0;
  const wantsSeen = new Set();
  let greedyShare = [];
  let ms = 0;
  let boundMs = 0;
  const gaps = [];
  for (let w = 0; w < weeks; w++) {
    const monday = addDays(MONDAY, 7 * w);
    const planned = weekModel(factsFor(world, monday));
    const { model } = planned;
    const begun = performance.now();
    const first = greedyPlan(model);
    const plan = improvePlan(model, first, { steps, seed: w + 1 });
    ms = Math.max(ms, performance.now() - begun);
    greedyShare.push(1 - first.worth / plan.worth);
    if (solver) {
      const t = performance.now();
      const bound = boundOf(model, solver, 60);
      boundMs = Math.max(boundMs, performance.now() - t);
      gaps.push(bound / plan.worth - 1);
      const same = solver.solve(weekProgram(model, { byDay: true, plan: plan.cards }), {
        seconds: 60,
        gap: 0,
      });
      const told = same.bound;
      if (!(Math.abs(told - plan.worth) < 1e-6))
        console.log('the two do not agree', told, plan.worth);
    }
    const draft = draftWith(model, plan.cards);
    const now = new Set(plan.cards.map(({ activity }) => activity));
    figures.cardsOfWeek.push(plan.cards.length);
    figures.same.push(
      [...now].filter((activity) => before.has(model.activities[activity].id)).length,
    );
    figures.distinct.push(now.size);
    before = new Set([...now].map((a) => model.activities[a].id));
    for (const id of before) used.add(id);
    const invited = invitationsFor(planned, plan.cards);
    figures.invitations.push(invited.length);
    for (const { activity, day } of invited) {
      used.add(model.activities[activity].id);
      world.lately.push({ activityId: model.activities[activity].id, day: model.days[day].day });
    }
    model.days.forEach((day, d) => {
      if (!day.open) return;
      const on = plan.cards.filter((card) => card.day === d);
      figures.cards.push(on.length);
      figures.minutes.push(
        on.reduce((sum, card) => sum + adultMinutes(model, card.activity, d, card.focus.length), 0),
      );
    });
    for (const card of plan.cards) {
      const { band } = model.activities[card.activity];
      figures.focus[band].push(card.focus.length);
      if (band === 'table') {
        tableCards++;
        if (card.focus.length === 1) alone++;
      }
    }
    model.children.forEach((child, c) => {
      const week = draft.children[c];
      figures.strands.push([...week.strandHits].filter((h) => h > 0).length);
      figures.tables.push(week.tables());
      if (child.tableFits && week.tables() === 0) missed++;
      figures.short += Math.max(0, child.focusDays - week.focusDays());
      child.wants.forEach((want, i) => {
        const key = `${child.id} ${want.skillId}`;
        wantsSeen.add(key);
        if (week.hits[i] > 0) lastServed.set(key, 0);
        else lastServed.set(key, (lastServed.get(key) ?? 0) + 1);
        const serving = model.activities.filter(
          (a) => !a.barred[c] && a.options[c].some((o) => o.hits.some((h) => h.want === i)),
        );
        if (serving.length === 0) {
          nowhere.add(key);
          return;
        }
        if (lastServed.get(key) >= 8)
          unserved.add(
            `${child.name} ${want.skillId} ${want.why} ${want.value.toFixed(2)} must ${want.must.toFixed(1)} by ${serving.map((a) => a.id + '/' + a.band[0] + (a.moments.length ? '' : '!'))}`,
          );
      });
      const sums = ['bond', 'add'].map((strand) => STRANDS.indexOf(strand));
      const ready = child.wants.some(
        (want) => sums.includes(want.strand) && !['due', 'check', 'step-back'].includes(want.why),
      );
      if (ready && sums.every((s) => week.strandHits[s] === 0)) {
        figures.noSums++;
        if (log)
          console.log(
            'nosums',
            w,
            child.name,
            child.wants
              .filter((x) => sums.includes(x.strand))
              .map((x) => x.skillId + ' ' + x.why + ' ' + x.value.toFixed(2))
              .join(),
            child.strands.map((x) => x.toFixed(2)).join(),
          );
      }
    });
    // The week is lived through.
    for (let d = 0; d < 7; d++) {
      const day = addDays(monday, d);
      for (const card of plan.cards.filter((one) => one.day === d)) {
        const activity = world.activities.find(
          (one) => one.id === model.activities[card.activity].id,
        );
        for (const { child, option } of card.focus) {
          tries(
            random,
            world.children[child],
            activity,
            model.activities[card.activity].options[child][option],
            model,
            child,
            day,
          );
          if (activity.band === 'table') {
            world.children[child].sittings.push({
              activityId: activity.id,
              day,
              takers: [{ childId: world.children[child].child.id, mood: 'calm' }],
            });
          }
        }
        world.lately.push({ activityId: activity.id, day });
      }
    }
    if (log) {
      for (const card of plan.cards) {
        const a = model.activities[card.activity];
        console.log(
          model.days[card.day].day.slice(5),
          a.band.padEnd(8),
          a.id.padEnd(22),
          card.focus
            .map(
              ({ child, option }) =>
                `${model.children[child].name}:${model.children[child].wants[a.options[child][option].hits[0].want].skillId}/${a.options[child][option].top}`,
            )
            .join(' '),
        );
      }
    }
  }
  const newly = world.children.reduce(
    (sum, one) =>
      sum +
      SKILLS.filter(
        (s) => standingOf(s, one.state) === 'secure' && !secureAt.get(one.child.id).has(s.id),
      ).length,
    0,
  );
  if (log)
    console.log(
      [...unserved].join('\n'),
      '\nnowhere',
      [...nowhere].map((k) => k.split(' ')[1]).join(' '),
    );
  return {
    'cards a day': mean(figures.cards),
    'adult minutes a day': `${mean(figures.minutes).toFixed(1)} (${Math.max(...figures.minutes)})`,
    'focus anytime': mean(figures.focus.woven),
    'focus play': mean(figures.focus['set-out']),
    'focus table': mean(figures.focus.table),
    'table cards for one': `${alone} of ${tableCards}`,
    'same as last week': `${mean(figures.same.slice(1)).toFixed(1)} of ${mean(figures.distinct).toFixed(1)}`,
    'different activities': used.size,
    'invitations a week': mean(figures.invitations),
    'wants unserved 8 weeks': `${new Set([...unserved].map((one) => one.split(' ').slice(0, 2).join(' '))).size} of ${wantsSeen.size} (no activity: ${nowhere.size})`,
    'child-weeks without adding or bonds': figures.noSums,
    'newly secure': newly,
    'strands a child and week': `${mean(figures.strands).toFixed(1)} (least ${Math.min(...figures.strands)})`,
    'no table': missed,
    'tables a child and week': `${mean(figures.tables).toFixed(1)} (least ${Math.min(...figures.tables)})`,
    'focus days short': figures.short,
    'greedy short of': `${(100 * mean(greedyShare)).toFixed(1)} %`,
    'ms a plan, most': Math.round(ms),
    'gap to the bound': `${(100 * mean(gaps)).toFixed(1)} % (most ${(100 * Math.max(0, ...gaps)).toFixed(1)} %)`,
    'ms a bound, most': Math.round(boundMs),
  };
}

if (process.argv[1]?.endsWith('weeks.mjs')) {
  const solver = process.argv.includes('--bound') ? await highsSolver() : null;
  const weeks = Number(process.argv.find((one) => one.startsWith('--weeks='))?.slice(8) ?? WEEKS);
  const steps = Number(process.argv.find((one) => one.startsWith('--steps='))?.slice(8) ?? 400);
  console.table(
    simulate(demoFacts(), { log: process.argv.includes('--log'), solver, weeks, steps }),
  );
}
