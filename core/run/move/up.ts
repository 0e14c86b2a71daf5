import { FieldIndex, type RunState } from '../state';

const up = { x: 0, y: 1, z: 0 };

/** The way up where the runner is: against the gravity it feels; y where there is none. Reused. */
export function upOf({ field }: RunState): Readonly<typeof up> {
  const x = field[FieldIndex.gravityX];
  const y = field[FieldIndex.gravityY];
  const z = field[FieldIndex.gravityZ];
  if (x === 0 && z === 0) {
    up.x = 0;
    up.y = y > 0 ? -1 : 1;
    up.z = 0;
    return up;
  }
  const l = Math.sqrt(x * x + y * y + z * z);
  up.x = -x / l;
  up.y = -y / l;
  up.z = -z / l;
  return up;
}

/** How strong the gravity is that the runner feels, m/s². */
export function gravityOf({ field }: RunState): number {
  const x = field[FieldIndex.gravityX];
  const y = field[FieldIndex.gravityY];
  const z = field[FieldIndex.gravityZ];
  return x === 0 && z === 0 ? Math.abs(y) : Math.sqrt(x * x + y * y + z * z);
}

/**
 * Sets how fast the runner goes along a direction, and leaves the rest of its speed.
 * @param s the run's state, whose speed it changes
 * @param along the direction, of length 1
 * @param speed m/s
 */
export function setAlong(s: RunState, along: Readonly<typeof up>, speed: number): void {
  const more = speed - (s.vx * along.x + s.vy * along.y + s.vz * along.z);
  s.vx += more * along.x;
  s.vy += more * along.y;
  s.vz += more * along.z;
}

/** How fast the runner goes along a direction of length 1, m/s. */
export const paceAlong = ({ vx, vy, vz }: RunState, { x, y, z }: Readonly<typeof up>): number =>
  vx * x + vy * y + vz * z;
