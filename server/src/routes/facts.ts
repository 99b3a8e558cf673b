import { ObservationBatch, VoidingBatch, OverrideBatch, PlacementBatch } from '@gumo/core/contract';
import { findItem, findSkill } from '@gumo/core/skills';
import { type Observation, impossibleDay } from '@gumo/core/vocabulary';
import { Router } from 'express';
import { checked, wrongField } from '../faults.js';
import { type Context, checkDay, refuseImpossible } from './context.js';

/** What was seen, and what is undone: a batch is kept whole or not at all. */
export function factsRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  function checkKnown(observation: Observation, at: number): void {
    const field = (name: string): string => `observations.${at}.${name}`;
    const { childId, sessionId, skillId, itemId } = observation;
    if (!store.children.has(childId)) throw wrongField(field('childId'), 'is not a child here');
    if (sessionId !== null && !store.sessions.find(sessionId)) {
      throw wrongField(field('sessionId'), 'is not a session here');
    }
    if (!findSkill(skillId)) throw wrongField(field('skillId'), 'is not in the skill map');
    if (itemId !== null && !findItem(skillId, itemId)) {
      throw wrongField(field('itemId'), 'is not an item of this skill');
    }
    checkDay(context, observation, `observations.${at}.`);
  }

  function tell(childIds: Iterable<string>): void {
    const unique = [...new Set(childIds)];
    if (unique.length > 0) changes.tell({ what: 'evidence', childIds: unique, day: null });
  }

  router.post('/observations', async (request, response) => {
    const { observations } = checked(ObservationBatch, request.body);
    const added = await store.enqueue(() => {
      observations.forEach(checkKnown);
      return observations.filter((one) => store.facts.addObservation(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  router.post('/voidings', async (request, response) => {
    const { voidings } = checked(VoidingBatch, request.body);
    voidings.forEach(({ at }, i) => {
      const noted = { day: at.slice(0, 10), at };
      const found = impossibleDay(noted, null, context.today());
      refuseImpossible(found && { ...found, field: 'at' }, `voidings.${i}.`);
    });
    const added = await store.enqueue(() =>
      voidings.map((one) => store.facts.addVoiding(one)).filter((one) => one.isNew),
    );
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  router.post('/overrides', async (request, response) => {
    const { overrides } = checked(OverrideBatch, request.body);
    const added = await store.enqueue(() => {
      overrides.forEach((override, at) => {
        if (!store.children.has(override.childId)) {
          throw wrongField(`overrides.${at}.childId`, 'is not a child here');
        }
        if (!findSkill(override.skillId)) {
          throw wrongField(`overrides.${at}.skillId`, 'is not in the skill map');
        }
        checkDay(context, override, `overrides.${at}.`);
      });
      return overrides.filter((one) => store.facts.addOverride(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  router.post('/placements', async (request, response) => {
    const { placements } = checked(PlacementBatch, request.body);
    const added = await store.enqueue(() => {
      placements.forEach((one, at) => {
        if (!store.children.has(one.childId)) {
          throw wrongField(`placements.${at}.childId`, 'is not a child here');
        }
        checkDay(context, one, `placements.${at}.`);
      });
      return placements.filter((one) => store.facts.addPlacement(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  return router;
}
