import { X509Certificate } from 'node:crypto';
import QRCode from 'qrcode';

export interface Welcome {
  addresses: readonly string[];
  file: string;
  key: string | undefined;
  /** Where the certificate is, over plain http. */
  trust: string | undefined;
  authority: string | undefined;
}

/** The address that lets a device in when it is scanned: what stands behind # is not sent to anyone. */
export const enterAddress = (address: string, key: string): string => `${address}/enter.html#${key}`;

/** What the terminal says once all is up: the address as a line of its own, and how another device comes in. */
export async function welcome({ addresses, file, key, trust, authority }: Welcome): Promise<string> {
  const lines = ['', 'Pondu is at', ...addresses.map((a) => `  ${a}`), `Data in ${file}`];
  if (trust && authority)
    lines.push(
      '',
      `A new device trusts the certificate first, at ${trust}`,
      `Its fingerprint: ${new X509Certificate(authority).fingerprint256}`,
    );
  if (key && addresses[0]) {
    const address = enterAddress(addresses[0], key);
    const code = await QRCode.toString(address, { type: 'terminal', small: true });
    lines.push('', `Shop key: ${key}`, 'or scan:', '', code);
  }
  return `${lines.join('\n')}\n`;
}
