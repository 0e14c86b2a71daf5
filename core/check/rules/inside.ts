import { piecesOver } from '../../edit';
import type { Piece } from '../../course';
import { type Vec3, dot, sub } from '../../geometry';
import { familyOf, localGeometry, pieceBounds, toWorld } from '../../pieces';
import { MOST_PAIRS, sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Solid pieces that lie wholly within another: nobody will ever see or touch them. */
const inside: Check<'inside'> = (course) => {
  const { pieces } = sparseOf(course);
  const found: Finding<'inside'>[] = [];
  let pairs = 0;
  for (const outer of pieces) {
    if (pairs > MOST_PAIRS) break;
    const { low, high } = pieceBounds(outer);
    const over = piecesOver(pieces, low[0], low[2], high[0], high[2]);
    pairs += over.length;
    for (const inner of over) {
      const box = pieceBounds(inner);
      const within = [0, 1, 2].every(
        (axis) => box.low[axis] > low[axis] && box.high[axis] < high[axis],
      );
      if (!within || familyOf(inner.family).group === 'marks' || !holds(outer, box)) continue;
      found.push({
        ...pieceFinding(
          inner,
          'inside',
          'notice',
          `${familyOf(inner.family).label} lies wholly inside ${familyOf(outer.family).label.toLowerCase()}.`,
          { label: 'Take it away', edit: { do: 'remove', id: inner.id } },
        ),
        other: outer.id,
      });
      if (found.length >= MOST_TOLD) return found;
    }
  }
  return found;
};

/** Whether one convex solid of a piece holds every corner of a box. */
function holds(piece: Piece, { low, high }: { low: Vec3; high: Vec3 }): boolean {
  const place = toWorld(piece);
  const corners = [low, high].flatMap(([x]) =>
    [low, high].flatMap(([, y]) => [low, high].map(([, , z]): Vec3 => [x, y, z])),
  );
  return localGeometry(piece).parts.some(({ solid, mesh, moving }) => {
    if (mesh || moving) return false;
    return solid.faces.every((face) => {
      const [a, b, c] = face.map((i) => place(solid.points[i]));
      const [u, v] = [sub(b, a), sub(c, a)];
      const n: Vec3 = [
        u[1] * v[2] - u[2] * v[1],
        u[2] * v[0] - u[0] * v[2],
        u[0] * v[1] - u[1] * v[0],
      ];
      return corners.every((p) => dot(n, sub(p, a)) < 0);
    });
  });
}

export const insideRule: CheckRule<'inside'> = { id: 'inside', check: inside };
