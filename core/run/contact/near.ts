import { centreHeight, newQueryBox, type Capsule, type QueryBox } from '../world';

const box = newQueryBox();

/**
 * The box about a capsule; reused.
 * @param at its lowest point, m
 */
export function boxAround(
  body: Capsule,
  { x, y, z }: Readonly<Record<'x' | 'y' | 'z', number>>,
): QueryBox {
  const { radius } = body;
  box.x0 = x - radius;
  box.y0 = y;
  box.z0 = z - radius;
  box.x1 = x + radius;
  box.y1 = y + 2 * centreHeight(body);
  box.z1 = z + radius;
  return box;
}

/** Whether the box that begins at a place of a list of boxes, six numbers each, does not meet another. */
export const outsideBox = (
  { x0, y0, z0, x1, y1, z1 }: QueryBox,
  boxes: Float64Array,
  b: number,
): boolean =>
  x1 < boxes[b] ||
  x0 > boxes[b + 3] ||
  y1 < boxes[b + 1] ||
  y0 > boxes[b + 4] ||
  z1 < boxes[b + 2] ||
  z0 > boxes[b + 5];
