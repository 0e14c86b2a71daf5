import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { base64urlnopad } from '@scure/base';
import { toCourse, withoutPrivate, type Course } from '../course';
import { packCourse, unpackCourse } from './packed';

const PREFIX = 'hop1';

/** A code that is not one, is damaged, or is of a later kind; the message is for the maker. */
export class ShareCodeError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'ShareCodeError';
  }
}

/** The course as text to paste into a chat: `hop1.<check>.<packed>`, without what is its maker's alone. */
export function toShareCode(course: Course): string {
  const packed = base64urlnopad.encode(packCourse(withoutPrivate(course)));
  return `${PREFIX}.${checkOf(packed)}.${packed}`;
}

/**
 * Reads a course from a share code; white space and line breaks in it do not matter.
 * @throws ShareCodeError when the text is no code or a letter of it is wrong
 * @throws CourseError when what it holds is no course this version can read
 */
export function fromShareCode(text: string): Course {
  const [prefix, check, packed, ...more] = text.replace(/\s+/g, '').split('.');
  if (!/^hop\d+$/.test(prefix)) throw new ShareCodeError('This is not a share code.');
  if (prefix !== PREFIX) {
    throw new ShareCodeError('This code was made by a newer Stone Hop.');
  }
  if (!check || !packed || more.length > 0) {
    throw new ShareCodeError('The code is cut off. Copy it again from the start to the end.');
  }
  if (check !== checkOf(packed)) {
    throw new ShareCodeError('A letter of the code is wrong or missing. Copy it again.');
  }
  let data: unknown;
  try {
    data = unpackCourse(base64urlnopad.decode(packed));
  } catch {
    throw new ShareCodeError('The code cannot be unpacked.');
  }
  return toCourse(data);
}

/** Whether a text looks like a share code at all. */
export const isShareCode = (text: string): boolean => /^\s*hop\d+\./.test(text);

const checkOf = (packed: string): string => bytesToHex(sha256(utf8ToBytes(packed))).slice(0, 8);
