import { dueSoon, nextSteps } from '@gumo/core/activities';
import {
  bonds,
  comparing,
  glancing,
  measuringOf,
  numerals,
  saying,
  slipsOverTime,
  writing,
} from '@gumo/core/details';
import { changesBetween, conclude, lookResult, whatChanged } from '@gumo/core/evidence';
import { type Strand, skillsOfStrand } from '@gumo/core/skills';
import { Day, POLICIES, Version, oneOf, speaksOf } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, notFound } from '../problems.js';
import { type Context, childOf, param } from './context.js';

const TodayQuery = v.object({ today: v.optional(Day), asOf: v.optional(Day) });
const NewPolicy = v.object({ policy: oneOf(POLICIES), version: Version });
/** Most observations that a detail looks back on. */
const LOOK_BACK = 4000;

/** What is concluded about a child: strings, next steps, details, and how a policy changes them. */
export function progressRoutes(context: Context): Router {
  const { store, progress, changes } = context;
  const router = Router();

  const thingNames = (): ((id: string) => string | undefined) => {
    const names = new Map(store.things.all().map((thing) => [thing.id, thing.name]));
    return (id) => names.get(id);
  };

  router.get('/:id/progress', (request, response) => {
    const child = childOf(context, request);
    const { today = context.today(), asOf } = checked(TodayQuery, request.query);
    const day = asOf ?? today;
    const state = asOf === undefined ? progress.of(child) : progress.asIf(child, { day: asOf });
    response.json({
      childId: child.id,
      day,
      views: conclude(state, day, { speaks: speaksOf(child), thingName: thingNames() }),
      steps: nextSteps(state, day, speaksOf(child)),
      due: dueSoon(state, day, speaksOf(child)),
      look: state.look
        ? { tries: state.look.tries.length, places: lookResult(state.look, new Set()).places }
        : null,
      days: store.facts.days(child.id),
    });
  });

  router.get('/:id/evidence', (request, response) => {
    response.json(progress.of(childOf(context, request)));
  });

  router.get('/:id/details/:tab', (request, response) => {
    const child = childOf(context, request);
    const { today = context.today() } = checked(TodayQuery, request.query);
    const state = progress.of(child);
    const seen = (strand: Strand | null) =>
      store.facts.standing(
        child.id,
        strand === null ? null : skillsOfStrand(strand).map((skill) => skill.id),
        LOOK_BACK,
      );
    switch (param(request, 'tab')) {
      case 'numerals':
        response.json(numerals(state, seen('numeral')));
        return;
      case 'bonds':
        response.json(bonds(seen('bond')));
        return;
      case 'saying':
        response.json(saying(seen('say')));
        return;
      case 'glancing':
        response.json(glancing(state, seen('glance')));
        return;
      case 'writing':
        response.json(writing(state, seen('numeral')));
        return;
      case 'comparing':
        response.json(comparing(seen('compare')));
        return;
      case 'measuring':
        response.json(measuringOf(seen('measure')));
        return;
      case 'slips':
        response.json(slipsOverTime(seen(null), today));
        return;
      default:
        throw notFound('detail');
    }
  });

  /** Changes when a range counts as secure, and says what that changes today. */
  router.post('/:id/policy', (request, response) => {
    const child = childOf(context, request);
    const { policy, version } = checked(NewPolicy, request.body);
    const today = context.today();
    const about = { speaks: speaksOf(child) };
    const before = conclude(progress.of(child), today, about);
    const kept = store.children.replace({ ...child, policy, version });
    const changed = changesBetween(before, conclude(progress.of(kept), today, about));
    response.json({ child: kept, changed, sentence: whatChanged(policy, changed) });
    changes.tell({ what: 'children', childIds: [child.id], day: null });
  });

  return router;
}
