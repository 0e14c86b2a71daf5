import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { bestOwnEnd, endsOf, joinTo, type PieceInHand } from '../edit';
import {
  canonicalJson,
  COURSE_FORMAT,
  COURSE_VERSION,
  MAX_COURSE_BYTES,
  type Course,
  type Piece,
} from '../course';
import { findFamily, localGeometry } from '../pieces';
import { DICTIONARY } from './dictionary';
import { FORM_COLUMNS, packForms, unpackForms } from './sharedForms';
import { predictPlace, UNIT, type Place } from './predict';
import { numberCost, readNumber, writeNumber, type Reader } from './numbers';

// A course packed for a short text. What pieces share is told once; a piece that is joined to the one
// before only as being so; and other places by what they are off the place where a row, ring or spiral
// would go on, in short numbers.

/** What a piece has of its own; all else is its form, which many pieces share. */
const OWN = ['id', 'at', 'turn', 'name', 'group', 'layer', 'hidden', 'locked', 'twin'] as const;

/** How many pieces back one looks for a row or ring that a piece goes on; 0 for the way from the last. */
const LAGS = [0, 1, 2, 3, 4, 5, 6] as const;
/** What it costs to tell a lag that is not the usual one, in bytes or thereabouts. */
const AWAY = 2;
/** Joints come first of the ways a place is told, then the lags; a tilt is a number more. */
const JOINTS = 17;
const TILTED = 64;

/**
 * Of each piece its form (0 for the next new one, or how many others were used since, and one), how its
 * place is told, and by how much its number skips ahead; then the numbers the places take.
 */
const COLUMNS = [
  ...FORM_COLUMNS,
  'form',
  'told',
  'skip',
  'x',
  'y',
  'z',
  'heading',
  'tilt',
] as const;
type Columns = Record<(typeof COLUMNS)[number], number[]>;

const SHARED_WORDS = strToU8(DICTIONARY);

/** The course in as few bytes as can be. */
export function packCourse(course: Course): Uint8Array {
  const { pieces, format, version, ...rest } = course;
  const usual = format === COURSE_FORMAT && version === COURSE_VERSION;
  const forms: string[] = [];
  // The forms used last come first.
  const used: string[] = [];
  const own: Record<number, Record<string, unknown>> = {};
  const columns = Object.fromEntries(COLUMNS.map((name) => [name, [] as number[]])) as Columns;
  const places: Place[] = [];
  let last: Piece | undefined;
  let next = 1;
  pieces.forEach((piece, i) => {
    const text = canonicalJson(
      Object.fromEntries(Object.entries(piece).filter(([key]) => !isOwn(key))),
    );
    const since = used.indexOf(text);
    if (since < 0) forms.push(text);
    else used.splice(since, 1);
    used.unshift(text);
    columns.form.push(since + 1);
    const number = numberOf(piece.id);
    columns.skip.push(number === null ? 0 : number - next);
    next = number === null ? next + 1 : number + 1;
    const kept: Record<string, unknown> = {};
    for (const key of OWN) {
      const told = key === 'at' || key === 'turn' || (key === 'id' && number !== null);
      if (!told && piece[key] !== undefined) kept[key] = piece[key];
    }
    // A turn that is none is usually left out; one that is told is told again.
    if (piece.turn?.every((v) => v === 0)) kept.turn = piece.turn;
    const joint = last ? joinCode(last, piece) : 0;
    if (joint > 0) columns.told.push(joint);
    else {
      tellPlace(columns, places, piece);
      const numbers = [...piece.at, ...(piece.turn ?? [])];
      if (numbers.some((v) => Math.round(v * UNIT) / UNIT !== v || v < -360)) {
        // Finer than is kept: told as it is.
        kept.at = piece.at;
        if (piece.turn) kept.turn = piece.turn;
      }
    }
    places.push(placeOf(piece));
    if (Object.keys(kept).length > 0) own[i] = kept;
    last = piece;
  });
  const rests = packForms(
    forms.map((text) => JSON.parse(text)),
    columns,
  );
  const head = strToU8(
    canonicalJson({
      ...rest,
      ...(usual ? {} : { format, version }),
      rests,
      ...(Object.keys(own).length > 0 ? { own } : {}),
    }),
  );
  const bytes: number[] = [];
  writeNumber(bytes, head.length);
  for (const byte of head) bytes.push(byte);
  for (const name of COLUMNS) {
    writeNumber(bytes, columns[name].length);
    for (const value of columns[name]) writeNumber(bytes, value);
  }
  return deflateSync(new Uint8Array(bytes), { level: 9, dictionary: SHARED_WORDS });
}

/**
 * Unpacks a course; what comes out has still to be held against the schema.
 * @throws Error when the bytes are no packed course
 */
