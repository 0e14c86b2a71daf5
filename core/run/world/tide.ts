import type { Course, Piece } from '../../course';
import { mapPoints } from '../../geometry';
import { contactShapes, localGeometry, markOf, toWorld } from '../../pieces';
import { formBounds } from './capsule';
import { compileMovers } from './compileMovers';
import { sinkOf } from './moverReach';

/** How far below the lowest ground the tide stands when the maker says nothing, m. */
const BELOW_GROUND = 1.2;

/**
 * Height of the tide line: the maker's, or a little below the lowest top of anything solid over all
 * its motion. Gravity never stops, so a runner that leaves the course always reaches it.
 */
export function tideLine(course: Course): number {
  if (course.tide !== undefined) return course.tide;
  let line = lines.get(course);
  if (line === undefined) {
    line = below(course);
    lines.set(course, line);
  }
  return line;
}

const lines = new WeakMap<Course, number>();

function below(course: Course): number {
  const moving = course.pieces.some((piece) => piece.motion || localGeometry(piece).motion);
  const { list, whole, part } = moving ? compileMovers(course, course.pieces) : NOBODY;
  let lowest = Infinity;
  course.pieces.forEach((piece, i) => {
    if (markOf(piece) === 'start') lowest = Math.min(lowest, piece.at[1]);
    for (const { top, carried } of topsOf(course, piece)) {
      const mover = carried && part[i] >= 0 ? part[i] : (whole[i] ?? -1);
      lowest = Math.min(lowest, top - (mover < 0 ? 0 : sinkOf(list, mover)));
    }
  });
  return (lowest === Infinity ? 0 : lowest) - BELOW_GROUND;
}

const NOBODY = { list: [], whole: new Int32Array(0), part: new Int32Array(0) };

/** The height of a solid's top at rest, and whether it is of a piece's moving part. */
interface Top {
  readonly top: number;
  readonly carried: boolean;
}
type Rules = Pick<Course, 'collides' | 'shapes' | 'allowances'>;
const known = new WeakMap<Piece, { rules: Rules; tops: readonly Top[] }>();

/** The tops of a piece's solids; kept for as long as nothing that decides them changes. */
function topsOf({ collides, shapes, allowances }: Rules, piece: Piece): readonly Top[] {
  const kept = known.get(piece);
  if (
    kept &&
    kept.rules.collides === collides &&
    kept.rules.shapes === shapes &&
    kept.rules.allowances === allowances
  ) {
    return kept.tops;
  }
  const rules = { collides, shapes, allowances };
  const place = toWorld(piece);
  const tops = contactShapes(rules, piece)
    .filter(({ role }) => role === 'solid')
    .map(({ form, moving }): Top => {
      const placed =
        form.kind === 'ball'
          ? { ...form, centre: place(form.centre) }
          : { ...form, solid: mapPoints(form.solid, place) };
      return { top: formBounds(placed).high[1], carried: moving === true };
    });
  known.set(piece, { rules, tops });
  return tops;
}
