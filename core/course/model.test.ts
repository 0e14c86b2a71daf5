import fc from 'fast-check';
import { layPieces } from '../edit';
import { forgetModels, localGeometry, registerModels } from '../pieces';
import { emptyCourse } from './create';
import { MAX_TRIANGLES, modelId, modelMesh, packMesh, type Model } from './model';
import { toCourse } from './read';
import type { Course } from './schema';
import { withoutUnused } from './unused';

/** A tetrahedron of so many units. */
const tetra = (size: number): Model => ({
  name: 'Rock',
  ...packMesh([0, 0, 0, size, 0, 0, 0, size, 0, 0, 0, size], [0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]),
});
const holding = (models: Record<string, Model>, ...used: string[]): Course => ({
  ...layPieces(
    emptyCourse('Trial'),
    used.map((model, i) => ({ family: 'model', at: [4 * i, 0, 0], params: { model } })),
  ),
  models,
});

test('an id is a digest of the mesh, and no other is taken', () => {
  const [small, large] = [tetra(0.5), tetra(1)];
  expect(modelId(small)).toMatch(/^m[0-9a-f]{32}$/);
  expect(modelId(small)).not.toBe(modelId(large));
  expect(modelId({ ...small, positions: small.positions.slice(1) })).not.toBe(modelId(small));
  const id = modelId(small);
  expect(() => toCourse(holding({ [id]: small }, id))).not.toThrow();
  // Another mesh under the same id is what would change how all others are replayed.
  expect(() => toCourse(holding({ [id]: large }, id))).toThrow(/not its own/);
  expect(() => toCourse(holding({ rock: small }, 'rock'))).toThrow(`models.rock`);
});

test('a mesh comes back as it was packed', () => {
  const place = fc.float({ noNaN: true, noDefaultInfinity: true });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(place, place, place), { minLength: 3, maxLength: 30 }),
      (points) => {
        const places = points.flat();
        const { places: back, corners } = modelMesh({ name: '', ...packMesh(places, [0, 1, 2]) });
        expect([...back]).toEqual(places);
        expect([...corners]).toEqual([0, 1, 2]);
      },
    ),
  );
});

test.each<[string, Partial<Model>, RegExp]>([
  ['nothing', { positions: '' }, /broken corners/],
  ['half a corner', { positions: packMesh([0, 0, 0, 1], []).positions }, /broken corners/],
  ['half a triangle', { triangles: packMesh([], [0, 1]).triangles }, /broken triangles/],
  ['no base 64', { triangles: '*'.repeat(16) }, /not base 64/],
  ['a corner beyond the last', { triangles: packMesh([], [0, 1, 4]).triangles }, /not there/],
  ['a place that is none', { positions: packMesh([NaN, 0, 0], []).positions }, /nowhere/],
  [
    'too much',
    { triangles: packMesh([], new Array(3 * MAX_TRIANGLES + 3).fill(0)).triangles },
    /more than/,
  ],
])('%s is refused with the place', (_, change, words) => {
  const model = { ...tetra(1), ...change };
  const id = modelId(model);
  expect(() => toCourse(holding({ [id]: model }, id))).toThrow(words);
  expect(() => toCourse(holding({ [id]: model }, id))).toThrow(`models.${id}`);
});

test('one course’s models are not those of another, and the list does not grow without end', () => {
  const sizes = Array.from({ length: 600 }, (_, i) => tetra(1 + i / 1000));
  const ids = sizes.map(modelId);
  const pieceOf = (id: string) => holding({}, id).pieces[0];
  const facesOf = (id: string) => localGeometry(pieceOf(id)).parts[0].solid.faces.length;
  sizes.forEach((model, i) => registerModels({ models: { [ids[i]]: model } }));
  // A model that is not known stands in as a box of six faces.
  expect(facesOf(ids[599])).toBe(4);
  expect(facesOf(ids[0])).toBe(6);
  // A course of more than are kept knows all of its own.
  registerModels({ models: Object.fromEntries(ids.map((id, i) => [id, sizes[i]])) });
  expect(facesOf(ids[0])).toBe(4);
  forgetModels();
  registerModels({ models: { [ids[300]]: sizes[300] } });
  expect(facesOf(ids[300])).toBe(4);
});

test('a piece is made of a model that its own course brings, or is refused', () => {
  const id = modelId(tetra(1));
  expect(() => toCourse(holding({}, id))).toThrow(
    /pieces.0.params.model .* no model of the course/,
  );
  expect(() => toCourse(holding({}, ''))).not.toThrow();
  expect(() => toCourse(holding({}, 'constructor'))).toThrow(/no model/);
});

test('models that no piece is made of are let go', () => {
  const [a, b] = [tetra(0.5), tetra(1)];
  const [idA, idB] = [modelId(a), modelId(b)];
  const both = holding({ [idA]: a, [idB]: b }, idA, idB);
  expect(withoutUnused(both)).toBe(both);
  expect(withoutUnused({ ...both, pieces: both.pieces.slice(1) }).models).toEqual({ [idB]: b });
  expect(withoutUnused({ ...both, pieces: [] })).not.toHaveProperty('models');
  const plain = emptyCourse('Plain');
  expect(withoutUnused(plain)).toBe(plain);
});
