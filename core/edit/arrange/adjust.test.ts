import fc from 'fast-check';
import { checkCourse } from '../../check';
import { emptyCourse, type Course } from '../../course';
import { dot, rotate, type Vec3 } from '../../geometry';
import { localGeometry, pieceBounds, turnOf } from '../../pieces';
import {
  cornerOnto,
  dropPieces,
  flipPieces,
  layPieces,
  lieAlong,
  ownCorner,
  pullEdge,
  resetTurn,
  setDial,
  setOneOfSeveral,
  stepDial,
  sinkPieces,
  spinPieces,
  stretchPieces,
  toOrigin,
} from '..';

const course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'ramp', at: [0, 0, 0], size: [6, 2, 4] },
  { family: 'crate', at: [0, 5, 0], turn: [0, 30, 0] },
  { family: 'slab', at: [20, 0, 3], size: [2, 0.5, 2] },
]);
const of = (...ids: string[]) => new Set(ids);
const piece = (c: Course, id: string) => c.pieces.find((p) => p.id === id)!;
const angle = fc.integer({ min: 0, max: 359 });

test('stretched from one side the other face stays, from both the middle does, whatever the turn', () => {
  fc.assert(
    fc.property(
      angle,
      angle,
      fc.constantFrom(0, 1, 2),
      fc.constantFrom(1, -1),
      (x, y, axis, side) => {
        const turned = layPieces(emptyCourse('T'), [
          { family: 'slab', at: [3, 1, 2], turn: [x, y, 0] },
        ]);
        const a = axis as 0 | 1 | 2;
        // Faces of the piece along its own axis, as distances along that axis in the world.
        const faces = (c: Course): [number, number] => {
          const p = piece(c, 'p1');
          const unit: [number, number, number] = [0, 0, 0];
          unit[a] = 1;
          const along = rotate(turnOf(p), unit);
          const size = (p.size ?? [2, 0.5, 2])[a];
          const foot = dot(along, p.at as Vec3);
          return a === 1 ? [foot, foot + size] : [foot - size / 2, foot + size / 2];
        };
        const before = faces(turned);
        const one = faces(stretchPieces(turned, of('p1'), a, 0.75, side as 1 | -1));
        const kept = side > 0 ? 0 : 1;
        expect(one[kept]).toBeCloseTo(before[kept], 5);
        expect(one[1 - kept]).toBeCloseTo(before[1 - kept] + side * 0.75, 5);
        const both = faces(stretchPieces(turned, of('p1'), a, 0.75, 1, true));
        expect(both[0] + both[1]).toBeCloseTo(before[0] + before[1], 5);
        expect(both[1] - both[0]).toBeCloseTo(before[1] - before[0] + 1.5, 5);
      },
    ),
    { numRuns: 80, seed: 12 },
  );
  expect(() => stretchPieces(course, of('p3'), 0, NaN)).toThrow(/not a number/);
  // Never to nothing.
  expect(piece(stretchPieces(course, of('p3'), 0, -9), 'p3').size![0]).toBe(0.05);
});

test('dropped pieces stand on what is below, and lie along its slope when told to', () => {
  const dropped = dropPieces(course, of('p2'));
  // The ramp rises from 0 to 2 over six metres: one metre at its middle.
  expect(piece(dropped, 'p2').at[1]).toBeCloseTo(1, 6);
  const lying = piece(lieAlong(dropped, of('p2')), 'p2');
  const up = rotate(turnOf(lying), [0, 1, 0]);
  const slope = Math.hypot(6, 2);
  expect(dot(up, [-2 / slope, 6 / slope, 0])).toBeCloseTo(1, 9);
  expect(piece(sinkPieces(dropped, of('p2'), 0.25), 'p2').at[1]).toBeCloseTo(0.75, 6);
  expect(piece(dropPieces(course, of('p3')), 'p3').at).toEqual([20, 0, 3]);
  expect(piece(resetTurn(course, of('p2')), 'p2').turn).toBeUndefined();
});

test('a corner comes exactly onto another', () => {
  const own = ownCorner(course, of('p3'), [19, 0, 2])!;
  const moved = cornerOnto(course, of('p3'), own, [3, 2, 2]);
  const { low } = pieceBounds(piece(moved, 'p3'));
  expect(low.map((v) => Math.round(v * 1e6) / 1e6)).toEqual([3, 2, 2]);
});

