import { randomUUID } from 'node:crypto';
import type { Child, WorkSample } from '@gumo/core/vocabulary';
import { type World, aChild, openWorld } from '../testing/world.js';

/** A picture of one white point: the smallest that says how it is drawn, made by a browser's canvas. */
const POINT = Buffer.from(
  [
    'ffd8ffe000104a46494600010100000100010000ffdb004300',
    '01'.repeat(64),
    'ffc0000b080001000101011100ffc4001f0000010501010101010100000000000000000102030405060708090a0b',
    'ffda0008010100003f00d2cf20ffd9',
  ].join(''),
  'hex',
);

describe('pictures of work, over HTTP', () => {
  let world: World;
  let wren: Child;
  beforeEach(async () => {
    world = await openWorld();
    wren = (await world.ask('POST', '/children', aChild())).body;
  });
  afterEach(() => world.close());

  const sample = (more: Partial<WorkSample> = {}): WorkSample => ({
    id: randomUUID(),
    childId: wren.id,
    day: '2026-03-09',
    activityId: 'handfuls',
    words: 'a snail with five rings',
    image: POINT.toString('base64'),
    version: 1,
    ...more,
  });
  const listed = async (): Promise<string[]> => {
    const answer = await world.ask('GET', `/samples/of/${wren.id}`);
    return (answer.body as { words: string }[]).map((one) => one.words);
  };

  it('are kept, listed without their pixels, shown, carried along, and taken out', async () => {
    const one = sample();
    const kept = await world.ask('POST', '/samples', one);
    expect(kept.status).toBe(201);
    expect(Object.keys(kept.body)).not.toContain('image');
    await world.ask('POST', '/samples', sample({ day: '2026-03-10', words: 'later' }));
    expect(await listed()).toEqual(['later', one.words]);
    const picture = await fetch(`${world.url}/samples/${one.id}/picture.jpg`);
    expect(picture.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(await picture.arrayBuffer()).equals(POINT)).toBeTrue();

    const file = await (await fetch(`${world.url}/records/household.json`)).text();
    const other = await openWorld();
    try {
      expect((await other.ask('POST', '/records/household', file)).status).toBe(201);
      expect(await (await fetch(`${other.url}/records/household.json`)).text()).toBe(file);
      const there = await fetch(`${other.url}/samples/${one.id}/picture.jpg`);
      expect(Buffer.from(await there.arrayBuffer()).equals(POINT)).toBeTrue();
    } finally {
      await other.close();
    }
    expect((await world.ask('DELETE', `/samples/${one.id}?version=1`)).status).toBe(204);
    expect(await listed()).toEqual(['later']);
  });

  it('are refused where they hold a place or a camera, are no picture, or too large', async () => {
    const exif = Buffer.concat([
      POINT.subarray(0, 2),
      Buffer.from('ffe1000a457869660000474d', 'hex'),
      POINT.subarray(2),
    ]);
    const wrong: [Partial<WorkSample>, string][] = [
      [{ image: exif.toString('base64') }, 'image'],
      [{ image: `/9j/${'A'.repeat(40)}` }, 'image'],
      [{ image: Buffer.from('GIF89a picture').toString('base64') }, 'image'],
      [{ image: `/9j/${'A'.repeat(700_000)}` }, 'image'],
      [{ image: '/9j/<svg onload=x>' }, 'image'],
      [{ childId: randomUUID() }, 'childId'],
      [{ activityId: 'no-such' }, 'activityId'],
      [{ day: '2026-02-31' }, 'day'],
    ];
    for (const [more, field] of wrong) {
      const answer = await world.ask('POST', '/samples', sample(more));
      expect(answer.status)
        .withContext(JSON.stringify(more).slice(0, 80))
        .toBeGreaterThanOrEqual(400);
      expect(answer.status).toBeLessThan(500);
      const { errors } = answer.body as { errors: { field: string }[] };
      expect(errors[0]!.field).toBe(field);
    }
    expect(await listed()).toEqual([]);
  });
});
