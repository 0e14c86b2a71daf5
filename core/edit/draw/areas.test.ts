import fc from 'fast-check';
import { emptyCourse, type Course } from '../../course';
import { convexParts, signedArea, type Vec2, type Vec3 } from '../../geometry';
import { localGeometry, rimPoints } from '../../pieces';
import {
  addHole,
  carveArea,
  cornerPlace,
  curveEdge,
  drawWall,
  eraseScenery,
  groundOf,
  inRegion,
  fillArea,
  floodArea,
  inPlane,
  layKit,
  layPieces,
  layPlatform,
  moveCorner,
  pushEdge,
  readKit,
  parseExpression,
  rectangle,
  removeCorner,
  roundCorner,
  removeHole,
  scatterPieces,
  type MapRegion,
  splitEdge,
  toKit,
  OutlineError,
} from '..';

const empty = emptyCourse('Trial', 'free');
const slab = { family: 'slab', at: [0, 0, 0] as [number, number, number] };
const court = { ...slab, family: 'court' };
const places = (course: Course) => course.pieces.map(({ at }) => `${at[0]} ${at[2]}`);

describe('areas', () => {
  const region = rectangle(slab, [0.5, 0.5], [5.5, 3.5]);

  test('an area is filled once, carved again, and what was there stays', () => {
    const full = fillArea(empty, slab, 1, region);
    expect(full.pieces).toHaveLength(6);
    expect(new Set(places(full)).size).toBe(6);
    expect(fillArea(full, slab, 1, region)).toBe(full);
    const carved = carveArea(full, slab, 1, rectangle(slab, [2.5, 0.5], [3, 1]));
    expect(places(carved)).not.toContain('3 1');
    expect(carved.pieces).toHaveLength(5);
    expect(carveArea(empty, slab, 1, region)).toBe(empty);
    expect(() => fillArea(empty, slab, 0, rectangle(slab, [0, 0], [500, 500]))).toThrow(
      /fill it in parts/,
    );
  });

  test('kerbs stand where no floor goes on, whichever way the pieces are turned', () => {
    for (const quarter of [0, 90, 180, 270]) {
      const turned = {
        ...court,
        ...(quarter ? { turn: [0, quarter, 0] as [number, number, number] } : {}),
      };
      const yard = fillArea(empty, turned, 0, rectangle(court, [0.5, 0.5], [5.5, 5.5]));
      const kerbs = yard.pieces.map((piece) => localGeometry(piece).shapes.length - 1);
      expect([...kerbs].sort()).toEqual([0, 1, 1, 1, 1, 2, 2, 2, 2]);
      expect(kerbs[4]).toBe(0);
      const corner = yard.pieces[0];
      const own = Number(corner.params?.edges);
      // -x and -z of the world are 2 and 3; turned pieces carry them as sides of their own.
      const shift = quarter / 90;
      expect(own).toBe((1 << ((2 + shift) % 4)) | (1 << ((3 + shift) % 4)));
    }
  });

  test('a flood fills a closed yard and refuses an open one', () => {
    const hand = { family: 'wall', at: [0, 0, 0] as [number, number, number] };
    const line: Vec3[] = [
      [0, 0, 0],
      [8, 0, 0],
      [8, 0, 8],
      [0, 0, 8],
    ];
    const closed = drawWall(empty, [...line, [0, 0, 0]], hand);
    expect(
      floodArea(closed, { ...slab, size: [1, 0.5, 1] }, 0, [4, 4]).pieces.length,
    ).toBeGreaterThan(36);
    expect(() => floodArea(drawWall(empty, line, hand), slab, 0, [4, 4])).toThrow(/not closed/);
  });
});

