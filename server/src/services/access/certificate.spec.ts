import { checkGiven, ownCertificate } from './certificate.js';

describe('a certificate of the household', () => {
  it('keeps its certificate while it fits, and its authority when the addresses change', async () => {
    const now = new Date('2026-03-10T08:00:00Z');
    const first = await ownCertificate(null, ['10.0.0.4', 'loft.local'], now);
    expect(await ownCertificate(first, ['loft.local'], now)).toBe(first);
    const moved = await ownCertificate(first, ['10.0.0.9'], now);
    expect(moved.authority).toEqual(first.authority);
    expect(moved.certificate).not.toBe(first.certificate);
    const later = new Date(now.getTime() + 380 * 86_400_000);
    expect((await ownCertificate(first, ['10.0.0.4'], later)).certificate).not.toBe(
      first.certificate,
    );
  });

  it('is refused where its parts do not belong together, cannot be read, or are out of date', async () => {
    const other = await ownCertificate(null, ['localhost'], new Date());
    const stray = { certificate: other.certificate, key: other.authority.key };
    expect(() => checkGiven(stray, new Date())).toThrowError(/given.key does not belong/);
    expect(() => checkGiven(other, new Date(Date.now() + 4e10))).toThrowError(/out of date/);
    expect(() => checkGiven({ certificate: 'x', key: 'y' }, new Date())).toThrowError(
      /given.certificate cannot/,
    );
  });
});
