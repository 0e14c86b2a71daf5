import { Document, WebIO } from '@gltf-transform/core';
import { emptyCourse, MAX_TRIANGLES, toCourse } from '../course';
import { layPieces } from '../edit';
import { localGeometry, registerModels, touches } from '../pieces';
import { readModel } from './model';

/** A ball of many triangles, or few, as a binary glTF. */
async function ball(rings: number): Promise<Uint8Array> {
  const document = new Document();
  const buffer = document.createBuffer();
  const places: number[] = [];
  const corners: number[] = [];
  for (let i = 0; i <= rings; i++) {
    for (let k = 0; k <= rings; k++) {
      const [a, b] = [(i / rings) * Math.PI, (k / rings) * 2 * Math.PI];
      places.push(2 * Math.sin(a) * Math.cos(b), 3 * Math.cos(a), Math.sin(a) * Math.sin(b));
      if (i < rings && k < rings) {
        const n = i * (rings + 1) + k;
        corners.push(n, n + 1, n + rings + 1, n + 1, n + rings + 2, n + rings + 1);
      }
    }
  }
  const primitive = document
    .createPrimitive()
    .setAttribute(
      'POSITION',
      document
        .createAccessor()
        .setType('VEC3')
        .setArray(new Float32Array(places))
        .setBuffer(buffer),
    )
    .setIndices(
      document
        .createAccessor()
        .setType('SCALAR')
        .setArray(new Uint32Array(corners))
        .setBuffer(buffer),
    )
    .setMaterial(document.createMaterial().setBaseColorFactor([1, 0, 0, 1]));
  const node = document
    .createNode()
    .setMesh(document.createMesh().addPrimitive(primitive))
    .setScale([1, 2, 1]);
  document.createScene().addChild(node);
  return new WebIO().writeBinary(document);
}

test('a model becomes scenery of its own size, lighter past a number, and touches only when told to', async () => {
  const { id, model, size, dropped } = await readModel(await ball(60), 'Bell buoy');
  // Made lighter it may lose a hair of its outline.
  [4, 12, 2].forEach((extent, i) => expect(size[i]).toBeCloseTo(extent, 1));
  expect(dropped).toBeGreaterThan(0);
  expect(model.colour).toBe('#ff0000');
  const course = toCourse({
    ...layPieces(emptyCourse('Trial'), [
      { family: 'model', at: [0, 0, 0], size, params: { model: id } },
    ]),
    models: { [id]: model },
  });
  registerModels(course);
  const { parts, shapes } = localGeometry(course.pieces[0]);
  expect(parts[0].solid.faces.length).toBeLessThanOrEqual(MAX_TRIANGLES);
  expect(parts[0].solid.faces.length).toBeGreaterThan(MAX_TRIANGLES / 2);
  expect(Math.max(...parts[0].solid.points.map((p) => p[1]))).toBeCloseTo(12, 1);
  expect(shapes).toHaveLength(1);
  expect(touches(course, course.pieces[0])).toBe(false);
  expect(touches({ collides: { model: true } }, course.pieces[0])).toBe(true);
});

test('what lies about its lengths, or is no model, is refused in words', async () => {
  const sound = await ball(6);
  const lie = sound.slice();
  new DataView(lie.buffer).setUint32(12, 9_999_999, true);
  await expect(readModel(lie, 'x')).rejects.toThrow(/longer than the file/);
  await expect(readModel(sound.slice(0, sound.length - 8), 'x')).rejects.toThrow(/cut off/);
  await expect(readModel(new Uint8Array(40), 'x')).rejects.toThrow(/no binary glTF/);
  await expect(readModel(new Uint8Array(11 * 1024 * 1024), 'x')).rejects.toThrow(/10 MB/);
});
