/** The same turn by the shorter way round, degrees: -180 up to, but not, 180. */
export const shortestAngle = (degrees: number): number => (((degrees % 360) + 540) % 360) - 180;
