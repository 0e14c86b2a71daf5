import { UNNAMED } from '@/core/protocol';
import { HttpError } from './http';

/**
 * A name as names are compared: letters that look the same for all purposes are the same (Unicode's form
 * NFKC), large or small, with one space between words.
 */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKC')
    .toLowerCase()
    .normalize('NFKC')
    .replace(/[\s.'’-]+/gu, ' ')
    .trim();

/** Names nobody may go by: they would be taken for the people who run the place, or for nobody. */
const RESERVED = new Set(
  [
    UNNAMED,
    'Nobody',
    'Stone Hop',
    'Stonehop',
    'Admin',
    'Administrator',
    'Moderator',
    'Server',
    'Support',
    'System',
    'You',
  ].map(nameKey),
);

/** @throws HttpError 409 for a name that nobody may go by */
export function refuseReserved(name: string): void {
  if (RESERVED.has(nameKey(name))) {
    throw new HttpError(409, 'name-taken', `Nobody can be called ${name} here.`);
  }
}
