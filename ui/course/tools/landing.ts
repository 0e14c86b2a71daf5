import {
  landingOf,
  onWorkPlane,
  pickPiece,
  refusal,
  snapToGrid,
  roundToStored,
  type Landing,
  type PieceInHand,
  type SnapSettings,
} from '@/core/edit';
import type { Course } from '@/core/course';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { familyOf, pieceBounds } from '@/core/pieces';
import { metresAPixel, rayAt, useView } from '../../scene';
import { planeOf, useLay } from '../open/laying';

/** How near on the screen something has to be to take hold, pixels. */
const REACH = 26;

/** The work plane as the view and the maker have it now. */
export const planeNow = () => planeOf(useView.getState().mode, useLay.getState());

/** What snaps now: the grid of the work plane, and what else is switched on. */
export function snapNow(): SnapSettings {
  const { steps, ends, corners, surface, snapping, snapSuspended, gridOrigin, gridTurn } =
    useLay.getState();
  const view = useView.getState();
  const on = snapping && !snapSuspended;
  const upright = planeNow().axis === 'z';
  const [x, y, z] = on ? steps : [0, 0, 0];
  return {
    // Across the plane there is nothing to snap: a piece keeps the plane's own height or depth.
    steps: upright ? [x, y, 0] : [x, 0, z],
    frame: { origin: gridOrigin, turn: gridTurn },
    ends: on && ends,
    corners: on && corners,
    surface: on && surface,
    upright,
    reach: Math.min(1.2, metresAPixel(view, view.target) * REACH),
  };
}

/** The nearest place on the grid as it is now. */
export function toGrid(p: Vec3): Vec3 {
  const { steps, frame } = snapNow();
  return snapToGrid(p, steps, frame);
}

/**
 * The place a pixel points at: on the work plane, or on top of what is under the pointer where the
 * plane is level and surfaces are snapped to.
 */
export function pointedAt(course: Pick<Course, 'pieces'>, x: number, y: number): Vec3 | null {
  const ray = rayAt(useView.getState(), x, y);
  const plane = planeNow();
  if (plane.axis === 'y' && snapNow().surface) {
    const under = pickPiece(course, ray);
    if (under) {
      const hit = mapVec3((i) => ray.from[i] + ray.along[i] * under.t);
      const piece = course.pieces.find(({ id }) => id === under.id)!;
      const { high } = pieceBounds(piece);
      const stands = familyOf(piece.family).group !== 'scenery';
      // Only tops are stood on; a side pointed at is in front of the plane.
      if (stands && high[1] - hit[1] < 0.02) return [hit[0], high[1], hit[2]];
    }
  }
  return onWorkPlane(ray, plane);
}

/** From a pointed place to where a piece's foot goes: held by its middle on an upright plane. */
function footFor(piece: PieceInHand, [x, y, z]: Vec3): PieceInHand {
  if (planeNow().axis !== 'z') return { ...piece, at: [x, y, z] };
  const { low, high } = pieceBounds({ ...piece, at: [0, 0, 0], id: 'ghost' });
  return { ...piece, at: [x, y - (low[1] + high[1]) / 2, z] };
}

/** Where to point so that a piece's foot is held at a place: `footFor` the other way. */
export function pointedFor(piece: PieceInHand, [x, y, z]: Vec3): Vec3 {
  const foot = footFor(piece, [0, 0, 0]).at;
  return [x - foot[0], y - foot[1], z - foot[2]];
}

/** What lands held as far above it as the maker says; at an end or a corner it is joined all the same. */
function raised(landing: Landing): Landing {
  const by = useLay.getState().raised;
  if (by === 0 || landing.took === 'end' || landing.took === 'corner') return landing;
  const [x, y, z] = landing.piece.at;
  return { ...landing, piece: { ...landing.piece, at: [x, roundToStored(y + by), z] } };
}

/** The piece in hand where it would land, and why it may not go there. */
export interface GhostPlace extends Landing {
  readonly refused: string | null;
}

export function landInHand(course: Course, inHand: PieceInHand, pointed: Vec3): GhostPlace {
  const landing = raised(landingOf(course, footFor(inHand, pointed), snapNow()));
  return { ...landing, refused: refusal(course, landing.piece) };
}
