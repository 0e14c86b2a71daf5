import { Document, WebIO } from '@gltf-transform/core';
import {
  emptyCourse,
  MAX_MODEL_COLOURS,
  MAX_TRIANGLES,
  modelId,
  modelMesh,
  packColours,
  packMesh,
  toCourse,
} from '../course';
import { layPieces } from '../edit';
import { localGeometry, registerModels, touches } from '../pieces';
import { toGlb } from './export';
import { readModel } from './model';

/** A ball of many triangles, or few, as a binary glTF. */
async function ball(
  rings: number,
  light?: (x: number, y: number) => [number, number, number],
): Promise<Uint8Array> {
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
  if (light) {
    const lights = places.flatMap((x, i) => (i % 3 === 0 ? light(x, places[i + 1]) : []));
    primitive.getMaterial()!.setBaseColorFactor([1, 1, 1, 1]);
    primitive.setAttribute(
      'COLOR_0',
      document
        .createAccessor()
        .setType('VEC3')
        .setArray(new Float32Array(lights))
        .setBuffer(buffer),
    );
  }
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

test('the application’s own file comes back in its own colours', async () => {
  const course = layPieces(emptyCourse('Quay', 'free'), [
    { family: 'slab', at: [0, 0, 0], look: { colour: '#ff0000' } },
    { family: 'crate', at: [5, 0, 0], look: { colour: '#2040c0' } },
    { family: 'lantern', at: [9, 0, 0] },
  ]);
  const { id, model, size } = await readModel(await toGlb(course), 'Quay');
  expect(new Set(model.palette).size).toBe(model.palette!.length);
  expect(model.palette!.length).toBeGreaterThan(3);
  const back = toCourse({
    ...layPieces(emptyCourse('Trial'), [
      { family: 'model', at: [0, 0, 0], size, params: { model: id } },
    ]),
    models: { [id]: model },
  });
  registerModels(back);
  const { parts } = localGeometry(back.pieces[0]);
  // Each part has the triangles of one colour, where the file has that colour.
  const [low, high] = ['#ff0000', '#2040c0'].map((own) => {
    const part = parts.reduce((a, b) => (unlike(b.tone, own) < unlike(a.tone, own) ? b : a));
    expect(unlike(part.tone, own)).toBeLessThan(60);
    const xs = part.solid.faces.flat().map((corner) => part.solid.points[corner][0]);
    return (Math.min(...xs) + Math.max(...xs)) / 2;
  });
  expect(low).toBeLessThan(high);
});

/** By how much two colours differ in their most unlike channel, 0 to 255. */
const unlike = (a: string, b: string): number => {
  const [p, q] = [a, b].map((hex) =>
    [1, 3, 5].map((i) => (hex.startsWith('#') ? parseInt(hex.slice(i, i + 2), 16) : -999)),
  );
  return Math.max(...p.map((v, i) => Math.abs(v - q[i])));
};

test('corners’ colours count, many are brought down to a few, and a lighter model keeps where they were', async () => {
  const bytes = await ball(60, (_, y) => [y > 0 ? 1 : 0, 0.2, (y + 3) / 6]);
  const { model } = await readModel(bytes, 'Float');
  expect(model.palette!.length).toBeGreaterThan(4);
  expect(model.palette!.length).toBeLessThanOrEqual(MAX_MODEL_COLOURS);
  const { places, corners, tints } = modelMesh(model);
  let wrong = 0;
  tints!.forEach((tint, face) => {
    const ys = [0, 1, 2].map((k) => places[3 * corners[3 * face + k] + 1]);
    const red = parseInt(model.palette![tint].slice(1, 3), 16);
    // Away from the waterline, where both colours meet.
    if (Math.min(...ys) > 0.55 && red < 128) wrong++;
    if (Math.max(...ys) < 0.45 && red > 128) wrong++;
  });
  expect(wrong).toBe(0);
});

test('colours that are not those of the triangles are refused, and other colours are another model', () => {
  const mesh = packMesh([0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1], [0, 1, 2, 0, 2, 3]);
  const two = { ...mesh, ...packColours(['#ff0000', '#00ff00']) };
  expect(packColours(['#ff0000', '#ff0000'])).toEqual({ colour: '#ff0000' });
  expect(modelId(two)).not.toBe(modelId({ ...mesh, ...packColours(['#00ff00', '#ff0000']) }));
  expect([...modelMesh({ name: 'x', ...two }).tints!]).toEqual([0, 1]);
  for (const tints of ['', 'AAAA', 'AQI=', undefined]) {
    expect(() => modelMesh({ name: 'x', ...two, tints })).toThrow(/colours/);
  }
  expect(() => modelMesh({ name: 'x', ...two, palette: undefined })).toThrow(/colours/);
});