test('pieces turn together about a place, or each about itself, and come back', () => {
  fc.assert(
    fc.property(angle, fc.constantFrom(0, 1, 2), fc.boolean(), (degrees, axis, own) => {
      const ids = of('p2', 'p3');
      const there = spinPieces(course, ids, axis as 0 | 1 | 2, degrees, [4, 1, 1], own);
      const back = spinPieces(there, ids, axis as 0 | 1 | 2, -degrees, [4, 1, 1], own);
      for (const id of ids) {
        piece(back, id).at.forEach((v, i) => expect(v).toBeCloseTo(piece(course, id).at[i], 5));
        const [a, b] = [turnOf(piece(back, id)), turnOf(piece(course, id))];
        a.forEach((v, i) => expect(v).toBeCloseTo(b[i], 6));
        if (own) expect(piece(there, id).at).toEqual(piece(course, id).at);
      }
    }),
    { numRuns: 60, seed: 13 },
  );
});

test('one edge of a block pulled down makes a ramp, never below its foot', () => {
  const ramp = pullEdge(course, of('p3'), '+x', -200);
  const { shapes } = localGeometry(piece(ramp, 'p3'));
  const tops = shapes.flatMap(({ form }) => (form.kind === 'hull' ? form.solid.points : []));
  expect(Math.max(...tops.map((p) => p[1]))).toBeCloseTo(0.5, 6);
  const low = tops.filter((p) => p[0] > 0.9 && p[1] > 0).map((p) => p[1]);
  expect(Math.max(...low)).toBeLessThan(0.05);
  expect(piece(pullEdge(ramp, of('p3'), '+x', 0.5), 'p3')).toEqual({
    ...piece(course, 'p3'),
    family: 'ashlar',
  });
  expect(() => pullEdge(course, of('p1'), '+x', -1)).toThrow(/edges to pull/);
});

test('to the origin the first goes and the rest with it; flipping twice is nothing', () => {
  const moved = toOrigin(course, of('p2', 'p3'));
  expect(piece(moved, 'p2').at).toEqual([0, 0, 0]);
  expect(piece(moved, 'p3').at).toEqual([20, -5, 3]);
  expect(flipPieces(flipPieces(course, of('p2')), of('p2'))).toEqual(course);
  expect(() => setDial(course, of('p3'), { kind: 'size', axis: 0 }, 1e6)).toThrow(/goes from/);
});

test('several step from where each stands, turns past a whole one; what one refuses none does', () => {
  const both = of('p2', 'p3');
  const before = [piece(course, 'p2'), piece(course, 'p3')];
  const stepped = stepDial(course, both, { kind: 'at', axis: 1 }, 0.25);
  ['p2', 'p3'].forEach((id, i) => {
    expect(piece(stepped, id).at[1]).toBeCloseTo(before[i].at[1] + 0.25, 9);
  });
  const turned = setDial(course, of('p3'), { kind: 'turn', axis: 1 }, 355);
  expect(piece(stepDial(turned, of('p3'), { kind: 'turn', axis: 1 }, 15), 'p3').turn).toEqual([
    0, 10, 0,
  ]);
  expect(() => stepDial(course, both, { kind: 'at', axis: 0 }, 1e5)).toThrow(/goes from/);
});

test('kerbs are set one by one', () => {
  const floor = layPieces(course, [{ family: 'court', at: [0, 0, 0] }]);
  const { id } = floor.pieces[floor.pieces.length - 1];
  const east = setOneOfSeveral(floor, of(id), 'edges', 0, true);
  const two = setOneOfSeveral(east, of(id), 'edges', 3, true);
  expect(piece(two, id).params).toEqual({ edges: 9 });
  expect(localGeometry(piece(two, id)).shapes).toHaveLength(3);
  expect(setOneOfSeveral(east, of(id), 'edges', 0, false)).toEqual(floor);
  const wrong = { ...two, pieces: [{ ...piece(two, id), params: { edges: 16 } }] };
  expect(checkCourse(wrong).map(({ rule }) => rule)).toContain('setting');
});
