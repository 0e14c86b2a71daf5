import type { Course, Material, Piece } from '../course';
import { familyOf } from '../pieces';
import { changePieces } from './place';

/** What a piece can be painted with: a material, or a colour of the maker's own. */
export type Paint = { readonly material: Material } | { readonly colour: string } | 'own';

/** Paints the chosen pieces; what the family has by itself is left out. */
export function paintPieces(course: Course, choice: ReadonlySet<string>, paint: Paint): Course {
  return changePieces(course, choice, (piece) => {
    const { material: _, colour: __, ...look } = piece.look ?? {};
    const own =
      paint === 'own' ||
      ('material' in paint && paint.material === familyOf(piece.family).material);
    const next = own ? look : { ...look, ...(paint as object) };
    if (Object.keys(next).length > 0) piece.look = next as Piece['look'];
    else delete piece.look;
  });
}

/** What a piece is painted with, to paint others alike. */
export function paintOf({ look }: Piece): Paint {
  if (look?.colour) return { colour: look.colour };
  return look?.material ? { material: look.material } : 'own';
}

/** Switches collision of the chosen pieces, leaving it out where it is as the course has it anyway. */
export const setCollision = (
  course: Course,
  choice: ReadonlySet<string>,
  collision: 'on' | 'off' | 'usual',
): Course =>
  changePieces(course, choice, (piece) => {
    if (collision === 'usual') delete piece.collision;
    else piece.collision = collision;
  });

/** Switches collision of a whole family in this course. */
export function setFamilyCollision(course: Course, family: string, on: boolean | null): Course {
  const { [family]: _, ...others } = course.collides ?? {};
  const collides = on === null ? others : { ...others, [family]: on };
  const { collides: __, ...rest } = course;
  return Object.keys(collides).length > 0 ? { ...rest, collides } : (rest as Course);
}
