import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import type { Course } from './schema';

/** JSON with sorted keys and no white space: equal data gives equal text. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (typeof value === 'object' && value !== null) {
    const entries = Object.entries(value)
      .filter(([, item]) => item !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${entries.map(([key, item]) => `${JSON.stringify(key)}:${canonicalJson(item)}`).join(',')}}`;
  }
  return JSON.stringify(value);
}

/** What of a piece is beside the run. */
const BESIDE = new Set(['name', 'look', 'group', 'layer', 'hidden', 'locked', 'twin']);

/**
 * SHA-256, as hexadecimal, over what affects a run. Names, notes, targets and looks do not, nor does
 * the order in which the pieces are listed; a proof therefore outlives renaming and repainting.
 */
export function courseHash(course: Course): string {
  const pieces = course.pieces
    .map((piece) => Object.fromEntries(Object.entries(piece).filter(([key]) => !BESIDE.has(key))))
    .sort((a, b) => (a.id! < b.id! ? -1 : 1));
  const { version, kind, laps, hold, space, runner, tide, collides, models } = course;
  const { gravity, order, limit, legs, links, tempo, shapes, allowances } = course;
  const rules = {
    ...{ version, kind, laps, hold, space, runner, tide, collides, models },
    ...{ gravity, order, limit, legs, links, shapes, allowances },
    beats: tempo && [tempo.beats, tempo.offset ?? 0],
  };
  return bytesToHex(sha256(utf8ToBytes(canonicalJson({ ...rules, pieces }))));
}
