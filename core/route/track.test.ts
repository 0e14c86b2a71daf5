import fc from 'fast-check';
import { saltPanSlalom } from '@/demo/courses/saltPanSlalom';
import { endsOf, joinTo, layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Piece } from '../course';
import { distance } from '../geometry';
import { plannedRoute, trackWay, elevationProfile, wayLength } from '.';

/** Pieces joined one to another, each entered by the end that is said. */
function chain(entered: readonly number[], families: readonly string[]) {
  const pieces: PieceInHand[] = [{ family: 'straight', at: [0, 0, 0] }];
  entered.forEach((own, i) => {
    const last = { ...pieces[i], id: 'last' } as Piece;
    const out = endsOf(last)[i === 0 ? 1 : 1 - entered[i - 1]];
    pieces.push(joinTo({ family: families[i % families.length], at: [0, 0, 0] }, own, out));
  });
  return layPieces(emptyCourse('Chain', 'free'), [{ family: 'start', at: [0, 0, 0] }, ...pieces]);
}

test('track is followed to its far end, whichever way round each piece was laid', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(0, 1), { minLength: 1, maxLength: 7 }), (entered) => {
      const course = chain(entered, ['straight', 'rise', 'straight']);
      const { way, closed } = trackWay(course)!;
      expect(closed).toBe(false);
      const tracks = course.pieces.slice(1);
      const ends = tracks.map((piece) => endsOf(piece).map(({ at }) => at));
      // Every end is passed, and the way is as long as the pieces together.
      for (const at of ends.flat()) expect(way.some((p) => distance(p, at) < 1e-3)).toBe(true);
      const length = way.slice(1).reduce((sum, p, i) => sum + distance(p, way[i]), 0);
      expect(length).toBeCloseTo(
        ends.reduce((sum, [a, b]) => sum + distance(a, b), 0),
        6,
      );
    }),
    { numRuns: 40 },
  );
});

test('a way to a goal ends there; without one it goes on', () => {
  const course = chain([0, 0, 0, 0, 0, 0], ['straight']);
  const at = endsOf(course.pieces[4])[0].at;
  const short = layPieces(course, [{ family: 'lantern', at: [at[0], at[1], at[2]] }]);
  const ends = (of: typeof course) => trackWay(of)!.way.at(-1)!;
  expect(distance(ends(short), at)).toBeLessThan(1e-3);
  expect(distance(ends(course), endsOf(course.pieces[7])[1].at)).toBeLessThan(1e-3);
});

test('a round with two ways at a split is gone round once, by the shorter', () => {
  const course = saltPanSlalom.course;
  const { way, closed, from } = plannedRoute(course);
  expect([closed, from]).toEqual([true, 'track']);
  expect(elevationProfile(course, way).length).toBeCloseTo(wayLength(way), 6);
  const drawn = course.sketch!.points;
  for (const p of drawn) {
    const away = Math.min(...way.map((q) => Math.hypot(q[0] - p[0], q[2] - p[2])));
    // The two ways part a few metres from the line between them.
    expect(away).toBeLessThan(8);
  }
  const split = course.pieces.find(({ family }) => family === 'split')!;
  const arms = endsOf(split).slice(1);
  const taken = arms.filter(({ at }) => way.some((p) => distance(p, at) < 1e-3));
  expect(taken).toHaveLength(1);
});
