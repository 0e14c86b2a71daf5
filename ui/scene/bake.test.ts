import { layPieces } from '@/core/assemble';
import { emptyCourse } from '@/core/course';
import { bakeStill, joinBaked, turns, waterRings } from './bake';

const [slab, drift, shell, sunk] = layPieces(emptyCourse('Trial'), [
  { family: 'ramp', at: [0, 0, 0] },
  { family: 'drift', at: [0, 0, 0] },
  { family: 'shell', at: [0, 0, 0] },
  { family: 'block', at: [0, -2, 0] },
]).pieces;

test('facets become triangles with one colour each, sharp edges become lines', () => {
  const { positions, colours, lines } = bakeStill(slab);
  // Two triangles and three rectangles.
  expect(positions.length).toBe((2 + 3 * 2) * 9);
  expect(colours.length).toBe(positions.length);
  for (let i = 0; i < colours.length; i += 9) {
    expect([...colours.slice(i + 3, i + 6)]).toEqual([...colours.slice(i, i + 3)]);
  }
  // A ramp has nine edges; the flat turn at its foot needs no line.
  expect(lines.length / 6).toBeGreaterThanOrEqual(8);
  expect(joinBaked([bakeStill(slab), bakeStill(slab)]).lines.length).toBe(2 * lines.length);
});

test('what moves or turns is not baked as still', () => {
  expect(bakeStill(drift).positions.length).toBe(0);
  expect(turns(shell)).toBe(true);
  expect(bakeStill(shell).positions.length).toBe(0);
  expect(bakeStill(slab)).toBe(bakeStill(slab));
});

test('only what stands in the water has rings about it', () => {
  expect(waterRings(slab, -1)).toHaveLength(0);
  const ends = waterRings(sunk, -1);
  expect(ends.length).toBeGreaterThan(30);
  for (let i = 1; i < ends.length; i += 3) expect(ends[i]).toBeCloseTo(-0.98, 9);
});
