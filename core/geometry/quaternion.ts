import type { Matrix3 } from './turn';

/** A rotation as a unit quaternion: x, y, z, w. */
export type Quaternion = readonly [number, number, number, number];

/** The rotation of a unit quaternion. */
export function matrixOf([x, y, z, w]: Quaternion): Matrix3 {
  // prettier-ignore
  return [
    1 - 2 * (y * y + z * z), 2 * (x * y - z * w), 2 * (x * z + y * w),
    2 * (x * y + z * w), 1 - 2 * (x * x + z * z), 2 * (y * z - x * w),
    2 * (x * z - y * w), 2 * (y * z + x * w), 1 - 2 * (x * x + y * y),
  ];
}

/** The unit quaternion of a rotation (Shepperd, 1978), with a w that is not negative. */
export function quaternionOf(m: Matrix3): Quaternion {
  const trace = m[0] + m[4] + m[8];
  let [x, y, z, w] = [0, 0, 0, 0];
  if (trace > 0) {
    w = Math.sqrt(1 + trace) / 2;
    const k = 1 / (4 * w);
    [x, y, z] = [(m[7] - m[5]) * k, (m[2] - m[6]) * k, (m[3] - m[1]) * k];
  } else if (m[0] >= m[4] && m[0] >= m[8]) {
    x = Math.sqrt(Math.max(0, 1 + m[0] - m[4] - m[8])) / 2;
    const k = 1 / (4 * x);
    [y, z, w] = [(m[1] + m[3]) * k, (m[2] + m[6]) * k, (m[7] - m[5]) * k];
  } else if (m[4] >= m[8]) {
    y = Math.sqrt(Math.max(0, 1 - m[0] + m[4] - m[8])) / 2;
    const k = 1 / (4 * y);
    [x, z, w] = [(m[1] + m[3]) * k, (m[5] + m[7]) * k, (m[2] - m[6]) * k];
  } else {
    z = Math.sqrt(Math.max(0, 1 - m[0] - m[4] + m[8])) / 2;
    const k = 1 / (4 * z);
    [x, y, w] = [(m[2] + m[6]) * k, (m[5] + m[7]) * k, (m[3] - m[1]) * k];
  }
  return w < 0 ? [-x, -y, -z, -w] : [x, y, z, w];
}
