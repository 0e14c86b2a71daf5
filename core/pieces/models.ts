import { modelMesh, type Model } from '../course';
import { convexSolid, type Polyhedron, type Vec3 } from '../geometry';
import type { Family, Tone } from './family';
import { standingBox } from './parts';

interface Known {
  readonly points: readonly Vec3[];
  /** Its faces by the colours they have. */
  readonly coloured: readonly { readonly tone: Tone; readonly faces: Polyhedron['faces'] }[];
  readonly hull: Polyhedron;
}

/** Most models kept at a time; of more, those not asked for the longest go. */
const MOST_KNOWN = 256;

// A model's id is a digest of its mesh, so that one list serves every course; the first known stays last gone.
const known = new Map<string, Known>();

/** Makes a course's brought-in models known to the pieces that are made of them. */
export function registerModels({ models }: { models?: Record<string, Model> }): void {
  for (const [id, model] of Object.entries(models ?? {})) {
    const made = known.get(id) ?? unpacked(model);
    known.delete(id);
    known.set(id, made);
  }
  const own = Object.keys(models ?? {}).length;
  for (const id of known.keys()) {
    if (known.size <= Math.max(MOST_KNOWN, own)) break;
    known.delete(id);
  }
}

/** Has no model be known any more: what follows knows only its own. */
export const forgetModels = (): void => known.clear();

function unpacked(model: Model): Known {
  const { places, corners, tints } = modelMesh(model);
  const points = Array.from({ length: places.length / 3 }, (_, i): Vec3 => [
    places[3 * i],
    places[3 * i + 1],
    places[3 * i + 2],
  ]);
  const faces = Array.from({ length: corners.length / 3 }, (_, i) => [
    corners[3 * i],
    corners[3 * i + 1],
    corners[3 * i + 2],
  ]);
  let hull: Polyhedron;
  try {
    hull = convexSolid(points);
  } catch {
    // A flat model has no hull of its own.
    hull = standingBox([1, 1, 1]);
  }
  const { palette } = model;
  const coloured =
    palette && tints
      ? palette.map((tone, i) => ({
          tone: tone as Tone,
          faces: faces.filter((_, face) => tints[face] === i),
        }))
      : [{ tone: (model.colour as Tone | undefined) ?? 'sail', faces }];
  return { points, hull, coloured };
}
/** A model made elsewhere, brought in as scenery; its points lie within a unit box on its foot. */
export const MODEL: Family = {
  id: 'model',
  label: '3D model',
  group: 'scenery',
  words: 'model mesh',
  material: 'sail',
  size: [1, 1, 1],
  sizable: true,
  params: [{ kind: 'text', key: 'model', label: 'Model', initial: '' }],
  build: ({ size: [w, h, d], tone, choice }) => {
    const model = known.get(choice('model'));
    const grown = (solid: Polyhedron): Polyhedron => ({
      points: solid.points.map(([x, y, z]): Vec3 => [x * w, y * h, z * d]),
      faces: solid.faces,
    });
    if (!model) {
      const solid = grown(standingBox([1, 1, 1]));
      return {
        standsIn: true,
        parts: [{ solid, tone }],
        shapes: [{ role: 'solid', form: { kind: 'hull', solid } }],
        sockets: [],
      };
    }
    const { points } = grown({ points: model.points, faces: [] });
    return {
      // What is painted has the paint all over.
      parts: model.coloured.map(({ tone: own, faces }) => ({
        solid: { points, faces },
        tone: tone === 'sail' ? own : tone,
        mesh: true,
      })),
      shapes: [{ role: 'solid', form: { kind: 'hull', solid: grown(model.hull) } }],
      sockets: [],
    };
  },
};
