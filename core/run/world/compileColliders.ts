import type { Course, Piece } from '../../course';
import {
  cosDeg,
  mapPoints,
  mapSwept,
  mapVec3,
  rotate,
  sinDeg,
  type Matrix3,
  type Vec3,
} from '../../geometry';
import {
  contactShapes,
  formVolume,
  localGeometry,
  placedField,
  toWorld,
  turnOf,
  type Shape,
  type Surface,
} from '../../pieces';
import { formBounds, InflatedShapes } from './capsule';
import { BROADPHASE_MARGIN, type Collider, type Hurt, type Mouth, type OneWay } from './collider';
import { gateOf, type Gate } from './gate';
import type { Movers } from './mover';
import { reachBounds, reachOut } from './moverReach';

/** What is touched and felt of a course's pieces. */
export interface Colliders {
  readonly colliders: readonly Collider[];
  readonly gates: readonly Gate[];
  /** For each piece its gate, or -1. */
  readonly pieceGates: Int32Array;
  /** Places of the pieces with a shape of these roles. */
  readonly pickups: readonly number[];
  readonly portals: readonly number[];
}

/** Makes the colliders of pieces that are in order of id; loose movers then know how far theirs reach. */
export function compileColliders(
  course: Course,
  pieces: readonly Piece[],
  movers: Movers,
): Colliders {
  const colliders: Collider[] = [];
  const gates: Gate[] = [];
  const pieceGates = new Int32Array(pieces.length).fill(-1);
  const pickups: number[] = [];
  const portals: number[] = [];
  pieces.forEach((piece, index) => {
    const shapes = contactShapes(course, piece);
    const has = (wanted: Shape['role']) => shapes.some(({ role }) => role === wanted);
    // A gate that is the goal besides is kept shut by what bars it.
    if (has('goal')) pieceGates[index] = gates.push(gateOf(piece, 'barred')) - 1;
    for (const shape of shapes) {
      if (shape.lock) pieceGates[index] = gates.push(gateOf(piece, shape.lock)) - 1;
      const mover =
        shape.moving && movers.part[index] >= 0 ? movers.part[index] : movers.whole[index];
      const places = { index: colliders.length, piece: index, gate: pieceGates[index], mover };
      colliders.push(colliderOf(piece, shape, places, movers));
    }
    if (has('pickup')) pickups.push(index);
    if (has('portal')) portals.push(index);
  });
  for (const { form, mover, isDynamic } of colliders) {
    if (isDynamic) reachOut(movers.list[mover], formBounds(form), BROADPHASE_MARGIN);
  }
  return { colliders, gates, pieceGates, pickups, portals };
}

function colliderOf(
  piece: Piece,
  shape: Shape,
  places: Pick<Collider, 'index' | 'piece' | 'gate' | 'mover'>,
  { list }: Movers,
): Collider {
  const turn = turnOf(piece);
  const place = toWorld(piece);
  const form = placedForm(shape, place);
  const { low, high } = reachBounds(list, places.mover, formBounds(form));
  const { field } = shape;
  const { index, piece: of, gate, mover } = places;
  // Each by name: what a literal copies from another object lies further off, and all of it is read in every tick.
  return {
    index,
    piece: of,
    gate,
    mover,
    role: shape.role,
    form,
    surface: surfaceOf(piece, shape),
    field: field && placedField(field, turn, place),
    room: field ? formVolume(form) : 0,
    hurt: hurtOf(piece),
    oneWay: piece.oneWay && shape.role === 'solid' ? oneWayOf(piece, form) : null,
    mouth: shape.moving ? mouthOf(piece, place, turn) : null,
    isDynamic: places.mover >= 0 && list[places.mover].loose,
    low: mapVec3((i) => low[i] - BROADPHASE_MARGIN),
    high: mapVec3((i) => high[i] + BROADPHASE_MARGIN),
    bodies: new InflatedShapes(form, shape.form),
  };
}

/** The surface of a shape: as its piece says, or else its family. */
const surfaceOf = ({ surface }: Piece, shape: Shape): Surface | undefined =>
  surface && shape.role === 'solid' ? { ...shape.surface, ...surface } : shape.surface;

/** A shape's form in the world, at rest. */
const placedForm = ({ form }: Shape, place: (p: Vec3) => Vec3): Shape['form'] =>
  form.kind === 'ball'
    ? { ...form, centre: place(form.centre) }
    : {
        ...form,
        solid: mapPoints(form.solid, place),
        ...(form.swept ? { swept: mapSwept(form.swept, place) } : {}),
      };

const hurtOf = ({ hurt }: Piece): Hurt => ({
  does: hurt?.does ?? 'back',
  force: hurt?.force ?? (hurt?.does === 'slow' ? 1.5 : 9),
});

function oneWayOf(piece: Piece, form: Shape['form']): OneWay {
  const { side, drop } = piece.oneWay!;
  const normal = rotate(turnOf(piece), [-sinDeg(side), cosDeg(side), 0]);
  const points = form.kind === 'ball' ? [form.centre] : form.solid.points;
  const own = form.kind === 'ball' ? form.radius : (form.round ?? 0);
  const offset = Math.max(
    ...points.map((p) => normal[0] * p[0] + normal[1] * p[1] + normal[2] * p[2]),
  );
  return { normal, offset: offset + own, drop: drop === true };
}

function mouthOf(piece: Piece, place: (p: Vec3) => Vec3, turn: Matrix3): Mouth | null {
  const { mouth } = localGeometry(piece);
  return mouth === undefined ? null : { at: place([0, mouth, 0]), up: rotate(turn, [0, 1, 0]) };
}
