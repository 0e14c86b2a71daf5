import { add, rotate, scale, type Matrix3, type Vec3 } from '../geometry';
import type { Field, Shape } from './family';

export type FieldKind = Field['kind'];
export type FieldOf<K extends FieldKind> = Extract<Field, { readonly kind: K }>;

/**
 * The effect of another field that lies over one: it adds to it; it counts in its place, being the smaller weight or
 * the faster boost; or it gives way.
 */
export type FieldBeside = 'adds' | 'counts' | 'gives way';

/** An arrow of a field, from one place to another, m. */
export type FieldArrow = readonly [from: Vec3, to: Vec3];

/** All that is asked of one kind of field, but what it does in a run, which is `FIELD_EFFECTS` of `core/run`. */
interface FieldRow<F extends Field> {
  /** True if it acts on loose pieces as it does on the runner. */
  readonly isForce: boolean;
  /** True if whoever stands in it is given worth. */
  readonly givesWorth?: boolean;
  /** The field in the course's frame: `turn` is the piece's, `place` takes its points there. */
  readonly placed: (field: F, turn: Matrix3, place: (p: Vec3) => Vec3) => F;
  /** The field in a mirror across the piece's own length. */
  readonly mirrored: (field: F) => F;
  /** Arrows of so many metres that show where it leads to; of a placed field, about the middle of its piece. */
  readonly arrows: (field: F, middle: Vec3, length: number) => readonly FieldArrow[];
  /** The effect of another of the kind that lies over one. Rooms are in m³. */
  readonly beside: (own: F, other: F, ownRoom: number, otherRoom: number) => FieldBeside | null;
}

const same = <T>(field: T): T => field;
const none = () => [];
/** A field that acts on the runner alone and has no direction. */
const UNDIRECTED = {
  ...{ isForce: false, placed: same, mirrored: same, arrows: none },
  beside: () => null,
};

const across = ([x, y, z]: Vec3): Vec3 => [x, y, 0 - z];
/** An axis in the mirror: what turns about it turns the other way. */
const axisAcross = ([x, y, z]: Vec3): Vec3 => [0 - x, 0 - y, z];
const through = (middle: Vec3, along: Vec3, length: number): FieldArrow => [
  add(middle, scale(along, -length / 2)),
  add(middle, scale(along, length / 2)),
];

const directed = {
  isForce: true,
  placed: <F extends { readonly along: Vec3 }>(field: F, turn: Matrix3): F => ({
    ...field,
    along: rotate(turn, field.along),
  }),
  mirrored: <F extends { readonly along: Vec3 }>(field: F): F => ({
    ...field,
    along: across(field.along),
  }),
  arrows: ({ along }: { readonly along: Vec3 }, middle: Vec3, length: number) => [
    through(middle, along, length),
  ],
};

/** Four ways round the upright. */
const ROUND: readonly Vec3[] = [
  [1, 0, 0],
  [0, 0, 1],
  [-1, 0, 0],
  [0, 0, -1],
];

/** The kinds of fields that there are. */
export const FIELD_KINDS: { readonly [K in FieldKind]: FieldRow<FieldOf<K>> } = {
  touch: UNDIRECTED,
  quiet: UNDIRECTED,
  hurt: UNDIRECTED,
  fall: UNDIRECTED,
  slow: UNDIRECTED,
  slip: UNDIRECTED,
  bounce: UNDIRECTED,
  size: UNDIRECTED,
  points: { ...UNDIRECTED, givesWorth: true },
  camera: UNDIRECTED,
  push: {
    ...directed,
    beside: (own, other) => {
      if ((other.top === undefined) !== (own.top === undefined)) return null;
      if (other.top === undefined || own.top === undefined) return 'adds';
      return other.top > own.top ? 'counts' : 'gives way';
    },
  },
  gravity: {
    ...directed,
    beside: (_own, _other, ownRoom, otherRoom) => (otherRoom < ownRoom ? 'counts' : 'gives way'),
  },
  pull: {
    isForce: true,
    placed: (field, _, place) => ({ ...field, towards: place(field.towards) }),
    mirrored: (field) => ({ ...field, towards: across(field.towards) }),
    arrows: ({ towards, force }, _, length) =>
      ROUND.map((out) => {
        const [near, far] = [0.4 * length, 1.4 * length].map((d) => add(towards, scale(out, d)));
        return force < 0 ? [near, far] : [far, near];
      }),
    beside: () => 'adds',
  },
  swirl: {
    isForce: true,
    placed: (field, turn, place) => ({
      ...field,
      about: place(field.about),
      axis: rotate(turn, field.axis),
    }),
    mirrored: (field) => ({
      ...field,
      about: across(field.about),
      axis: axisAcross(field.axis),
    }),
    arrows: ({ about, axis, force }, _, length) =>
      ROUND.map((out, i) => {
        const back = axis[1] * force < 0 ? 1 : -1;
        const along = scale(ROUND[(i + 1) % 4], back);
        return through(add(about, scale(out, length)), along, length);
      }),
    beside: () => 'adds',
  },
};

/** The row of a field's kind. */
const rowOf = <F extends Field>(field: F): FieldRow<F> =>
  FIELD_KINDS[field.kind] as unknown as FieldRow<F>;

/** True for a field that acts on loose pieces as it does on the runner. */
export const isForce = (field: Field | undefined): boolean =>
  field !== undefined && rowOf(field).isForce;

/** True for a field in which worth is gathered by standing there. */
export const givesWorth = (field: Field | undefined): boolean =>
  field !== undefined && rowOf(field).givesWorth === true;

/**
 * A field as its piece stands in the course.
 * @param field in the piece's frame
 * @param turn of the piece
 * @param place takes points of the piece's frame to the course's
 */
export const placedField = (field: Field, turn: Matrix3, place: (p: Vec3) => Vec3): Field =>
  rowOf(field).placed(field, turn, place);

/** A shape's field in a mirror across its piece's own length. */
export const mirroredField = ({ field }: Shape): Pick<Shape, 'field'> =>
  field ? { field: rowOf(field).mirrored(field) } : {};

/** Arrows of so many metres that show where a placed field leads to, about the middle of its piece. */
export const fieldArrows = (field: Field, middle: Vec3, length: number): readonly FieldArrow[] =>
  rowOf(field).arrows(field, middle, length);

/**
 * The effect of another field that lies over one; null where they are nothing to each other.
 * @param own the field
 * @param other what lies over it
 * @param ownRoom of the field's shape, m³
 * @param otherRoom of the other's shape, m³
 */
export const fieldBeside = (
  own: Field,
  other: Field,
  ownRoom: number,
  otherRoom: number,
): FieldBeside | null =>
  own.kind === other.kind ? rowOf(own).beside(own, other, ownRoom, otherRoom) : null;
