import { layPieces } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import { sub, type Vec3 } from '@/core/geometry';
import { poseAt, STILL, type Pose } from '@/core/motion';
import { worldMotion } from '@/core/pieces';
import { bakeMoving } from './bake';
import { place, type Item } from './placing';
import { restingMoment } from './frameState';

const { pieces } = layPieces(emptyCourse('Yard', 'free'), [{ family: 'arm', at: [3, 1, -2] }]);
const moved: Piece = { ...pieces[0], at: [8, 2, 4] };
const by = sub(moved.at, pieces[0].at);

/** Where a piece's corners are drawn at a pose, when what was made of it is carried so far. */
function drawn(piece: Piece, pose: Pose, ...carries: Vec3[]): number[] {
  const baked = bakeMoving(piece);
  const [facets, lines] = [baked.positions.slice(), baked.lines.slice()];
  const item: Item = {
    ...{ piece, baked, whole: false, facetFrom: 0, lineFrom: 0 },
    ...{ pose: null, carried: [0, 0, 0], gone: false },
  };
  const moment = { ...restingMoment(), posing: () => ({ whole: STILL, part: pose }) };
  for (const carried of carries) place(item, moment, carried, facets, lines);
  const [cx, cy, cz] = carries[carries.length - 1];
  return [...facets].map((v, i) => v + [cx, cy, cz][i % 3]);
}

test('what is carried is drawn at its pose as if it had been made where it is', () => {
  const pose = poseAt(worldMotion(moved)!, 80);
  expect(pose).not.toBe(STILL);
  const here = drawn(moved, pose, [0, 0, 0]);
  const carried = drawn(pieces[0], pose, [1, 0, 0], by);
  expect(carried).toHaveLength(here.length);
  carried.forEach((v, i) => expect(v).toBeCloseTo(here[i], 4));
  expect(carried.some((v, i) => Math.abs(v - drawn(moved, STILL, [0, 0, 0])[i]) > 0.1)).toBe(true);
});

test('what stays is written once', () => {
  const [piece] = pieces;
  const baked = bakeMoving(piece);
  const item: Item = {
    ...{ piece, baked, whole: false, facetFrom: 0, lineFrom: 0 },
    ...{ pose: null, carried: by, gone: false },
  };
  const [facets, lines] = [baked.positions.slice(), baked.lines.slice()];
  const at = (carried: Vec3) => place(item, restingMoment(), carried, facets, lines);
  expect([at(by), at(by), at([0, 0, 0])]).toEqual([true, false, false]);
});
