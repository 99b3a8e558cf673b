import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase } from '../../database/open.js';
import { storeIn } from '../../database/store.js';
import { fillTenYears } from '../../testing/ten-years.js';
import { TODAY } from '../../testing/world.js';
import { makeCounting, uncounted } from './counting.js';

describe('counting anew that is stopped half-way', () => {
  it('keeps what is counted, and goes on with the rest', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-counting-'));
    const path = join(folder, 'gumo.db');
    const { db } = openDatabase(path);
    fillTenYears(storeIn(db), 12_000, TODAY);
    const left = (): number => uncounted(db).length;
    const all = left();
    const counting = makeCounting();
    const stopped = counting.run(path).then(
      () => 'ended',
      () => 'stopped',
    );
    while (left() === all) await new Promise((resolve) => setImmediate(resolve));
    await counting.close();
    expect(await stopped).toBe('stopped');
    expect(counting.state).toBeNull();
    expect(left()).toBeGreaterThan(0);
    expect(left()).toBeLessThan(all);
    await counting.run(path);
    // A few that are little are left for when somebody asks.
    expect(counting.isNeeded(path)).toBeFalse();
    db.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
