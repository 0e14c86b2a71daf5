import { pathPlaces } from '../../edit';
import { BOUNDS } from '../../course';
import { distance } from '../../geometry';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

/** A path has a length, and stays within the course. */
const paths: Check<'path'> = (course) =>
  course.pieces.flatMap((piece): Finding<'path'>[] => {
    const places = pathPlaces(piece);
    if (places.length === 0) return [];
    const length = places.slice(1).reduce((sum, p, i) => sum + distance(p, places[i]), 0);
    if (length < 0.01) {
      return [
        pieceFinding(piece, 'path', 'error', 'Its path has no length: move a point of it away.', {
          label: 'Remove motion',
          edit: { do: 'untune', id: piece.id, key: 'motion' },
        }),
      ];
    }
    if (places.some((p) => p.some((v) => Math.abs(v) > BOUNDS))) {
      return [
        pieceFinding(
          piece,
          'path',
          'error',
          `Its path leaves the course, ${BOUNDS} m from the middle.`,
        ),
      ];
    }
    return [];
  });

export const pathRule: CheckRule<'path'> = { id: 'path', check: paths };
