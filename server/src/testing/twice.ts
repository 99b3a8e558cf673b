import { randomUUID } from 'node:crypto';
import { type Child, addDays } from '@gumo/core/vocabulary';

const DAYS = 5;

/**
 * Adds every child of a household once more, and lets none come on all days of a week: planning it takes
 * as long as it may.
 * @param api address of the server's API
 */
export async function twiceAndAway(api: string, monday: string): Promise<void> {
  const ask = async (path: string, body: object): Promise<Response> => {
    const headers = { 'content-type': 'application/json' };
    return fetch(`${api}${path}`, { method: 'POST', headers, body: JSON.stringify(body) });
  };
  const children = (await (await fetch(`${api}/children`)).json()) as Child[];
  const ids = children.map((child) => child.id);
  for (const child of children) {
    const id = randomUUID();
    await ask('/children', { ...child, id, version: 1 });
    ids.push(id);
  }
  for (const [i, childId] of ids.entries()) {
    for (const step of [2 * i, 3 * i + 1]) {
      const day = addDays(monday, step % DAYS);
      await ask(`/weeks/${monday}/away`, { day, childId, away: true });
    }
  }
}
