import { type Buffer, Document, type Material, type Mesh, WebIO } from '@gltf-transform/core';
import type { Course, Piece } from '../../course';
import { quaternionOf, type Vec3 } from '../../geometry';
import {
  facetColour,
  facetsOf,
  familyOf,
  formKey,
  localGeometry,
  registerModels,
  turnOf,
} from '../../pieces';

/**
 * A course as a scene of binary glTF 2.0: metres, y up, a node for each piece under its own name, the mesh shared by
 * pieces of one form, colours by corner. Regions, which are only felt, are left out.
 */
export async function toGlb(course: Course): Promise<Uint8Array> {
  registerModels(course);
  const document = new Document();
  document.getRoot().getAsset().generator = 'Stone Hop';
  const scene = document.createScene(course.name);
  document.getRoot().setDefaultScene(scene);
  // Of a course without anything that is seen there is nothing but its scene.
  let shared: { buffer: Buffer; material: Material } | null = null;
  const meshes = new Map<string, Mesh | null>();
  for (const piece of course.pieces) {
    const key = formKey(piece);
    let mesh = meshes.get(key);
    if (mesh === undefined) {
      const drawn = cornersOf(piece);
      mesh = drawn && document.createMesh(familyOf(piece.family).label);
      if (mesh && drawn) {
        shared ??= {
          buffer: document.createBuffer(),
          material: document.createMaterial('facets').setRoughnessFactor(1).setMetallicFactor(0),
        };
        const { buffer, material } = shared;
        const primitive = document.createPrimitive().setMaterial(material);
        for (const [name, numbers] of Object.entries(drawn)) {
          const accessor = document.createAccessor().setType('VEC3').setArray(numbers);
          primitive.setAttribute(name, accessor.setBuffer(buffer));
        }
        mesh.addPrimitive(primitive);
      }
      meshes.set(key, mesh);
    }
    if (!mesh) continue;
    const { x, y, z, w } = quaternion(piece);
    scene.addChild(
      document
        .createNode(`${piece.name ?? familyOf(piece.family).label} ${piece.id}`)
        .setTranslation([...piece.at])
        .setRotation([x, y, z, w])
        .setMesh(mesh),
    );
  }
  // A scene has to have something in it.
  if (scene.listChildren().length === 0) scene.addChild(document.createNode(course.name));
  return new WebIO().writeBinary(document);
}

function quaternion(piece: Piece) {
  const [x, y, z, w] = quaternionOf(turnOf(piece));
  const length = Math.hypot(x, y, z, w);
  return { x: x / length, y: y / length, z: z / length, w: w / length };
}

/** Corners of a form's triangles in its own frame, flat: each face has its own. */
function cornersOf(
  piece: Piece,
): Record<'POSITION' | 'NORMAL' | 'COLOR_0', Float32Array<ArrayBuffer>> | null {
  const places: number[] = [];
  const normals: number[] = [];
  const colours: number[] = [];
  facetsOf(localGeometry(piece).parts).forEach(({ points, normal, tone }, mark) => {
    // Lit by whoever shows it: the colour is that of a face turned up.
    const colour = facetColour(tone, 0, 1, 0, mark).map(linear);
    for (let i = 2; i < points.length; i++) {
      for (const point of [points[0], points[i - 1], points[i]] as Vec3[]) {
        places.push(...point);
        normals.push(...normal);
        colours.push(...colour);
      }
    }
  });
  if (places.length === 0) return null;
  return {
    POSITION: new Float32Array(places),
    NORMAL: new Float32Array(normals),
    COLOR_0: new Float32Array(colours),
  };
}

/** A channel of sRGB as light (IEC 61966-2-1). */
const linear = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
