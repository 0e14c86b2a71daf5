import { dot, mapVec3, type Bounds, type Vec3 } from '@/core/geometry';
import { TAN_HALF_FIELD } from '@/core/sight';

/** Part of the picture that what is fitted into it may take. */
const ROOM = 0.82;
/** As near as fitting goes, m: a single small piece is still seen among what is about it. */
const NEAREST = 12;

/** The directions of an eye, each of length 1. */
interface Axes {
  readonly right: Vec3;
  readonly up: Vec3;
  readonly ahead: Vec3;
}

const cornersOf = ({ low, high }: Bounds): Vec3[] =>
  [0, 1, 2, 3, 4, 5, 6, 7].map((k) => mapVec3((i) => (k & (1 << i) ? high[i] : low[i])));

/** Half way between the least and the greatest of some figures. */
function middleOf(figures: readonly number[]): number {
  let [least, greatest] = [Infinity, -Infinity];
  for (const v of figures) {
    if (v < least) least = v;
    if (v > greatest) greatest = v;
  }
  return (least + greatest) / 2;
}

/**
 * What an eye looks at, and from how far (m), to see all of some boxes as large as the picture
 * (pixels) has room for. Exact: the eye stands where the lines of sight along opposite edges of the
 * room both touch the outermost corners.
 */
export function fitInto(
  { width, height }: { readonly width: number; readonly height: number },
  { right, up, ahead }: Axes,
  boxes: readonly Bounds[],
): { target: Vec3; distance: number } {
  const corners = boxes.flatMap(cornersOf);
  const depths = corners.map((corner) => dot(ahead, corner));
  const depth = middleOf(depths);
  /** Where along an axis of the picture two lines opening by a slope touch, and how far before the middle depth. */
  const between = (axis: Vec3, slope: number) => {
    let [one, other] = [-Infinity, -Infinity];
    corners.forEach((corner, i) => {
      const [place, opened] = [dot(axis, corner), slope * (depths[i] - depth)];
      one = Math.max(one, place - opened);
      other = Math.max(other, -place - opened);
    });
    return { at: (one - other) / 2, distance: (one + other) / (2 * slope) };
  };
  const across = between(right, (ROOM * TAN_HALF_FIELD * width) / height);
  const upright = between(up, ROOM * TAN_HALF_FIELD);
  return {
    target: mapVec3((i) => right[i] * across.at + up[i] * upright.at + ahead[i] * depth),
    distance: Math.max(NEAREST, across.distance, upright.distance),
  };
}
