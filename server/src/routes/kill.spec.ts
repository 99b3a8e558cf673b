import { KilledServer } from '../testing/killed-server.js';
import { aChild, aTry, ask } from '../testing/world.js';

/** Forty starts of a server take their time on a busy machine. */
const LONGEST_MS = 240_000;

describe('a server that is killed', () => {
  const server = new KilledServer();
  afterAll(() => server.remove());

  it(
    'loses no answered observation and doubles none, killed twenty times between two tries',
    async () => {
      const child = aChild();
      const answered = new Set<string>();
      let url = await server.start();
      await ask(`${url}/children`, 'POST', child);
      for (let round = 0; round < 20; round++) {
        const one = aTry(child.id);
        const two = aTry(child.id, { itemId: 'n4' });
        const answer = await ask(`${url}/observations`, 'POST', { observations: [one] });
        expect(answer.status).toBe(201);
        answered.add(one.id);
        // The second one is on its way when the server dies; it may or may not have arrived.
        const onItsWay = ask(`${url}/observations`, 'POST', { observations: [two] }).catch(
          () => null,
        );
        await server.kill();
        await onItsWay;
        url = await server.start();
        await ask(`${url}/observations`, 'POST', { observations: [two] });
        answered.add(two.id);
      }
      const kept: string[] = [];
      let before = '';
      for (;;) {
        const { body } = await ask(`${url}/children/${child.id}/observations${before}`, 'GET');
        const page = body as {
          observations: { observation: { id: string } }[];
          next: number | null;
        };
        kept.push(...page.observations.map((row) => row.observation.id));
        if (page.next === null) break;
        before = `?before=${page.next}`;
      }
      expect(kept.length).toBe(40);
      expect(new Set(kept)).toEqual(answered);
    },
    LONGEST_MS,
  );
});
