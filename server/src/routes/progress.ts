import type { MassUnit } from '@gumo/core/measuring';
import {
  BondRows,
  ComparedPairs,
  Evidence,
  GlanceCells,
  MeasuringAnswer,
  NumeralRows,
  PolicyAnswer,
  PolicyChange,
  ProgressAnswer,
  SayingAnswer,
  SlipsAnswer,
  WritingRows,
} from '@gumo/core/contract';
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
import { Day, speaksOf } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, notFound } from '../faults.js';
import { type Context, childOf, param } from './context.js';
import { answer } from './answer.js';

const TodayQuery = v.object({ today: v.optional(Day), asOf: v.optional(Day) });
/** Most observations that a detail looks back on. */
const LOOK_BACK = 4000;

/** What is concluded about a child: strings, next steps, details, and how a policy changes them. */
export function progressRoutes(context: Context): Router {
  const { store, progress, changes } = context;
  const router = Router();

  const materialNames = (): ((id: string) => string | undefined) => {
    const names = new Map(store.materials.all().map((material) => [material.id, material.name]));
    return (id) => names.get(id);
  };

  router.get('/:id/progress', (request, response) => {
    const child = childOf(context, request);
    const { today = context.today(), asOf } = checked(TodayQuery, request.query);
    const day = asOf ?? today;
    const state = asOf === undefined ? progress.of(child) : progress.asIf(child, { day: asOf });
    answer(response, ProgressAnswer, {
      childId: child.id,
      day,
      views: conclude(state, day, { speaks: speaksOf(child), materialName: materialNames() }),
      steps: nextSteps(state, day, speaksOf(child)),
      due: dueSoon(state, day, speaksOf(child)),
      look: state.look
        ? { tries: state.look.tries.length, places: lookResult(state.look, new Set()).places }
        : null,
      days: store.facts.days(child.id),
    });
  });

  /** What the household's scale says weights in. */
  const massUnit = (): MassUnit => (store.household.all()[0]?.units === 'us' ? 'oz' : 'g');

  router.get('/:id/evidence', (request, response) => {
    answer(response, Evidence, progress.of(childOf(context, request)));
  });

  router.get('/:id/details/:tab', (request, response) => {
    const child = childOf(context, request);
    const { today = context.today() } = checked(TodayQuery, request.query);
    const state = progress.of(child);
    const seen = (strand: Strand | null) =>
      store.facts.valid(
        child.id,
        strand === null ? null : skillsOfStrand(strand).map((skill) => skill.id),
        LOOK_BACK,
      );
    switch (param(request, 'tab')) {
      case 'numerals':
        answer(response, NumeralRows, numerals(state, seen('numeral')));
        return;
      case 'bonds':
        answer(response, BondRows, bonds(seen('bond')));
        return;
      case 'saying':
        answer(response, SayingAnswer, saying(seen('say')));
        return;
      case 'glancing':
        answer(response, GlanceCells, glancing(state, seen('glance')));
        return;
      case 'writing':
        answer(response, WritingRows, writing(state, seen('numeral')));
        return;
      case 'comparing':
        answer(response, ComparedPairs, comparing(seen('compare')));
        return;
      case 'measuring':
        answer(response, MeasuringAnswer, measuringOf(seen(null), massUnit()));
        return;
      case 'slips':
        answer(response, SlipsAnswer, slipsOverTime(seen(null), today));
        return;
      default:
        throw notFound('detail');
    }
  });

  /** Changes when a range counts as secure, and says what that changes today. */
  router.post('/:id/policy', (request, response) => {
    const child = childOf(context, request);
    const { policy, version } = checked(PolicyChange, request.body);
    const today = context.today();
    const about = { speaks: speaksOf(child) };
    const before = conclude(progress.of(child), today, about);
    const kept = store.children.replace({ ...child, policy, version });
    const changed = changesBetween(before, conclude(progress.of(kept), today, about));
    answer(response, PolicyAnswer, { child: kept, sentence: whatChanged(policy, changed) });
    changes.tell({ what: 'children', childIds: [child.id], day: null });
  });

  return router;
}