describe('outlines', () => {
  const dented: Vec3[] = [
    [0, 1, 0],
    [6, 1, 0],
    [6, 1, 6],
    [3, 1, 2],
    [0, 1, 6],
  ];
  const course = layPlatform(
    empty,
    dented,
    { axis: 'y', value: 1 },
    { ...slab, family: 'platform' },
  );
  const [piece] = course.pieces;

  test('a dented outline is cut into convex parts of the same area', () => {
    const star = fc.array(fc.integer({ min: 20, max: 100 }), { minLength: 5, maxLength: 14 });
    fc.assert(
      fc.property(star, (reaches) => {
        const points = reaches.map((r, i): Vec2 => {
          const a = (i * 2 * Math.PI) / reaches.length;
          return [r * Math.cos(a), r * Math.sin(a)];
        });
        const { points: all, parts } = convexParts(points);
        const area = parts.reduce((sum, part) => sum + signedArea(part.map((i) => all[i])), 0);
        expect(area).toBeCloseTo(Math.abs(signedArea(points)), 6);
        expect(parts.length).toBeLessThan(reaches.length - 1);
      }),
      { numRuns: 60, seed: 5 },
    );
    expect(localGeometry(piece).shapes.length).toBeGreaterThan(1);
    expect(cornerPlace(piece, inPlane(piece, dented[2]))).toEqual(dented[2]);
  });

  test('corners are moved, split, taken away, edges pushed, curved, corners rounded, holes cut', () => {
    const area = (c: Course) => Math.abs(signedArea(rimPoints(c.pieces[0].outline!.points))) / 2;
    expect(area(pushEdge(course, 'p1', 'outer', 0, 1))).toBeGreaterThan(area(course));
    expect(area(curveEdge(course, 'p1', 'outer', 0, 0.5))).toBeGreaterThan(area(course));
    expect(area(roundCorner(course, 'p1', 'outer', 1, 1))).toBeLessThan(area(course));
    expect(area(splitEdge(course, 'p1', 'outer', 0))).toBe(area(course));
    expect(splitEdge(course, 'p1', 'outer', 0).pieces[0].outline!.points).toHaveLength(6);
    const holed = addHole(course, 'p1', [-1.5, -2]);
    expect(holed.pieces[0].outline!.holes).toHaveLength(1);
    expect(removeHole(holed, 'p1', 0)).toEqual(course);
    expect(localGeometry(holed.pieces[0]).shapes.length).toBeGreaterThan(
      localGeometry(piece).shapes.length,
    );
  });

  test('what crosses itself is refused with the place, and nothing changes', () => {
    let thrown: unknown;
    try {
      moveCorner(course, 'p1', 'outer', 3, [0, -9]);
    } catch (problem) {
      thrown = problem;
    }
    expect(thrown).toBeInstanceOf(OutlineError);
    expect((thrown as OutlineError).at![1]).toBe(1);
    const triangle = removeCorner(removeCorner(course, 'p1', 'outer', 3), 'p1', 'outer', 3);
    expect(() => removeCorner(triangle, 'p1', 'outer', 0)).toThrow(/three points/);
    expect(() => layPlatform(empty, dented.slice(0, 2), { axis: 'y', value: 1 }, slab)).toThrow(
      /three points/,
    );
  });
});

