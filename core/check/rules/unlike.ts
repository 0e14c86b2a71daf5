import { diffPieces } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** A shape that was drawn and is very unlike its picture surprises players. */
const unlike: Check<'unlike'> = (course) => {
  if (!course.shapes && !course.pieces.some(({ shape }) => shape)) return [];
  return course.pieces
    .filter(({ shape, family }) => shape ?? course.shapes?.[family])
    .map((piece) => ({ piece, apart: diffPieces(course, piece) }))
    .filter(({ apart }) => apart && (apart.area > 0.35 || apart.distance > 0.4))
    .sort((a, b) => b.apart!.area - a.apart!.area)
    .slice(0, MOST_UNLIKE)
    .map(({ piece, apart }) =>
      pieceFinding(
        piece,
        'unlike',
        'notice',
        `Its shape is unlike its picture: ${Math.round(apart!.area * 100)} % of the area, ${Math.round(apart!.distance * 100)} cm at most.`,
      ),
    );
};

/** Most pieces named for having a shape unlike their picture. */
const MOST_UNLIKE = 8;

export const unlikeRule: CheckRule<'unlike'> = { id: 'unlike', check: unlike };
