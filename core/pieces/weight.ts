import type { Course, Material, Piece } from '../course';
import { volumeOf } from '../geometry';
import { familyOf } from './catalogue';
import { contactShapes } from './contact';
import type { Shape } from './family';
import { localGeometry } from './geometry';

/** What a cubic metre of each material weighs as a loose piece, kg. */
export const DENSITY: Readonly<Record<Material, number>> = {
  stone: 2400,
  slate: 2700,
  timber: 600,
  rope: 350,
  metal: 2700,
  ice: 900,
  moss: 450,
  glow: 300,
};

/** The density of a piece by its material, kg/m³; what is none of them counts as timber. */
export function densityOf({ look, family }: Pick<Piece, 'look' | 'family'>): number {
  const known: Readonly<Record<string, number>> = DENSITY;
  return known[look?.material ?? familyOf(family).material] ?? DENSITY.timber;
}

/** Volume of a collision form in cubic metres. */
export const formVolume = (form: Shape['form']): number =>
  form.kind === 'ball'
    ? (4 / 3) * Math.PI * form.radius * form.radius * form.radius
    : volumeOf(form.solid);

/** What a piece weighs as a loose one, kg: its collision shapes, of its material. */
export const massOf = (
  course: Pick<Course, 'collides' | 'shapes' | 'allowances'>,
  piece: Piece,
): number =>
  densityOf(piece) *
  contactShapes(course, piece).reduce((sum, { form }) => sum + formVolume(form), 0);

/** Whether a piece may fall and be pushed: it is solid or hurts, and nothing of it moves by itself. */
export function mayBeLoose(piece: Piece): boolean {
  if (piece.role === 'pickup' || piece.motion || piece.attach || piece.thrower) return false;
  const { shapes, motion } = localGeometry(piece);
  const open = shapes.every(({ role, lock }) => (role === 'solid' || role === 'hazard') && !lock);
  return shapes.length > 0 && open && !motion;
}