export function unpackCourse(packed: Uint8Array): unknown {
  // The room is given beforehand, so that what unpacks to more than a course may have stops there.
  const bytes = inflateSync(packed, {
    out: new Uint8Array(MAX_COURSE_BYTES),
    dictionary: SHARED_WORDS,
  });
  const reader: Reader = { bytes, at: 0 };
  const length = readNumber(reader);
  const head = strFromU8(bytes.subarray(reader.at, reader.at + length));
  reader.at += length;
  const columns = Object.fromEntries(
    COLUMNS.map((name) => [
      name,
      Array.from({ length: checkedCount(readNumber(reader)) }, () => readNumber(reader)).reverse(),
    ]),
  ) as Columns;
  const {
    rests,
    own = {},
    ...rest
  } = JSON.parse(head) as { rests: object[]; own?: Record<string, object> };
  const forms = unpackForms(rests, columns);
  const places: Place[] = [];
  const used: object[] = [];
  let last: Piece | undefined;
  let next = 1;
  const pieces = columns.form.reverse().map((since, i): Piece => {
    const form = since === 0 ? forms.shift()! : used.splice(since - 1, 1)[0];
    used.unshift(form);
    const number = next + columns.skip.pop()!;
    next = number + 1;
    let piece = { id: `p${number}`, ...form, at: [0, 0, 0] } as unknown as Piece;
    const told = columns.told.pop()!;
    if (told > 0 && told < JOINTS) {
      const [mine, its] = [(told - 1) % 4, Math.floor((told - 1) / 4)];
      piece = { ...joinTo(piece, mine, endsOf(last!)[its]), id: piece.id };
    } else piece = { ...piece, ...readPlace(columns, places, told) };
    piece = { ...piece, ...own[i] };
    places.push(placeOf(piece));
    last = piece;
    return piece;
  });
  return { format: COURSE_FORMAT, version: COURSE_VERSION, ...rest, pieces };
}

const isOwn = (key: string): boolean => (OWN as readonly string[]).includes(key);
/** The number of an id as the tools give them, or null. */
function numberOf(id: string): number | null {
  const digits = /^p([1-9][0-9]{0,8})$/.exec(id)?.[1];
  return digits === undefined ? null : Number(digits);
}
const units = (v: number): number => Math.round(v * UNIT);
const placeOf = ({ at: [x, y, z], turn }: Piece): Place => [
  units(x),
  units(y),
  units(z),
  units(turn?.[1] ?? 0),
];

/** A guess at where the next piece stands: a row or ring going on, or where the last one is. */
const guessAt = (places: readonly Place[], lag: number): Place =>
  lag > 0 ? predictPlace(places, lag) : (places[places.length - 1] ?? [0, 0, 0, 0]);

/** Tells a place by what it is off the guess that leaves least to say. */
function tellPlace(columns: Columns, places: readonly Place[], piece: Piece): void {
  const place = placeOf(piece);
  let best = { lag: 0, off: place as readonly number[], cost: Infinity };
  for (const lag of LAGS) {
    if (lag > 0 && places.length < 2 * lag) continue;
    const guess = guessAt(places, lag);
    const off = place.map((v, axis) => v - guess[axis]);
    const cost = off.reduce((sum, v) => sum + (v === 0 ? 0.2 : numberCost(v)), lag > 0 ? AWAY : 0);
    if (cost < best.cost) best = { lag, off, cost };
  }
  const [tilt, , roll] = piece.turn ?? [0, 0, 0];
  const tilted = tilt !== 0 || roll !== 0;
  columns.told.push(best.lag === 0 && !tilted ? 0 : JOINTS + best.lag + (tilted ? TILTED : 0));
  (['x', 'y', 'z', 'heading'] as const).forEach((name, i) => columns[name].push(best.off[i]));
  if (tilted) columns.tilt.push(units(tilt), units(roll));
}

/** The place told next; the columns are read from their ends. */
function readPlace(
  columns: Columns,
  places: readonly Place[],
  told: number,
): Pick<Piece, 'at' | 'turn'> {
  const guess = guessAt(places, told === 0 ? 0 : (told - JOINTS) % TILTED);
  const [x, y, z, heading] = (['x', 'y', 'z', 'heading'] as const).map(
    (name, i) => (columns[name].pop()! + guess[i]) / UNIT + 0,
  );
  const tilted = told >= JOINTS + TILTED;
  const [tilt, roll] = tilted ? [columns.tilt.pop()! / UNIT, columns.tilt.pop()! / UNIT] : [0, 0];
  return {
    at: [x, y, z],
    ...(tilt !== 0 || heading !== 0 || roll !== 0 ? { turn: [tilt, heading, roll] } : {}),
  };
}

/** How a piece is joined to the one before: one more than own end and its end in fours, or 0. */
function joinCode(before: Piece, piece: Piece): number {
  if (!findFamily(before.family) || !findFamily(piece.family)) return 0;
  const { sockets } = localGeometry(piece);
  if (sockets.length === 0) return 0;
  const ends = endsOf(before);
  for (let its = 0; its < Math.min(4, ends.length); its++) {
    const usual = bestOwnEnd(piece, ends[its]);
    const tries = [usual, 0, 1, 2, 3].filter((own) => own !== null && own < sockets.length);
    for (const own of new Set(tries as number[])) {
      const joined: PieceInHand = joinTo(piece, own, ends[its]);
      const same =
        joined.at.every((v, axis) => v === piece.at[axis]) &&
        canonicalJson(joined.turn ?? null) === canonicalJson(piece.turn ?? null);
      if (same) return 1 + own + 4 * its;
    }
  }
  return 0;
}

/** @throws Error when a column says it has more numbers than any course could need */
function checkedCount(count: number): number {
  if (!Number.isInteger(count) || count < 0 || count > 200_000) throw new Error('No such column.');
  return count;
}
