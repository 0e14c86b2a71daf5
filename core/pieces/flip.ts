import type { Polyhedron, Vec3 } from '../geometry';
import type { OwnMotion, PieceGeometry } from './family';

const across = ([x, y, z]: Vec3): Vec3 => [x, y, -z];

/** A solid seen in a mirror: its faces are read the other way round. */
const mirrored = ({ points, faces }: Polyhedron): Polyhedron => ({
  points: points.map(across),
  faces: faces.map((face) => [...face].reverse()),
});

/** A piece's form with left and right exchanged across its own length. */
export function flipped(form: PieceGeometry): PieceGeometry {
  return {
    parts: form.parts.map((part) => ({ ...part, solid: mirrored(part.solid) })),
    shapes: form.shapes.map((shape) => ({
      ...shape,
      form:
        shape.form.kind === 'ball'
          ? { ...shape.form, centre: across(shape.form.centre) }
          : { ...shape.form, solid: mirrored(shape.form.solid) },
    })),
    sockets: form.sockets.map((socket) => ({
      ...socket,
      at: across(socket.at),
      heading: (360 - socket.heading) % 360,
    })),
    ...(form.motion ? { motion: flippedMotion(form.motion) } : {}),
    ...(form.mouth === undefined ? {} : { mouth: form.mouth }),
  };
}

function flippedMotion(motion: OwnMotion): OwnMotion {
  if (motion.kind === 'slide') return { ...motion, travel: across(motion.travel) };
  // A turn about an axis goes the other way in a mirror.
  const [x, y, z] = motion.axis;
  return { ...motion, pivot: across(motion.pivot), axis: [-x, -y, z] };
}
