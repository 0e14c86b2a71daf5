import fc from 'fast-check';
import { emptyCourse } from '../../course';
import { signedArea, type Vec3 } from '../../geometry';
import { wallPanels, wallSolids } from '../../pieces';
import {
  addToLine,
  drawWall,
  layPieces,
  movePost,
  panelAt,
  postsOf,
  removePost,
  setPanel,
  settleWall,
} from '..';

const hand = { family: 'wall', at: [0, 0, 0] as [number, number, number] };
const empty = emptyCourse('Trial', 'free');
const measures = { panel: 2, thickness: 0.3 };

/** Area of a wall's plan, panels and fillings, m². */
const planArea = (line: Parameters<typeof wallPanels>[0]): number => {
  const { panels, fillings } = wallPanels(line, measures);
  return [...panels.map(({ outline }) => outline), ...fillings].reduce(
    (sum, outline) => sum + Math.abs(signedArea(outline)) / 2,
    0,
  );
};

test('a corner at any angle is mitred: the plan has exactly the area of its runs', () => {
  fc.assert(
    fc.property(fc.integer({ min: 35, max: 325 }), (degrees) => {
      const a = (degrees * Math.PI) / 180;
      const line = addToLine({ points: [], runs: [] }, [
        [10, 0, 0],
        [0, 0, 0],
        [10 * Math.cos(a), 0, 10 * Math.sin(a)],
      ]);
      // What the mitre takes from the inner side of each run it gives to the outer.
      expect(planArea(line)).toBeCloseTo(2 * 10 * 0.3, 6);
    }),
    { numRuns: 60, seed: 9 },
  );
});

test('tees and crossings part the runs they meet and leave no gap', () => {
  let course = drawWall(
    empty,
    [
      [-6, 0, 0],
      [6, 0, 0],
    ],
    hand,
  );
  course = drawWall(
    course,
    [
      [0, 0, 0.1],
      [0, 0, 6],
    ],
    hand,
  );
  expect(course.pieces).toHaveLength(1);
  const [{ line }] = course.pieces;
  expect(line!.runs).toHaveLength(3);
  // A tee: the through wall whole, the stem from its face on.
  expect(planArea(line!)).toBeCloseTo(12 * 0.3 + (6 - 0.15) * 0.3, 6);
  const crossed = drawWall(
    course,
    [
      [-4, 0, 3],
      [4, 0, 3],
    ],
    hand,
  ).pieces[0].line!;
  expect(crossed.runs).toHaveLength(6);
  expect(planArea(crossed)).toBeCloseTo((12 + 5.85 + 8 - 0.3) * 0.3, 6);
});

test('a yard closes on itself, and a panel of it becomes a doorway one can see through', () => {
  const yard: Vec3[] = [
    [0, 0, 0],
    [8, 0, 0],
    [8, 0, 6],
    [0, 0, 6],
    [0, 0, 0.2],
  ];
  const course = drawWall(empty, yard, hand);
  expect(course.pieces[0].line!.points).toHaveLength(4);
  const panel = panelAt(course.pieces[0], [3, 0, 0.1])!;
  expect([panel.run, panel.panel]).toEqual([0, 1]);
  const open = setPanel(course, 'p1', 0, 1, 'door');
  const tall = (c: typeof open, low: number) =>
    wallSolids(c.pieces[0].line!, { ...measures, height: 2.4, posts: 'none' }).wall.filter(
      ({ points }) => Math.min(...points.map((p) => p[1])) >= low,
    );
  expect(tall(course, 1)).toHaveLength(0);
  expect(tall(open, 1)).toHaveLength(1);
  expect(setPanel(open, 'p1', 0, 1, 'full')).toEqual(course);
});

test('a moved post takes its runs along; a removed one takes them away', () => {
  const course = drawWall(
    empty,
    [
      [0, 0, 0],
      [6, 0, 0],
      [6, 0, 6],
    ],
    hand,
  );
  const moved = movePost(course, 'p1', 1, [8, 1, 0]);
  expect(postsOf(moved.pieces[0])).toEqual([
    [0, 0, 0],
    [8, 1, 0],
    [6, 0, 6],
  ]);
  const fewer = removePost(course, 'p1', 0).pieces[0].line!;
  expect([fewer.points.length, fewer.runs]).toEqual([2, [[0, 1]]]);
  expect(removePost(removePost(course, 'p1', 0), 'p1', 0).pieces).toHaveLength(0);
  expect(() =>
    drawWall(
      empty,
      [
        [1, 0, 1],
        [1, 0, 1],
      ],
      hand,
    ),
  ).toThrow(/two places/);
});

test('walls elsewhere stay walls of their own', () => {
  const course = drawWall(
    empty,
    [
      [0, 0, 0],
      [6, 0, 0],
    ],
    hand,
  );
  expect(
    drawWall(
      course,
      [
        [0, 0, 5],
        [6, 0, 5],
      ],
      hand,
    ).pieces,
  ).toHaveLength(2);
});

test('on the ground a wall follows a ramp and a step, with posts where the ground bends', () => {
  const yard = layPieces(emptyCourse('Hill', 'free'), [
    { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 8] },
    { family: 'ramp', at: [8, 0, 0], size: [8, 2, 8] },
    { family: 'block', at: [16, 0, 0], size: [8, 2, 8] },
  ]);
  const level = drawWall(
    yard,
    [
      [-3, 0, 0],
      [19, 0, 0],
    ],
    { family: 'wall', at: [0, 0, 0] },
  );
  const { id } = level.pieces[3];
  const settled = settleWall(level, id);
  const posts = postsOf(settled.pieces[3]).sort((a, b) => a[0] - b[0]);
  expect(posts.length).toBeGreaterThanOrEqual(4);
  const heightAt = (x: number) => (x <= 4 ? 0 : x >= 12 ? 2 : (x - 4) / 4);
  for (const [x, y] of posts) expect(y).toBeCloseTo(heightAt(x), 6);
  // Between posts it is never far off what is below.
  for (let i = 1; i < posts.length; i++) {
    const [a, b] = [posts[i - 1], posts[i]];
    const middle = (a[0] + b[0]) / 2;
    expect(Math.abs((a[1] + b[1]) / 2 - heightAt(middle))).toBeLessThan(0.4);
  }
  // What is level stays as it is, and again makes nothing new.
  expect(settleWall(settled, id)).toBe(settled);
  const over = drawWall(
    emptyCourse('Sea', 'free'),
    [
      [0, 1, 0],
      [9, 1, 0],
    ],
    { family: 'wall', at: [0, 0, 0] },
  );
  expect(settleWall(over, over.pieces[0].id)).toBe(over);
});
