import { getBounds, Primitive, WebIO, type Document } from '@gltf-transform/core';
import { MeshoptSimplifier } from 'meshoptimizer';
import { MAX_TRIANGLES, modelId, packColours, packMesh, type Model } from '../course';
import { fewColours, lightsOf, type Light } from './modelColours';

export const MAX_MODEL_BYTES = 10 * 1024 * 1024;

/** A file that is no model, or one that cannot be used; the message is for the maker. */
export class ModelError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'ModelError';
  }
}

/** A model that was read: as the course keeps it, its own size in metres, and what was left out. */
export interface ReadModel {
  readonly id: string;
  readonly model: Model;
  readonly size: [number, number, number];
  /** Triangles that were left out to make it lighter. */
  readonly dropped: number;
}

/**
 * Reads a binary glTF as scenery: all its triangles as one mesh, made lighter past a number.
 * @throws ModelError in words when it is no such file, lies about its lengths, or holds no triangles
 */
export async function readModel(bytes: Uint8Array, name: string): Promise<ReadModel> {
  checkLengths(bytes);
  let document: Document;
  try {
    document = await new WebIO().readBinary(bytes);
  } catch (problem) {
    throw new ModelError(`The model cannot be read: ${(problem as Error).message}`);
  }
  const mesh = gather(document);
  if (mesh.triangles.length === 0) throw new ModelError('The model has no triangles.');
  if (mesh.places.some((v) => !Number.isFinite(v))) {
    throw new ModelError('The model has places that are no numbers.');
  }
  const before = mesh.triangles.length / 3;
  const { triangles, colours, ...lighter } = compact(
    before > MAX_TRIANGLES ? await simplified(mesh) : mesh,
  );
  const { places, size } = inUnitBox(lighter);
  const packed = { ...packMesh(places, triangles), ...packColours(fewColours(colours)) };
  return {
    id: modelId(packed),
    model: { name: name.trim().slice(0, 60) || 'Model', ...packed },
    size,
    dropped: before - triangles.length / 3,
  };
}

interface Mesh {
  /** Three numbers a corner. */
  readonly places: number[];
  /** Three corners a triangle. */
  readonly triangles: number[];
  /** Of each triangle its light: red, green and blue, 0 to 1. */
  readonly colours: Light[];
}

/** @throws ModelError unless the header and every chunk say how long they really are */
function checkLengths(bytes: Uint8Array): void {
  if (bytes.length > MAX_MODEL_BYTES) throw new ModelError('A model has at most 10 MB.');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 20 || view.getUint32(0, true) !== 0x46546c67) {
    throw new ModelError('This is no binary glTF file (.glb).');
  }
  if (view.getUint32(4, true) !== 2) throw new ModelError('Only glTF 2 can be read.');
  if (view.getUint32(8, true) !== bytes.length) {
    throw new ModelError('The file says another length than it has; it may be cut off.');
  }
  for (let at = 12; at < bytes.length;) {
    if (at + 8 > bytes.length) throw new ModelError('The file is cut off.');
    const length = view.getUint32(at, true);
    if (at + 8 + length > bytes.length) {
      throw new ModelError('A part of the file says it is longer than the file.');
    }
    at += 8 + length;
  }
}

/** All triangles of the file's scenes, where their nodes put them. */
function gather(document: Document): Mesh {
  const mesh: Mesh = { places: [], triangles: [], colours: [] };
  const root = document.getRoot();
  for (const scene of root.listScenes()) {
    // Says at once where a scene is empty or not to be measured.
    getBounds(scene);
    scene.traverse((node) => {
      const m = node.getWorldMatrix();
      for (const primitive of node.getMesh()?.listPrimitives() ?? []) {
        const at = primitive.getAttribute('POSITION');
        if (primitive.getMode() !== Primitive.Mode.TRIANGLES || !at) continue;
        const first = mesh.places.length / 3;
        const count = at.getCount();
        for (let i = 0; i < count; i++) {
          const [x, y, z] = at.getElement(i, [0, 0, 0]);
          for (let row = 0; row < 3; row++) {
            mesh.places.push(m[row] * x + m[4 + row] * y + m[8 + row] * z + m[12 + row]);
          }
        }
        const lightOf = lightsOf(primitive);
        const indices = primitive.getIndices();
        const corners = indices ? indices.getCount() : count;
        for (let i = 0; i + 2 < corners; i += 3) {
          const face = [0, 1, 2].map((k) => (indices ? indices.getScalar(i + k) : i + k));
          if (face.some((corner) => corner >= count)) {
            throw new ModelError('A triangle of the model has a corner that is not there.');
          }
          mesh.triangles.push(...face.map((corner) => corner + first));
          mesh.colours.push(lightOf(face));
        }
      }
    });
  }
  return mesh;
}

