import { BOUNDS, type Course, type Piece } from '../../course';
import { dot, rotate, scale, type Vec3 } from '../../geometry';
import { familyOf, turnOf, type Unit } from '../../pieces';
import { changePieces, setTurn, roundToStored, wrapTurn } from './place';

export type Axis = 0 | 1 | 2;

/** A number that can be typed for a piece: a coordinate, an angle, an extent, or its own setting. */
export type NumericProperty =
  /** Along the world's axes, or along the piece's own. */
  | { readonly kind: 'at'; readonly axis: Axis; readonly own?: true }
  | { readonly kind: 'turn'; readonly axis: Axis }
  /** Which side of it stays where it is: the low one, the high one, or else the foot's middle. */
  | { readonly kind: 'size'; readonly axis: Axis; readonly keeps?: 'low' | 'high' }
  | { readonly kind: 'param'; readonly key: string };

/** What a dial of a family shows and takes. */
export interface DialRange {
  readonly label: string;
  readonly unit: Unit;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

const AXES = ['x', 'y', 'z'] as const;
const EXTENTS = ['Width', 'Height', 'Depth'] as const;

/** The label, unit and limits of a dial. */
export function dialRange(family: string, dial: NumericProperty): DialRange {
  switch (dial.kind) {
    case 'at':
      return { label: AXES[dial.axis], unit: 'm', min: -BOUNDS, max: BOUNDS, step: 0.25 };
    case 'turn':
      return { label: AXES[dial.axis], unit: '°', min: -360, max: 360, step: 15 };
    case 'size':
      return { label: EXTENTS[dial.axis], unit: 'm', min: 0.05, max: 200, step: 0.25 };
    case 'param': {
      const param = familyOf(family).params.find(({ key }) => key === dial.key);
      if (param?.kind !== 'number') throw new Error(`${family} has no dial "${dial.key}".`);
      return param;
    }
  }
}

/** What a dial stands at for a piece. */
export function readDial(piece: Piece, dial: NumericProperty): number {
  const family = familyOf(piece.family);
  if (dial.kind === 'at') {
    return dial.own ? roundToStored(dot(piece.at, ownAxis(piece, dial.axis))) : piece.at[dial.axis];
  }
  if (dial.kind === 'turn') return piece.turn?.[dial.axis] ?? 0;
  if (dial.kind === 'size') return (piece.size ?? family.size)[dial.axis];
  const param = family.params.find(({ key }) => key === dial.key);
  return Number(piece.params?.[dial.key] ?? param?.initial);
}

/**
 * Sets a dial of the chosen pieces, within its limits.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param dial which figure
 * @param value the new value, in the figure’s unit
 * @throws RangeError in words for the maker when the value is no number or beyond the limits
 */
export function setDial(
  course: Course,
  choice: ReadonlySet<string>,
  dial: NumericProperty,
  value: number,
): Course {
  if (!Number.isFinite(value)) throw new RangeError('That is not a number.');
  return changePieces(course, choice, (piece) => {
    setProperty(piece, dial, value);
  });
}

/**
 * Steps a dial of each chosen piece up or down from where it stands; turns go on past a whole one.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param dial which figure
 * @param by how many of the figure’s steps
 * @throws RangeError in words for the maker when one of them would leave the limits
 */
export const stepDial = (
  course: Course,
  choice: ReadonlySet<string>,
  dial: NumericProperty,
  by: number,
): Course =>
  changePieces(course, choice, (piece) => {
    const next = readDial(piece, dial) + by;
    setProperty(piece, dial, dial.kind === 'turn' ? wrapTurn(next) : next);
  });

function setProperty(piece: Piece, dial: NumericProperty, value: number): void {
  const { label, unit, min, max } = dialRange(piece.family, dial);
  if (value < min || value > max) {
    throw new RangeError(`${label} goes from ${min} to ${max} ${unit}.`.replace(' .', '.'));
  }
  if (dial.kind === 'at' && dial.own) {
    const along = ownAxis(piece, dial.axis);
    shift(piece, scale(along, value - dot(piece.at, along)));
  } else if (dial.kind === 'at') piece.at[dial.axis] = roundToStored(value);
  else if (dial.kind === 'turn') {
    const turn = [...(piece.turn ?? [0, 0, 0])] as [number, number, number];
    turn[dial.axis] = wrapTurn(value);
    setTurn(piece, turn);
  } else if (dial.kind === 'size') {
    const grown = value - readDial(piece, { kind: 'size', axis: dial.axis });
    setExtent(piece, dial.axis, roundToStored(value));
    if (dial.keeps) keepSide(piece, dial.axis, grown, dial.keeps);
  } else setParam(piece, dial.key, roundToStored(value));
}

/** One of a piece's own axes in the world. */
const ownAxis = (piece: Piece, axis: Axis): Vec3 => {
  const unit: [number, number, number] = [0, 0, 0];
  unit[axis] = 1;
  return rotate(turnOf(piece), unit);
};

function shift(piece: Piece, by: Vec3): void {
  piece.at = [0, 1, 2].map((i) => roundToStored(piece.at[i] + by[i])) as Piece['at'];
}

/** Moves a piece that has grown along an axis of its own so that a side of it stays where it was. */
function keepSide(piece: Piece, axis: Axis, grown: number, side: 'low' | 'high'): void {
  // It stands on its foot's middle: upwards it grows from its foot, along and across to both sides.
  const by = axis === 1 ? (side === 'high' ? -grown : 0) : side === 'low' ? grown / 2 : -grown / 2;
  shift(piece, scale(ownAxis(piece, axis), by));
}

function setExtent(piece: Piece, axis: number, value: number): void {
  const family = familyOf(piece.family);
  const size = [...(piece.size ?? family.size)] as [number, number, number];
  size[axis] = value;
  if (size.every((v, i) => v === family.size[i])) delete piece.size;
  else piece.size = size;
}

function setParam(piece: Piece, key: string, value: number | string): void {
  const param = familyOf(piece.family).params.find((p) => p.key === key);
  const { [key]: _, ...others } = piece.params ?? {};
  const kept = value === param?.initial ? others : { ...others, [key]: value };
  if (Object.keys(kept).length === 0) delete piece.params;
  else piece.params = kept;
}

/**
 * Sets a choice among a family's own settings.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param key which setting of the family
 * @param value which of its options
 */
export const setChoiceParam = (
  course: Course,
  choice: ReadonlySet<string>,
  key: string,
  value: string,
): Course =>
  changePieces(course, choice, (piece) => {
    setParam(piece, key, value);
  });

/**
 * Sets one of several of a family's own settings, by its place among them, on or off.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param key which setting of the family
 * @param place of the option among them, from 0
 * @param on whether it is so from now on
 */
export const setOneOfSeveral = (
  course: Course,
  choice: ReadonlySet<string>,
  key: string,
  place: number,
  on: boolean,
): Course =>
  changePieces(course, choice, (piece) => {
    const now = Number(piece.params?.[key] ?? 0);
    setParam(piece, key, on ? now | (1 << place) : now & ~(1 << place));
  });

/** Names the chosen pieces; an empty name takes it away. */
export const namePieces = (course: Course, choice: ReadonlySet<string>, name: string): Course =>
  changePieces(course, choice, (piece) => {
    if (name.trim()) piece.name = name.trim().slice(0, 60);
    else delete piece.name;
  });
