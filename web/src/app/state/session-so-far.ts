import { type Api, Unreachable } from '../common/api';
import { SessionAnswer } from '@gumo/core/contract';
import type { Outbox } from './outbox';
import { type SessionSoFar, sessionWithWaiting } from './waiting';

/**
 * A session after a reload: as the server has it, or what is held of it, with what waits on this device.
 * @throws Unreachable where nobody who can be asked knows it, ApiProblem
 */
export async function sessionSoFar(api: Api, outbox: Outbox, id: string): Promise<SessionSoFar> {
  await outbox.flush();
  const known = await api.get(`/sessions/${id}`, SessionAnswer).then(
    ({ session, observations }) => ({
      session,
      observations: observations.map((one) => one.observation),
      voided: observations.flatMap((one) => (one.voided ? [one.observation.id] : [])),
    }),
    (error: Error) => {
      if (error instanceof Unreachable) return null;
      throw error;
    },
  );
  const soFar = sessionWithWaiting(id, known, await outbox.waiting());
  if (!soFar) throw new Unreachable();
  return soFar;
}
