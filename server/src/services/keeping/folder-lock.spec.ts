import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pino } from 'pino';
import { CannotStart, serve } from '../../serve.js';
import { type World, aChild, openWorld } from '../../testing/world.js';

const start = (databasePath: string, port = 0) =>
  serve({
    databasePath,
    port,
    demoPath: null,
    webFolder: null,
    today: () => '2026-03-10',
    log: pino({ level: 'silent' }),
  });

describe('a second start', () => {
  let world: World;
  beforeEach(async () => (world = await openWorld()));
  afterEach(() => world.close());

  it('on the same records touches nothing, and says where Gumo runs', async () => {
    const port = Number(new URL(world.url).port);
    const path = join(world.folder, 'gumo.db');
    // What the running one is at work with, such as a file that is coming in.
    const file = `${path}.a.reading`;
    writeFileSync(file, '{');
    const copy = join(world.folder, 'demo.db');
    for (const same of [path, copy]) {
      await expectAsync(start(same)).toBeRejectedWithError(
        CannotStart,
        new RegExp(`^Gumo is already running at http://localhost:${port} .*Nothing was changed`),
      );
    }
    expect(readFileSync(file, 'utf8')).toBe('{');
    expect(existsSync(copy)).toBeFalse();
    expect((await world.ask('POST', '/children', aChild())).status).toBe(201);
    rmSync(file);
  });

  it('can be made once the first one has stopped, or was killed', async () => {
    await world.restart();
    expect((await world.ask('GET', '/children')).status).toBe(200);
  });

  it('on a port that another Gumo has says so', async () => {
    const other = await openWorld();
    await other.close();
    const port = Number(new URL(world.url).port);
    await expectAsync(start(join(`${world.folder}-other`, 'gumo.db'), port)).toBeRejectedWithError(
      CannotStart,
      new RegExp(`Gumo is already running at http://localhost:${port}, with other records`),
    );
    rmSync(`${world.folder}-other`, { recursive: true, force: true });
  });

  it('in a folder that cannot be written says so in a sentence', async () => {
    await expectAsync(start('/dev/null/records/gumo.db')).toBeRejectedWithError(
      CannotStart,
      /cannot be written/,
    );
  });
});
