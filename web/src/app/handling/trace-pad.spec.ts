import { TestBed } from '@angular/core/testing';
import { type TraceSeen, strokesOf } from '@gumo/core/sheets';
import { Place } from '../testing/place';
import { TracePad } from './trace-pad';

type Point = readonly [number, number];
const FORMS = { one: 'plain', four: 'open', nine: 'straight' } as const;

describe('the pad to trace a digit', () => {
  afterEach(() => TestBed.resetTestingModule());

  async function open(
    digit: number,
  ): Promise<{ draw(line: readonly Point[]): void; seen: TraceSeen[]; place: Place<TracePad> }> {
    const place = await Place.open(TracePad, { inputs: { digit } });
    place.element.style.cssText = 'display: block; inline-size: 280px; block-size: 380px';
    const svg = place.element.querySelector('svg')!;
    const seen: TraceSeen[] = [];
    place.fixture.componentInstance.seen.subscribe((one) => seen.push(one));
    const fire = (type: string, [x, y]: Point): void => {
      const at = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM()!);
      svg.dispatchEvent(new PointerEvent(type, { clientX: at.x, clientY: at.y, bubbles: true }));
    };
    // A pointer that no hand moves cannot be captured.
    svg.setPointerCapture = () => undefined;
    const draw = (line: readonly Point[]): void => {
      fire('pointerdown', line[0]!);
      line.slice(1).forEach((point) => fire('pointermove', point));
      fire('pointerup', line.at(-1)!);
    };
    return { draw, seen, place };
  }

  it('says nothing before the last stroke, and then what is seen in it', async () => {
    const { draw, seen, place } = await open(4);
    const [down, through] = strokesOf(4, FORMS).map((stroke) => stroke.points);
    draw(down!);
    expect(seen).toEqual([]);
    draw(through!);
    expect(seen).toEqual(['right']);
    place.fixture.componentInstance.again();
    draw(through!);
    draw(down!);
    // The other stroke first begins elsewhere, and where it begins is seen before the order.
    expect(seen).toEqual(['right', 'start']);
  });

  it('tells a digit that is turned round', async () => {
    const { draw, seen } = await open(3);
    const [line] = strokesOf(3, FORMS).map((stroke) => stroke.points);
    draw(line!.map(([x, y]): Point => [10 - x, y]));
    expect(seen).toEqual(['reversed']);
  });
});
