import { faceNormal, type Polyhedron, type Vec3 } from '../geometry';

/**
 * What an upright capsule meets when it moves among convex shapes, reduced to what a ball meets.
 *
 * A capsule touches a shape exactly when its middle touches the Minkowski sum of the shape, an
 * upright segment and a ball. The sum of a polyhedron and the segment is again a polyhedron, built
 * here once; the ball is left as a radius. (Ericson, Real-Time Collision Detection, 2005, ch. 3.11.)
 *
 * Corners are numbered; every list below is flat, three numbers to a point or normal.
 */
export interface Body {
  /** Corners of the sum. */
  readonly points: Float64Array;
  /** Unit normals of its faces and their distances from the origin. */
  readonly normals: Float64Array;
  readonly offsets: Float64Array;
  /** Corners round each face, anticlockwise; face i has those from starts[i] to starts[i + 1]. */
  readonly loops: Int32Array;
  readonly starts: Int32Array;
  /** Two corners an edge. */
  readonly edges: Int32Array;
  /** For each edge, the greatest upward part of its faces' normals: whether it is the rim of a floor. */
  readonly edgeTops: Float64Array;
  /** The radius of the shape itself, metres; the capsule's is added when asking. */
  readonly radius: number;
}

/** A normal whose upward part is smaller than this stands for an upright face. */
const UPRIGHT = 1e-9;

/**
 * The sum of a convex polyhedron and an upright segment reaching `half` metres up and down.
 * @param radius rounding of the polyhedron itself, metres
 */
export function hullBody(solid: Polyhedron, half: number, radius = 0): Body {
  const { points, faces } = solid;
  const normals = faces.map((face) => faceNormal(solid, face));
  // Corner 2v is corner v lowered by the segment, 2v + 1 the same raised.
  const corners = new Float64Array(points.length * 6);
  points.forEach(([x, y, z], v) => corners.set([x, y - half, z, x, y + half, z], v * 6));

  const sides = normals.map((n) => (n[1] > UPRIGHT ? 1 : n[1] < -UPRIGHT ? 0 : -1));
  const across = neighbours(faces, points.length);
  const loops: number[][] = [];
  const loopNormals: Vec3[] = [];
  faces.forEach((face, f) => {
    const side = sides[f];
    loopNormals.push(normals[f]);
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
        const l = Math.sqrt(dx * dx + dz * dz);
        // An edge that is itself upright sweeps nothing.
        if (l < 1e-12) return;
        // Seen along a face that looks up, the outside lies to the right of its edge.
        loops.push([2 * a, 2 * b, 2 * b + 1, 2 * a + 1]);
        loopNormals.push([-dz / l, 0, dx / l]);
      });
    });
  }
  return pack(corners, loops, loopNormals, radius);
}

/** A ball summed with an upright segment: one upright edge, rounded. */
export function ballBody(centre: Vec3, ballRadius: number, half: number): Body {
  const [x, y, z] = centre;
  return {
    points: new Float64Array([x, y - half, z, x, y + half, z]),
    normals: new Float64Array(0),
    offsets: new Float64Array(0),
    loops: new Int32Array(0),
    starts: new Int32Array(1),
    edges: new Int32Array([0, 1]),
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

function pack(points: Float64Array, loops: number[][], normals: Vec3[], radius: number): Body {
  const edges: number[] = [];
  const tops = new Map<number, number>();
  const count = points.length / 3;
  loops.forEach((loop, f) =>
    loop.forEach((a, i) => {
      const b = loop[(i + 1) % loop.length];
      const key = Math.min(a, b) * count + Math.max(a, b);
      const known = tops.get(key);
      if (known === undefined) edges.push(a, b);
      tops.set(key, Math.max(known ?? -1, normals[f][1]));
    }),
  );
  const starts = new Int32Array(loops.length + 1);
  loops.forEach((loop, f) => (starts[f + 1] = starts[f] + loop.length));
  const edgeTops = new Float64Array(edges.length / 2);
  for (let k = 0; k < edgeTops.length; k++) {
    const [a, b] = [edges[2 * k], edges[2 * k + 1]];
    edgeTops[k] = tops.get(Math.min(a, b) * count + Math.max(a, b))!;
  }
  return {
    points,
    normals: new Float64Array(normals.flat()),
    offsets: new Float64Array(
      normals.map((n, f) => {
        const p = 3 * loops[f][0];
        return n[0] * points[p] + n[1] * points[p + 1] + n[2] * points[p + 2];
      }),
    ),
    loops: new Int32Array(loops.flat()),
    starts,
    edges: new Int32Array(edges),
    edgeTops,
    radius,
  };
}