async function simplified(mesh: Mesh): Promise<Mesh> {
  await MeshoptSimplifier.ready;
  const { places, triangles, colours } = compact(mesh);
  const [kept] = MeshoptSimplifier.simplify(
    Uint32Array.from(triangles),
    Float32Array.from(places),
    3,
    MAX_TRIANGLES * 3,
    1,
  );
  const left = [...kept].slice(0, MAX_TRIANGLES * 3);
  return { places, triangles: left, colours: coloursFrom({ triangles, colours }, left) };
}

/** The colours of triangles that are left: each has the one that most triangles about its corners had. */
function coloursFrom(
  before: Pick<Mesh, 'triangles' | 'colours'>,
  left: readonly number[],
): Light[] {
  const about = new Map<number, Light[]>();
  before.triangles.forEach((corner, i) => {
    const colour = before.colours[Math.floor(i / 3)];
    const list = about.get(corner);
    if (list) list.push(colour);
    else about.set(corner, [colour]);
  });
  return Array.from({ length: left.length / 3 }, (_, i) => {
    const counts = new Map<string, { light: Light; count: number }>();
    for (const corner of left.slice(3 * i, 3 * i + 3)) {
      for (const light of about.get(corner) ?? []) {
        const known = counts.get(light.join());
        if (known) known.count++;
        else counts.set(light.join(), { light, count: 1 });
      }
    }
    return [...counts.values()].reduce((a, b) => (b.count > a.count ? b : a)).light;
  });
}

/** The mesh with corners in one place as one, and none that no triangle uses. */
function compact({ places, triangles, colours }: Mesh): Mesh {
  const known = new Map<string, number>();
  const out: Mesh = { places: [], triangles: [], colours: [] };
  const corner = (i: number): number => {
    const p = places.slice(3 * i, 3 * i + 3);
    const key = p.map((v) => v.toFixed(5)).join(' ');
    let at = known.get(key);
    if (at === undefined) {
      at = out.places.length / 3;
      known.set(key, at);
      out.places.push(...p);
    }
    return at;
  };
  for (let i = 0; i < triangles.length; i += 3) {
    const face = [corner(triangles[i]), corner(triangles[i + 1]), corner(triangles[i + 2])];
    if (new Set(face).size < 3) continue;
    out.triangles.push(...face);
    out.colours.push(colours[i / 3]);
  }
  return out;
}

/** The places within a unit box on the middle of its foot, and the size they had, kept to 60 m. */
function inUnitBox({ places }: Pick<Mesh, 'places'>): {
  places: number[];
  size: [number, number, number];
} {
  const axis = (k: number) => places.filter((_, i) => i % 3 === k);
  const low = [0, 1, 2].map((k) => axis(k).reduce((a, b) => Math.min(a, b), Infinity));
  const high = [0, 1, 2].map((k) => axis(k).reduce((a, b) => Math.max(a, b), -Infinity));
  const extents = low.map((v, k) => high[k] - v);
  const largest = Math.max(...extents, 1e-6);
  const scale = largest > 60 ? 60 / largest : largest < 0.2 ? 1 / largest : 1;
  const size = extents.map((v) => Math.round(Math.max(0.05, v * scale) * 1000) / 1000);
  return {
    places: places.map((v, i) => {
      const k = i % 3;
      const part = extents[k] > 0 ? (v - low[k]) / extents[k] : 0;
      return k === 1 ? part : part - 0.5;
    }),
    size: size as [number, number, number],
  };
}
