import { X509Certificate } from 'node:crypto';
import { chmod, mkdir, readFile, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { ownAddresses } from './origin.ts';

export interface Certificates {
  /** To be trusted by each device, once: signs what the server shows. */
  authority: string;
  key: string;
  cert: string;
}

const YEARS_OF_AUTHORITY = 10;
/** Longer than this no phone takes. */
const DAYS_OF_SERVER = 390;
const DAY_MS = 86_400_000;
/** Made anew this long before it ends. */
const RENEW_DAYS = 30;

const until = (days: number) => new Date(Date.now() + days * DAY_MS);
const algorithm = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' } as const;
/** A device with a clock a little behind must take it too. */
const since = () => new Date(Date.now() - DAY_MS);

const namesOf = (added: readonly string[]): string[] => {
  const own = hostname().toLowerCase();
  return ['localhost', own, `${own}.local`, ...added];
};
const addressesOf = (): string[] => ['127.0.0.1', ...ownAddresses().map((a) => a.replace(/[[\]]/g, ''))];

/** Whether a server certificate still holds, for every name and address that this machine has now. */
export function holds(cert: string, names: readonly string[], addresses: readonly string[]): boolean {
  const read = new X509Certificate(cert);
  const left = Date.parse(read.validTo) - Date.now();
  return (
    left > RENEW_DAYS * DAY_MS &&
    names.every((n) => read.checkHost(n) !== undefined) &&
    addresses.every((a) => read.checkIP(a) !== undefined)
  );
}

const readOr = (file: string): Promise<string | undefined> => readFile(file, 'utf8').catch(() => undefined);
async function keep(file: string, text: string, secret: boolean): Promise<void> {
  await writeFile(file, text, { mode: secret ? 0o600 : 0o644 });
  if (secret) await chmod(file, 0o600);
}

/**
 * The shop's own certificate authority and what it signs, kept in a folder: made at the first start, the server's anew
 * when it nears its end or the machine has another address.
 */
export async function certificates(folder: string, added: readonly string[] = []): Promise<Certificates> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const at = (name: string) => join(folder, name);
  let authority = await readOr(at('authority.crt'));
  let authorityKey = await readOr(at('authority.key'));
  if (authority === undefined || authorityKey === undefined) {
    const made = await generate([{ name: 'commonName', value: `Pondu workshop ${hostname()}` }], {
      ...algorithm,
      notBeforeDate: since(),
      notAfterDate: until(365 * YEARS_OF_AUTHORITY),
      extensions: [
        { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    });
    [authority, authorityKey] = [made.cert, made.private];
    await keep(at('authority.crt'), authority, false);
    await keep(at('authority.key'), authorityKey, true);
  }
  const [names, addresses] = [namesOf(added), addressesOf()];
  const cert = await readOr(at('server.crt'));
  const key = await readOr(at('server.key'));
  if (cert !== undefined && key !== undefined && holds(cert, names, addresses)) return { authority, cert, key };
  const made = await generate([{ name: 'commonName', value: hostname() }], {
    ...algorithm,
    notBeforeDate: since(),
    notAfterDate: until(DAYS_OF_SERVER),
    ca: { key: authorityKey, cert: authority },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...names.map((value) => ({ type: 2 as const, value })),
          ...addresses.map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  await keep(at('server.crt'), made.cert, false);
  await keep(at('server.key'), made.private, true);
  return { authority, cert: made.cert, key: made.private };
}
