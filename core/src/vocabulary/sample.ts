import * as v from 'valibot';
import { Day, Id, Slug, Version, text } from './basics.js';

/** A picture of a piece of work is no larger than this, in bytes. */
export const MOST_SAMPLE_BYTES = 500_000;
/** Four letters of base64 stand for three bytes. */
const MOST_LETTERS = Math.ceil(MOST_SAMPLE_BYTES / 3) * 4;

/** A drawing or sheet of a child as a picture, kept with its date. */
export const WorkSample = v.object({
  id: Id,
  childId: Id,
  day: Day,
  activityId: v.nullable(v.union([Slug, Id], 'must be the id of an activity')),
  words: text(400),
  /** JPEG as base64, without anything that a camera writes beside the picture. */
  image: v.pipe(
    v.string('must be text'),
    v.maxLength(MOST_LETTERS, 'is larger than 500 kB'),
    v.check((letters) => /^[A-Za-z0-9+/]+={0,2}$/.test(letters), 'must be base64'),
    v.startsWith('/9j/', 'must be a JPEG picture'),
  ),
  version: Version,
});
export type WorkSample = v.InferOutput<typeof WorkSample>;

/** What is listed of a sample, without its picture. */
export const SampleLine = v.omit(WorkSample, ['image']);
export type SampleLine = v.InferOutput<typeof SampleLine>;

const [MARK, START, SCAN, COMMENT] = [0xff, 0xd8, 0xda, 0xfe];
/** Parts of a JPEG file that say nothing but how it is drawn: JFIF, and Adobe's color note. */
const PLAIN_PARTS: ReadonlySet<number> = new Set([0xe0, 0xee]);
/** A browser writes the profile of its colors into what it draws (ICC.1, annex B.4). */
const COLORS = 0xe2;
const PROFILE = 'ICC_PROFILE\0';
const isProfile = (bytes: Uint8Array, at: number): boolean =>
  String.fromCharCode(...bytes.subarray(at, at + PROFILE.length)) === PROFILE;

/**
 * Whether a JPEG file (ITU-T T.81) holds something beside the picture, such as where and with what it
 * was taken: a comment, or an application segment other than those that only say how it is drawn.
 * Null where it is no JPEG file.
 */
export function holdsMore(bytes: Uint8Array): boolean | null {
  if (bytes[0] !== MARK || bytes[1] !== START) return null;
  for (let at = 2; at + 4 <= bytes.length;) {
    const [mark, kind = 0] = [bytes[at], bytes[at + 1]];
    if (mark !== MARK) return null;
    if (kind === SCAN) return false;
    const isApplication = kind >= 0xe0 && kind <= 0xef;
    const isPlain = PLAIN_PARTS.has(kind) || (kind === COLORS && isProfile(bytes, at + 4));
    if (kind === COMMENT || (isApplication && !isPlain)) return true;
    at += 2 + ((bytes[at + 2] ?? 0) << 8) + (bytes[at + 3] ?? 0);
  }
  return null;
}
