import { chosenOf, duplicatePieces, onWorkPlane, pickChoosable, rayHitsBounds } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { rayAt, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { planeNow } from '../landing';
import { useLay } from '../../open/laying';
import { cornerAt } from './corners';
import { alongAxis, handleAt, handlesOf, roundAxis, type Handle } from './handles';

/** The chosen pieces are carried by one of them. */
export interface MoveDrag {
  readonly kind: 'move';
  readonly base: Course;
  /** The course without what is dragged: what it may snap to, found once for the whole drag. */
  readonly others: Course;
  /** Where they were taken hold of. */
  readonly from: Vec3;
  /** The piece under the finger. */
  readonly held: string;
}

/** One of their corners is drawn onto another's. */
export interface CornerDrag {
  readonly kind: 'corner';
  readonly base: Course;
  readonly own: Vec3;
}

/** A handle of theirs is pulled. */
export interface HandleDrag {
  readonly kind: 'handle';
  readonly base: Course;
  readonly handle: Handle;
  /** Where along its axis, m, or round it, degrees, it was taken hold of. */
  readonly from: number;
}

/** What a finger drags of the chosen pieces. */
export type Drag = MoveDrag | CornerDrag | HandleDrag;

/** The place that a pixel points at on the work plane through a piece. */
export function placeHeld(x: number, y: number, id: string): Vec3 | null {
  const piece = useCourse.getState().course.pieces.find((p) => p.id === id);
  if (!piece) return null;
  const { axis } = planeNow();
  const ray = rayAt(useView.getState(), x, y);
  return onWorkPlane(ray, { axis, value: piece.at[axis === 'z' ? 2 : 1] });
}

/** What a finger that goes down at a pixel will drag, if anything. */
export function beginDrag(x: number, y: number): Drag | null {
  const { course, choice } = useCourse.getState();
  const { cornering, dragCopies } = useLay.getState();
  if (cornering) {
    // By one drag: from one of its corners onto another piece's.
    const own = cornering.own ? null : cornerAt(chosenOf(course, choice), x, y);
    return own && { kind: 'corner', base: course, own };
  }
  const handle = handleUnder(x, y);
  if (handle) return pullHandle(handle, x, y);
  const ray = rayAt(useView.getState(), x, y);
  if (!chosenOf(course, choice).some((piece) => rayHitsBounds(ray, piece))) return null;
  const under = pickChoosable(course, ray);
  if (!under || !choice.has(under.id)) return null;
  const from = placeHeld(x, y, under.id);
  if (!from) return null;
  if (dragCopies) return dragCopy(from, under.id);
  const others = { ...course, pieces: course.pieces.filter(({ id }) => !choice.has(id)) };
  return { kind: 'move', base: course, others, from, held: under.id };
}

/** The handle a finger is on; it is shown as held. */
function handleUnder(x: number, y: number): Handle | null {
  const { course, choice } = useCourse.getState();
  const { handles, ownAxes, held, holdHandle } = useLay.getState();
  const view = useView.getState();
  const handle = handleAt(handlesOf(chosenOf(course, choice), handles, ownAxes, view), x, y);
  if (handle !== held) holdHandle(handle);
  return handle;
}

function pullHandle(handle: Handle, x: number, y: number): HandleDrag | null {
  const ray = rayAt(useView.getState(), x, y);
  const from = handle.mode === 'turn' ? roundAxis(handle, ray) : alongAxis(handle, ray);
  if (from === null) return null;
  return { kind: 'handle', base: useCourse.getState().course, handle, from };
}

/** Leaves what is chosen and drags a copy of it, all of it one step. */
function dragCopy(from: Vec3, held: string): MoveDrag {
  const { course, choice, edit, choose } = useCourse.getState();
  const { course: base, copies } = duplicatePieces(course, choice, [0, 0, 0]);
  const place = chosenOf(course, choice).findIndex(({ id }) => id === held);
  edit(() => base, 'drag');
  choose(copies, true);
  const now = useCourse.getState().course;
  return { kind: 'move', base: now, others: course, from, held: copies[place] };
}
