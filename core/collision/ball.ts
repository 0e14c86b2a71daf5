/** A ball: its middle and its radius, m. */
export interface Ball {
  x: number;
  y: number;
  z: number;
  radius: number;
}

/** A ball with the displacement it is to make, m; one is filled anew for each sweep, so that sweeping makes no garbage. */
export interface MovingBall extends Ball {
  dx: number;
  dy: number;
  dz: number;
}

export const newMovingBall = (): MovingBall => ({
  x: 0,
  y: 0,
  z: 0,
  radius: 0,
  dx: 0,
  dy: 0,
  dz: 0,
});
