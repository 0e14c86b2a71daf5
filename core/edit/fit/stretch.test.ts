import { emptyCourse, type Course } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { endsOf } from '../snap/connectors';
import { layPieces } from '../pieces/lay';
import { drawSketch, moveSketchPoint } from '../draw/sketch';
import { chainOf, fitTrack, stretchWish } from '.';

const WISH = { width: 3, tolerance: 1 };
const wave = Array.from({ length: 61 }, (_, i): Vec3 => [i * 2, 0, 8 * Math.sin(i / 8)]);

function fitted(): Course {
  const drawn = drawSketch(emptyCourse('Trial', 'free'), wave);
  const { points, closed } = drawn.sketch!;
  const fit = fitTrack({ ...WISH, points: points as Vec3[], closed: !!closed });
  return layPieces({ ...drawn, pieces: [] }, fit.pieces);
}

test('a stretch in the middle is laid anew along a line that was moved, and still joins at both ends', () => {
  const course = fitted();
  const ids = course.pieces.slice(3, 9).map(({ id }) => id);
  const chain = chainOf(course, new Set([...ids].reverse()))!;
  expect(chain.map(({ id }) => id)).toEqual(ids);
  const points = course.sketch!.points as Vec3[];
  const middle = chain[3].at;
  const index = points.reduce(
    (best, p, i) => (distance(p, middle) < distance(points[best], middle) ? i : best),
    0,
  );
  const [x, y, z] = points[index];
  const moved = moveSketchPoint(course, { line: 0, index }, [x, y, z + 1.5]);
  const fit = fitTrack(stretchWish(moved, chain, WISH));
  expect(fit.pieces.length).toBeGreaterThan(1);
  const laid = fit.pieces.map((piece, i) => ({ ...piece, id: `n${i}` }));
  expect(distance(endsOf(laid[0])[0].at, endsOf(chain[0])[0].at)).toBeLessThan(1e-3);
  expect(
    distance(endsOf(laid[laid.length - 1])[1].at, endsOf(chain[chain.length - 1])[1].at),
  ).toBeLessThan(1e-3);
  // The headings go on as well: no kink where the old track begins again.
  const out = endsOf(laid[laid.length - 1])[1].turn;
  endsOf(chain[chain.length - 1])[1].turn.forEach((v, i) => expect(out[i]).toBeCloseTo(v, 6));
});

test('pieces that are no stretch are none', () => {
  const course = fitted();
  const [a, b, c] = course.pieces;
  expect(chainOf(course, new Set([a.id, c.id]))).toBeNull();
  expect(chainOf(course, new Set())).toBeNull();
  expect(chainOf(course, new Set([a.id, b.id]))).toHaveLength(2);
  expect(() => stretchWish({ ...course, sketch: { points: [] } }, [a, b], WISH)).toThrow(
    'No drawn line',
  );
});
