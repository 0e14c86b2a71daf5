import type { Allowance, Course, DrawnShape, Piece, ShapePart } from '../course';
import {
  add,
  boundsOf,
  box,
  convexHull,
  cosDeg,
  extrude,
  length,
  mapPoints,
  scale,
  sinDeg,
  sub,
  type Polyhedron,
  type Swept,
  type Vec2,
  type Vec3,
} from '../geometry';
import { familyOf } from './catalogue';
import { specOf, type Role, type Shape } from './family';
import { localGeometry } from './geometry';
import { touches } from './touch';

type Rules = Pick<Course, 'collides' | 'shapes' | 'allowances'>;

/** Roles a maker may give a piece another one of. */
const OPEN_ROLES: readonly Role[] = ['solid', 'hazard', 'pickup'];

/**
 * The shapes of a piece that touch in a course, in its own frame: those of its family, or as drawn for
 * the piece or its family; in the role it was given; larger or smaller by the allowance.
 */
export function contactShapes(course: Rules, piece: Piece): Shape[] {
  if (piece.role === 'scenery' && piece.collision !== 'on' && !piece.loose) return [];
  const given = piece.loose || (piece.role && piece.role !== 'scenery');
  if (!(given ? piece.collision !== 'off' : touches(course, piece))) return [];
  const drawn = piece.shape ?? course.shapes?.[piece.family];
  const own = localGeometry(piece).shapes;
  const shapes = drawn ? drawnShapes(drawn, piece, own) : own;
  const role = piece.role === 'scenery' ? undefined : piece.role;
  return inRole(shapes, role).map((named) => {
    const allowance = named.allowance ?? allowanceOf(course, piece, named.role);
    return allowance ? { ...named, form: grownForm(named, allowance) } : named;
  });
}

/** How far about a checkpoint's or goal's own shape one counts as having come to it, m. */
const TOUCH = 0.12;

/** A piece's shapes in the role it was given; a checkpoint or goal stays what it is and is felt besides. */
function inRole(shapes: readonly Shape[], role: Role | undefined): readonly Shape[] {
  if (!role) return shapes;
  if (role === 'checkpoint' || role === 'goal') {
    const felt = shapes.filter((shape) => OPEN_ROLES.includes(shape.role));
    return [...shapes, ...felt.map(({ form, moving }) => sensorOf(form, role, moving))];
  }
  return shapes.map((shape) => {
    if (!OPEN_ROLES.includes(shape.role)) return shape;
    if (role === 'region') {
      return { role, moving: shape.moving, field: { kind: 'touch' }, form: shape.form };
    }
    return { ...shape, role };
  });
}

function sensorOf(form: Shape['form'], role: Role, moving: Shape['moving']): Shape {
  const about: Shape['form'] =
    form.kind === 'ball'
      ? { ...form, radius: form.radius + TOUCH }
      : { ...form, round: (form.round ?? 0) + TOUCH };
  return { role, ...(moving ? { moving } : {}), form: about };
}

const rolesByPiece = new WeakMap<Piece, Pick<Rules, 'collides' | 'shapes'> & { roles: Role[] }>();

/** The roles of a piece's shapes that touch in a course; known as long as it and the course's rules stay. */
export function contactRoles({ collides, shapes }: Rules, piece: Piece): readonly Role[] {
  let known = rolesByPiece.get(piece);
  if (!known || known.collides !== collides || known.shapes !== shapes) {
    // Allowances change forms only.
    const roles = contactShapes({ collides, shapes }, piece).map(({ role }) => role);
    known = { collides, shapes, roles };
    rolesByPiece.set(piece, known);
  }
  return known.roles;
}

/** The allowance of a piece's shapes in a role: its own, its family's, or its role's. */
export function allowanceOf(
  { allowances }: Pick<Course, 'allowances'>,
  { allowance, family }: Pick<Piece, 'allowance' | 'family'>,
  role: Role,
): Allowance | undefined {
  const roles = allowances?.roles as Partial<Record<Role, Allowance>> | undefined;
  return allowance ?? allowances?.families?.[family] ?? roles?.[role];
}

/** Starting values a maker may choose between for all roles of a course at once. */
export const KINDNESS: Readonly<Record<'kind' | 'exact' | 'strict', Course['allowances']>> = {
  kind: {
    roles: {
      hazard: { by: 'cm', value: -8 },
      pickup: { by: 'cm', value: 15 },
      solid: { by: 'cm', value: 6 },
    },
  },
  exact: undefined,
  strict: { roles: { hazard: { by: 'cm', value: 6 }, pickup: { by: 'cm', value: -4 } } },
};

/** Half the thickness of what a capsule is rounded from, m. */
const THIN = 0.001;
/** Least extent that an allowance leaves, m. */
const LEAST = 0.02;

/**
 * A form made larger or smaller on every side. Ground keeps its height: only its edges reach further.
 */
