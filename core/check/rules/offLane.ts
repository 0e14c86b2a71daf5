import type { Course, Piece } from '../../course';
import { piecesOver } from '../../edit';
import type { Vec3 } from '../../geometry';
import {
  contactRoles,
  contactShapes,
  hasOwnMotion,
  pieceBounds,
  pieceName,
  type Role,
  type Shape,
  spansOf,
  toWorld,
} from '../../pieces';
import { plannedRoute } from '../../route';
import { laneOf, runnerOf } from '../../run';
import { byTheWay } from '../byTheWay';
import { sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Pieces further off the lane than this are there to be seen, m. */
const NEAR = 2;
/** Roles of what a runner is meant to come to. */
const MET: readonly Role[] = ['solid', 'pickup', 'checkpoint', 'goal'];

/** The depth that runs of a side-on course keep to, and the runner's radius, m. */
interface Lane {
  readonly z: number;
  readonly radius: number;
}

/** Depths from the nearest to the farthest, m. */
type Depths = readonly [low: number, high: number];

/** Pieces of a side-on course that stand just beside the depth all runs keep to. */
const offLane: Check<'off-lane'> = (course) => {
  const depth = laneOf(course);
  if (depth === null) return [];
  const lane: Lane = { z: depth, radius: runnerOf(course.runner).body.radius };
  const { way } = plannedRoute(course);
  const found: Finding<'off-lane'>[] = [];
  for (const piece of sparseOf(course).pieces) {
    if (found.length >= MOST_TOLD) break;
    if (moves(course, piece) || !byTheWay(way, piece.at)) continue;
    const depths = depthsOf(course, piece);
    if (!depths) continue;
    const missedBy = Math.max(depths[0] - (lane.z + lane.radius), lane.z - lane.radius - depths[1]);
    if (missedBy <= 0 || missedBy > NEAR || isBehind(course, piece, lane)) continue;
    found.push(
      pieceFinding(
        piece,
        'off-lane',
        'notice',
        `${pieceName(piece)} stands off the runner's lane, so runs go past it.`,
        {
          label: 'Bring it onto the lane',
          edit: { do: 'move', id: piece.id, by: [0, 0, ontoLane(piece, depths, lane)] },
        },
      ),
    );
  }
  return found;
};

/** True for a mark or a pickup, which are there to be met. */
const isMet = (course: Course, piece: Piece): boolean =>
  contactRoles(course, piece).some((role) => role !== 'solid' && MET.includes(role));

/** True for a piece that may come onto the lane in time, by itself or with its host. Marks turn on the spot. */
const moves = (course: Course, piece: Piece): boolean =>
  !!(piece.motion || piece.attach || piece.loose) || (hasOwnMotion(piece) && !isMet(course, piece));

/** The depths between which lie the shapes that a runner is meant to come to. Null where a piece has none. */
function depthsOf(course: Course, piece: Piece): Depths | null {
  const shapes = contactShapes(course, piece).filter(({ role }) => MET.includes(role));
  if (shapes.length === 0) return null;
  const place = toWorld(piece);
  const depths = shapes.map(({ form }) => depthsOfForm(form, place));
  return [Math.min(...depths.map(([low]) => low)), Math.max(...depths.map(([, high]) => high))];
}

function depthsOfForm(form: Shape['form'], place: (point: Vec3) => Vec3): Depths {
  const points = form.kind === 'ball' ? [form.centre] : form.solid.points;
  const round = form.kind === 'ball' ? form.radius : (form.round ?? 0);
  const depths = points.map((point) => place(point)[2]);
  return [Math.min(...depths) - round, Math.max(...depths) + round];
}

/** True if a solid piece only widens what is on the lane: something solid stands there in front of it or behind. */
function isBehind(course: Course, piece: Piece, { z }: Lane): boolean {
  if (isMet(course, piece)) return false;
  const { low, high } = pieceBounds(piece);
  const [x, bottom] = [(low[0] + high[0]) / 2, low[1]];
  return piecesOver(course.pieces, x, z, x, z).some((other) =>
    spansOf(course, other)(x, z).some(
      (span) => span && span[0] < high[1] && span[1] > bottom - LEDGE,
    ),
  );
}

/** Ground on the lane so little lower than a piece still carries who goes past it, m. */
const LEDGE = 1;

/** Metres of depth that bring a piece's foot onto the lane, or else its middle. */
function ontoLane({ at }: Piece, [low, high]: Depths, { z }: Lane): number {
  const byFoot = z - at[2];
  return low + byFoot < z && high + byFoot > z ? byFoot : z - (low + high) / 2;
}

export const offLaneRule: CheckRule<'off-lane'> = { id: 'off-lane', check: offLane };
