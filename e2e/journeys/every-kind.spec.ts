import type { Page } from '@playwright/test';
import type { CaptureKind } from '@gumo/core/vocabulary';
import { asked, expect, finish, note, test } from '../world';

/** For every kind of record an activity that takes it, and a child for whom it is asked. */
const KINDS: Readonly<Record<CaptureKind, readonly [activity: string, child: string]>> = {
  reach: ['stairs', 'Kofi'],
  count: ['tidy-count', 'Kofi'],
  give: ['land-in-cup', 'Kofi'],
  frame: ['build-frame', 'Mirela'],
  glance: ['dot-plates', 'Kofi'],
  numeral: ['turn-over', 'Sunniva'],
  order: ['hop-track', 'Kofi'],
  gap: ['hundred-fill', 'Sunniva'],
  draw: ['digit-write', 'Sunniva'],
  compare: ['tiles-more', 'Kofi'],
  after: ['one-more-line', 'Kofi'],
  bond: ['bead-string', 'Sunniva'],
  add: ['two-towers', 'Sunniva'],
  place: ['numbered-snails', 'Mirela'],
  tens: ['tens-build', 'Sunniva'],
  groups: ['rows-groups', 'Sunniva'],
  share: ['parcel-share', 'Kofi'],
  partner: ['counters-under', 'Sunniva'],
  pattern: ['copy-next', 'Kofi'],
  sort: ['sort-basket', 'Kofi'],
  chart: ['columns-chart', 'Sunniva'],
  weigh: ['divide-weigh', 'Sunniva'],
  length: ['long-line', 'Kofi'],
  range: ['jar-range', 'Sunniva'],
  guess: ['mirror-hinge', 'Kofi'],
  catch: ['puppet-slip', 'Kofi'],
  story: ['story-props', 'Sunniva'],
  note: ['break-halves', 'Sunniva'],
};

interface Kept {
  readonly observations: readonly {
    readonly observation: { readonly record: { readonly kind: CaptureKind } };
  }[];
}

/** So many journeys share the kinds among them. */
const PARTS = 4;
/** How many tries it may take until a prompt of the kind comes up among the others of an activity. */
const MOST_TRIES = 12;

async function beginFromActivities(page: Page, activity: string, child: string): Promise<void> {
  await page.goto(new URL(`/activities/${activity}`, page.url()).href);
  await page.getByRole('button', { name: new RegExp(`^${child}`) }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.sentence')).toBeVisible();
}

/** Targets of a try that are less than a thumb wide or high, by what they say. */
const small = (page: Page): Promise<string[]> =>
  page
    .locator('gumo-answer-pad button, gumo-came-up button, gumo-outcome-bar button')
    .evaluateAll((buttons) =>
      buttons.flatMap((button) => {
        const { width, height } = button.getBoundingClientRect();
        return Math.min(width, height) < 56 ? [`${button.textContent} ${width} x ${height}`] : [];
      }),
    );

test.describe('on a phone, by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  const all = Object.entries(KINDS);
  const many = Math.ceil(all.length / PARTS);
  for (let part = 0; part < PARTS; part++) {
    const some = all.slice(part * many, (part + 1) * many);
    test(`a try of each of these is noted and stands on the child’s page: ${some.map(([kind]) => kind).join(', ')}`, async ({
      page,
    }) => {
      test.setTimeout(240_000);
      for (const [kind, [activity, child]] of some) {
        await test.step(kind, () => tryOf(page, kind as CaptureKind, activity, child));
      }
    });
  }
});

/** Notes tries until one of the kind is among them, and finds them all on the child's page. */
async function tryOf(
  page: Page,
  kind: CaptureKind,
  activity: string,
  child: string,
): Promise<void> {
  await beginFromActivities(page, activity, child);
  const session = page.url().split('/').at(-1) ?? '';
  const kinds = async (): Promise<CaptureKind[]> => {
    const answer = await page.request.get(new URL(`/api/sessions/${session}`, page.url()).href);
    if (!answer.ok()) return [];
    const { observations } = (await answer.json()) as Kept;
    return observations.map((one) => one.observation.record.kind);
  };

  for (let tries = 1; tries <= MOST_TRIES; tries++) {
    await asked(page);
    expect(await small(page), kind).toEqual([]);
    await note(page, tries % 2 === 0 ? 'Not yet' : 'On their own');
    await expect.poll(async () => (await kinds()).length).toBe(tries);
    if (tries >= 2 && (await kinds()).includes(kind)) break;
  }
  const noted = await kinds();
  expect(noted, `${activity} asked ${noted.join(', ')}`).toContain(kind);

  await finish(page);
  await page.locator('.ended').getByRole('link', { name: child }).tap();
  await page.getByRole('tab', { name: 'Sessions' }).tap();
  const row = page.locator('mat-expansion-panel-header').first();
  await row.tap();
  await expect(page.locator('mat-expansion-panel li')).toHaveCount(noted.length);
}
