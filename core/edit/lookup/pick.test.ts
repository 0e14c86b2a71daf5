import fc from 'fast-check';
import { emptyCourse, type Piece } from '../../course';
import { add, scale, sub, type Vec3 } from '../../geometry';
import { localGeometry, pieceBounds, toWorld } from '../../pieces';
import { chooseWithin, groundBelow, layPieces, rayHitsBounds, pickPiece, piecesOver } from '..';

const metres = fc.integer({ min: -300, max: 300 }).map((n) => n / 10);
const families = ['slab', 'block', 'ramp', 'post', 'arch', 'bush', 'cairn', 'ring', 'bridge'];
const laid = fc
  .array(
    fc.record({
      family: fc.constantFrom(...families),
      at: fc.tuple(metres, metres, metres),
      turn: fc.tuple(fc.nat(359), fc.nat(359), fc.nat(359)),
    }),
    { minLength: 1, maxLength: 20 },
  )
  .map((pieces) => layPieces(emptyCourse('Trial', 'free'), pieces).pieces);

test('pieces over a rectangle of the map are found, none of them missed', () => {
  fc.assert(
    fc.property(laid, metres, metres, fc.nat(40), fc.nat(40), (pieces, x, z, w, d) => {
      const found = new Set(piecesOver(pieces, x, z, x + w, z + d));
      for (const piece of pieces) {
        const { low, high } = pieceBounds(piece);
        const over = low[0] <= x + w && high[0] >= x && low[2] <= z + d && high[2] >= z;
        if (over) expect(found.has(piece)).toBe(true);
      }
    }),
    { numRuns: 150, seed: 3 },
  );
});

/** The middle of one of a piece's convex solids, in the world. */
const inside = (piece: Piece): Vec3 | null => {
  const part = localGeometry(piece).parts.find(({ mesh, unseen }) => !mesh && !unseen);
  if (!part) return null;
  const { points } = part.solid;
  const sum = points.reduce((s, p) => add(s, p), [0, 0, 0] as Vec3);
  return toWorld(piece)(scale(sum, 1 / points.length));
};

test('who looks at something meets it, or what stands before it, and passes by what is picked', () => {
  fc.assert(
    fc.property(laid, fc.tuple(metres, metres, metres), fc.nat(), (pieces, eye, pick) => {
      const piece = pieces[pick % pieces.length];
      const aim = inside(piece);
      if (!aim) return;
      const ray = { from: eye, along: sub(aim, eye) };
      if (Math.hypot(...ray.along) < 1) return;
      const met = pickPiece({ pieces }, ray);
      expect(met).not.toBeNull();
      // What is aimed at lies at 1; from within something it is met at once.
      expect(met!.t).toBeLessThanOrEqual(1 + 1e-9);
      expect(rayHitsBounds(ray, piece)).toBe(true);
      expect(
        rayHitsBounds(
          ray,
          pieces.find(({ id }) => id === met!.id)!,
        ),
      ).toBe(true);
      // Without the one that was met, something else is met or nothing, never nearer.
      const behind = pickPiece({ pieces: pieces.filter(({ id }) => id !== met!.id) }, ray);
      if (behind) expect(behind.t).toBeGreaterThanOrEqual(met!.t - 1e-9);
    }),
    { numRuns: 300, seed: 5 },
  );
});

test('the ground is the highest top at or a little above a place, and none over open water', () => {
  const course = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'slab', at: [0, 0, 0], size: [4, 0.5, 4] },
    { family: 'block', at: [1, 0.5, 0], size: [1, 1, 1] },
    { family: 'bush', at: [-1, 0.5, 0] },
  ]);
  expect(groundBelow(course, [-1.8, 3, 1.8])).toBeCloseTo(0.5, 9);
  expect(groundBelow(course, [1, 0.5, 0])).toBeCloseTo(1.5, 9);
  // Scenery is no ground unless it is told to touch.
  expect(groundBelow(course, [-1, 0.5, 0])).toBeCloseTo(0.5, 9);
  expect(groundBelow({ ...course, collides: { bush: true } }, [-1, 0.5, 0])).toBeGreaterThan(0.6);
  expect(groundBelow(course, [9, 3, 0])).toBeNull();
});

test('drawn round on the picture, what is seen within is chosen, and not what is hidden or locked', () => {
  const { pieces } = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'crate', at: [0, 0, 0] },
    { family: 'crate', at: [5, 0, 0] },
    { family: 'crate', at: [0, 0, 5] },
    { family: 'crate', at: [1, 0, 1] },
  ]);
  const course = { ...emptyCourse('Trial', 'free'), pieces: [...pieces] };
  course.pieces[3] = { ...pieces[3], locked: true };
  const outline = [
    [-1, -1],
    [6, -1],
    [6, 2],
    [-1, 2],
  ] as const;
  expect(chooseWithin(course, outline, ([x, , z]) => [x, z])).toEqual(['p1', 'p2']);
  expect(chooseWithin(course, outline, () => null)).toEqual([]);
});
