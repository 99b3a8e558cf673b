import { randomUUID } from 'node:crypto';
import { type PrintItem, usualWish } from '@gumo/core/sheets';
import { newMaterial } from '@gumo/core/vocabulary';
import { readPdf } from '../testing/pdf-reader.js';
import { MONDAY, WeekWorld, problemOf } from '../testing/week-world.js';

describe('paper, over HTTP', () => {
  let week: WeekWorld;
  beforeEach(async () => {
    week = await WeekWorld.open();
  });
  afterEach(() => week.close());

  const pdf = async (path: string): ReturnType<typeof readPdf> => {
    const answer = await fetch(`${week.world.url}${path}`);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    return readPdf(new Uint8Array(await answer.arrayBuffer()));
  };
  const item = (kind: string, more: Partial<PrintItem> = {}): PrintItem => ({
    id: randomUUID(),
    kind,
    childId: null,
    wish: usualWish(),
    addedOn: '2026-03-10',
    version: 1,
    ...more,
  });
  const planned = async (activityId: string, day = MONDAY, tops = [5, 8]): Promise<void> => {
    const participants = [week.wren, week.juno].map(({ id }, i) => ({
      childId: id,
      rangeMax: tops[i] ?? 5,
    }));
    const answer = await week.ask('POST', '/plan', {
      id: randomUUID(),
      day,
      momentId: 'floor',
      activityId,
      participants,
      minutes: 8,
      with: '',
    });
    expect(answer.status).toBe(201);
  };

  it('proposes a mat for each child and shared cards once, and prints what was collected', async () => {
    await planned('build-frame');
    await planned('show-say', '2026-03-17', [5, 10]);
    await planned('card-hunt', '2026-03-18', [5, 20]);
    const proposed = (await week.ask('GET', `/sheets/proposed?from=${MONDAY}&days=7`)).body as {
      kind: string;
      childId: string | null;
      wish: PrintItem['wish'];
    }[];
    const of = (kind: string) => proposed.filter((one) => one.kind === kind);
    expect(of('ten-frame').map((one) => one.childId)).toEqual([week.wren.id, week.juno.id]);
    expect(of('number-cards').map((one) => one.wish.high)).toEqual([20]);

    // What is at hand is not printed once more.
    const frames = newMaterial(randomUUID(), { name: 'ten frames', use: 'frame', count: 4 });
    expect((await week.ask('POST', '/materials', frames)).status).toBe(201);
    const now = await week.ask('GET', `/sheets/proposed?from=${MONDAY}&days=7`);
    const kinds = (now.body as { kind: string }[]).map(({ kind }) => kind);
    expect(kinds).not.toContain('ten-frame');
    expect(kinds).toContain('number-cards');

    const rows = of('ten-frame').map((one) => item(one.kind, one));
    expect(
      (
        await week.ask('POST', '/sheets/items/batch', {
          rows: rows.map(({ id, kind, childId, wish, addedOn, version }) => ({
            id,
            kind,
            childId,
            wish,
            addedOn,
            version,
          })),
        })
      ).status,
    ).toBe(201);
    const { pages } = await pdf('/sheets/tray.pdf');
    expect(pages.length).toBe(2);
    expect(pages[0]!.words).toContain(week.wren.name);
    expect(pages[1]!.words).toContain('Juno');
  });

  it('says an odd name as it is: nothing of it becomes a part of the file', async () => {
    const name = `<b>"W"&'(\\)</b>`;
    await week.ask('PUT', `/children/${week.wren.id}`, { ...week.wren, name });
    const svg = await (
      await fetch(`${week.world.url}/sheets/ten-frame.svg?child=${week.wren.id}`)
    ).text();
    expect(svg).not.toContain('<b>');
    expect(svg).toMatch(/&(lt|#60);b&(gt|#62);/);
    const { pages } = await pdf(`/sheets/ten-frame.pdf?child=${week.wren.id}`);
    expect(pages[0]!.words).toContain(name);
  });

  it('refuses what cannot be printed, naming the field, and keeps nothing of it', async () => {
    const wrong: [PrintItem, string][] = [
      [item('no-such-sheet'), 'kind'],
      [item('ten-frame', { childId: randomUUID() }), 'childId'],
      [item('bingo', { wish: { ...usualWish(), high: 4 } }), 'sheet'],
      [item('ten-frame', { wish: { ...usualWish(), materialMm: 500 } }), 'wish.materialMm'],
    ];
    for (const [one, field] of wrong) {
      const answer = await week.ask('POST', '/sheets/items', one);
      expect(answer.status).withContext(field).toBeGreaterThanOrEqual(400);
      expect(problemOf(answer).errors[0]!.field).toBe(field);
    }
    expect((await week.ask('GET', '/sheets/items')).body).toEqual([]);
    expect((await week.ask('GET', '/sheets/tray.pdf')).status).toBe(422);
    expect((await week.ask('GET', '/sheets/ten-frame.pdf?faces=rune')).status).toBe(400);
  });

  it('prints the week, the list to lay ready and the strings of a child', async () => {
    await planned('build-frame');
    const plan = await pdf(`/papers/week/${MONDAY}.pdf`);
    expect(plan.pages.length).toBe(1);
    expect(plan.pages[0]!.words.join(' ')).toContain('Monday 16 March');
    expect(plan.pages[0]!.words.join(' ')).toContain('Juno to 8');
    const ready = (await week.ask('GET', `/days/${MONDAY}`)).body as { ready: { words: string }[] };
    const list = await pdf(`/papers/ready/${MONDAY}.pdf`);
    for (const { words } of ready.ready) expect(list.pages[0]!.words).toContain(words);
    const strings = await pdf(`/papers/strings/${week.juno.id}.pdf`);
    expect(strings.pages[0]!.words).toContain('Juno');
    expect(strings.pages[0]!.words).toContain('assumed');
  });

  it('prints what goes home, and the guesses of a child once there are some', async () => {
    const response = await fetch(`${week.world.url}/papers/home.pdf`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: new URL(week.world.url).origin },
      body: JSON.stringify({ strips: [{ title: 'Juno', lines: ['Say: “How many here?”'] }] }),
    });
    expect(response.status).toBe(200);
    const { pages } = await readPdf(new Uint8Array(await response.arrayBuffer()));
    expect(pages[0]!.words.join(' ')).toContain('How many here?');
    const none = await week.ask('GET', `/papers/guesses/${week.juno.id}.pdf`);
    expect([none.status, problemOf(none).title]).toEqual([
      422,
      'Nothing was guessed and counted yet.',
    ]);
  });

  it('prints the slip of a day: a line for each question of its cards, and says so where there is none', async () => {
    await planned('next-number');
    const { pages } = await pdf(`/papers/slip/${MONDAY}.pdf`);
    expect(pages.length).toBe(1);
    const words = pages[0]!.words.join(' ');
    for (const part of ['Slip for 16 March', 'Juno:', 'Which number', 'on their own', 'not yet']) {
      expect(words).toContain(part);
    }
    const empty = await week.ask('GET', '/papers/slip/2026-03-17.pdf');
    expect([empty.status, problemOf(empty).title]).toEqual([
      422,
      'Nothing is planned that can be asked on paper.',
    ]);
  });
});
