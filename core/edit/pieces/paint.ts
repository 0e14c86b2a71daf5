import type { Course, Material, Piece } from '../../course';
import { boxesMeet } from '../../geometry';
import { familyOf, pieceBounds } from '../../pieces';
import { piecesOver } from '../lookup/near';
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

/** How far apart floors may lie and still be one ground, m. */
const JOINED = 0.06;

/** The floors that a floor is one ground with: all that can be reached from one to the next. */
export function groundOf({ pieces }: Pick<Course, 'pieces'>, id: string): Set<string> {
  const isFloor = ({ family }: Piece) => familyOf(family).group === 'floors';
  const first = pieces.find((piece) => piece.id === id && isFloor(piece));
  const ground = new Set<string>(first ? [id] : []);
  const open = first ? [first] : [];
  for (let piece = open.pop(); piece; piece = open.pop()) {
    const { low, high } = pieceBounds(piece);
    const about = piecesOver(
      pieces,
      low[0] - JOINED,
      low[2] - JOINED,
      high[0] + JOINED,
      high[2] + JOINED,
    );
    for (const other of about) {
      if (
        ground.has(other.id) ||
        !isFloor(other) ||
        !boxesMeet({ low, high }, pieceBounds(other), JOINED)
      )
        continue;
      ground.add(other.id);
      open.push(other);
    }
  }
  return ground;
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
