import { SessionAnswer } from '@gumo/core/contract';
import { FIRST_LOOK } from '@gumo/core/evidence';
import {
  type Impossible,
  RangeMove,
  Session,
  SessionEnd,
  impossibleDay,
  impossibleEnd,
  inRange,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import { checked, notFound, wrongField } from '../faults.js';
import { type Context, param, refuseImpossible } from './context.js';
import { activityIn } from '../services/needs.js';
import { answer } from './answer.js';

/** The same fault at the field of an end. */
const endDay = (found: Impossible | null): Impossible | null =>
  found && { ...found, field: 'endedAt' };

/** Sessions: begun, noted in, ended. */
export function sessionsRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  const find = (id: string): Session => {
    const session = store.sessions.find(id);
    if (!session) throw notFound('session');
    return session;
  };

  function move(session: Session, state: 'begun' | 'done'): void {
    const entry = session.planEntryId === null ? undefined : store.plan.find(session.planEntryId);
    if (entry && entry.state !== state && entry.state !== 'done') {
      store.plan.replace({ ...entry, state });
    }
  }

  const tell = (session: Session): void =>
    changes.tell({
      what: 'sessions',
      childIds: session.participants.map((participant) => participant.childId),
      day: session.day,
    });

  router.put('/:id', (request, response) => {
    const session = checked(Session, request.body);
    if (session.id !== param(request, 'id')) {
      throw wrongField('id', 'is not the one in the address');
    }
    if (session.activityId !== FIRST_LOOK && !activityIn(store, session.activityId)) {
      throw wrongField('activityId', 'is not an activity here');
    }
    session.participants.forEach((participant, i) => {
      if (!store.children.find(participant.childId)) {
        throw wrongField(`participants.${i}.childId`, 'is not a child here');
      }
    });
    refuseImpossible(
      impossibleDay({ day: session.day, at: session.startedAt }, null, context.today()),
    );
    refuseImpossible(impossibleEnd(session.startedAt, session.endedAt));
    const isNew = store.atomically(() => {
      const added = store.sessions.add(session);
      if (added) move(session, 'begun');
      return added;
    });
    response.status(isNew ? 201 : 200).json(find(session.id));
    if (isNew) tell(session);
  });

  router.post('/:id/end', (request, response) => {
    const end = checked(SessionEnd, request.body);
    const session = find(param(request, 'id'));
    refuseImpossible(impossibleEnd(session.startedAt, end.endedAt));
    refuseImpossible(
      endDay(impossibleDay({ day: session.day, at: end.endedAt }, null, context.today())),
    );
    store.atomically(() => {
      store.sessions.end(session.id, end);
      move(session, 'done');
    });
    answer(response, Session, find(session.id));
    tell(session);
  });

  router.post('/:id/range', (request, response) => {
    const move = checked(RangeMove, request.body);
    const session = find(param(request, 'id'));
    if (!session.participants.some((participant) => participant.childId === move.childId)) {
      throw wrongField('childId', 'is not in this session');
    }
    store.sessions.putParticipants(inRange(session, move));
    answer(response, Session, find(session.id));
    tell(session);
  });

  router.get('/:id', (request, response) => {
    const session = find(param(request, 'id'));
    answer(response, SessionAnswer, { session, observations: store.facts.ofSession(session.id) });
  });

  return router;
}
