import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<string, Buffer, number, Buffer>(scrypt);
const LENGTH = 32;

/** A salted scrypt digest of a passphrase (Percival, 2009), as `salt:digest` in hexadecimal. */
export async function digestPassphrase(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const digest = await derive(passphrase.normalize('NFKC'), salt, LENGTH);
  return `${salt.toString('hex')}:${digest.toString('hex')}`;
}

/** Whether a passphrase is the one of a digest; takes as long when it is not. */
export async function matchesPassphrase(passphrase: string, stored: string): Promise<boolean> {
  const [salt, digest] = stored.split(':').map((part) => Buffer.from(part, 'hex'));
  const given = await derive(passphrase.normalize('NFKC'), salt, LENGTH);
  return timingSafeEqual(given, digest);
}
