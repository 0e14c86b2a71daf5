import * as v from 'valibot';
import {
  LinkSchema,
  listForFields,
  ModelsSchema,
  MOST_LINKS,
  PieceSchema,
  type Course,
  type Piece,
} from '../../course';
import { unionBounds, type Vec3 } from '../../geometry';
import { findFamily, pieceBounds } from '../../pieces';
import { layPieces, type PieceInHand } from '../pieces/lay';
import { freshGroup } from '../pieces/group';
import { roundToStored } from '../pieces/place';
import { copiedLink, freshPairs, linksAmong, pairOf, withLinks, withPair } from '../course/ties';

export const KIT_FORMAT = 'stone-hop-kit';
export const KIT_VERSION = 1;

/** Most pieces one assembly has. */
export const MOST_KIT_PIECES = 500;

export const KitSchema = v.looseObject({
  format: v.literal(KIT_FORMAT, 'This is not a Stone Hop kit.'),
  version: v.number(),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  pieces: v.pipe(v.array(PieceSchema), v.minLength(1), v.maxLength(MOST_KIT_PIECES)),
  /** Links among the pieces, and the models they are made of. */
  links: v.optional(v.pipe(v.array(LinkSchema), v.maxLength(MOST_LINKS))),
  models: v.optional(ModelsSchema),
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
  const ids = new Set(chosen.map(({ id }) => id));
  const links = linksAmong(course, ids);
  const used = chosen.flatMap(({ params }) => (params?.model ? [String(params.model)] : []));
  const models = Object.entries(course.models ?? {}).filter(([id]) => used.includes(id));
  return {
    format: KIT_FORMAT,
    version: KIT_VERSION,
    name: name.trim().slice(0, 60),
    pieces: chosen.map((piece) => ({
      ...withFamilyRules(course, keptFields(piece, ids)),
      at: piece.at.map((value, axis) => roundToStored(value - foot[axis])) as Piece['at'],
    })),
    ...(links.length > 0 ? { links } : {}),
    ...(models.length > 0 ? { models: Object.fromEntries(models) } : {}),
  };
}

/** What is kept of a piece: not what ties it to its course, nor to a piece that does not come along. */
function keptFields(piece: Piece, ids: ReadonlySet<string>): Piece {
  const { twin: _, layer: __, locked: ___, hidden: ____, attach, ...rest } = piece;
  return attach !== undefined && ids.has(attach) ? { ...rest, attach } : rest;
}

/** A piece that brings along what its course says of all of its family: how it touches, and where. */
function withFamilyRules({ shapes, allowances, collides }: Course, piece: Piece): Piece {
  const { family } = piece;
  const shape = piece.shape ?? shapes?.[family];
  const allowance = piece.allowance ?? allowances?.families?.[family];
  const collision =
    piece.collision ??
    (collides?.[family] === undefined ? undefined : collides[family] ? 'on' : 'off');
  return {
    ...piece,
    ...(shape ? { shape } : {}),
    ...(allowance ? { allowance } : {}),
    ...(collision ? { collision } : {}),
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
  const list = listForFields(data, result.output);
  if (list !== null) throw new KitError(`The kit is broken at ${list}: it is a list.`);
  const { pieces, models = {} } = result.output;
  const unknown = pieces.find(({ family }) => !findFamily(family));
  if (unknown) throw new KitError(`The kit has a piece of no known family: "${unknown.family}".`);
  const lacking = pieces.find(
    ({ params }) => params?.model && !Object.hasOwn(models, String(params.model)),
  );
  if (lacking) throw new KitError(`The kit lacks the model of its piece "${lacking.id}".`);
  return result.output;
}

/**
 * Lays an assembly with the middle of its foot at a place, as one group; what it brings is tied among itself
 * alone.
 */
export function layKit(course: Course, kit: Kit, at: Vec3): { course: Course; laid: string[] } {
  const group = freshGroup(course)();
  const hasStart = course.pieces.some(({ family }) => family === 'start');
  const brought = kit.pieces.filter(({ family }) => !(hasStart && family === 'start'));
  const pairs = freshPairs(course, brought);
  const own = new Set(brought.map(({ id }) => id));
  const pieces = brought.map((piece): PieceInHand => {
    const { id: _, group: inner, attach, ...rest } = piece;
    const pair = pairs.get(pairOf(piece) ?? -1);
    return {
      ...(pair === undefined ? rest : withPair(rest, pair)),
      ...(attach !== undefined && own.has(attach) ? { attach } : {}),
      at: piece.at.map((value, axis) => roundToStored(value + at[axis])) as Piece['at'],
      ...(kit.pieces.length > 1
        ? { group: inner ? `${group}/${inner.split('/')[0]}` : group }
        : {}),
    };
  });
  const models = { ...kit.models, ...course.models };
  const next = layPieces(Object.keys(models).length > 0 ? { ...course, models } : course, pieces);
  const laid = next.pieces.slice(course.pieces.length).map(({ id }) => id);
  const ids = new Map(brought.map(({ id }, i) => [id, laid[i]]));
  const tied = {
    ...next,
    pieces: next.pieces.map((piece, i) => {
      const host = i < course.pieces.length ? undefined : ids.get(piece.attach ?? '');
      return host === undefined ? piece : { ...piece, attach: host };
    }),
  };
  const links = linksAmong(kit, own).map((link) =>
    copiedLink(
      link,
      (id) => ids.get(id)!,
      ([x, y, z]) => [x, y, z],
    ),
  );
  return { course: withLinks(tied, links), laid };
}
