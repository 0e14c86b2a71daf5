import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import type { Request } from 'express';
import { partyOf } from './limits';
import type { Context } from './context';
import { BLOCK, LANES, STEPS } from './passphraseCost';

const LENGTH = 32;

/** What a digest was made with, and the digest. */
interface Stored {
  readonly steps: number;
  readonly block: number;
  readonly lanes: number;
  readonly salt: Buffer;
  readonly digest: Buffer;
}

/** The derived key: much work, which takes 128 MB; see `inTurn`. */
function derive(passphrase: string, { steps, block, lanes, salt }: Omit<Stored, 'digest'>) {
  const cost = { N: 2 ** steps, r: block, p: lanes, maxmem: 2 ** (steps + 8) * block };
  return new Promise<Buffer>((resolve, reject) =>
    scrypt(passphrase.normalize('NFKC'), salt, LENGTH, cost, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  );
}

/** How long a digest is taken to be worked on, ms. */
const USUAL = 400;

/** Who has a passphrase worked out: whether they are known by a session of theirs or a device. */
export interface Asking {
  readonly req: Request;
  readonly isKnown: boolean;
}

/**
 * Works out what a passphrase comes to when its turn comes: whoever tries many waits, and nobody waits for them, least
 * of all whoever is known.
 * @param context what the server works with
 * @param asking who asks
 * @param work what is worked out
 * @throws HttpError 429 or 503 as `Turns.take`
 */
export const inTurn = <T>(
  { passphrases, knownPassphrases }: Context,
  { req, isKnown }: Asking,
  work: () => Promise<T>,
): Promise<T> =>
  (isKnown ? knownPassphrases : passphrases).take(partyOf(req, undefined), USUAL, work);

/** A salted digest of a passphrase, with what it was made with: `scrypt:17:8:1:salt:digest`. */
export async function digestPassphrase(passphrase: string): Promise<string> {
  const made = { steps: STEPS, block: BLOCK, lanes: LANES, salt: randomBytes(16) };
  const digest = await derive(passphrase, made);
  return ['scrypt', STEPS, BLOCK, LANES, made.salt.toString('hex'), digest.toString('hex')].join(
    ':',
  );
}

/** Parameters of the first digests, `salt:digest`, which do not name them. */
const [OLD_STEPS, OLD_BLOCK, OLD_LANES] = [14, 8, 1];

/** True for a digest made with less work than now: it is renewed at the next sign-in. */
export const isOldDigest = (stored: string): boolean =>
  (readStored(stored)?.steps ?? STEPS) < STEPS;

function readStored(stored: string): Stored | null {
  const parts = stored.split(':');
  if (parts.length === 2) {
    const [salt, digest] = parts.map((part) => Buffer.from(part, 'hex'));
    return { steps: OLD_STEPS, block: OLD_BLOCK, lanes: OLD_LANES, salt, digest };
  }
  const [kind, steps, block, lanes, salt, digest] = parts;
  if (kind !== 'scrypt' || !digest) return null;
  return {
    steps: Number(steps),
    block: Number(block),
    lanes: Number(lanes),
    salt: Buffer.from(salt, 'hex'),
    digest: Buffer.from(digest, 'hex'),
  };
}

// Compared with where there is no digest; made of random bytes, so that nothing matches it.
const nothing = (): Stored => ({
  steps: STEPS,
  block: BLOCK,
  lanes: LANES,
  salt: randomBytes(16),
  digest: randomBytes(LENGTH),
});

/**
 * Whether a passphrase is the one of a digest. Takes as long where there is no digest, and then never is:
 * who has no passphrase cannot sign in.
 */
export async function matchesPassphrase(
  passphrase: string,
  stored: string | null,
): Promise<boolean> {
  const known = stored === null ? null : readStored(stored);
  const against = known ?? nothing();
  const given = await derive(passphrase, against);
  return timingSafeEqual(given, against.digest) && known !== null;
}
