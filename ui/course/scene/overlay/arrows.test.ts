import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import { sub } from '@/core/geometry';
import { arrowsOf } from './arrows';

const laid = (...pieces: PieceInHand[]) => layPieces(emptyCourse('Arrows', 'free'), [...pieces]);
const way = (pieces: readonly Piece[]) => {
  const arrows = arrowsOf({ pieces: [...pieces] });
  expect(arrows).toHaveLength(1);
  return sub(arrows[0].to, arrows[0].from);
};

test('a boost shows which way it pushes, turned with its piece', () => {
  expect(way(laid({ family: 'boost', at: [0, 0, 0] }).pieces)[0]).toBeGreaterThan(1);
  const turned = way(laid({ family: 'boost', at: [0, 0, 0], turn: [0, 90, 0] }).pieces);
  expect(turned[0]).toBeCloseTo(0, 6);
  expect(turned[2]).toBeLessThan(-1);
});

test('a one-way face shows the side that stops', () => {
  const up = way(laid({ family: 'slab', at: [0, 0, 0], oneWay: { side: 0 } }).pieces);
  expect(up[1]).toBeGreaterThan(0.5);
  const across = way(laid({ family: 'slab', at: [0, 0, 0], oneWay: { side: 90 } }).pieces);
  expect(across[0]).toBeLessThan(-0.5);
});

test('a path shows its way, leg by leg; what goes nowhere shows nothing', () => {
  const path = laid({
    family: 'slab',
    at: [0, 0, 0],
    motion: [
      {
        kind: 'path',
        points: [
          [4, 0, 0],
          [4, 0, 6],
        ],
        speed: 2,
      },
    ],
  });
  const arrows = arrowsOf(path);
  expect(arrows).toHaveLength(2);
  expect(arrows[0].to[0]).toBeGreaterThan(arrows[0].from[0]);
  expect(arrows[1].to[2]).toBeGreaterThan(arrows[1].from[2]);
  expect(
    arrowsOf(laid({ family: 'slab', at: [0, 0, 0] }, { family: 'crate', at: [3, 0, 0] })),
  ).toEqual([]);
});
