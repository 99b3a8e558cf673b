import { findItem, findSkill } from '@gumo/core/skills';
import { Observation, OwnWord, Pegs, Voiding, impossibleDay } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, wrongField } from '../problems.js';
import { type Context, checkDay, refuseImpossible } from './context.js';

const MOST_AT_ONCE = 200;

const batch = <S extends v.GenericSchema>(item: S) =>
  v.pipe(
    v.array(item, 'must be a list'),
    v.minLength(1, 'must not be empty'),
    v.maxLength(MOST_AT_ONCE, `must have at most ${MOST_AT_ONCE} entries`),
  );

const Observations = v.object({ observations: batch(Observation) });
const Voidings = v.object({ voidings: batch(Voiding) });
const Words = v.object({ words: batch(OwnWord) });
const PegsBatch = v.object({ pegs: batch(Pegs) });

/** What was seen, and what is taken back: a batch is kept whole or not at all. */
export function factsRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  function checkKnown(observation: Observation, at: number): void {
    const field = (name: string): string => `observations.${at}.${name}`;
    const { childId, sittingId, skillId, itemId } = observation;
    if (!store.children.has(childId)) throw wrongField(field('childId'), 'is not a child here');
    if (sittingId !== null && !store.sittings.find(sittingId)) {
      throw wrongField(field('sittingId'), 'is not a sitting here');
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
    const { observations } = checked(Observations, request.body);
    const added = await store.enqueue(() => {
      observations.forEach(checkKnown);
      return observations.filter((one) => store.facts.addObservation(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  router.post('/voidings', async (request, response) => {
    const { voidings } = checked(Voidings, request.body);
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

  router.post('/words', async (request, response) => {
    const { words } = checked(Words, request.body);
    const added = await store.enqueue(() => {
      words.forEach((word, at) => {
        if (!store.children.has(word.childId)) {
          throw wrongField(`words.${at}.childId`, 'is not a child here');
        }
        if (!findSkill(word.skillId)) {
          throw wrongField(`words.${at}.skillId`, 'is not in the skill map');
        }
        checkDay(context, word, `words.${at}.`);
      });
      return words.filter((one) => store.facts.addWord(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  router.post('/pegs', async (request, response) => {
    const { pegs } = checked(PegsBatch, request.body);
    const added = await store.enqueue(() => {
      pegs.forEach((one, at) => {
        if (!store.children.has(one.childId)) {
          throw wrongField(`pegs.${at}.childId`, 'is not a child here');
        }
        checkDay(context, one, `pegs.${at}.`);
      });
      return pegs.filter((one) => store.facts.addPegs(one));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    tell(added.map((one) => one.childId));
  });

  return router;
}
