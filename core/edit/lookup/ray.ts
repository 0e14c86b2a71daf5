import type { Vec3 } from '../../geometry';

/** A line from the eye. */
export interface Ray {
  readonly from: Vec3;
  readonly along: Vec3;
}
