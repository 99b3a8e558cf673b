import { holdsMore } from './index.js';

/** Segments of a JPEG file (ITU-T T.81): a mark, two bytes of length that count themselves, and data. */
const segment = (kind: number, words: string): number[] => {
  const data = [...words].map((letter) => letter.charCodeAt(0));
  return [0xff, kind, (data.length + 2) >> 8, (data.length + 2) & 0xff, ...data];
};
const [APP0, APP1, APP2, COMMENT, TABLE, SCAN] = [0xe0, 0xe1, 0xe2, 0xfe, 0xdb, 0xda];
const file = (...segments: number[][]): Uint8Array =>
  Uint8Array.from([0xff, 0xd8, ...segments.flat(), ...segment(SCAN, 'x'), 1, 2, 3, 0xff, 0xd9]);

describe('what a picture holds', () => {
  it('is nothing more where it is only drawn, and more where a camera wrote beside it', () => {
    expect(holdsMore(file(segment(APP0, 'JFIF\0'), segment(TABLE, '1234')))).toBeFalse();
    for (const [kind, words] of [
      [APP1, 'Exif\0\0GPS'],
      [APP2, 'MPF\0 a second picture'],
      [COMMENT, 'taken at home'],
    ] as const) {
      expect(holdsMore(file(segment(APP0, 'JFIF\0'), segment(kind, words)))).toBeTrue();
    }
    const profile = segment(APP2, 'ICC_PROFILE\0 of the colors');
    expect(holdsMore(file(segment(APP0, 'JFIF\0'), profile))).toBeFalse();
    // What looks like a mark within the pixels is none.
    expect(holdsMore(Uint8Array.from([...file(), 0xff, APP1]))).toBeFalse();
  });

  it('is not known of what is no JPEG file, or one cut off before its pixels', () => {
    expect(holdsMore(Uint8Array.from([0x89, 0x50, 0x4e, 0x47]))).toBeNull();
    expect(holdsMore(Uint8Array.from([]))).toBeNull();
    expect(holdsMore(file(segment(TABLE, '1234')).slice(0, 6))).toBeNull();
  });
});
