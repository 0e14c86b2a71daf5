/**
 * Sine and cosine from + - * / alone, so that a run gives the same bits in every engine.
 * Kernels: the minimax polynomials of FDLIBM (Sun Microsystems, 1993), good to about one unit in the
 * last place on [-45°, 45°]; the reduction works in degrees, where quarter turns are exact.
 */
const RADIANS = Math.PI / 180;

function kernelSin(x: number): number {
  const z = x * x;
  const r =
    8.33333333332248946124e-3 +
    z *
      (-1.98412698298579493134e-4 +
        z *
          (2.75573137070700676789e-6 +
            z * (-2.50507602534068634195e-8 + z * 1.58969099521155010221e-10)));
  return x + x * z * (-1.66666666666666324348e-1 + z * r);
}

function kernelCos(x: number): number {
  const z = x * x;
  const r =
    z *
    (4.16666666666666019037e-2 +
      z *
        (-1.38888888888741095749e-3 +
          z *
            (2.48015872894767294178e-5 +
              z *
                (-2.75573143513906633035e-7 +
                  z * (2.0875723212981748279e-9 + z * -1.13596475577881948265e-11)))));
  return 1 - (0.5 * z - z * r);
}

/** Sine of an angle in degrees; exact at multiples of 90°. */
export function sinDeg(degrees: number): number {
  const turn = degrees % 360;
  const quarter = Math.round(turn / 90);
  const x = (turn - quarter * 90) * RADIANS;
  switch (((quarter % 4) + 4) % 4) {
    case 0:
      return kernelSin(x);
    case 1:
      return kernelCos(x);
    case 2:
      return -kernelSin(x);
    default:
      return -kernelCos(x);
  }
}

/** Cosine of an angle in degrees; exact at multiples of 90°. */
export const cosDeg = (degrees: number): number => sinDeg(degrees + 90);
