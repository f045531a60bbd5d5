import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { createCA, createCert } from 'mkcert';

/** How long the authority holds, days. */
const AUTHORITY_DAYS = 3650;
/** How long a certificate holds, days. Telephones take none of more than 398 (common practice of browsers). */
const CERTIFICATE_DAYS = 397;

/** Where the authority lies: in the person's own folder, which nobody else may read. */
export const authorityFolder = process.env.AETAS_HOME ?? join(homedir(), '.aetas');

/** The authority of this machine, made on first use. Its key stays in its folder. */
export async function authority(folder = authorityFolder) {
  const paths = { key: join(folder, 'authority-key.pem'), cert: join(folder, 'authority.pem') };
  if (!existsSync(paths.key) || !existsSync(paths.cert)) {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
    const made = await createCA({
      organization: 'Aetas at home',
      countryCode: 'XX',
      state: '-',
      locality: '-',
      validity: AUTHORITY_DAYS,
    });
    writeFileSync(paths.key, made.key, { mode: 0o600 });
    writeFileSync(paths.cert, made.cert, { mode: 0o644 });
  }
  chmodSync(paths.key, 0o600);
  return { key: readFileSync(paths.key, 'utf8'), cert: readFileSync(paths.cert, 'utf8') };
}

/** A certificate for some names and addresses, by an authority. It is made anew at each start and kept nowhere. */
export async function certificateFor(names, by) {
  const made = await createCert({ ca: by, domains: names, validity: CERTIFICATE_DAYS });
  return { key: made.key, cert: `${made.cert}\n${by.cert}` };
}

/** What tells one certificate from any other, for two eyes to compare. */
export function fingerprintOf(certificate) {
  return new X509Certificate(certificate).fingerprint256;
}
