import { FieldIndex, type RunState } from '../state';

/** The pull of gravity along what is rolled on and into it, m/s². `out` gets x, y, z along it, and into. */
export function pull(s: RunState, out: Float64Array): Float64Array {
  const [x, y, z] = [
    s.field[FieldIndex.gravityX],
    s.field[FieldIndex.gravityY],
    s.field[FieldIndex.gravityZ],
  ];
  const into = x * s.gx + y * s.gy + z * s.gz;
  out[0] = x - into * s.gx;
  out[1] = y - into * s.gy;
  out[2] = z - into * s.gz;
  out[3] = -into;
  return out;
}

/** The strength of the pull along the ground, m/s². */
export const alongOf = (pulled: Float64Array): number =>
  Math.sqrt(pulled[0] * pulled[0] + pulled[1] * pulled[1] + pulled[2] * pulled[2]);

/** Slows it by so much, m/s; never past standing. */
export function slow(s: RunState, by: number): void {
  const speed = Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
  const k = speed <= by ? 0 : 1 - by / speed;
  s.vx *= k;
  s.vy *= k;
  s.vz *= k;
}
