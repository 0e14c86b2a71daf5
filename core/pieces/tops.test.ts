import { ballAt } from '../collision/ball.testing';
import fc from 'fast-check';
import { ballBody, inflateHull, newTouch, sweep } from '../collision';
import { emptyCourse, type Piece } from '../course';
import { mapPoints } from '../geometry';
import { contactShapes, FAMILIES, toWorld, topOver } from '.';
import { cases } from '../deep.testing';

const course = emptyCourse('Tops', 'free');
const drawn = FAMILIES.filter((family) => !family.drawn && family.id !== 'model');

/** Radius of what is dropped, m. */
const GRAIN = 1e-3;

/** The same by dropping a grain from on high. */
function dropped(piece: Piece, x: number, z: number): number {
  const place = toWorld(piece);
  let highest = -Infinity;
  for (const { role, form } of contactShapes(course, piece)) {
    if (role !== 'solid') continue;
    const body =
      form.kind === 'ball'
        ? ballBody(place(form.centre), form.radius, 0)
        : inflateHull(mapPoints(form.solid, place), 0);
    const touch = newTouch();
    if (sweep(body, ballAt([x, 20, z], GRAIN, [0, -40, 0]), touch)) {
      highest = Math.max(highest, 20 - 40 * touch.t - GRAIN);
    }
  }
  return highest;
}

test('the top over a place is where a grain dropped there comes to rest, of every family', () => {
  const offset = fc.double({ min: -1.5, max: 1.5, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom(...drawn),
      fc.tuple(offset, offset),
      fc.constantFrom(0, 30, 90, 200),
      fc.constantFrom(0, 0, 12),
      ({ id }, [dx, dz], heading, lean) => {
        const piece: Piece = { id: 'a', family: id, at: [5, 1, -3], turn: [0, heading, lean] };
        const [x, z] = [5 + dx, -3 + dz];
        const found = dropped(piece, x, z);
        // A grain may hang on at a rim by its size, and rests a little higher on a slope.
        const tops = [0, -1.5, 1.5].flatMap((a) =>
          [0, -1.5, 1.5].map((b) => topOver(course, piece, x + a * GRAIN, z + b * GRAIN)),
        );
        const [low, high] = [Math.min(...tops), Math.max(...tops)];
        return found >= low - 1e-6 && found <= high + 4 * GRAIN;
      },
    ),
    { numRuns: cases(1500), seed: 9 },
  );
});

test('tops above what is asked for are left out', () => {
  const arch: Piece = { id: 'a', family: 'slab', at: [0, 4, 0], size: [4, 1, 4] };
  expect(topOver(course, arch, 0, 0)).toBeCloseTo(5, 9);
  expect(topOver(course, arch, 0, 0, 4.5)).toBe(-Infinity);
  expect(topOver(course, arch, 3, 0)).toBe(-Infinity);
});
