import { X509Certificate, createPrivateKey } from 'node:crypto';
import { isIP } from 'node:net';
import { generate } from 'selfsigned';
import { wrongField } from '../../faults.js';

/** A certificate with its key, as PEM, and the one that signed it where Gumo made both. */
export interface Certificate {
  readonly certificate: string;
  readonly key: string;
}

/** The household's own authority: devices that trust it trust every certificate that it signs. */
export interface OwnCertificate extends Certificate {
  readonly authority: Certificate;
  readonly names: readonly string[];
}

const DAY_MS = 86_400_000;
/** Devices refuse certificates that live longer than about 13 months (common practice, from memory). */
const LEAF_DAYS = 390;
const AUTHORITY_DAYS = 3650;
const RENEW_DAYS = 30;

/**
 * A certificate for these names and addresses: the known one while it fits, else a new one signed by the
 * same authority.
 * @param names host names and IP addresses, the first also stands as its subject
 */
export async function ownCertificate(
  known: OwnCertificate | null,
  names: readonly string[],
  now: Date,
): Promise<OwnCertificate> {
  const fits =
    known !== null &&
    names.every((name) => known.names.includes(name)) &&
    new Date(new X509Certificate(known.certificate).validTo).getTime() - now.getTime() >
      RENEW_DAYS * DAY_MS;
  if (fits) return known;
  const authority = known?.authority ?? (await makeAuthority(now));
  const made = await generate([{ name: 'commonName', value: names[0] ?? 'gumo' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + LEAF_DAYS * DAY_MS),
    ca: { cert: authority.certificate, key: authority.key },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) =>
          isIP(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name },
        ),
      },
    ],
  });
  return { certificate: made.cert, key: made.private, authority, names };
}

async function makeAuthority(now: Date): Promise<Certificate> {
  const made = await generate([{ name: 'commonName', value: 'Gumo of this household' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  return { certificate: made.cert, key: made.private };
}

/** @throws Fault `impossible` where a certificate and key cannot be used together now */
export function checkGiven({ certificate, key }: Certificate, now: Date): void {
  const read = <T>(field: string, work: () => T): T => {
    try {
      return work();
    } catch {
      throw wrongField(`given.${field}`, 'cannot be read as PEM');
    }
  };
  const cert = read('certificate', () => new X509Certificate(certificate));
  const secret = read('key', () => createPrivateKey(key));
  if (!cert.checkPrivateKey(secret)) {
    throw wrongField('given.key', 'does not belong to the certificate');
  }
  if (new Date(cert.validTo) < now) throw wrongField('given.certificate', 'is out of date');
}

/** What a person compares: the SHA-256 fingerprint, and the day on which it ends. */
export function looksOf({ certificate }: Certificate): { fingerprint: string; until: string } {
  const cert = new X509Certificate(certificate);
  return {
    fingerprint: cert.fingerprint256,
    until: new Date(cert.validTo).toISOString().slice(0, 10),
  };
}

/** Host names that a certificate stands for. */
export function namesOf({ certificate }: Certificate): string[] {
  const names = new X509Certificate(certificate).subjectAltName ?? '';
  return [...names.matchAll(/(?:DNS|IP Address):([^,\s]+)/g)].map(([, name = '']) => name);
}
