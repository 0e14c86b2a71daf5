import { BLOCK_SIDES, topEdge, type BlockSide, type Ray } from '@/core/edit';
import type { Piece } from '@/core/course';
import {
  add,
  cross,
  dot,
  middle,
  normalize,
  rotate,
  scale,
  sub,
  unionBounds,
  type Vec3,
} from '@/core/geometry';
import { familyOf, pieceBounds, turnOf } from '@/core/pieces';
import { axes, type Eye, eyePlace } from '@/core/sight';
import { metresAPixel, pixelOf } from '../../../scene';
import type { HandleMode } from '../../open/laying';

/** Something to take hold of about the chosen pieces. */
export interface Handle {
  readonly mode: HandleMode;
  /** The top edge it pulls, where it pulls one. */
  readonly edge?: BlockSide;
  readonly axis: 0 | 1 | 2;
  readonly side: 1 | -1;
  /** Unit direction of its axis in the world. */
  readonly along: Vec3;
  /** The middle of what is chosen, about which it turns. */
  readonly centre: Vec3;
  readonly at: Vec3;
  /** Where it is seen, pixels. */
  readonly pixel: readonly [number, number];
}

type Sight = Eye & { width: number; height: number };

/** How far out of what is chosen handles stand, pixels. */
const OUT = 34;
/** Nearest that the middle and a handle may be seen to each other to be of use, pixels. */
const LEAST = 16;
/** Cosine between the line of sight and an arrow seen nearly end-on: it would move a piece far for each pixel. */
const END_ON = 0.94;

const UNITS: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** The handles for what is chosen, along the world's axes or the first piece's own. */
export function handlesOf(
  chosen: readonly Piece[],
  mode: HandleMode,
  own: boolean,
  view: Sight,
): Handle[] {
  if (chosen.length === 0) return [];
  if (mode === 'slope') {
    const edges = slopeHandles(chosen[0], view);
    // What has no edges to pull is moved.
    return edges.length > 0 ? edges : handlesOf(chosen, 'move', own, view);
  }
  const bounds = unionBounds(chosen.map(pieceBounds));
  const centre = middle(bounds);
  const [first] = chosen;
  // A size is the piece's own, so stretching always goes along its own axes.
  const ownAxes = own || mode === 'stretch';
  const half = ownAxes ? ownHalf(first) : scale(sub(bounds.high, bounds.low), 0.5);
  const middleOf = mode === 'stretch' && chosen.length === 1 ? ownMiddle(first) : centre;
  const out = metresAPixel(view, centre) * OUT;
  const stretchable = chosen.some(({ family }) => familyOf(family).sizable);
  if (mode === 'stretch' && !stretchable) return [];
  return ([0, 1, 2] as const).flatMap((axis): Handle[] => {
    const along = ownAxes ? rotate(turnOf(first), UNITS[axis]) : UNITS[axis];
    if (mode === 'turn') return turnHandle(axis, along, centre, half, out, view);
    return ([1, -1] as const).flatMap((side): Handle[] => {
      if (mode === 'move' && (side < 0 || isEndOn(along, centre, view))) return [];
      const at = add(middleOf, scale(along, side * (half[axis] + out)));
      return seen({ mode, axis, side, along, centre: middleOf, at }, view);
    });
  });
}

const isEndOn = (along: Vec3, centre: Vec3, view: Sight): boolean =>
  Math.abs(dot(normalize(sub(centre, eyePlace(view))), along)) > END_ON;

/** A knob in the middle of each top edge, pulled up and down. */
function slopeHandles(piece: Piece, view: Sight): Handle[] {
  const along = rotate(turnOf(piece), UNITS[1]);
  return BLOCK_SIDES.flatMap((edge): Handle[] => {
    const at = topEdge(piece, edge);
    const pixel = at && pixelOf(view, at);
    return pixel ? [{ mode: 'slope', edge, axis: 1, side: 1, along, centre: at, at, pixel }] : [];
  });
}

function seen(handle: Omit<Handle, 'pixel'>, view: Sight): Handle[] {
  const [pixel, middlePixel] = [pixelOf(view, handle.at), pixelOf(view, handle.centre)];
  if (!pixel || !middlePixel) return [];
  const apart = Math.hypot(pixel[0] - middlePixel[0], pixel[1] - middlePixel[1]);
  return apart < LEAST ? [] : [{ ...handle, pixel }];
}

/** A knob on the ring about an axis, where the ring can be seen into. */
function turnHandle(
  axis: 0 | 1 | 2,
  along: Vec3,
  centre: Vec3,
  half: Vec3,
  out: number,
  view: Sight,
): Handle[] {
  const sight = normalize(sub(centre, eyePlace(view)));
  if (Math.abs(dot(sight, along)) < 0.14) return [];
  const { right } = axes(view);
  const across = normalize(sub(right, scale(along, dot(right, along))));
  const beside = normalize(cross(along, across));
  const reach = Math.max(half[0], half[1], half[2]) + out;
  // Each axis has its knob at another hour of the ring, so that none hides another.
  const [c, s] = [
    [0.8, 0.6],
    [1, 0],
    [0.6, 0.8],
  ][axis];
  const at = add(centre, add(scale(across, reach * c), scale(beside, reach * s)));
  return seen({ mode: 'turn', axis, side: 1, along, centre, at }, view);
}

const ownHalf = (piece: Piece): Vec3 => {
  const family = familyOf(piece.family);
  return scale(piece.size && family.sizable ? piece.size : family.size, 0.5);
};

const ownMiddle = (piece: Piece): Vec3 =>
  add(piece.at, rotate(turnOf(piece), [0, ownHalf(piece)[1], 0]));

/** The handle under a pixel: as large as a finger. */
export function handleAt(handles: readonly Handle[], x: number, y: number): Handle | null {
  let best: Handle | null = null;
  let least = 24;
  for (const handle of handles) {
    const away = Math.hypot(handle.pixel[0] - x, handle.pixel[1] - y);
    if (away < least) {
      least = away;
      best = handle;
    }
  }
  return best;
}

/** How far along a handle's axis a ray points, metres from its middle. */
export function alongAxis(
  { along, centre }: Pick<Handle, 'along' | 'centre'>,
  ray: Ray,
): number | null {
  const to = sub(centre, ray.from);
  const d = normalize(ray.along);
  const k = dot(along, d);
  const denominator = 1 - k * k;
  if (denominator < 1e-4) return null;
  return (k * dot(to, d) - dot(to, along)) / denominator;
}

/** The angle in degrees at which a ray meets the plane of a handle's ring. */
export function roundAxis({ along, centre }: Handle, ray: Ray): number | null {
  const pace = dot(ray.along, along);
  if (Math.abs(pace) < 1e-6) return null;
  const t = dot(sub(centre, ray.from), along) / pace;
  if (t < 0) return null;
  const p = sub(add(ray.from, scale(ray.along, t)), centre);
  const u =
    Math.abs(along[1]) > 0.9
      ? normalize(cross([0, 0, 1], along))
      : normalize(cross([0, 1, 0], along));
  const v = cross(along, u);
  return (Math.atan2(dot(p, v), dot(p, u)) * 180) / Math.PI;
}
