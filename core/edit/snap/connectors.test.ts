import fc from 'fast-check';
import { emptyCourse, type Piece } from '../../course';
import { add, distance, dot, type Vec3 } from '../../geometry';
import { FAMILIES, localGeometry } from '../../pieces';
import {
  bestOwnEnd,
  endIndex,
  endsOf,
  familiesThatFit,
  joinTo,
  landingOf,
  layPieces,
  openEndNear,
  turnOfMatrix,
} from '..';
import { turnMatrix } from '../../geometry';

const ahead = (turn: readonly number[]): Vec3 => [turn[0], turn[3], turn[6]];
const angle = fc.integer({ min: -7200, max: 7200 }).map((n) => n / 20);

test('a turn read back from its rotation is the same rotation', () => {
  fc.assert(
    fc.property(angle, angle, angle, (x, y, z) => {
      const m = turnMatrix([x, y, z]);
      const back = turnMatrix(turnOfMatrix(m));
      return m.every((v, i) => Math.abs(v - back[i]) < 1e-8);
    }),
    { seed: 3 },
  );
  for (const x of [90, -90, 270]) {
    const m = turnMatrix([x, 40, 25]);
    const back = turnMatrix(turnOfMatrix(m));
    m.forEach((v, i) => expect(back[i]).toBeCloseTo(v, 8));
  }
});

const withEnds = FAMILIES.filter(({ id }) => localGeometry({ family: id }).sockets.length > 0);

test('ends join exactly, wherever and however the other piece stands', () => {
  const place = fc.integer({ min: -40_000, max: 40_000 }).map((n) => n / 333);
  fc.assert(
    fc.property(
      fc.constantFrom(...withEnds),
      fc.constantFrom(...withEnds),
      fc.tuple(place, place, place),
      fc.tuple(angle, angle, angle),
      (a, b, at, turn) => {
        const there: Piece = { id: 'a', family: a.id, at, turn };
        const end = endsOf(there)[endsOf(there).length - 1];
        const own = localGeometry({ family: b.id }).sockets.length - 1;
        const joined = endsOf({ ...joinTo({ family: b.id, at: [0, 0, 0] }, own, end), id: 'b' })[
          own
        ];
        expect(distance(joined.at, end.at)).toBeLessThan(1e-6);
        expect(1 + dot(ahead(joined.turn), ahead(end.turn))).toBeLessThan(1e-15);
      },
    ),
    { numRuns: 300, seed: 8 },
  );
});

const track = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'straight', at: [0, 0, 0] },
  { family: 'slab', at: [20, 0, 0] },
]);

test('a piece held near an open end lands in it; else on a corner, on what is below, on the grid', () => {
  const settings = {
    steps: [0.5, 0.5, 0.5] as Vec3,
    ends: true,
    corners: true,
    surface: true,
    reach: 0.8,
  };
  const land = (family: string, at: [number, number, number], change = {}) =>
    landingOf(track, { family, at }, { ...settings, ...change });
  const bend = land('bend', [4.4, 0.2, 0.3]);
  expect(bend.took).toBe('end');
  expect(bend.piece.at).toEqual([4, 0, 0]);
  expect(
    land('bend', [4.4, 0.2, 0.3], { ends: false, corners: false, surface: false }),
  ).toMatchObject({
    took: 'grid',
    piece: { at: [4.5, 0, 0.5] },
  });
  // The corner of a crate on the corner of the slab.
  const crate = land('crate', [21.7, 0.5, 0.6], { ends: false, steps: [0, 0, 0] });
  expect(crate.took).toBe('corner');
  expect(crate.piece.at).toEqual([21.5, 0.5, 0.5]);
  const onTop = land('crate', [20.1, 1.6, 0.2], { ends: false, corners: false });
  expect(onTop).toMatchObject({ took: 'surface', piece: { at: [20, 0.5, 0] } });
});

test('only ends that nothing is joined to are open, and what fits them is of their kind first', () => {
  expect(endIndex(track).open('track')).toHaveLength(2);
  const end = openEndNear(track, [4.5, 0, 0])!;
  const joined = joinTo(
    { family: 'bend', at: [0, 0, 0] },
    bestOwnEnd({ family: 'bend', at: [0, 0, 0] }, end)!,
    end,
  );
  const longer = layPieces(track, [joined]);
  expect(endIndex(longer).open('track')).toHaveLength(2);
  expect(openEndNear(longer, add(end.at, [3, 0, -1]))!.piece).toBe('p3');
  expect(familiesThatFit(end)[0].group).toBe('track');
});
