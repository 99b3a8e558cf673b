import { makeAttempts } from './attempts.js';
import { hashed, isCommon, isRight } from './passwords.js';

const PASSWORD = 'seven snails on a kite';

describe('the list of common passwords', () => {
  it('knows them in any case and doubled', () => {
    expect(['QWERTYUIOP', 'snail', 'pumpkinpumpkin'].map(isCommon)).toEqual([true, true, true]);
    expect(isCommon(PASSWORD)).toBeFalse();
  });
});

describe('a password that is kept', () => {
  it('is known again in whichever way its letters are written, and costs what it should', async () => {
    const kept = await hashed('schnecken im kän');
    expect(kept).toMatch(/^\$scrypt\$ln=17,r=8,p=1\$/);
    expect(await isRight('schnecken im ka\u0308n', kept)).toBeTrue();
    expect(await isRight('schnecken im kan', kept)).toBeFalse();
    expect(await hashed('schnecken im kän')).not.toBe(kept);
    expect(await isRight('x', 'not a hash')).toBeFalse();
  });

  it('is worked out as the standard says', async () => {
    // RFC 7914, section 12: "pleaseletmein", "SodiumChloride", N = 16384, r = 8, p = 1; here its first 32 bytes.
    const salt = Buffer.from('SodiumChloride').toString('base64');
    const key = Buffer.from(
      '7023bdcb3afd7348461c06cd81fd38ebfda8fbba904f8e3ea9b543f6545da1f2',
      'hex',
    ).toString('base64');
    expect(await isRight('pleaseletmein', `$scrypt$ln=14,r=8,p=1$${salt}$${key}`)).toBeTrue();
  });
});

describe('misses at the door', () => {
  it('makes every address wait where many guess, a quarter of an hour at most', () => {
    let now = 0;
    const attempts = makeAttempts(() => now);
    for (let i = 0; i < 30; i++) attempts.missed(`192.168.1.${i}`);
    expect(attempts.wait('192.168.1.77')).toBe(2);
    for (let i = 0; i < 40; i++) attempts.missed('192.168.1.1');
    expect(attempts.wait('192.168.1.1')).toBe(900);
    now += 901_000;
    expect(attempts.wait('192.168.1.1')).toBe(0);
  });
});
