import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { bestOwnEnd, endsOf, joinTo, type PieceInHand } from '../assemble';
import { canonicalJson, MAX_COURSE_BYTES, type Course, type Piece } from '../course';
import { findFamily, localGeometry } from '../pieces';

// A course packed for a short text. What pieces share is told once, places as the way from one piece to
// the next in short numbers, and a piece that is joined to the one before only as being so.

/** What a piece has of its own; all else is its form, which many pieces share. */
const OWN = ['id', 'at', 'turn', 'name', 'group', 'layer', 'hidden', 'locked', 'twin'] as const;

/** Places and angles are kept to ten-millionths: whole numbers of these. */
const UNIT = 1e7;

/** The course in as few bytes as can be. */
export function packCourse(course: Course): Uint8Array {
  const { pieces, ...rest } = course;
  const forms = new Map<string, number>();
  const own: Record<number, Record<string, unknown>> = {};
  const columns = Array.from({ length: 6 }, () => [] as number[]);
  const [form, join, x, y, z, turn] = columns;
  let last: Piece | undefined;
  pieces.forEach((piece, i) => {
    const text = canonicalJson(
      Object.fromEntries(Object.entries(piece).filter(([key]) => !isOwn(key))),
    );
    const index = forms.get(text) ?? forms.size;
    forms.set(text, index);
    form.push(index);
    const kept: Record<string, unknown> = {};
    for (const key of OWN) {
      const usual = key === 'at' || key === 'turn' || (key === 'id' && piece.id === `p${i + 1}`);
      if (!usual && piece[key] !== undefined) kept[key] = piece[key];
    }
    // A turn that is none is usually left out; one that is told is told again.
    if (piece.turn?.every((v) => v === 0)) kept.turn = piece.turn;
    const code = last ? joinCode(last, piece) : 0;
    join.push(code);
    if (code === 0) {
      const numbers = [...piece.at, ...(piece.turn ?? [0, 0, 0])];
      if (numbers.some((v) => Math.round(v * UNIT) / UNIT !== v)) {
        // Finer than is kept: told as it is.
        kept.at = piece.at;
        if (piece.turn) kept.turn = piece.turn;
      }
      const from = last?.at ?? [0, 0, 0];
      [x, y, z].forEach((column, axis) => column.push(units(piece.at[axis]) - units(from[axis])));
      const [tx, ty, tz] = piece.turn ?? [0, 0, 0];
      const heading = units(ty) - units(last?.turn?.[1] ?? 0);
      if (tx === 0 && tz === 0) turn.push(0, heading);
      else turn.push(1, heading, units(tx), units(tz));
    }
    if (Object.keys(kept).length > 0) own[i] = kept;
    last = piece;
  });
  const head = canonicalJson({
    ...rest,
    forms: [...forms.keys()].map((text) => JSON.parse(text)),
    own,
  });
  const bytes: number[] = [];
  const text = strToU8(head);
  writeNumber(bytes, text.length);
  for (const column of columns) {
    writeNumber(bytes, column.length);
    for (const value of column) writeNumber(bytes, value);
  }
  const all = new Uint8Array(bytes.length + text.length);
  all.set(bytes);
  all.set(text, bytes.length);
  return deflateSync(all, { level: 9 });
}

/**
 * Unpacks a course; what comes out has still to be held against the schema.
 * @throws Error when the bytes are no packed course
 */
export function unpackCourse(packed: Uint8Array): unknown {
  // The room is given beforehand, so that what unpacks to more than a course may have stops there.
  const all = inflateSync(packed, { out: new Uint8Array(MAX_COURSE_BYTES) });
  const reader = { bytes: all, at: 0 };
  const length = readNumber(reader);
  const columns = Array.from({ length: 6 }, () =>
    Array.from({ length: checkedCount(readNumber(reader)) }, () => readNumber(reader)),
  );
  const { forms, own, ...rest } = JSON.parse(
    strFromU8(all.subarray(reader.at, reader.at + length)),
  ) as { forms: object[]; own: Record<string, object> };
  const [form, join, x, y, z, turn] = columns;
  let place = 0;
  let turned = 0;
  let last: Piece | undefined;
  const pieces = form.map((index, i): Piece => {
    let piece = { id: `p${i + 1}`, ...forms[index], at: [0, 0, 0] } as unknown as Piece;
    if (join[i] > 0) {
      const [mine, its] = [(join[i] - 1) % 4, Math.floor((join[i] - 1) / 4)];
      piece = { ...joinTo(piece, mine, endsOf(last!)[its]), id: piece.id };
    } else {
      const from = last?.at ?? [0, 0, 0];
      piece.at = [x, y, z].map(
        (column, axis) => (column[place] + units(from[axis])) / UNIT + 0,
      ) as Piece['at'];
      place++;
      const tilted = turn[turned++] === 1;
      const heading = (turn[turned++] + units(last?.turn?.[1] ?? 0)) / UNIT + 0;
      const [tx, tz] = tilted ? [turn[turned++] / UNIT, turn[turned++] / UNIT] : [0, 0];
      if (tx !== 0 || heading !== 0 || tz !== 0) piece.turn = [tx, heading, tz];
    }
    piece = { ...piece, ...own[i] };
    last = piece;
    return piece;
  });
  return { ...rest, pieces };
}

const isOwn = (key: string): boolean => (OWN as readonly string[]).includes(key);
const units = (v: number): number => Math.round(v * UNIT);

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

/** Writes a whole number in few bytes: its sign and its zeros at the end apart, then seven bits a byte. */
function writeNumber(out: number[], value: number): void {
  let rest = Math.abs(value);
  let zeros = 0;
  while (rest !== 0 && rest % 10 === 0 && zeros < 7) {
    rest /= 10;
    zeros++;
  }
  let code = (rest * 8 + zeros) * 2 + (value < 0 ? 1 : 0);
  while (code >= 128) {
    out.push((code % 128) + 128);
    code = Math.floor(code / 128);
  }
  out.push(code);
}

function readNumber(reader: { bytes: Uint8Array; at: number }): number {
  let code = 0;
  let scale = 1;
  for (;;) {
    if (reader.at >= reader.bytes.length || scale > 2 ** 56)
      throw new Error('The bytes end early.');
    const byte = reader.bytes[reader.at++];
    code += (byte % 128) * scale;
    if (byte < 128) break;
    scale *= 128;
  }
  const negative = code % 2 === 1;
  const rest = Math.floor(code / 2);
  const value = Math.floor(rest / 8) * 10 ** (rest % 8);
  return negative ? -value : value;
}

/** @throws Error when a column says it has more numbers than any course could need */
function checkedCount(count: number): number {
  if (!Number.isInteger(count) || count < 0 || count > 200_000) throw new Error('No such column.');
  return count;
}
