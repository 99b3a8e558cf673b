import { randomUUID } from 'node:crypto';
import { request as http } from 'node:http';
import { Agent } from 'node:http';
import type { Observation } from '@gumo/core/vocabulary';
import { aTry } from './world.js';

export interface Noted {
  readonly ids: readonly string[];
  /** How long each answer took, in ms. */
  readonly waits: readonly number[];
}

/** Answers that a device lost on its way and so asks for again: one in this many. */
const LOST = 20;

/**
 * Several devices that note tries one after the other, as fast as they are answered; now and then a device
 * loses an answer and sends the same once more.
 * @param headers of each device, such as its cookie
 */
export async function noting(
  base: string,
  children: readonly string[],
  tries: number,
  headers: readonly Record<string, string>[],
): Promise<Noted> {
  const agent = new Agent({ keepAlive: true });
  const waits: number[] = [];
  const ids: string[] = [];

  async function send(observation: Observation, own: Record<string, string>): Promise<void> {
    const body = JSON.stringify({ observations: [observation] });
    const begun = performance.now();
    const status = await new Promise<number>((resolve, reject) => {
      const length = String(Buffer.byteLength(body));
      const asked = http(`${base}/observations`, {
        agent,
        method: 'POST',
        headers: { ...own, 'content-type': 'application/json', 'content-length': length },
      });
      asked.on('error', reject).on('response', (answer) => {
        answer.resume().on('end', () => resolve(answer.statusCode ?? 0));
      });
      asked.end(body);
    });
    waits.push(performance.now() - begun);
    if (status !== 200 && status !== 201) throw new Error(`a try was answered with ${status}`);
  }

  await Promise.all(
    headers.map(async (own, device) => {
      for (let n = device; n < tries; n += headers.length) {
        const childId = children[n % children.length] ?? '';
        const observation = aTry(childId, { id: randomUUID(), notedBy: `device ${device}` });
        ids.push(observation.id);
        await send(observation, own);
        if (n % LOST === 0) await send(observation, own);
      }
    }),
  );
  agent.destroy();
  return { ids, waits };
}
