import {
  chosenOf,
  dropPieces,
  duplicatePieces,
  flipPieces,
  groupPieces,
  lieAlong,
  markPieces,
  movePieces,
  pieceLike,
  pullEdge,
  removePieces,
  resetTurn,
  sinkPieces,
  spinPieces,
  toOrigin,
  turnInHand,
  ungroupPieces,
  type PieceInHand,
  roundToStored,
} from '@/core/edit';
import type { Course } from '@/core/course';
import { add, middle, rotate, turnMatrix, unionBounds, type Vec3 } from '@/core/geometry';
import { familyOf, pieceBounds, turnOf } from '@/core/pieces';
import { showToast } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { pointedNow, takeTool, useLay } from './laying';
import { endSceneMode } from './sceneMode';
import { noticeWithUndo } from './undoNotice';

const turnBy = (): number => useLay.getState().turnStep || 1;
const stepOf = (axis: 0 | 1 | 2): number => {
  const { steps, snapping } = useLay.getState();
  return (snapping && steps[axis]) || 0.1;
};

/** Changes the piece in hand. */
function changeHand(change: (piece: PieceInHand) => undefined): void {
  const { inHand, take } = useCourse.getState();
  if (!inHand) return;
  const next = { ...inHand };
  change(next);
  take(next);
}

/** Does an edit of what is chosen; says so when nothing is. */
function toChoice(change: (course: Course, choice: ReadonlySet<string>) => Course, merge?: string) {
  const { choice, edit } = useCourse.getState();
  if (choice.size === 0) {
    showToast('Choose a piece first.');
    return;
  }
  edit((course) => change(course, choice), merge);
}

/** What is done to the piece in hand or the chosen ones, by buttons and keys alike. */
export const buildCommands = {
  turn: (ways: 1 | -1) => {
    const degrees = ways * turnBy();
    const { inHand, choice, course, edit } = useCourse.getState();
    if (inHand) {
      useCourse.getState().take(turnInHand(inHand, useLay.getState().handAxis, degrees));
      return;
    }
    const chosen = chosenOf(course, choice);
    if (chosen.length === 0) return;
    const pivot =
      chosen.length === 1 ? (chosen[0].at as Vec3) : middle(unionBounds(chosen.map(pieceBounds)));
    edit((before) => spinPieces(before, choice, 1, degrees, pivot), 'turn');
  },
  /** Moves by whole grid steps. */
  /** Moves what is in hand, or what is chosen, by so many steps along each axis. */
  move: (x: number, y: number, z: number) => {
    const { choice, edit, inHand } = useCourse.getState();
    const along: Vec3 = [x * stepOf(0), y * stepOf(1), z * stepOf(2)];
    if (inHand) {
      const by = rotate(turnMatrix([0, useLay.getState().gridTurn, 0]), along);
      useLay.getState().moveGhost(add(pointedNow(), by));
      return;
    }
    if (choice.size === 0) return;
    const [first] = chosenOf(useCourse.getState().course, choice);
    const { ownAxes, gridTurn } = useLay.getState();
    // Along its own axes where those are on, else along the grid's.
    const frame = ownAxes && first ? turnOf(first) : turnMatrix([0, gridTurn, 0]);
    const by = rotate(frame, along);
    edit((course) => movePieces(course, choice, by), 'move');
  },
  /** Raises what is in hand above where it would land, or what is chosen. */
  raise: (ways: 1 | -1) => {
    const { inHand } = useCourse.getState();
    if (!inHand) {
      buildCommands.move(0, ways, 0);
      return;
    }
    const lay = useLay.getState();
    lay.raiseHand(roundToStored(lay.raised + ways * stepOf(1)));
  },
  /** Takes another of the first piece chosen in hand, with all it is. */
  takeLike: () => {
    const { course, choice, take } = useCourse.getState();
    const [piece] = chosenOf(course, choice);
    if (!piece) {
      showToast('Choose a piece first.');
      return;
    }
    takeTool('pieces');
    useLay.getState().moveGhost(null);
    take(pieceLike(piece));
  },
  /** The size of the piece in hand, by one grid step on an axis. */
  sizeInHand: (axis: 0 | 1 | 2, ways: number) => {
    changeHand((piece) => {
      const family = familyOf(piece.family);
      const size = [...(piece.size ?? family.size)] as [number, number, number];
      size[axis] = Math.max(0.1, Math.round((size[axis] + ways * stepOf(axis)) * 100) / 100);
      piece.size = size;
    });
  },
  flip: () => {
    const { inHand } = useCourse.getState();
    if (!inHand) {
      toChoice(flipPieces);
      return;
    }
    changeHand((piece) => {
      if (piece.flip) delete piece.flip;
      else piece.flip = true;
    });
  },
  duplicate: () => {
    const { course, choice, edit, choose } = useCourse.getState();
    if (choice.size === 0) return;
    const bounds = unionBounds(chosenOf(course, choice).map((piece) => pieceBounds(piece)));
    const step = stepOf(0);
    const by: Vec3 = [Math.ceil((bounds.high[0] - bounds.low[0]) / step - 1e-6) * step, 0, 0];
    const { course: next, copies } = duplicatePieces(course, choice, by);
    edit(() => next);
    choose(copies);
  },
  /** Leaves a copy in the same place: the one that is chosen goes on from there. */
  duplicateHere: () => {
    const { course, choice, edit, choose } = useCourse.getState();
    if (choice.size === 0) return;
    const { course: next, copies } = duplicatePieces(course, choice, [0, 0, 0]);
    edit(() => next);
    choose(copies);
    showToast('A copy lies in the same place and is chosen; move it on.');
  },
  remove: () => {
    const { course, choice, edit } = useCourse.getState();
    const gone = chosenOf(course, choice);
    if (gone.length === 0) return;
    edit((before) => removePieces(before, choice));
    noticeWithUndo(gone.length === 1 ? 'Piece deleted.' : `${gone.length} pieces deleted.`);
  },
  /** Pulls the edge towards x down to the foot: a block becomes a ramp. */
  ramp: () => {
    try {
      toChoice((course, choice) => pullEdge(course, choice, '+x', -200));
    } catch (problem) {
      showToast((problem as Error).message);
    }
  },
  group: () => toChoice(groupPieces),
  ungroup: () => toChoice((course, choice) => ungroupPieces(course, choice)),
  ungroupAll: () => toChoice((course, choice) => ungroupPieces(course, choice, true)),
  hide: () => {
    toChoice((course, choice) => markPieces(course, choice, 'hidden', true));
    useCourse.getState().choose([]);
  },
  lock: () => {
    toChoice((course, choice) => markPieces(course, choice, 'locked', true));
    useCourse.getState().choose([]);
  },
  drop: () => toChoice(dropPieces),
  lieAlong: () => toChoice(lieAlong),
  sink: (metres: number) =>
    toChoice((course, choice) => sinkPieces(course, choice, metres), 'sink'),
  resetTurn: () => toChoice(resetTurn),
  toOrigin: () => toChoice(toOrigin),
  /** Ends a mode of the scene; or lets go of what is being drawn, then of what is in hand, then of what is chosen. */
  done: () => {
    const { inHand, take, choose } = useCourse.getState();
    const { stroke, dropStroke } = useLay.getState();
    if (endSceneMode()) return;
    if (stroke.length > 0) dropStroke();
    else if (inHand) take(null);
    else choose([]);
  },
};

/** Looks at what is chosen. */
export const lookAtChoice = (): void => {
  const { course, choice } = useCourse.getState();
  useView.getState().fit(course, choice.size > 0 ? choice : undefined);
};
