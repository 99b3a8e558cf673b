import { type AnyManipulative, MANIPULATIVES, countOf } from '@gumo/core/handling';
import { dominoSet } from '@gumo/core/numbers';
import { questionForItem } from '@gumo/core/rounds';
import { SKILLS } from '@gumo/core/skills';
import { Place } from '../testing/place';
import { type Dropped, SceneView } from './scene';

const byId = (id: string): AnyManipulative => MANIPULATIVES.find((one) => one.id === id)!;
const never = (): number => 0.5;

/** What the pieces on screen are worth together, read from the page itself. */
const onScreen = (place: Place<SceneView>): number =>
  [...place.element.querySelectorAll<SVGGElement>('.piece')]
    .filter((one) => !(one.getAttribute('aria-label') ?? '').includes('folded'))
    .filter((one) => !one.querySelector('.body')!.hasAttribute('hidden'))
    .reduce((sum, one) => sum + Number(one.dataset['value']), 0);

async function draw(
  material: AnyManipulative,
  state: unknown = material.start,
): Promise<Place<SceneView>> {
  return Place.open(SceneView, { inputs: { scene: material.scene(state), live: true } });
}

describe('what is drawn agrees with what core says', () => {
  it('for every number from none to twenty, in every thing that shows a number', async () => {
    const place = await draw(byId('dots'));
    const shows = async (material: AnyManipulative, state: unknown, n: number): Promise<void> => {
      place.fixture.componentRef.setInput('scene', material.scene(state));
      await place.settle();
      expect(onScreen(place)).withContext(`${material.id} ${n}`).toBe(n);
    };
    for (const id of ['dots', 'beads', 'tray', 'tally', 'partners', 'share']) {
      const material = byId(id);
      for (let n = 0; n <= 20; n++)
        await shows(material, material.set(material.start, 'n', n, never), n);
    }
    const fingers = byId('fingers');
    for (let n = 0; n <= 10; n++) {
      await shows(fingers, fingers.set(fingers.start, 'n', n, never), n);
    }
    const frame = byId('frame');
    for (const fill of ['row', 'pairs']) {
      const chosen = frame.set(frame.start, 'fill', fill, never);
      for (let n = 0; n <= 10; n++) await shows(frame, frame.set(chosen, 'n', n, never), n);
    }
    const two = frame.set(frame.start, 'size', 'two', never);
    for (let n = 0; n <= 20; n++) await shows(frame, frame.set(two, 'n', n, never), n);
    const domino = byId('domino');
    const nine = domino.set(domino.start, 'highest', '9', never);
    for (const [a, b] of dominoSet(9)) {
      await shows(domino, domino.set(domino.set(nine, 'a', a, never), 'b', b, never), a + b);
    }
  });

  it('for every number of the hundred chart, covered ones left out', async () => {
    const hundred = byId('hundred');
    const place = await draw(hundred);
    const numbers = (): number[] =>
      [...place.element.querySelectorAll('.number')].map((one) => Number(one.textContent));
    expect(numbers()).toEqual(Array.from({ length: 100 }, (_, i) => i + 1));
    place.fixture.componentRef.setInput(
      'scene',
      hundred.scene(hundred.tap(hundred.start, 'n-37', never)),
    );
    await place.settle();
    expect(numbers().length).toBe(99);
    expect(numbers()).not.toContain(37);
  });

  it('for questions of every skill', async () => {
    const place = await draw(byId('dots'));
    place.fixture.componentRef.setInput('live', false);
    for (const skill of SKILLS) {
      const scene = questionForItem(skill.id, skill.items[0]!.id, ['speaks'])?.scene;
      if (!scene || scene.pieces.some((one) => one.look === 'finger')) continue;
      place.fixture.componentRef.setInput('scene', scene);
      await place.settle();
      expect(onScreen(place)).withContext(skill.id).toBe(countOf(scene));
      expect(place.find('svg').getAttribute('aria-label')).toBe(scene.words);
    }
  });
});

describe('a thing that is moved', () => {
  it('is chosen by arrow keys and Enter, one tab stop in all', async () => {
    const place = await draw(byId('frame'));
    const tapped: string[] = [];
    place.fixture.componentInstance.tapped.subscribe((id) => tapped.push(id));
    const press = async (key: string): Promise<void> => {
      place.find('svg').dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await place.settle();
    };
    expect(place.element.querySelectorAll('[tabindex="0"]').length).toBe(1);
    const first = place.find('[tabindex="0"]').dataset['id'];
    await press('ArrowRight');
    expect(place.element.querySelectorAll('[tabindex="0"]').length).toBe(1);
    expect(place.find('[tabindex="0"]').dataset['id']).not.toBe(first);
    await press('Enter');
    await press(' ');
    expect(tapped.length).toBe(2);
  });

  it('is laid down where the pointer lets go, and a short touch is a tap', async () => {
    const place = await draw(byId('plates'));
    place.element.style.width = '500px';
    document.body.append(place.element);
    const dropped: Dropped[] = [];
    const tapped: string[] = [];
    place.fixture.componentInstance.dropped.subscribe((one) => dropped.push(one));
    place.fixture.componentInstance.tapped.subscribe((one) => tapped.push(one));
    const middle = (id: string): { clientX: number; clientY: number } => {
      const box = place.find(`[data-id="${id}"]`).getBoundingClientRect();
      return { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 };
    };
    const svg = place.element.querySelector('svg')!;
    svg.setPointerCapture = (): void => undefined;
    const event = (type: string, at: object): PointerEvent =>
      new PointerEvent(type, { bubbles: true, pointerId: 1, ...at });
    const counter = place.find('[data-id="counter-0-0"]');
    counter.dispatchEvent(event('pointerdown', middle('counter-0-0')));
    svg.dispatchEvent(event('pointermove', middle('plate-1')));
    svg.dispatchEvent(event('pointerup', middle('plate-1')));
    expect(dropped).toEqual([{ pieceId: 'counter-0-0', placeId: 'plate-1' }]);
    // The click that follows a move is not a tap.
    counter.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    expect(tapped).toEqual([]);
    counter.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    expect(tapped).toEqual(['counter-0-0']);
  });

  it('stands still where it is only a picture', async () => {
    const place = await draw(byId('frame'));
    place.fixture.componentRef.setInput('live', false);
    await place.settle();
    expect(place.find('svg').getAttribute('role')).toBe('img');
    expect(place.element.querySelectorAll('[role="button"], [tabindex]').length).toBe(0);
  });
});
