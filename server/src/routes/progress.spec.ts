import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { SkillView } from '@gumo/core/evidence';
import { levelsByAge } from '@gumo/core/evidence';
import Database from 'better-sqlite3';
import { type World, aChild, aTry, openWorld, TODAY } from '../testing/world.js';

interface ProgressBody {
  readonly day: string;
  readonly views: SkillView[];
  readonly days: string[];
  readonly look: { tries: number } | null;
}
interface ProblemBody {
  readonly errors: { field: string }[];
}

describe('progress over HTTP', () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld();
  });
  afterAll(() => world.close());

  const born = async (name: string): Promise<string> => {
    const child = aChild({ name });
    await world.ask('POST', '/children', child);
    return child.id;
  };
  const progress = async (id: string, query = `?today=${TODAY}`): Promise<ProgressBody> =>
    (await world.ask('GET', `/children/${id}/progress${query}`)).body as ProgressBody;
  const status = async (id: string, skillId: string, query?: string): Promise<string> =>
    (await progress(id, query)).views.find((view) => view.skillId === skillId)!.status;
  const word = (childId: string, more: object = {}) => ({
    id: randomUUID(),
    childId,
    skillId: 'give-3',
    at: `${TODAY}T10:00:00.000Z`,
    day: TODAY,
    says: 'secure',
    note: '',
    notedBy: '',
    ...more,
  });

  it('keeps the educator’s own word once, and takes it back', async () => {
    const id = await born('Wren');
    const one = word(id);
    expect((await world.ask('POST', '/overrides', { overrides: [one] })).status).toBe(201);
    expect((await world.ask('POST', '/overrides', { overrides: [one] })).status).toBe(200);
    expect(await status(id, 'give-3')).toBe('secure');
    expect(await status(id, 'touch-5')).toBe('assumed');
    const voiding = { id: randomUUID(), observationId: one.id, at: one.at, notedBy: '' };
    expect((await world.ask('POST', '/voidings', { voidings: [voiding] })).status).toBe(201);
    expect(await status(id, 'give-3')).toBe('not-started');
  });

  it('names the field of a wrong override or placement', async () => {
    const id = await born('Lark');
    const field = async (path: string, body: object): Promise<string> => {
      const answer = await world.ask('POST', path, body);
      expect(answer.status).toBeGreaterThanOrEqual(400);
      expect(answer.status).toBeLessThan(500);
      return (answer.body as ProblemBody).errors[0]!.field;
    };
    const wrong = (more: object) => field('/overrides', { overrides: [word(id, more)] });
    expect(await wrong({ skillId: 'fly-5' })).toBe('overrides.0.skillId');
    expect(await wrong({ says: 'maybe' })).toBe('overrides.0.says');
    expect(await wrong({ childId: randomUUID() })).toBe('overrides.0.childId');
    const placement = { ...word(id), byAge: false, levels: { ...levelsByAge(48), bond: -1 } };
    expect(await field('/placements', { placements: [placement] })).toBe(
      'placements.0.levels.bond',
    );
    const some = { ...word(id), byAge: false, levels: { say: 2 } };
    expect(await field('/placements', { placements: [some] })).toBe('placements.0.levels.count');
  });

  it('rebuilds when a fact of an earlier day comes late', async () => {
    const id = await born('Teal');
    await world.ask('POST', '/observations', { observations: [aTry(id)] });
    expect(await status(id, 'touch-5')).toBe('started');
    const late = aTry(id, { day: '2026-03-01', at: '2026-03-01T09:00:00.000Z' });
    await world.ask('POST', '/observations', { observations: [late] });
    const { views } = await progress(id);
    expect(views.find((view) => view.skillId === 'touch-5')!.days).toBe(2);
  });

  it('takes as known what a first look found', async () => {
    const id = await born('Finch');
    const placement = { ...word(id), byAge: false, levels: levelsByAge(60) };
    await world.ask('POST', '/placements', { placements: [placement] });
    expect((await progress(id)).look!.tries).toBe(0);
    const at = `${TODAY}T10:05:00.000Z`;
    const said = (to: number) => ({
      kind: 'reach' as const,
      language: 'en',
      direction: 'up' as const,
      from: 1,
      to,
      stop: to,
      leftOut: [],
      repeated: [],
      swapped: [],
      said: null,
      guess: null,
    });
    const tried = (to: number) =>
      aTry(id, {
        activityId: 'first-look',
        skillId: 'say-20',
        itemId: `to-${to}`,
        at,
        record: said(to),
      });
    // One try says too little to take anything as known; three in a strand say enough.
    await world.ask('POST', '/observations', { observations: [tried(15)] });
    const little = await progress(id);
    expect(little.look!.tries).toBe(1);
    expect(little.views.filter((view) => view.status === 'assumed')).toEqual([]);
    const more = [tried(14), tried(19)];
    await world.ask('POST', '/observations', { observations: more });
    const found = await progress(id);
    expect(found.look!.tries).toBe(3);
    expect(found.views.filter((view) => view.status === 'assumed').length).toBeGreaterThan(3);
  });

  it('shows a child as it stood on an earlier day', async () => {
    const id = await born('Siskin');
    const on = (day: string) =>
      Array.from({ length: 8 }, (_, n) =>
        aTry(id, { day, at: `${day}T09:00:0${n}.000Z`, itemId: `n${1 + (n % 5)}` }),
      );
    const observations = [...on('2026-03-02'), ...on('2026-03-04'), ...on('2026-03-06')];
    await world.ask('POST', '/observations', { observations });
    expect(await status(id, 'touch-5')).toBe('secure');
    expect(await status(id, 'touch-5', '?asOf=2026-03-02')).toBe('nearly');
    const before = await progress(id, '?asOf=2026-03-01');
    expect(before.day).toBe('2026-03-01');
    expect(before.views.every((view) => view.status === 'not-started')).toBeTrue();
    expect(before.days).toEqual(['2026-03-02', '2026-03-04', '2026-03-06']);
  });

  it('says what another policy changes, and refuses an old version', async () => {
    const id = await born('Dunnock');
    const observations = ['2026-03-02', '2026-03-04'].flatMap((day) =>
      Array.from({ length: 8 }, (_, n) =>
        aTry(id, { day, at: `${day}T09:00:0${n}.000Z`, itemId: `n${1 + (n % 5)}` }),
      ),
    );
    await world.ask('POST', '/observations', { observations });
    expect(await status(id, 'touch-5')).toBe('secure');
    const strict = await world.ask('POST', `/children/${id}/policy`, {
      policy: 'secure-first',
      version: 1,
    });
    expect((strict.body as { sentence: string }).sentence).toMatch(
      /^With secure first, .*“One touch, one word”.* for more evidence\./,
    );
    const late = await world.ask('POST', `/children/${id}/policy`, {
      policy: 'follow-child',
      version: 1,
    });
    expect(late.status).toBe(409);
  });

  it('answers every detail, and says so where there is none such', async () => {
    const id = await born('Knot');
    for (const tab of [
      'numerals',
      'bonds',
      'saying',
      'glancing',
      'writing',
      'comparing',
      'slips',
    ]) {
      const answer = await world.ask('GET', `/children/${id}/details/${tab}`);
      expect(answer.status).withContext(tab).toBe(200);
    }
    expect((await world.ask('GET', `/children/${id}/details/shoes`)).status).toBe(404);
  });

  it('rebuilds a snapshot that older rules made', async () => {
    const id = await born('Rook');
    await world.ask('POST', '/observations', { observations: [aTry(id)] });
    expect(await status(id, 'touch-5')).toBe('started');
    const db = new Database(join(world.folder, 'gumo.db'));
    const rules = db.prepare('SELECT rules FROM snapshots WHERE child_id = ?').pluck();
    const now = rules.get(id) as number;
    db.prepare(`UPDATE snapshots SET rules = ?, body = '{}' WHERE child_id = ?`).run(now - 1, id);
    db.close();
    await world.restart();
    expect(await status(id, 'touch-5')).toBe('started');
  });
});

describe('the table of skills in the documents', () => {
  it('is what the map says', async () => {
    const script = new URL('../../../scripts/skills.mjs', import.meta.url);
    const { skillTable } = (await import(script.href)) as { skillTable: () => string };
    const kept = readFileSync(new URL('../../../docs/skills.md', import.meta.url), 'utf8');
    expect(kept).toBe(skillTable());
  });
});
