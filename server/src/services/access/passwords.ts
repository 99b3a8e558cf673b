import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { createRequire } from 'node:module';

/**
 * Cost of scrypt: N = 2^17, r = 8, p = 1, 128 MB and some tenths of a second
 * (OWASP Password Storage Cheat Sheet, from memory).
 */
const COST = { ln: 17, r: 8, p: 1 } as const;
const KEY_BYTES = 32;
const MOST_MEMORY = 256 * 1024 * 1024;

const stretched = (secret: string, salt: Buffer, { ln, r, p }: typeof COST): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const options = { N: 2 ** ln, r, p, maxmem: MOST_MEMORY };
    scrypt(secret.normalize('NFKC'), salt, KEY_BYTES, options, (error, key) => {
      if (error) reject(error);
      else resolve(key);
    });
  });

/** One at a time: each takes much memory on purpose, and nobody may ask for many at once. */
let turn: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const result = turn.then(work);
  turn = result.catch(() => undefined);
  return result;
}

/** A password or PIN as it is kept: `$scrypt$ln=17,r=8,p=1$salt$key`, base64. */
export function hashed(secret: string): Promise<string> {
  return inTurn(async () => {
    const salt = randomBytes(16);
    const key = await stretched(secret, salt, COST);
    const { ln, r, p } = COST;
    return `$scrypt$ln=${ln},r=${r},p=${p}$${salt.toString('base64')}$${key.toString('base64')}`;
  });
}

/** Whether a password or PIN is the one that was kept. */
export function isRight(secret: string, kept: string): Promise<boolean> {
  const found = /^\$scrypt\$ln=(\d+),r=(\d+),p=(\d+)\$([^$]+)\$([^$]+)$/.exec(kept);
  if (!found) return Promise.resolve(false);
  const [, ln, r, p, salt = '', key = ''] = found;
  return inTurn(async () => {
    const cost = { ln: Number(ln), r: Number(r), p: Number(p) } as typeof COST;
    const made = await stretched(secret, Buffer.from(salt, 'base64'), cost);
    return timingSafeEqual(made, Buffer.from(key, 'base64'));
  });
}

interface Lists {
  readonly dictionary: { readonly passwords: readonly string[] };
}
let common: ReadonlySet<string> | undefined;

/** Whether a password stands on the list of common ones, in any case, or is one of them doubled. */
export function isCommon(password: string): boolean {
  // The package's own list, read when it is first needed: half a megabyte.
  common ??= new Set(
    (createRequire(import.meta.url)('@zxcvbn-ts/language-common') as Lists).dictionary.passwords,
  );
  const plain = password.toLowerCase().trim();
  const half = plain.slice(0, plain.length / 2);
  return common.has(plain) || (plain === half + half && common.has(half)) || /^(.)\1*$/.test(plain);
}

/** Fewest letters and digits that a password must have beside names. */
const OWN_LEAST = 6;
const SHORTEST_NAME = 3;

/** True where little is left of a password once these names are taken out, spaces, signs and case aside. */
export function isNearTo(password: string, names: readonly string[]): boolean {
  const plain = (text: string): string =>
    text
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]/gu, '');
  const words = names
    .flatMap((name) => [plain(name), ...name.split(/\s+/).map(plain)])
    .filter((word) => word.length >= SHORTEST_NAME)
    .sort((a, b) => b.length - a.length);
  const whole = plain(password);
  const rest = words.reduce((left, word) => left.replaceAll(word, ''), whole);
  return rest.length < whole.length && rest.length < OWN_LEAST;
}
