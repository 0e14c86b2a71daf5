import { mergedFaces, setFaceNormal, type Polyhedron, type Vec3 } from '../geometry';

/**
 * What an upright capsule meets when it moves among convex shapes, reduced to what a ball meets.
 *
 * A capsule touches a shape exactly when its middle touches the Minkowski sum of the shape, an
 * upright segment and a ball. The sum of a polyhedron and the segment is again a polyhedron, built
 * here once; the ball is left as a radius. (Ericson, Real-Time Collision Detection, 2005, ch. 3.11.)
 *
 * Corners are numbered; every list below is flat, three numbers to a point or normal.
 */
export interface InflatedHull {
  /** Corners of the sum. */
  readonly points: Float64Array;
  /** Unit normals of its faces and their distances from the origin. */
  readonly normals: Float64Array;
  readonly offsets: Float64Array;
  /** Corners round each face, anticlockwise; face i has those from starts[i] to starts[i + 1]. */
  readonly loops: Int32Array;
  readonly starts: Int32Array;
  /**
   * For each corner of a loop the plane of the edge that ends there, four numbers each: a place is over the
   * face if it is on the inner side of all of them. Made when first asked for.
   */
  rims: Float64Array | null;
  /** Two corners an edge. */
  readonly edges: Int32Array;
  /** The two faces that meet at each edge; none of a ball's. */
  readonly edgeFaces: Int32Array;
  /** For each edge, the greatest upward part of its faces' normals: whether it is the rim of a floor. */
  readonly edgeTops: Float64Array;
  /** The radius of the shape itself, metres; the capsule's is added when asking. */
  readonly radius: number;
}

/** How the corners of a sum hang together: the same for every turn that leaves each face facing up or down. */
interface Topology {
  /** For each face whether it looks up (1), down (0) or is upright (-1). */
  readonly sides: Int8Array;
  readonly half: boolean;
  readonly loops: Int32Array;
  readonly starts: Int32Array;
  readonly edges: Int32Array;
  readonly edgeFaces: Int32Array;
  /** Two points for each upright face that the segment sweeps; these come after the solid's own. */
  readonly swept: Int32Array;
}

const facesBySolid = new WeakMap<Polyhedron, Polyhedron['faces']>();
/** What is known of the turns of solids that share these faces, the one met last in front. */
const topologiesByFaces = new WeakMap<Polyhedron['faces'], Topology[]>();
/** Turns that are kept of each. */
const MOST_TURNS = 8;

/**
 * The faces of a solid with those in one plane made one. Solids that are this one moved and turned may be told
 * with them: their sums then share how they hang together.
 */
export function sharedFaces(solid: Polyhedron): Polyhedron['faces'] {
  let faces = facesBySolid.get(solid);
  if (!faces) {
    // Its own list, even where nothing is merged: that of the solid may be of others too.
    faces = [...mergedFaces(solid)];
    facesBySolid.set(solid, faces);
    topologiesByFaces.set(faces, []);
  }
  return faces;
}

/** A normal whose upward part is smaller than this stands for an upright face. */
const UPRIGHT = 1e-9;

/**
 * The sum of a convex polyhedron and an upright segment reaching `half` metres up and down.
 * @param solid convex, in the frame it is asked of, m
 * @param half half the upright segment that is added, m
 * @param radius rounding of the polyhedron itself, metres
 */
export function inflateHull(solid: Polyhedron, half: number, radius = 0): InflatedHull {
  const { points } = solid;
  const known = topologiesByFaces.get(solid.faces);
  const faces = known ? solid.faces : mergedFaces(solid);
  const own = new Float64Array(3 * faces.length);
  const sides = new Int8Array(faces.length);
  for (let f = 0; f < faces.length; f++) {
    setFaceNormal(solid, faces[f], own, 3 * f);
    const up = own[3 * f + 1];
    sides[f] = up > UPRIGHT ? 1 : up < -UPRIGHT ? 0 : -1;
  }
  const topology = known
    ? knownTopology(known, solid, half, sides)
    : topologyOf(points, faces, half, sides);
  const { loops, starts, edges, edgeFaces, swept } = topology;
  // Corner 2v is corner v lowered by the segment, 2v + 1 the same raised.
  const corners = new Float64Array(points.length * 6);
  for (let v = 0; v < points.length; v++) {
    const p = points[v];
    corners[6 * v] = corners[6 * v + 3] = p[0];
    corners[6 * v + 1] = p[1] - half;
    corners[6 * v + 4] = p[1] + half;
    corners[6 * v + 2] = corners[6 * v + 5] = p[2];
  }
  const count = starts.length - 1;
  const normals = new Float64Array(3 * count);
  normals.set(own);
  for (let k = 0, f = faces.length; k < swept.length; k += 2, f++) {
    const [a, b] = [points[swept[k]], points[swept[k + 1]]];
    const [dx, dz] = [b[0] - a[0], b[2] - a[2]];
    const l = Math.sqrt(dx * dx + dz * dz);
    // By chance upright in this turn: it hangs together otherwise.
    if (l < 1e-12) return inflateHull({ points, faces: [...faces] }, half, radius);
    // Seen along a face that looks up, the outside lies to the right of its edge.
    normals[3 * f] = -dz / l;
    normals[3 * f + 2] = dx / l;
  }
  const offsets = new Float64Array(count);
  for (let f = 0; f < count; f++) {
    const p = 3 * loops[starts[f]];
    offsets[f] =
      normals[3 * f] * corners[p] +
      normals[3 * f + 1] * corners[p + 1] +
      normals[3 * f + 2] * corners[p + 2];
  }
  const edgeTops = new Float64Array(edges.length / 2);
  for (let e = 0; e < edgeTops.length; e++) {
    const a = normals[3 * edgeFaces[2 * e] + 1];
    const b = normals[3 * edgeFaces[2 * e + 1] + 1];
    edgeTops[e] = a > b ? a : b;
  }
  return {
    points: corners,
    normals,
    offsets,
    loops,
    starts,
    rims: null,
    edges,
    edgeFaces,
    edgeTops,
    radius,
  };
}

