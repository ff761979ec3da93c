import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { generate } from 'selfsigned';
import { z } from 'zod';
import { writeSecret } from '../folder/writeWhole.ts';

/** A certificate with its key, PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

const keptSchema = z.object({ cert: z.string(), key: z.string() });
const DAYS = 390;
const DAY_MS = 86_400_000;
/** One that ends sooner is made anew. */
const LEAST_DAYS = 30;
/** Of a name in a certificate: an internet address, as X.509 numbers them. */
const ADDRESS = 7;

/** SHA-256 of a certificate, as phones show it. */
export const fingerprintOf = ({ cert }: Certificate): string => new X509Certificate(cert).fingerprint256;

/**
 * The certificate for the network: the given one, else one that signs itself, kept in a file and made anew when it ends or the addresses are others.
 *
 * @param given paths of PEM files, null without
 * @throws Error with a sentence when the given one cannot be read
 */
export async function certificateFor(
  addresses: readonly string[],
  given: { readonly certFile: string; readonly keyFile: string } | null,
  path: string,
  now = new Date(),
): Promise<Certificate> {
  if (given) return readGiven(given);
  const kept = readKept(path);
  if (kept && fits(kept, addresses, now)) return kept;
  const made = await generate([{ name: 'commonName', value: 'Icy Ribbon studio' }], {
    ...{ keyType: 'ec', curve: 'P-256', algorithm: 'sha256' },
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: addresses.map((ip) => ({ type: ADDRESS, ip })) },
    ],
  });
  const certificate = { cert: made.cert, key: made.private };
  await writeSecret(path, JSON.stringify(certificate));
  return certificate;
}

function readGiven({
  certFile,
  keyFile,
}: {
  readonly certFile: string;
  readonly keyFile: string;
}): Certificate {
  try {
    const certificate = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    fingerprintOf(certificate);
    return certificate;
  } catch {
    throw new Error(
      'The certificate cannot be read: ICY_RIBBON_TLS_CERT and ICY_RIBBON_TLS_KEY name two PEM files.',
    );
  }
}

function readKept(path: string): Certificate | undefined {
  try {
    return keptSchema.parse(JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    return undefined;
  }
}

function fits(kept: Certificate, addresses: readonly string[], now: Date): boolean {
  try {
    const { validTo, subjectAltName = '' } = new X509Certificate(kept.cert);
    const names = subjectAltName.split(', ');
    const lasts = Date.parse(validTo) - now.getTime() > LEAST_DAYS * DAY_MS;
    return lasts && addresses.every((address) => names.includes(`IP Address:${address}`));
  } catch {
    return false;
  }
}
