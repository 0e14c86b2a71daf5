import { emptyCourse } from '../../course';
import { layPieces } from '../pieces/lay';
import { markPieces } from '..';
import { thinScenery } from '../draw/scatter';

const garden = layPieces(
  emptyCourse('Garden', 'free'),
  Array.from({ length: 100 }, (_, i) => ({
    family: i % 10 === 0 ? 'slab' : 'grass',
    at: [(i % 10) * 2, 0, Math.floor(i / 10) * 2] as [number, number, number],
  })),
);
const nobody = new Set<string>();

test('half of the scenery goes, evenly, and nothing else', () => {
  const thin = thinScenery(garden, nobody);
  expect(thin.pieces.filter(({ family }) => family === 'slab')).toHaveLength(10);
  expect(thin.pieces.filter(({ family }) => family === 'grass')).toHaveLength(45);
  // Everywhere some of it stays.
  for (let row = 0; row < 10; row += 2) {
    const there = thin.pieces.filter(
      ({ family, at }) => family === 'grass' && at[2] >= row * 2 && at[2] < row * 2 + 4,
    );
    expect(there.length).toBeGreaterThan(3);
    expect(there.length).toBeLessThan(15);
  }
});

test('what is chosen alone is thinned where something is, and what is locked stays', () => {
  const chosen = new Set(garden.pieces.slice(0, 21).map(({ id }) => id));
  expect(thinScenery(garden, chosen).pieces).toHaveLength(100 - 9);
  const all = new Set(garden.pieces.map(({ id }) => id));
  const locked = markPieces(garden, all, 'locked', true);
  expect(thinScenery(locked, nobody).pieces).toHaveLength(100);
});
