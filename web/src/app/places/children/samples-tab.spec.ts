import { TestBed } from '@angular/core/testing';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import { type SampleLine, type WorkSample, holdsMore } from '@gumo/core/vocabulary';
import { Place, id } from '../../testing/place';
import { asPlainJpeg } from './plain-jpeg';
import { SamplesTab } from './samples-tab';

/** A drawing with every pixel its own, which compresses badly, with words of a camera beside it. */
async function photo(side: number): Promise<Blob> {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = side;
  const context = canvas.getContext('2d')!;
  const pixels = context.createImageData(side, side);
  let seed = 7;
  for (let i = 0; i < pixels.data.length; i++) {
    seed = (seed * 16_807) % 2_147_483_647;
    pixels.data[i] = i % 4 === 3 ? 255 : seed % 256;
  }
  context.putImageData(pixels, 0, 0);
  const plain = await new Promise<Blob>((done) =>
    canvas.toBlob((blob) => done(blob!), 'image/jpeg', 0.95),
  );
  const bytes = new Uint8Array(await plain.arrayBuffer());
  const exif = Uint8Array.from([0xff, 0xe1, 0, 12, ...new TextEncoder().encode('Exif\0\0HOME')]);
  return new Blob([bytes.slice(0, 2), exif, bytes.slice(2)], { type: 'image/jpeg' });
}
const bytesOf = (letters: string): Uint8Array =>
  Uint8Array.from(atob(letters), (letter) => letter.charCodeAt(0));

describe('a picture that is drawn anew', () => {
  it('holds nothing of the camera, and is as small as it has to be', async () => {
    const file = await photo(900);
    expect(holdsMore(new Uint8Array(await file.arrayBuffer()))).toBeTrue();
    expect(file.size).toBeGreaterThan(500_000);
    const drawn = bytesOf(await asPlainJpeg(file, 500_000));
    expect(holdsMore(drawn)).toBeFalse();
    expect(drawn.length).toBeLessThanOrEqual(500_000);
    expect(new TextDecoder('latin1').decode(drawn)).not.toContain('HOME');
    await expectAsync(asPlainJpeg(new Blob(['no picture']), 500_000)).toBeRejected();
  });
});

describe('the work of a child', () => {
  afterEach(() => TestBed.resetTestingModule());
  const line: SampleLine = {
    id: id(7),
    childId: id(1),
    day: '2026-03-09',
    activityId: 'handfuls',
    words: 'five rings',
    version: 1,
  };

  it('is shown with its day and words, kept with what is said of it, and taken out', async () => {
    const place = await Place.open(SamplesTab, {
      inputs: { id: id(1) },
      answers: { [`/samples/of/${id(1)}`]: [line] },
    });
    expect(place.all('li p').join(' ')).toContain('five rings');
    const tab = place.fixture.componentInstance as unknown as {
      draft: { set(image: string): void };
      day: { set(day: string): void };
      remove(line: SampleLine): Promise<void>;
    };
    tab.draft.set('/9j/AAAA');
    tab.day.set('2026-03-10');
    await place.settle();
    const words = place.find<HTMLTextAreaElement>('textarea');
    words.value = ' a tall seven ';
    words.dispatchEvent(new Event('input'));
    await place.submit();
    const sent = place.sent[0]!.body as WorkSample;
    expect([sent.words, sent.day, sent.activityId, sent.image]).toEqual([
      'a tall seven',
      '2026-03-10',
      null,
      '/9j/AAAA',
    ]);
    expect(place.all('li strong').length).toBe(2);

    // It goes, and comes back with its picture.
    spyOn(globalThis, 'fetch').and.resolveTo(new Response(new Uint8Array([255, 216])));
    await tab.remove(line);
    await place.settle();
    expect(place.sent.at(-1)!.path).toBe(`/samples/${id(7)}?version=1`);
    expect(place.all('li strong').length).toBe(1);
    await (await place.loader.getHarness(MatSnackBarHarness)).dismissWithAction();
    await place.settle();
    expect((place.sent.at(-1)!.body as WorkSample).image).toBe(btoa('\u00ff\u00d8'));
    expect(place.all('li strong').length).toBe(2);
  });
});
