import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import { canonicalJson, ReadyJson, type Course, type Piece } from '../../course';
import { contactRoles, findFamily, mayBeLoose, type Family } from '../../pieces';

/**
 * SHA-256, as hexadecimal, over what a run in a course feels, and over nothing else: two courses of one hash
 * give the same run bit for bit, and a proof outlives whatever changes none of it. Names, notes, targets,
 * looks and what is not touched do not count, nor the order in which the pieces are listed.
 */
export const courseHash = (course: Course): string =>
  bytesToHex(sha256(utf8ToBytes(canonicalJson(feltOf(course)))));

/** What of a course a run reads. */
export function feltOf(course: Course): object {
  const { kind, laps, hold, space, runner, gravity, tide, order, limit, legs, tempo, starts } =
    course;
  const links = course.links?.length ? course.links : undefined;
  const named = namedPieces(course);
  const felt = course.pieces
    .filter((piece) => isFelt(course, piece, named))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const families = new Set(felt.map(({ family }) => family));
  const ofFamilies = <T>(rules: Readonly<Record<string, T>> | undefined) =>
    filled(Object.entries(rules ?? {}).filter(([family]) => families.has(family)));
  const { allowances } = course;
  return {
    ...{ kind, laps, hold, space, gravity, tide, order, limit, links, starts },
    runner: { kind: runner.kind, settings: runner.settings },
    legs: legs?.length,
    beats: tempo && [tempo.beats, tempo.offset ?? 0],
    // Whether a family touches is told by which pieces are felt and how.
    collides: ofFamilies(course.collides),
    shapes: ofFamilies(course.shapes),
    allowances: allowances && {
      families: ofFamilies(allowances.families),
      roles: allowances.roles,
    },
    models: modelsOf(course, felt),
    pieces: felt.map(feltPiece),
  };
}

const filled = <T>(entries: readonly [string, T][]): Record<string, T> | undefined =>
  entries.length > 0 ? Object.fromEntries(entries) : undefined;

/** Fields of a piece that a run may read; its material it reads of what is loose only. */
const FELT = [
  ...['id', 'family', 'at', 'turn', 'size', 'flip', 'outline', 'line', 'collision', 'role', 'mark'],
  ...['hurt', 'worth', 'respawn', 'breaks', 'oneWay', 'shape', 'allowance', 'absent', 'loose'],
  ...['motion', 'wake', 'attach', 'thrower', 'surface'],
] as readonly (keyof Piece)[];

// Edits share the pieces they do not change, and what is told of those need not be written anew.
const toldOf = new WeakMap<Piece, ReadyJson>();

/** What a run reads of a piece, as canonical JSON. */
function feltPiece(piece: Piece): ReadyJson {
  let told = toldOf.get(piece);
  if (!told) toldOf.set(piece, (told = new ReadyJson(canonicalJson(feltFields(piece)))));
  return told;
}

function feltFields(piece: Piece): object {
  const felt: Record<string, unknown> = {};
  for (const key of FELT) if (piece[key] !== undefined) felt[key] = piece[key];
  const family = findFamily(piece.family);
  if (piece.params) felt.params = filled(settingsOf(piece.params, family?.params ?? []));
  if (piece.loose && family && mayBeLoose(piece)) felt.material = piece.look?.material;
  return felt;
}

/** The settings that are not words to be read. */
const settingsOf = (params: NonNullable<Piece['params']>, known: Family['params']) =>
  Object.entries(params).filter(([key]) => {
    const param = known.find((one) => one.key === key);
    return param && !(param.kind === 'text' && param.words);
  });

/** Whether a run can tell that a piece is there. */
function isFelt(course: Course, piece: Piece, named: ReadonlySet<string>): boolean {
  const family = findFamily(piece.family);
  return (
    !family ||
    family.group === 'marks' ||
    piece.thrower !== undefined ||
    named.has(piece.id) ||
    // What chance decides of it is taken from the run's own.
    piece.motion?.some(({ kind }) => kind === 'drift') === true ||
    contactRoles(course, piece).length > 0
  );
}

/** Pieces that others go along with, or that links name. */
function namedPieces({ pieces, links }: Course): Set<string> {
  const named = new Set<string>();
  for (const { attach } of pieces) if (attach !== undefined) named.add(attach);
  for (const { cue, effects } of links ?? []) {
    for (const id of cue.pieces ?? []) named.add(id);
    for (const effect of effects) for (const id of effect.pieces ?? []) named.add(id);
  }
  return named;
}

/** The forms of the models that felt pieces are made of. */
function modelsOf({ models }: Course, felt: readonly Piece[]): object | undefined {
  const used = new Set(
    felt.filter(({ family }) => family === 'model').map(({ params }) => String(params?.model)),
  );
  return filled(
    Object.entries(models ?? {})
      .filter(([id]) => used.has(id))
      .map(([id, { positions, triangles }]) => [id, [positions, triangles]]),
  );
}
