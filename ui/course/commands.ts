import {
  duplicatePieces,
  layPieces,
  movePieces,
  removePieces,
  setTurn,
  turnPieces,
  wrapTurn,
} from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';
import { pieceBounds, familyOf } from '@/core/pieces';
import { tell } from '../parts';
import { useCourse } from '../state/courseStore';
import { useLay } from './layStore';

/** Degrees a press turns. */
export const TURN_STEP = 15;

const stepOf = (): number => useLay.getState().step || 0.1;

/** What is done to the piece in hand or the chosen ones, by buttons and keys alike. */
export const buildCommands = {
  turn: (degrees: number) => {
    const { inHand, choice, take, edit } = useCourse.getState();
    if (!inHand) return edit((course) => turnPieces(course, choice, degrees), 'turn');
    const piece = { ...inHand, id: 'ghost' };
    const [x, y, z] = piece.turn ?? [0, 0, 0];
    setTurn(piece, [x, wrapTurn(y + degrees), z]);
    const { id: _, ...turned } = piece;
    take(turned);
  },
  /** Moves by whole grid steps. */
  move: (x: number, y: number, z: number) => {
    const { choice, edit } = useCourse.getState();
    if (choice.size === 0) return;
    const step = stepOf();
    edit((course) => movePieces(course, choice, [x * step, y * step, z * step]), 'move');
  },
  /** The size of the piece in hand, by one grid step on an axis. */
  sizeInHand: (axis: 0 | 1 | 2, steps: number) => {
    const { inHand, take } = useCourse.getState();
    if (!inHand) return;
    const family = familyOf(inHand.family);
    const size = [...(inHand.size ?? family.size)] as [number, number, number];
    size[axis] = Math.max(
      0.25,
      Math.round((size[axis] + steps * (useLay.getState().step || 0.25)) * 100) / 100,
    );
    take({ ...inHand, size });
  },
  duplicate: () => {
    const { course, choice, edit, choose } = useCourse.getState();
    if (choice.size === 0) return;
    const widths = course.pieces
      .filter(({ id }) => choice.has(id))
      .map((piece) => pieceBounds(piece))
      .map(({ low, high }) => high[0] - low[0]);
    const by: Vec3 = [Math.ceil(Math.max(...widths) / stepOf()) * stepOf(), 0, 0];
    const { course: next, copies } = duplicatePieces(course, choice, by);
    edit(() => next);
    choose(copies);
  },
  remove: () => {
    const { course, choice, edit } = useCourse.getState();
    const gone = course.pieces.filter(({ id }) => choice.has(id));
    if (gone.length === 0) return;
    edit((before) => removePieces(before, choice));
    const after = useCourse.getState().course;
    tell(gone.length === 1 ? 'Piece deleted.' : `${gone.length} pieces deleted.`, {
      label: 'Undo',
      act: () => {
        // Once something else was done since, they are laid again instead of undoing that.
        const now = useCourse.getState();
        if (now.course === after) now.undo();
        else now.edit((later) => layPieces(later, gone));
      },
    });
  },
  /** Lets go of what is in hand, then of what is chosen. */
  done: () => {
    const { inHand, take, choose } = useCourse.getState();
    if (inHand) take(null);
    else choose([]);
  },
};