describe('dressing', () => {
  const way: Vec3[] = [
    [-20, 0, 0],
    [20, 0, 0],
  ];
  const stroke: MapRegion = {
    stroke: [
      [-10, 0],
      [10, 0],
    ],
    reach: 4,
  };
  const wish = {
    families: ['rock', 'reeds'],
    density: 8,
    sizeSpread: 0.3,
    turnSpread: 180,
    lean: 8,
    seed: 1,
    margin: 2,
  };

  test('the same seed scatters the same, within the stroke and off the way', () => {
    const strewn = scatterPieces(empty, stroke, 0, wish, way);
    expect(strewn.pieces.length).toBeGreaterThan(10);
    expect(scatterPieces(empty, stroke, 0, wish, way)).toEqual(strewn);
    expect(scatterPieces(empty, stroke, 0, { ...wish, seed: 2 }, way)).not.toEqual(strewn);
    for (const { at } of strewn.pieces) {
      expect(Math.abs(at[2])).toBeGreaterThanOrEqual(1.99);
      expect(inRegion(stroke, [at[0], at[2]])).toBe(true);
    }
    expect(eraseScenery(strewn, stroke).pieces).toHaveLength(0);
    expect(() => scatterPieces(empty, { stroke: [[0, 0]], reach: 400 }, 0, wish)).toThrow(
      /make it smaller/,
    );
  });

  test('ground is every floor that one comes to from a floor, not what stands on it or lies apart', () => {
    const laid = layPieces(empty, [
      { family: 'slab', at: [0, 0, 0], size: [2, 0.5, 2] },
      { family: 'setts', at: [2, 0.1, 0], size: [2, 0.5, 2] },
      { family: 'ice', at: [4.05, 0, 0], size: [2, 0.5, 2] },
      { family: 'slab', at: [8, 0, 0], size: [2, 0.5, 2] },
      { family: 'crate', at: [0, 0.5, 0] },
    ]);
    expect([...groundOf(laid, 'p1')].sort()).toEqual(['p1', 'p2', 'p3']);
    expect([...groundOf(laid, 'p4')]).toEqual(['p4']);
    expect(groundOf(laid, 'p5').size).toBe(0);
  });

  test('nothing is strewn about a start or a goal, whichever way the course goes', () => {
    const marked = layPieces(empty, [
      { family: 'start', at: [0, 0, 6] },
      { family: 'lantern', at: [6, 0, 6] },
      { family: 'shell', at: [3, 0, 6] },
    ]);
    const strewn = scatterPieces(
      marked,
      {
        stroke: [
          [-4, 6],
          [10, 6],
        ],
        reach: 3,
      },
      0,
      { ...wish, density: 20 },
    );
    const away = (x: number) =>
      Math.min(...strewn.pieces.slice(3).map(({ at }) => Math.hypot(at[0] - x, at[2] - 6)));
    expect([away(0), away(6)].every((least) => least >= 1.99)).toBe(true);
    expect(away(3)).toBeLessThan(1.5);
  });

  test('a stroke that goes back over itself leaves no hole, and an area is strewn to its edge', () => {
    const back: MapRegion = {
      stroke: [
        [0, 0],
        [8, 0],
        [0, 1],
        [8, 1],
      ],
      reach: 3,
    };
    const thick = { ...wish, density: 12, margin: 0 };
    const inside = (c: Course) =>
      c.pieces.filter(({ at: [x, , z] }) => x > 1 && x < 7 && z > -1 && z < 2).length;
    const once: MapRegion = {
      stroke: [
        [0, 0.5],
        [8, 0.5],
      ],
      reach: 4,
    };
    const [folded, plain] = [back, once].map((r) => inside(scatterPieces(empty, r, 0, thick)));
    expect(folded).toBeGreaterThan(0.7 * plain);
    const corner: MapRegion = {
      ring: [
        [0, 0],
        [12, 0],
        [0, 12],
      ],
    };
    const strewn = scatterPieces(empty, corner, 0, thick);
    expect(strewn.pieces.length).toBeGreaterThan(30);
    expect(strewn.pieces.every(({ at: [x, , z] }) => x >= 0 && z >= 0 && x + z <= 12.01)).toBe(
      true,
    );
    // Long and slanting it covers little of the map about it, and is not too much.
    const slant: MapRegion = {
      stroke: [
        [0, 0],
        [60, 60],
      ],
      reach: 1,
    };
    expect(scatterPieces(empty, slant, 0, wish).pieces.length).toBeGreaterThan(20);
  });
});

describe('kits and sums', () => {
  test('an assembly is laid as it was, in one group, and a newer or broken one is refused', () => {
    const course = layPieces(empty, [slab, { family: 'crate', at: [0.4, 0.5, 0] }]);
    const kit = toKit(course, new Set(['p1', 'p2']), ' Crated slab ');
    const { course: next, laid } = layKit(course, readKit(JSON.stringify(kit)), [10, 2, 4]);
    expect(next.pieces.slice(2).map(({ at }) => at)).toEqual([
      [10, 2, 4],
      [10.4, 2.5, 4],
    ]);
    expect(new Set(next.pieces.slice(2).map(({ group }) => group)).size).toBe(1);
    expect(laid).toEqual(['p3', 'p4']);
    expect(() => readKit(JSON.stringify({ ...kit, version: 2 }))).toThrow(/newer/);
    expect(() => readKit(JSON.stringify({ ...kit, pieces: [{ id: 'a' }] }))).toThrow(
      /broken at pieces/,
    );
    expect(() => readKit('{')).toThrow(/cut off/);
    expect(() => toKit(course, new Set(), 'None')).toThrow(/Choose/);
  });

  test.each([
    ['1.5+0.25', 1.75],
    ['3*(2-,5)', 4.5],
    ['−4', -4],
    [' 10 / 4 - 1 ', 1.5],
    ['-(1+2)*2', -6],
  ])('%s is %d', (text, value) => expect(parseExpression(text)).toBeCloseTo(value, 12));

  test.each(['', '1+', '2 m', '(1', '1//2', 'e9', '1/0'])('%j is no number', (text) =>
    expect(parseExpression(text)).toBeNaN(),
  );
});
