import { type Api, Unreachable } from '../common/api';
import { SittingAnswer } from './answers';
import type { Outbox } from './outbox';
import { type SittingSoFar, sittingWithWaiting } from './waiting';

/**
 * A sitting after a reload: as the server has it, or what is held of it, with what waits on this device.
 * @throws Unreachable where nobody who can be asked knows it, ApiProblem
 */
export async function sittingSoFar(api: Api, outbox: Outbox, id: string): Promise<SittingSoFar> {
  await outbox.flush();
  const known = await api.get(`/sittings/${id}`, SittingAnswer).then(
    ({ sitting, observations }) => ({
      sitting,
      observations: observations.map((one) => one.observation),
      voided: observations.flatMap((one) => (one.voided ? [one.observation.id] : [])),
    }),
    (error: Error) => {
      if (error instanceof Unreachable) return null;
      throw error;
    },
  );
  const soFar = sittingWithWaiting(id, known, await outbox.waiting());
  if (!soFar) throw new Unreachable();
  return soFar;
}