function knownTopology(
  known: Topology[],
  { points, faces }: Polyhedron,
  half: number,
  sides: Int8Array,
): Topology {
  const place = known.findIndex((one) => one.half === half > 0 && alike(one.sides, sides));
  if (place === 0) return known[0];
  const topology = place > 0 ? known[place] : topologyOf(points, faces, half, sides);
  known.splice(place > 0 ? place : MOST_TURNS - 1, 1);
  known.unshift(topology);
  return topology;
}

function alike(a: Int8Array, b: Int8Array): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

function topologyOf(
  points: Polyhedron['points'],
  faces: Polyhedron['faces'],
  half: number,
  sides: Int8Array,
): Topology {
  const across = neighbours(faces, points.length);
  const loops: number[][] = [];
  const swept: number[] = [];
  faces.forEach((face, f) => {
    const side = sides[f];
    if (half === 0 || side >= 0) {
      loops.push(face.map((v) => 2 * v + Math.max(side, 0)));
      return;
    }
    loops.push(stretchedLoop(face, points, (a, b) => sides[across.get(a * points.length + b)!]));
  });
  if (half > 0) {
    // Where a face that looks up meets one that looks down, the segment sweeps an upright one.
    faces.forEach((face, f) => {
      if (sides[f] !== 1) return;
      face.forEach((a, i) => {
        const b = face[(i + 1) % face.length];
        if (sides[across.get(a * points.length + b)!] !== 0) return;
        const [dx, dz] = [points[b][0] - points[a][0], points[b][2] - points[a][2]];
        // An edge that is itself upright sweeps nothing.
        if (Math.sqrt(dx * dx + dz * dz) < 1e-12) return;
        loops.push([2 * a, 2 * b, 2 * b + 1, 2 * a + 1]);
        swept.push(a, b);
      });
    });
  }
  const edges: number[] = [];
  const places = new Map<number, number>();
  const edgeFaces: number[] = [];
  loops.forEach((loop, f) =>
    loop.forEach((a, i) => {
      const b = loop[(i + 1) % loop.length];
      const key = Math.min(a, b) * 2 * points.length + Math.max(a, b);
      const place = places.get(key);
      if (place === undefined) {
        places.set(key, edges.push(a, b) / 2 - 1);
        edgeFaces.push(f, f);
      } else edgeFaces[2 * place + 1] = f;
    }),
  );
  const starts = new Int32Array(loops.length + 1);
  loops.forEach((loop, f) => (starts[f + 1] = starts[f] + loop.length));
  return {
    sides,
    half: half > 0,
    loops: new Int32Array(loops.flat()),
    starts,
    edges: new Int32Array(edges),
    edgeFaces: new Int32Array(edgeFaces),
    swept: new Int32Array(swept),
  };
}

/** A ball summed with an upright segment: one upright edge, rounded. */
export function ballBody(centre: Vec3, ballRadius: number, half: number): InflatedHull {
  const [x, y, z] = centre;
  return {
    points: new Float64Array([x, y - half, z, x, y + half, z]),
    normals: new Float64Array(0),
    offsets: new Float64Array(0),
    loops: new Int32Array(0),
    starts: new Int32Array(1),
    rims: null,
    edges: new Int32Array([0, 1]),
    edgeFaces: new Int32Array(0),
    edgeTops: new Float64Array([0]),
    radius: ballRadius,
  };
}

/** For every directed edge a→b of a face, the face on its other side. */
function neighbours(faces: Polyhedron['faces'], count: number): Map<number, number> {
  const other = new Map<number, number>();
  faces.forEach((face, f) =>
    face.forEach((a, i) => other.set(face[(i + 1) % face.length] * count + a, f)),
  );
  return other;
}

/** The outline of an upright face summed with the segment. */
function stretchedLoop(
  face: readonly number[],
  points: readonly Vec3[],
  sideAcross: (a: number, b: number) => number,
): number[] {
  const loop: number[] = [];
  face.forEach((a, i) => {
    const b = face[(i + 1) % face.length];
    const side = sideAcross(a, b);
    // Beside another upright face the edge is upright too: it grows at both ends.
    const rising = points[b][1] > points[a][1];
    const from = 2 * a + (side >= 0 ? side : rising ? 0 : 1);
    const to = 2 * b + (side >= 0 ? side : rising ? 1 : 0);
    if (loop[loop.length - 1] !== from) loop.push(from);
    loop.push(to);
  });
  if (loop[loop.length - 1] === loop[0]) loop.pop();
  return loop;
}
