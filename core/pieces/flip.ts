import { mapSwept, type Polyhedron, type Vec3 } from '../geometry';
import { mirroredField } from './fields';
import type { OwnMotion, PieceGeometry, Shape } from './family';

const across = ([x, y, z]: Vec3): Vec3 => [x, y, -z];

/** A solid seen in a mirror: its faces are read the other way round. */
const mirrored = ({ points, faces }: Polyhedron): Polyhedron => ({
  points: points.map(across),
  faces: faces.map((face) => [...face].reverse()),
});

const mirroredForm = (form: Shape['form']): Shape['form'] =>
  form.kind === 'ball'
    ? { ...form, centre: across(form.centre) }
    : {
        ...form,
        solid: mirrored(form.solid),
        // The corners of a section then go round the other way.
        ...(form.swept ? { swept: [...mapSwept(form.swept, across)].reverse() } : {}),
      };

/** A piece's form with left and right exchanged across its own length. */
export function flipped(form: PieceGeometry): PieceGeometry {
  return {
    parts: form.parts.map((part) => ({ ...part, solid: mirrored(part.solid) })),
    shapes: form.shapes.map((shape) => ({
      ...shape,
      form: mirroredForm(shape.form),
      ...mirroredField(shape),
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
