import {
  ChildDeletion,
  Children,
  Deleted,
  LastTime,
  Notes,
  ObservationPage,
  Pace,
  SessionLines,
} from '@gumo/core/contract';
import { lastTime } from '@gumo/core/details';
import { findSkill } from '@gumo/core/skills';
import { Child, impossibleBirth } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { paceOf } from '../services/table-pace.js';
import { holdersOf, rewriteWithout } from '../services/keeping/forgetting.js';
import { checked, notFound, wrongField } from '../faults.js';
import { type Context, childOf, param, noteDone, refuseImpossible } from './context.js';
import { answer } from './answer.js';

const PAGE = 50;
const SESSIONS = 30;
const LastTimeQuery = v.object({ activity: v.pipe(v.string(), v.nonEmpty('must be named')) });
const PageQuery = v.object({
  skill: v.optional(v.string()),
  before: v.optional(v.pipe(v.string(), v.regex(/^\d{1,15}$/, 'must be a whole number'))),
});

/** Children, what was seen of them, and their sessions. */
export function childrenRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  const checkBirth = (child: Child): void =>
    refuseImpossible(impossibleBirth(child.birthDate, context.today()));
  const tell = (id: string): void => changes.tell({ what: 'children', childIds: [id], day: null });

  router.get('/', (_request, response) => answer(response, Children, store.children.all()));

  router.post('/', (request, response) => {
    const child = checked(Child, request.body);
    checkBirth(child);
    answer(response, Child, store.children.add(child), 201);
    tell(child.id);
  });

  router.put('/:id', (request, response) => {
    const child = checked(Child, request.body);
    if (child.id !== param(request, 'id')) {
      throw wrongField('id', 'is not the one in the address');
    }
    if (!store.children.find(child.id)) throw notFound('child');
    checkBirth(child);
    answer(response, Child, store.children.replace(child));
    tell(child.id);
  });

  /**
   * Forgets a child for good. The name is said again, so that it is not the wrong one; copies that
   * still hold the child are named, and written anew where that is asked for. It is written down before
   * anything is done, and finished at the next start where it was cut off.
   */
  router.post('/:id/forget', async (request, response) => {
    context.turnstile.standAside(request);
    const { intentions } = context.door.access;
    const id = param(request, 'id');
    const { name, copies } = checked(ChildDeletion, request.body);
    const child = store.children.find(id);
    if (!child && !intentions.find(id)) throw notFound('child');
    if (child && name.trim().toLowerCase() !== child.name.trim().toLowerCase()) {
      throw wrongField('name', 'is not the name of this child');
    }
    intentions.put({ childId: id, copies });
    if (child) await context.records.forget(id);
    noteDone(context, request, 'forgotten', 'a child');
    context.progress.drop(id);
    tell(id);
    const { backups } = context.records;
    const holders = copies ? await rewriteWithout(backups, id) : holdersOf(backups, id);
    if (!copies || holders.length === 0) intentions.done(id);
    answer(response, Deleted, { holders });
  });

  router.get('/:id/observations', (request, response) => {
    const child = childOf(context, request);
    const { skill, before } = checked(PageQuery, request.query);
    if (skill !== undefined && !findSkill(skill)) throw wrongField('skill', 'is not in the map');
    const upTo = before === undefined ? Number.MAX_SAFE_INTEGER : Number(before);
    const rows = store.facts.page(child.id, skill ?? null, upTo, PAGE + 1);
    const shown = rows.slice(0, PAGE);
    const next = rows.length > PAGE ? (shown[shown.length - 1]?.seq ?? null) : null;
    answer(response, ObservationPage, { observations: shown, next });
  });

  router.get('/:id/notes', (request, response) => {
    answer(response, Notes, store.notes.ofChild(childOf(context, request).id, PAGE));
  });

  /** How long this child sits at the table next time, from how its sessions there went. */
  router.get('/:id/pace', (request, response) => {
    answer(response, Pace, paceOf(store, childOf(context, request).id));
  });

  /** One line to open a session with, from the last one in the same activity; null where there was none. */
  router.get('/:id/last-time', (request, response) => {
    const child = childOf(context, request);
    const { activity } = checked(LastTimeQuery, request.query);
    const last = store.sessions.lastOf(child.id, activity);
    const tries = last === undefined ? [] : store.facts.ofSession(last);
    const valid = tries.flatMap((one) => (one.voided ? [] : [one.observation]));
    // On the same things the others, or this one, may have played another game.
    const own = valid.filter((one) => one.childId === child.id && one.activityId === activity);
    answer(response, LastTime, { words: lastTime(own) });
  });

  router.get('/:id/sessions', (request, response) => {
    answer(response, SessionLines, store.sessions.ofChild(childOf(context, request).id, SESSIONS));
  });

  return router;
}
