import { cosDeg, sinDeg } from './trig';
import type { Vec3 } from './vec';

/** A rotation as nine numbers, row by row. */
// prettier-ignore
export type Matrix3 = readonly [
  number, number, number,
  number, number, number,
  number, number, number,
];

export const NO_TURN: Matrix3 = [1, 0, 0, 0, 1, 0, 0, 0, 1];

/**
 * The rotation of a turn in degrees about x, y and z: first about z, then x, then y, so that the
 * y angle is the heading whatever the tilt.
 */
export function turnMatrix(turn: Vec3): Matrix3 {
  if (turn[0] === 0 && turn[1] === 0 && turn[2] === 0) return NO_TURN;
  const [sx, cx] = [sinDeg(turn[0]), cosDeg(turn[0])];
  const [sy, cy] = [sinDeg(turn[1]), cosDeg(turn[1])];
  const [sz, cz] = [sinDeg(turn[2]), cosDeg(turn[2])];
  // prettier-ignore
  return [
    cy * cz + sy * sx * sz, sy * sx * cz - cy * sz, sy * cx,
    cx * sz, cx * cz, -sx,
    cy * sx * sz - sy * cz, sy * sz + cy * sx * cz, cy * cx,
  ];
}

export const rotate = (m: Matrix3, p: Vec3): Vec3 => [
  m[0] * p[0] + m[1] * p[1] + m[2] * p[2],
  m[3] * p[0] + m[4] * p[1] + m[5] * p[2],
  m[6] * p[0] + m[7] * p[1] + m[8] * p[2],
];

/** The rotation `a` after `b`. */
export function multiply(a: Matrix3, b: Matrix3): Matrix3 {
  const out: number[] = [];
  for (let row = 0; row < 9; row += 3) {
    for (let column = 0; column < 3; column++) {
      out.push(a[row] * b[column] + a[row + 1] * b[column + 3] + a[row + 2] * b[column + 6]);
    }
  }
  return out as unknown as Matrix3;
}

/** The inverse of a rotation. */
export const transpose = (m: Matrix3): Matrix3 => [
  m[0],
  m[3],
  m[6],
  m[1],
  m[4],
  m[7],
  m[2],
  m[5],
  m[8],
];

/**
 * A heading after a turn, degrees about y from 0 to 360: that of where the turn brings the way that it led.
 * @param heading degrees about y, anticlockwise seen from above
 * @param m the turn
 */
export function turnedHeading(heading: number, m: Matrix3): number {
  // How far the way is turned about y, by its sine and cosine.
  const [x, , z] = rotate(m, [cosDeg(heading), 0, -sinDeg(heading)]);
  const [c, s] = [
    cosDeg(heading) * x - sinDeg(heading) * z,
    -cosDeg(heading) * z - sinDeg(heading) * x,
  ];
  return (((heading + degreesOf(s, c)) % 360) + 360) % 360;
}

/** Half a turn's degrees in a radian. */
const DEGREES = 180 / 3.141592653589793;

/** The angle whose sine and cosine are as given, of any one length, in degrees from -180 to 180. */
export function degreesOf(sine: number, cosine: number): number {
  const l = Math.sqrt(sine * sine + cosine * cosine);
  if (l === 0) return 0;
  // Turned back by eighths until what is left is small, then by the series of the arc sine.
  let [s, c, turned] = [sine / l, cosine / l, 0];
  for (const step of [90, 45, 22.5, 11.25]) {
    while (c < 0 || Math.abs(s) > sinDeg(step)) {
      const by = s < 0 ? -step : step;
      const [n, k] = [sinDeg(by), cosDeg(by)];
      [s, c] = [s * k - c * n, c * k + s * n];
      turned += by;
      if (c >= 0 && Math.abs(s) <= sinDeg(step)) break;
    }
  }
  const q = s * s;
  return (
    turned + DEGREES * s * (1 + q * (1 / 6 + q * (3 / 40 + q * (15 / 336 + q * (105 / 3456)))))
  );
}
