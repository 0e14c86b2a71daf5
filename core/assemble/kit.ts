import * as v from 'valibot';
import { PieceSchema, type Course, type Piece } from '../course';
import { unionBounds, type Vec3 } from '../geometry';
import { findFamily, pieceBounds } from '../pieces';
import { layPieces, type PieceInHand } from './lay';
import { freshGroup } from './group';
import { tidy } from './place';

export const KIT_FORMAT = 'stone-hop-kit';
export const KIT_VERSION = 1;

/** Most pieces one assembly has. */
export const MOST_KIT_PIECES = 500;

export const KitSchema = v.looseObject({
  format: v.literal(KIT_FORMAT, 'This is not a Stone Hop kit.'),
  version: v.number(),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  pieces: v.pipe(v.array(PieceSchema), v.minLength(1), v.maxLength(MOST_KIT_PIECES)),
});
/** A saved assembly: pieces about the middle of their foot. */
export type Kit = v.InferOutput<typeof KitSchema>;

/**
 * The chosen pieces as an assembly of their own.
 * @throws RangeError when nothing or too much is chosen, or the name is empty
 */
export function toKit(course: Course, choice: ReadonlySet<string>, name: string): Kit {
  const chosen = course.pieces.filter(({ id }) => choice.has(id));
  if (chosen.length === 0) throw new RangeError('Choose the pieces to keep first.');
  if (chosen.length > MOST_KIT_PIECES) {
    throw new RangeError(`An assembly has at most ${MOST_KIT_PIECES} pieces.`);
  }
  if (!name.trim()) throw new RangeError('The assembly needs a name.');
  const { low, high } = unionBounds(chosen.map(pieceBounds));
  const foot: Vec3 = [(low[0] + high[0]) / 2, low[1], (low[2] + high[2]) / 2];
  return {
    format: KIT_FORMAT,
    version: KIT_VERSION,
    name: name.trim().slice(0, 60),
    pieces: chosen.map(({ twin: _, layer: __, locked: ___, hidden: ____, ...piece }) => ({
      ...piece,
      at: piece.at.map((value, axis) => tidy(value - foot[axis])) as Piece['at'],
    })),
  };
}

/** A text that is no assembly, or one of a later kind; the message is for the maker. */
export class KitError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'KitError';
  }
}

/**
 * Reads an assembly from text.
 * @throws KitError when it is none, is broken, or was made by a newer Stone Hop
 */
export function readKit(text: string): Kit {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new KitError('The file is cut off or is no kit.');
  }
  const version = (data as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > KIT_VERSION) {
    throw new KitError(
      `The kit was made by a newer Stone Hop (format ${version}); this one reads format ${KIT_VERSION}.`,
    );
  }
  const result = v.safeParse(KitSchema, data);
  if (!result.success) {
    const [issue] = result.issues;
    const path = v.getDotPath(issue);
    throw new KitError(path ? `The kit is broken at ${path}: ${issue.message}.` : issue.message);
  }
  const unknown = result.output.pieces.find(({ family }) => !findFamily(family));
  if (unknown) throw new KitError(`The kit has a piece of no known family: "${unknown.family}".`);
  return result.output;
}

/** Lays an assembly with the middle of its foot at a place, as one group. */
export function layKit(course: Course, kit: Kit, at: Vec3): { course: Course; laid: string[] } {
  const group = freshGroup(course)();
  const hasStart = course.pieces.some(({ family }) => family === 'start');
  const pieces = kit.pieces
    .filter(({ family }) => !(hasStart && family === 'start'))
    .map(({ id: _, group: inner, ...piece }): PieceInHand => ({
      ...piece,
      at: piece.at.map((value, axis) => tidy(value + at[axis])) as Piece['at'],
      ...(kit.pieces.length > 1
        ? { group: inner ? `${group}/${inner.split('/')[0]}` : group }
        : {}),
    }));
  const next = layPieces(course, pieces);
  return { course: next, laid: next.pieces.slice(course.pieces.length).map(({ id }) => id) };
}
