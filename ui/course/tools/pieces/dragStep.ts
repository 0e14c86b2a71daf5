import {
  changePieces,
  cornerOnto,
  landingOf,
  movePieces,
  pullEdge,
  setTurn,
  snapToGrid,
  spinPieces,
  stretchPieces,
  type PieceInHand,
  type SnapSettings,
} from '@/core/edit';
import type { Course } from '@/core/course';
import { add, scale, shortestAngle, sub, type Vec3 } from '@/core/geometry';
import { numberText } from '../../../parts';
import type { CornerDrag, HandleDrag, MoveDrag } from './drag';
import type { Handle } from './handles';

/** What a drag comes to so far: the change, made to the course as it was, and what is read beside the finger. */
export interface DragStep {
  readonly edit: (course: Course) => Course;
  readonly measure: { readonly at: Vec3; readonly words: string } | null;
}

/**
 * The chosen pieces carried to a place: by the steps of the grid along its own axes, or onto what takes hold.
 *
 * @param drag - how it began
 * @param choice - the pieces that are carried
 * @param to - the place the finger points at on the work plane
 * @param settings - what snaps
 */
export function moveStep(
  { base, others, from, held }: MoveDrag,
  choice: ReadonlySet<string>,
  to: Vec3,
  settings: SnapSettings,
): DragStep {
  const piece = base.pieces.find(({ id }) => id === held)!;
  const way = sub(to, from);
  const turn = settings.frame?.turn ?? 0;
  const grid = snapToGrid(way, settings.steps, { origin: [0, 0, 0], turn });
  const landing = landingOf(
    others,
    { ...piece, at: add(piece.at, way) as PieceInHand['at'] },
    { ...settings, steps: [0, 0, 0], surface: false },
  );
  const taken = landing.took === 'end' || landing.took === 'corner';
  const by = taken ? sub(landing.piece.at, piece.at) : grid;
  return {
    measure: { at: to, words: taken ? `on ${landing.took}` : lengths(by) },
    edit: (course) => {
      const moved = movePieces(course, choice, by);
      if (landing.took !== 'end' || choice.size > 1) return moved;
      return changePieces(moved, choice, (p) => {
        setTurn(p, landing.piece.turn ?? [0, 0, 0]);
      });
    },
  };
}

/** One of their corners drawn onto another's, or back where there is none. */
export function cornerStep(
  { own }: CornerDrag,
  choice: ReadonlySet<string>,
  onto: Vec3 | null,
): DragStep {
  return {
    measure: onto && { at: onto, words: 'on corner' },
    edit: (course) => (onto ? cornerOnto(course, choice, own, onto) : course),
  };
}

/** By how much a handle goes at a time: degrees of a turn, metres along each axis; 0 is freely. */
export interface HandleSteps {
  readonly turn: number;
  readonly along: readonly number[];
}

/** How handles work: along the piece's own axes, both sides at once. */
export interface HandleWays {
  readonly ownAxes: boolean;
  readonly bothSides: boolean;
}

/**
 * The chosen pieces turned by a handle.
 *
 * @param drag - how it began
 * @param choice - the pieces that are turned
 * @param angle - where round its axis the finger is, degrees
 * @param steps - by how much it goes at a time
 * @param ways - how handles work
 */
export function turnStep(
  { handle, from }: HandleDrag,
  choice: ReadonlySet<string>,
  angle: number,
  steps: HandleSteps,
  { ownAxes }: HandleWays,
): DragStep {
  const step = steps.turn > 0 ? steps.turn : 1;
  const by = Math.round(shortestAngle(angle - from) / step) * step;
  return {
    measure: { at: handle.at, words: `${numberText(by)}°` },
    edit: (course) =>
      by === 0 ? course : spinPieces(course, choice, handle.axis, by, handle.centre, ownAxes),
  };
}

/**
 * The chosen pieces moved, stretched or sloped by a handle.
 *
 * @param drag - how it began
 * @param choice - the pieces it is done to
 * @param reach - where along its axis the finger is, m
 * @param steps - by how much it goes at a time
 * @param ways - how handles work
 */
export function pullStep(
  { handle, from }: HandleDrag,
  choice: ReadonlySet<string>,
  reach: number,
  steps: HandleSteps,
  ways: HandleWays,
): DragStep {
  const step = steps.along[handle.axis];
  const free = reach - from;
  const by = step > 0 ? Math.round(free / step) * step : Math.round(free * 100) / 100;
  return {
    measure: { at: add(handle.at, scale(handle.along, by)), words: `${numberText(by)} m` },
    edit: (course) => (by === 0 ? course : pulled(course, choice, handle, by, ways)),
  };
}

function pulled(
  course: Course,
  choice: ReadonlySet<string>,
  { mode, edge, axis, side, along }: Handle,
  by: number,
  { bothSides }: HandleWays,
): Course {
  if (edge) return pullEdge(course, choice, edge, by);
  if (mode === 'move') return movePieces(course, choice, scale(along, by));
  return stretchPieces(course, choice, axis, side * by, side, bothSides);
}

const lengths = (by: Vec3): string => {
  const along = ['x', 'y', 'z']
    .map((axis, i) => (Math.abs(by[i]) > 1e-6 ? `${axis} ${numberText(by[i])}` : ''))
    .filter(Boolean);
  return `${along.join(' · ') || 0} m`;
};
