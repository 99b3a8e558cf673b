/** Answer time of progress for a child with 20,000 observations. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seeded } from '@gumo/core/numbers';
import { SKILLS } from '@gumo/core/skills';
import { addDays } from '@gumo/core/vocabulary';
import { startServer } from '../scripts/lib/steps.mjs';
import { median, table, timed } from './lib.mjs';

const TODAY = '2026-03-10';
const COUNT = 20_000;
const A_DAY = 20;
const BATCH = 200;

function history(childId) {
  const random = seeded(7);
  return Array.from({ length: COUNT }, (_, i) => {
    const day = addDays(TODAY, -Math.floor((COUNT - i - 1) / A_DAY));
    const skill = SKILLS[Math.floor(random() * SKILLS.length)];
    const item = skill.items[Math.floor(random() * skill.items.length)];
    return {
      id: randomUUID(),
      childId,
      sessionId: null,
      activityId: null,
      skillId: skill.id,
      itemId: item.id,
      at: `${day}T09:00:${String(i % A_DAY).padStart(2, '0')}.000Z`,
      day,
      outcome: random() < 0.7 ? 'own' : 'not-yet',
      triedFirst: true,
      answered: null,
      reason: null,
      materials: [],
      notedBy: '',
      note: '',
      record: { kind: 'note', words: '' },
    };
  });
}

export async function progress() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-bench-'));
  const env = {
    GUMO_DATA: join(folder, 'gumo.db'),
    PORT: '0',
    GUMO_TODAY: TODAY,
    GUMO_REQUESTS_A_MINUTE: '1000000',
  };
  let server = await startServer(env);
  const ask = async (path, body) => {
    const base = server.url.replace('localhost', '127.0.0.1');
    const response = await fetch(`${base}/api${path}`, {
      method: body ? 'POST' : 'GET',
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (!response.ok) throw new Error(`${path} answered ${response.status}`);
    return response.json();
  };
  const stop = () =>
    new Promise((resolve) => {
      server.child.removeAllListeners('exit');
      server.child.once('exit', resolve).kill('SIGTERM');
    });
  const [template] = await ask('/children');
  const child = { ...template, id: randomUUID(), name: 'Bench', version: 1 };
  await ask('/children', child);
  const all = history(child.id);
  for (let i = 0; i < COUNT; i += BATCH) {
    await ask('/observations', { observations: all.slice(i, i + BATCH) });
  }
  const path = `/children/${child.id}/progress?today=${TODAY}`;
  const rebuilt = await timed(() => ask(path));
  const again = [];
  for (let i = 0; i < 20; i++) again.push(await timed(() => ask(path)));
  const afterOne = [];
  for (let i = 0; i < 10; i++) {
    const one = { ...all[COUNT - 1], id: randomUUID() };
    await ask('/observations', { observations: [one] });
    afterOne.push(await timed(() => ask(path)));
  }
  await stop();
  server = await startServer(env);
  const cold = await timed(() => ask(path));
  await stop();
  rmSync(folder, { recursive: true, force: true });
  const ms = (value) => `${value.toFixed(0)} ms`;
  return [
    '## Progress of a child with 20,000 observations',
    '',
    'Whole request, 1,000 days, all skills of the map.',
    '',
    table([
      [
        'first time, from all facts',
        'again',
        'after one more try',
        'first after a restart, from the snapshot',
      ],
      [ms(rebuilt), ms(median(again)), ms(median(afterOne)), ms(cold)],
    ]),
  ].join('\n');
}
