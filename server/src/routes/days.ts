import { DayAnswer, DaySeen, Suggestions, Tops } from '@gumo/core/contract';
import { readySkills } from '@gumo/core/evidence';
import { nextSteps, topFor } from '@gumo/core/activities';
import {
  Day,
  DayMark,
  DaySheet,
  type Observation,
  type Outcome,
  marked,
  speaksOf,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import { checked, notFound, outdated, wrongField } from '../faults.js';
import { type Context, param } from './context.js';
import { activityIn, cautionsFor, needsFor } from '../services/needs.js';
import { answer } from './answer.js';

/** The day as it stands: what is planned, who is away, what to lay ready. */
export function daysRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  router.get('/:day', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const sheet = store.days.find(day);
    const entries = store.plan.ofDay(day);
    const here = store.children
      .all()
      .filter((child) => !child.archived && !sheet.away.includes(child.id));
    answer(response, DayAnswer, {
      day,
      sheet,
      entries,
      ready: needsFor(store, entries, () => here),
      open: store.sessions.openOn(day),
      cautions: Object.fromEntries(
        entries.map((entry) => [entry.id, cautionsFor(store, entry, here)]),
      ),
    });
  });

  /** What was noted on a day, by child and skill, what was said, and who was not seen. */
  router.get('/:day/seen', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const observations = store.facts.ofDay(day);
    const notes = store.notes.ofDay(day);
    const { away } = store.days.find(day);
    const seen = new Set([...observations, ...notes].map((one) => one.childId));
    answer(response, DaySeen, {
      day,
      sessions: store.sessions.ofDay(day),
      skills: bySkill(observations),
      notes,
      notSeen: store.children
        .all()
        .filter((child) => !child.archived && !away.includes(child.id) && !seen.has(child.id))
        .map((child) => child.id),
    });
  });

  router.post('/:day/marks', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const mark = checked(DayMark, request.body);
    if (mark.what === 'away' && !store.children.has(mark.childId)) {
      throw wrongField('childId', 'is not a child here');
    }
    const sheet = store.days.find(day);
    const { words = '' } = sheet;
    if (mark.what === 'words' && words !== mark.before && words !== mark.words) {
      throw outdated(sheet);
    }
    const next = checked(DaySheet, marked(sheet, mark));
    store.days.put(next);
    answer(response, DaySheet, next);
    changes.tell({ what: 'day', childIds: [], day });
  });

  /** For each child who is here and in nothing planned: the next step that an activity serves. */
  router.get('/:day/suggestions', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const { away } = store.days.find(day);
    const planned = new Set(
      store.plan
        .ofDay(day)
        .flatMap((entry) => entry.participants.map((participant) => participant.childId)),
    );
    const without = store.children
      .all()
      .filter((child) => !child.archived && !away.includes(child.id) && !planned.has(child.id));
    answer(
      response,
      Suggestions,
      without.flatMap((child) => {
        const steps = nextSteps(context.progress.of(child), day, speaksOf(child));
        const step = steps.find((one) => one.activityId !== null);
        return step ? [{ childId: child.id, step }] : [];
      }),
    );
  });

  /** The range that fits each child in an activity, from what was seen so far. */
  router.get('/:day/tops/:activity', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const activity = activityIn(store, param(request, 'activity'));
    if (!activity) throw notFound('activity');
    const children = store.children.all().filter((child) => !child.archived);
    answer(
      response,
      Tops,
      children.map((child) => ({
        childId: child.id,
        top: topFor(
          activity,
          context.progress.of(child),
          day,
          readySkills(context.progress.of(child), day, speaksOf(child)),
        ),
      })),
    );
  });

  return router;
}

interface SkillSeen {
  readonly childId: string;
  readonly skillId: string;
  readonly outcomes: Outcome[];
}

/** The outcomes of a day, gathered by child and skill in the order in which they were first seen. */
function bySkill(observations: readonly Observation[]): SkillSeen[] {
  const found = new Map<string, SkillSeen>();
  for (const { childId, skillId, outcome } of observations) {
    const key = `${childId}/${skillId}`;
    const known = found.get(key) ?? { childId, skillId, outcomes: [] };
    known.outcomes.push(outcome);
    found.set(key, known);
  }
  return [...found.values()];
}