function grownForm({ form, role }: Shape, { by, value }: Allowance): Shape['form'] {
  if (form.kind === 'ball') {
    const radius = by === 'cm' ? form.radius + value / 100 : form.radius * (1 + value / 100);
    return { ...form, radius: Math.max(LEAST, radius) };
  }
  const { low, high } = boundsOf(form.solid.points);
  const factors = [0, 1, 2].map((axis) => {
    if (role === 'solid' && axis === 1) return 1;
    const extent = high[axis] - low[axis];
    if (extent === 0) return 1;
    const next = by === 'cm' ? extent + value / 50 : extent * (1 + value / 100);
    return Math.max(LEAST, next) / extent;
  });
  const middle = [0, 1, 2].map((axis) => (low[axis] + high[axis]) / 2);
  return {
    ...form,
    ...(form.swept ? { swept: widened(form.swept, { by, value }) } : {}),
    solid: mapPoints(form.solid, (p) => [
      middle[0] + (p[0] - middle[0]) * factors[0],
      middle[1] + (p[1] - middle[1]) * factors[1],
      middle[2] + (p[2] - middle[2]) * factors[2],
    ]),
  };
}

/**
 * A sweep made wider or narrower to both sides. It keeps its heights and its length, so that stretches that follow on
 * one another still do.
 */
function widened(swept: Swept, { by, value }: Allowance): Swept {
  const last = swept.length - 1;
  return swept.map((curve, corner) => {
    // The first edge of a section leads across it, from the side of the first corner and the last.
    const side = corner === 0 || corner === last ? -1 : 1;
    const out = (i: number): Vec3 => {
      const across = sub(swept[1][i], swept[0][i]);
      const wide = length(across);
      const more = by === 'cm' ? value / 100 : (wide * value) / 200;
      return add(curve[i], scale(across, (side * Math.max(more, (LEAST - wide) / 2)) / wide));
    };
    return [out(0), out(1), out(2), out(3)];
  });
}

/** Shapes as drawn on the profile, stretched to the piece's size; they are what the family's first is. */
function drawnShapes(drawn: DrawnShape, piece: Piece, own: readonly Shape[]): Shape[] {
  const family = familyOf(piece.family);
  const size = specOf(family, piece).size;
  const k: Vec3 = [0, 1, 2].map((axis) => size[axis] / drawn.size[axis]) as never;
  const like = own.find(({ role }) => OPEN_ROLES.includes(role)) ?? own[0];
  const { role, moving, surface, lock, field } = like ?? { role: 'solid' as const };
  const kept = own.filter((shape) => !OPEN_ROLES.includes(shape.role));
  const side = piece.flip ? -1 : 1;
  return [
    ...kept,
    ...drawn.parts.map((part) => ({
      role,
      ...(moving ? { moving } : {}),
      ...(surface ? { surface } : {}),
      ...(lock ? { lock } : {}),
      ...(field ? { field } : {}),
      ...(part.allowance ? { allowance: part.allowance } : {}),
      form: formOf(part, k, drawn.size[2], side),
    })),
  ];
}

/**
 * The convex form of a drawn part, stretched along x, y and z.
 * @param part as it was drawn
 * @param k by how much each axis is stretched
 * @param depth of the piece, m
 * @param side 1, or -1 for the mirror image
 */
export function formOf(part: ShapePart, k: Vec3, depth: number, side = 1): Shape['form'] {
  if (part.kind === 'ball') {
    const [x, y, z] = part.at;
    const least = Math.min(k[0], k[1], k[2]);
    return {
      kind: 'ball',
      centre: [x * k[0], y * k[1], z * k[2] * side],
      radius: part.radius * least,
    };
  }
  if (part.kind === 'box') {
    const [x, y, z] = part.at;
    const [w, h, d] = part.size.map((v) => v / 2);
    const [c, s] = [cosDeg(part.turn ?? 0), sinDeg(part.turn ?? 0)];
    const solid = mapPoints(box([-w, -h, -d], [w, h, d]), ([px, py, pz]) => [
      (x + px * c - py * s) * k[0],
      (y + px * s + py * c) * k[1],
      (z + pz) * k[2] * side,
    ]);
    return { kind: 'hull', solid: side < 0 ? inside(solid) : solid };
  }
  if (part.kind === 'capsule') {
    const radius = part.radius * Math.min(k[0], k[1]);
    const deep = Math.max(2 * THIN, (part.depth ?? 0) - 2 * part.radius);
    const [dx, dy] = [part.to[0] - part.from[0], part.to[1] - part.from[1]];
    const length = Math.sqrt(dx * dx + dy * dy);
    // A thin bar along its middle, rounded by all but that.
    const [ux, uy] = length > 0 ? [(dx / length) * THIN, (dy / length) * THIN] : [THIN, 0];
    const bar = [part.from, part.to].flatMap(([x, y], i): Vec2[] => {
      const end = i === 0 ? -1 : 1;
      return [
        [x + ux * end - uy, y + uy * end + ux],
        [x + ux * end + uy, y + uy * end - ux],
      ];
    });
    return {
      kind: 'hull',
      solid: extruded(bar, deep, part.across ?? 0, k, side),
      round: Math.max(LEAST, radius - THIN),
    };
  }
  const outline = part.points.map(([x, y]): Vec2 => [x, y]);
  return { kind: 'hull', solid: extruded(outline, part.depth ?? depth, part.across ?? 0, k, side) };
}

function extruded(
  outline: readonly Vec2[],
  depth: number,
  across: number,
  k: Vec3,
  side: number,
): Polyhedron {
  const solid = mapPoints(extrude(convexHull(outline), depth), ([x, y, z]) => [
    x * k[0],
    y * k[1],
    (z + across) * k[2] * side,
  ]);
  return side < 0 ? inside(solid) : solid;
}

/** Faces read the other way round, as a mirror leaves them. */
const inside = ({ points, faces }: Polyhedron): Polyhedron => ({
  points,
  faces: faces.map((face) => [...face].reverse()),
});
