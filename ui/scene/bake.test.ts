import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { bakeStill, joinBaked, turns, waterRings } from './bake';

const [slab, drift, shell, sunk] = layPieces(emptyCourse('Trial'), [
  { family: 'ramp', at: [0, 0, 0] },
  { family: 'drift', at: [0, 0, 0] },
  { family: 'shell', at: [0, 0, 0] },
  { family: 'block', at: [0, -2, 0] },
]).pieces;

test('facets become triangles, darker at the foot of what stands upright; sharp edges become lines', () => {
  const { positions, colours, normals, lines } = bakeStill(slab);
  // Two triangles and three rectangles.
  expect(positions.length).toBe((2 + 3 * 2) * 9);
  expect(colours.length).toBe(positions.length);
  for (let i = 0; i < colours.length; i += 9) {
    const upright = Math.abs(normals[i + 1]) < 0.5;
    for (const corner of [i + 3, i + 6]) {
      const same = positions[corner + 1] === positions[i + 1];
      if (!upright || same) expect(colours[corner]).toBeCloseTo(colours[i], 6);
      // What is higher has as much light or more.
      else if (positions[corner + 1] > positions[i + 1])
        expect(colours[corner]).toBeGreaterThan(colours[i]);
      else expect(colours[corner]).toBeLessThan(colours[i]);
    }
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
