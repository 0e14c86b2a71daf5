import { setFaceNormal, type Polyhedron } from './polyhedron';

/** Twice the area under which a face is a line, m². */
const NO_AREA = 1e-14;

/** Normal and offset of each face, four numbers each; the offset of one without area is Infinity. */
export function planesOf(solid: Polyhedron): Float64Array {
  const { faces, points } = solid;
  const planes = new Float64Array(4 * faces.length);
  faces.forEach((face, f) => {
    const i = 4 * f;
    const area = setFaceNormal(solid, face, planes, i);
    const [x, y, z] = points[face[0]];
    planes[i + 3] =
      area < NO_AREA ? Infinity : planes[i] * x + planes[i + 1] * y + planes[i + 2] * z;
  });
  return planes;
}

/**
 * The part of a line that lies in a convex solid, by cutting it at each plane (Cyrus and Beck, 1978).
 * @param planes of the solid's faces, as of `planesOf`
 * @param a where the line is at 0, m
 * @param b where it is at 1, m
 * @param from where the line begins
 * @param to where it ends
 * @returns where it goes in and out; null where it does not come in
 */
export function chordOf(
  planes: Float64Array,
  a: ArrayLike<number>,
  b: ArrayLike<number>,
  from = 0,
  to = 1,
): readonly [number, number] | null {
  let [enter, leave] = [from, to];
  for (let i = 0; i < planes.length; i += 4) {
    const [nx, ny, nz] = [planes[i], planes[i + 1], planes[i + 2]];
    const gap = nx * a[0] + ny * a[1] + nz * a[2] - planes[i + 3];
    // What has no area bounds nothing.
    if (gap === -Infinity) continue;
    const pace = nx * (b[0] - a[0]) + ny * (b[1] - a[1]) + nz * (b[2] - a[2]);
    if (pace === 0) {
      if (gap > 0) return null;
    } else if (pace < 0) enter = Math.max(enter, gap / -pace);
    else leave = Math.min(leave, -gap / pace);
    if (enter > leave) return null;
  }
  return [enter, leave];
}
